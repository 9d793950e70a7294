import {
  LIMITS,
  millilitresFromGrams,
  plainNumber,
  roundTo,
  SIGN_LABELS,
  SIGNS,
  type Settings,
  type ShotLine,
  type Sign,
} from '@olvet/core';
import { Button, Checkbox, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { SheetView } from '../app/api';
import { temperatureNumber, TIMER_WORDS } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import { Stepper } from '../parts/Stepper';
import { useShortcuts } from '../parts/useShortcuts';
import styles from './PullPanel.module.css';
import { ToggleChip } from '../parts/ToggleChip';
import { lineOf, NOTHING_SAID, plannedFigures, type Figure, type PulledFigures } from './pulledFigures';
import { timedSeconds } from './timedSeconds';
import { useTimer } from './useTimer';

export interface PullPanelProps {
  sheet: SheetView;
  aim: Settings;
  grindChanged: boolean;
  saving: boolean;
  onShot: (line: ShotLine) => Promise<boolean>;
  onBack: () => void;
}

/** Where + begins on a timed grinder that was never weighed. */
const USUAL_GROUND_SECONDS = 4;

/** The signs that a glance catches; the others open with one tap. */
const FIRST_SIGNS = SIGNS.slice(0, 4);

/**
 * While pulling: what to set, the timer, and the numbers with large steps. Nothing counts as measured that nobody entered: the plan
 * is a hint, and one tap takes a figure as planned.
 */
export function PullPanel({ sheet, aim, grindChanged, saving, onShot, onBack }: PullPanelProps) {
  const { target } = sheet.run;
  const unit = useTemperatureUnit();
  const [figures, setFigures] = useState<PulledFigures>(NOTHING_SAID);
  const [seen, setSeen] = useState<Sign[]>([]);
  const [allSigns, showAllSigns] = useState(false);
  const [purged, setPurged] = useState(true);
  const [hour, setHour] = useState<string | null>(null);
  const say = (figure: Figure) => (value: number | null) =>
    setFigures(({ assumed, ...rest }) => ({
      ...rest,
      [figure]: value,
      assumed: assumed.filter((other) => other !== figure),
    }));
  const timer = useTimer(say('timeSeconds'));
  const byGlass = !sheet.hasScale;
  /** The aim alone is no shot: something must have been said of this one. */
  const isTold = figures !== NOTHING_SAID || seen.length > 0 || !purged;
  const ready = !timer.running && isTold;
  const save = (): void => {
    if (!ready) return;
    const said = lineOf(figures, byGlass);
    void onShot({ ...said, ...(hour ? { hour } : {}), seen: seen.map((sign) => ({ sign })), purged });
  };
  useShortcuts({ ' ': timer.toggle, Enter: save, Escape: onBack });
  const panel = useRef<HTMLDivElement>(null);
  // On a phone the shot may be taken while the sheet is read, with this panel still below it.
  useEffect(() => {
    panel.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const heat = aim.temperatureC === null ? '' : ` · ${temperatureNumber(aim.temperatureC, unit)} °${unit}`;
  const groundPlanned = timedSeconds(sheet, aim);
  const planned = plannedFigures(figures);
  const assume = (figure: 'doseGrams' | 'yieldGrams', on: boolean): void =>
    setFigures((now) => ({
      ...now,
      [figure]: null,
      assumed: on ? [...now.assumed, figure] : now.assumed.filter((other) => other !== figure),
    }));
  const canAssume = planned.length > 0 || (groundPlanned !== null && figures.grindSeconds === null);
  const restAsPlanned = (): void => {
    planned.forEach((figure) => assume(figure, true));
    // The grinder's own clock was set to it.
    if (groundPlanned !== null && figures.grindSeconds === null) say('grindSeconds')(groundPlanned);
  };
  const asPlanned = (figure: 'doseGrams' | 'yieldGrams', name: string) => (
    <ToggleChip
      chosen={figures.assumed.includes(figure)}
      disabled={figures[figure] !== null}
      onToggle={(on) => assume(figure, on)}
    >
      <span className="visually-hidden">{name} </span>as planned
    </ToggleChip>
  );
  return (
    <div ref={panel} className={styles.panel}>
      <div className={styles.clock}>
        <p className="quiet">seconds {TIMER_WORDS[target.timer]}</p>
        <p className={`numeral ${styles.seconds}`} role="timer" aria-live="off">
          {timer.seconds.toFixed(1)}
        </p>
        <Button type="primary" size="large" block onClick={timer.toggle}>
          {timer.running ? 'Stop' : 'Start'} <kbd>Space</kbd>
        </Button>
        <Stepper
          id="pull-time"
          label="time"
          unit="s"
          value={figures.timeSeconds}
          step={0.5}
          {...LIMITS.timeSeconds}
          from={Math.round((target.timeSeconds.min + target.timeSeconds.max) / 2)}
          onChange={say('timeSeconds')}
        />
        <p className={styles.caution}>Cup and hands clear of the spout. Never unlock under pressure.</p>
      </div>
      <div className={styles.entry}>
        <p className={styles.aim}>
          Grind <strong className="numeral">{plainNumber(aim.grind)}</strong> · {plainNumber(aim.doseGrams)} →{' '}
          {plainNumber(aim.yieldGrams)} g{heat}
          {sheet.hasScale ? '' : ' · struck level'} · {target.timeSeconds.min}–{target.timeSeconds.max}&nbsp;s
        </p>
        {grindChanged && (
          <Checkbox checked={purged} onChange={(event) => setPurged(event.target.checked)}>
            Purged ({plainNumber(sheet.grinder.purgeGrams)} g)
          </Checkbox>
        )}
        <div className={styles.steppers}>
          <div className={styles.figure}>
            <Stepper
              id="pull-dose"
              label="dose"
              unit="g"
              value={figures.doseGrams}
              step={0.1}
              {...LIMITS.doseGrams}
              from={aim.doseGrams}
              hint={aim.doseGrams}
              onChange={say('doseGrams')}
            />
            {asPlanned('doseGrams', 'dose')}
          </div>
          <div className={styles.figure}>
            <Stepper
              id="pull-yield"
              label="yield"
              unit={byGlass ? 'ml' : 'g'}
              value={figures.yieldGrams}
              step={byGlass ? 5 : 0.5}
              {...(byGlass ? LIMITS.yieldMl : LIMITS.yieldGrams)}
              from={byGlass ? roundTo(millilitresFromGrams(aim.yieldGrams), 0) : aim.yieldGrams}
              hint={byGlass ? roundTo(millilitresFromGrams(aim.yieldGrams), 0) : aim.yieldGrams}
              onChange={say('yieldGrams')}
            />
            {asPlanned('yieldGrams', 'yield')}
          </div>
          {sheet.grinder.dosing === 'timed' && (
            <div className={styles.figure}>
              <Stepper
                id="pull-ground"
                label="ground"
                unit="s"
                value={figures.grindSeconds}
                step={0.1}
                {...LIMITS.grindSeconds}
                from={groundPlanned ?? USUAL_GROUND_SECONDS}
                hint={groundPlanned}
                onChange={say('grindSeconds')}
              />
              {groundPlanned !== null && (
                <ToggleChip
                  chosen={figures.grindSeconds === groundPlanned}
                  onToggle={(on) => say('grindSeconds')(on ? groundPlanned : null)}
                >
                  <span className="visually-hidden">ground </span>as planned
                </ToggleChip>
              )}
            </div>
          )}
        </div>
        <fieldset className={styles.seen}>
          <legend className="visually-hidden">Seen</legend>
          {(allSigns ? SIGNS : FIRST_SIGNS).map((sign) => (
            <ToggleChip
              key={sign}
              chosen={seen.includes(sign)}
              onToggle={(on) => setSeen(on ? [...seen, sign] : seen.filter((other) => other !== sign))}
            >
              {SIGN_LABELS[sign]}
            </ToggleChip>
          ))}
          {!allSigns && (
            <Button type="text" onClick={() => showAllSigns(true)}>
              More seen
            </Button>
          )}
        </fieldset>
        <div className={styles.actions}>
          <Button type="primary" size="large" disabled={!ready} loading={saving} onClick={save}>
            Save shot <kbd>Enter</kbd>
          </Button>
          <Button size="large" disabled={!canAssume} onClick={restAsPlanned}>
            The rest as planned
          </Button>
          <Button size="large" onClick={onBack}>
            Back
          </Button>
          {hour === null ? (
            <Button type="text" aria-label="Poured earlier" onClick={() => setHour('')}>
              Earlier
            </Button>
          ) : (
            <label className={styles.hour}>
              poured at
              <Input type="time" value={hour} onChange={(event) => setHour(event.target.value)} />
            </label>
          )}
        </div>
      </div>
    </div>
  );
}
