import { LIMITS, millilitresFromGrams, parseShotLine, plainNumber, roundTo, type ShotLine } from '@olvet/core';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { BoardStationView } from '../app/api';
import { ChangedSince } from '../cards/ChangedSince';
import { useNavigate } from 'react-router';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ShotLineInput } from '../parts/ShotLineInput';
import { Stepper } from '../parts/Stepper';
import { ToggleChip } from '../parts/ToggleChip';
import { serviceAim, tappableSeconds, togetherSaid } from './service';
import styles from './ShotEntry.module.css';
import stripStyles from './StationStrip.module.css';
import { useServiceShot } from './useServiceShot';

/** Seconds off the wanted time that a shop tolerates. */
const TOLERANCE_SECONDS = 3;

/** A shot without a dial-in: one line, or a tap for its time, one for what was as planned, and one to save. */
export function ShotEntry({ standing, onDone }: { standing: BoardStationView; onDone: () => void }) {
  const { station, cards, check } = standing;
  const navigate = useNavigate();
  const isCheckDue = check?.isDue ?? false;
  const [cardId, chooseCard] = useState(cards[0]?.cardId);
  const card = cards.find((each) => each.cardId === cardId);
  const aim = serviceAim(station, card);
  const [timeSeconds, setTime] = useState<number | null>(null);
  const [yieldMl, setGlass] = useState<number | null>(null);
  const [asPlanned, setAsPlanned] = useState(false);
  const [text, setText] = useState('');
  const { shot: typed, problems } = parseShotLine(text);
  const { save, isSaving, error } = useServiceShot(standing);
  const byGlass = station.weighs === false;
  const planned = byGlass && yieldMl !== null ? (['doseGrams'] as const) : (['doseGrams', 'yieldGrams'] as const);
  const tapped: ShotLine = {
    ...(timeSeconds === null ? {} : { timeSeconds }),
    ...(yieldMl === null ? {} : { yieldMl }),
    ...(asPlanned ? { assumed: [...planned] } : {}),
  };
  const said = togetherSaid(tapped, typed);
  const isTold = Object.values(said).some((value) => value !== undefined);
  const ready = isTold && problems.length === 0 && !isSaving;
  const store = async (isCheck: boolean): Promise<void> => {
    if (ready && (await save(said, aim, { isCheck: isCheck || typed.isCheck === true, card }))) onDone();
  };
  const form = useRef<HTMLFormElement>(null);
  // Opened low on a phone, it comes up whole, Save included.
  useEffect(() => {
    form.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const { doseGrams, yieldGrams } = aim.settings;
  return (
    <form
      ref={form}
      className={stripStyles.panel}
      aria-label={`Shot at ${station.name}`}
      onSubmit={(event) => {
        event.preventDefault();
        void store(isCheckDue);
      }}
    >
      <div className={stripStyles.wrapped}>
        {cards.length === 0 && <span className="quiet">No card yet: against what the station aims at.</span>}
        {cards.map((each) => (
          <ToggleChip
            key={each.cardId}
            chosen={each.cardId === cardId}
            onToggle={(on) => chooseCard(on ? each.cardId : undefined)}
          >
            {each.name}, version {each.version}
          </ToggleChip>
        ))}
      </div>
      {card && <ChangedSince cardId={card.cardId} />}
      <div className={styles.seconds} role="group" aria-label="Time, seconds">
        {tappableSeconds(aim.wantedSeconds).map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={each === timeSeconds}
            className={`numeral ${each === timeSeconds ? styles.chosen : ''} ${
              Math.abs(each - aim.wantedSeconds) <= TOLERANCE_SECONDS ? styles.within : ''
            }`}
            onClick={() => setTime(each === timeSeconds ? null : each)}
          >
            {each}
          </button>
        ))}
        <span className="quiet">s</span>
      </div>
      <div className={`${stripStyles.wrapped} ${styles.rest}`}>
        {byGlass && (
          <Stepper
            id={`glass-${station.id}`}
            label="glass"
            unit="ml"
            value={yieldMl}
            step={5}
            {...LIMITS.yieldMl}
            from={roundTo(millilitresFromGrams(yieldGrams), 0)}
            hint={roundTo(millilitresFromGrams(yieldGrams), 0)}
            onChange={setGlass}
          />
        )}
        <ToggleChip chosen={asPlanned} onToggle={setAsPlanned}>
          {plainNumber(doseGrams)} → {plainNumber(yieldGrams)} g as planned
        </ToggleChip>
        <div className={styles.line}>
          <ShotLineInput
            id={`line-${station.id}`}
            label="or in one line"
            value={text}
            placeholder="18 > 17+17.5 in 28"
            said={said}
            onChange={setText}
          />
        </div>
        <Button type="primary" size="large" htmlType="submit" disabled={!ready} loading={isSaving}>
          {isCheckDue ? 'Save as check shot' : 'Save'}
        </Button>
        <Button size="large" disabled={!ready} onClick={() => void store(!isCheckDue)}>
          {isCheckDue ? 'Save, no check' : 'As check shot'}
        </Button>
        <Button size="large" onClick={() => void navigate(livePath(station.id, cardId, isCheckDue))}>
          Pull it live
        </Button>
        <Button size="large" type="text" onClick={onDone}>
          Cancel
        </Button>
      </div>
      <ProblemAlert error={error} />
    </form>
  );
}

/** Where this shot is lived through, by the card that was chosen. */
function livePath(stationId: string, cardId: string | undefined, isCheck: boolean): string {
  const search = new URLSearchParams({ ...(cardId ? { card: cardId } : {}), ...(isCheck ? { kind: 'check' } : {}) });
  return `/pull/${stationId}?${search.toString()}`;
}
