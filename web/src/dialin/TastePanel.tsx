import { combineTastings, ownMark, SERVED_MARK, TASTE_WORDS, VERDICTS, type Expectation } from '@olvet/core';
import { AutoComplete, Button } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import {
  usePutShotMutation,
  usePutTastingMutation,
  type PalateView,
  type SheetView,
  type TastingDto,
  type TastingView,
} from '../app/api';
import { tasterChosen } from '../app/settingsSlice';
import { useAppDispatch, useAppSelector } from '../app/store';
import { ProblemAlert } from '../parts/ProblemAlert';
import { palateInWords } from '../parts/learned';
import { ToggleChip } from '../parts/ToggleChip';
import { toleranceOf } from './settings';
import { storedShotDto } from './shotDto';
import { Mark } from './Mark';
import { Swallowed } from './Swallowed';
import { TastePad, type Cup } from './TastePad';
import styles from './TastePanel.module.css';

type Note = Pick<TastingDto, 'balance' | 'body' | 'dryness' | 'sweetness' | 'overall' | 'share'>;

interface Chip {
  word: string;
  axis: 'dryness' | 'sweetness' | 'overall';
  value: number;
  /** Marks that say as much. */
  says: (mark: number) => boolean;
}

/** Words for what the pad does not hold; two of one axis exclude each other. A mark is put down and read as this person marks. */
const chipsFor = (marks?: PalateView['marks']): Chip[] => [
  { word: 'sweet', axis: 'sweetness', value: TASTE_WORDS.sweet!.value, says: (mark) => mark >= 7 },
  { word: 'not sweet', axis: 'sweetness', value: 3, says: (mark) => mark <= 4 },
  { word: 'dry', axis: 'dryness', value: TASTE_WORDS.dry!.value, says: (mark) => mark >= 1 && mark < 2 },
  { word: 'harsh', axis: 'dryness', value: TASTE_WORDS.harsh!.value, says: (mark) => mark >= 2 },
  {
    word: 'would serve it',
    axis: 'overall',
    value: ownMark('overall', marks?.overall, SERVED_MARK.serve),
    says: (mark) => mark >= ownMark('overall', marks?.overall, 7),
  },
  {
    word: 'would not',
    axis: 'overall',
    value: ownMark('overall', marks?.overall, SERVED_MARK.discard),
    says: (mark) => mark <= ownMark('overall', marks?.overall, 5),
  },
];

/** The taste of a shot, the newest if none is named: one tap on the pad, chips and marks for the rest, a name where several taste. */
export function TastePanel({
  sheet,
  number: named,
  expect,
  closed,
}: {
  sheet: SheetView;
  /** Of the shot on its sheet, from 1. */
  number?: number;
  expect: Expectation | null;
  closed: boolean;
}) {
  const number = named ?? sheet.shots.length;
  const dispatch = useAppDispatch();
  const taster = useAppSelector((state) => state.settings.taster);
  const [putTasting, { error }] = usePutTastingMutation();
  const [putShot, { error: shotError }] = usePutShotMutation();
  const [newIds] = useState(() => new Map<string, string>());
  const shot = sheet.shots[number - 1];
  const own = shot?.tastings.find((tasting) => tasting.person === taster);
  const disabled = closed || shot === undefined;

  const save = (change: Note): void => {
    if (!shot) return;
    // One id for one person's note on one shot, however often it is sent.
    const key = `${shot.id}/${taster}`;
    const id = own?.id ?? newIds.get(key) ?? v7();
    newIds.set(key, id);
    const tastingDto: TastingDto = {
      ...noteOf(own),
      ...change,
      shotId: shot.id,
      person: taster,
      revision: own?.revision,
    };
    void putTasting({ id, tastingDto });
  };

  const cupOf = (tastings: TastingView[]): Cup | null => {
    const taste = combineTastings(tastings);
    return taste?.balance == null && taste?.body == null
      ? null
      : { balance: taste.balance ?? 0, body: taste.body ?? 0 };
  };
  const earlier = sheet.shots.slice(0, Math.max(0, number - 1)).flatMap((other, i) => {
    const cup = cupOf(other.tastings);
    return cup ? [{ number: i + 1, cup }] : [];
  });
  const people = [...new Set(sheet.shots.flatMap(({ tastings }) => tastings.map(({ person }) => person ?? '')))].filter(
    Boolean,
  );
  const others = shot?.tastings.filter((tasting) => tasting.person !== taster) ?? [];
  const { target } = sheet.run;
  const tolerance = toleranceOf(sheet);
  const palate = sheet.palates.find(({ person }) => person === taster);
  return (
    <section className={styles.panel} aria-label={named ? `Taste of shot ${number} again` : 'Taste'}>
      <h2>{shot ? `Taste of shot ${number}` : 'Taste'}</h2>
      <p className="quiet small">
        {shot ? 'Tap where it sits: sip and spit, caffeine adds up.' : 'Pull the first shot, then tap where it sits.'}
      </p>
      <TastePad
        label={shot ? `shot ${number}` : 'the next shot'}
        number={shot && number}
        value={own ? cupOf([own]) : shot ? cupOf(shot.tastings) : null}
        earlier={earlier}
        wanted={{ balance: target.balance, body: target.body }}
        tolerance={tolerance}
        expect={expect}
        disabled={disabled}
        onTaste={(cup) => save(cup)}
      />
      <div className={styles.chips}>
        {chipsFor(palate?.marks).map(({ word, axis, value, says }) => {
          const mark = own?.[axis];
          const chosen = mark != null && says(mark);
          return (
            <ToggleChip
              key={word}
              chosen={chosen}
              disabled={disabled}
              onToggle={(on) => save({ [axis]: on ? value : null })}
            >
              {word}
            </ToggleChip>
          );
        })}
      </div>
      <div className={styles.marks} role="group" aria-label="Marks of ten">
        <Mark
          label="Sweetness"
          value={own?.sweetness ?? null}
          disabled={disabled}
          onMark={(sweetness) => save({ sweetness })}
        />
        <Mark
          label="The whole cup"
          value={own?.overall ?? null}
          disabled={disabled}
          onMark={(overall) => save({ overall })}
        />
      </div>
      {shot && number > 1 && (
        <div className={styles.titled} role="group" aria-label={`Against shot ${number - 1}`}>
          <span className="quiet small">Against shot {number - 1}</span>
          {VERDICTS.map((verdict) => (
            <ToggleChip
              key={verdict}
              chosen={shot.versusLast === verdict}
              disabled={disabled}
              onToggle={(on) =>
                void putShot({ id: shot.id, shotDto: storedShotDto(shot, { versusLast: on ? verdict : null }) })
              }
            >
              {verdict}
            </ToggleChip>
          ))}
        </div>
      )}
      <label className={styles.taster}>
        <span className="quiet small">Who tastes (optional)</span>
        <AutoComplete
          value={taster}
          maxLength={80}
          options={people.map((value) => ({ value }))}
          onChange={(name: string) => dispatch(tasterChosen(name ?? ''))}
          disabled={closed}
        />
      </label>
      {shot && <Swallowed share={own?.share ?? null} disabled={disabled} onShare={(share) => save({ share })} />}
      {others.length > 0 && (
        <div className={styles.titled} role="group" aria-label="Also tasted by">
          <span className="quiet small">Also tasted by; all count</span>
          {others.map(({ id, person }) => (
            <Button key={id} onClick={() => dispatch(tasterChosen(person ?? ''))}>
              {person || 'without a name'}
            </Button>
          ))}
        </div>
      )}
      {palate && <p className="quiet small">{palateInWords(palate)} Notes are counted from there.</p>}
      <ProblemAlert error={error ?? shotError} />
    </section>
  );
}

function noteOf(tasting: TastingView | undefined): Note {
  if (!tasting) return {};
  const { balance, body, dryness, sweetness, overall, share } = tasting;
  return { balance, body, dryness, sweetness, overall, share };
}
