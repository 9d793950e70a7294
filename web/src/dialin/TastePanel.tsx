import { combineTastings, TASTE_WORDS, VERDICTS, type Expectation, type Serving } from '@olvet/core';
import { AutoComplete, Button, Modal } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import {
  usePutShotMutation,
  usePutTastingMutation,
  type SheetShotView,
  type SheetView,
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
import { noteOf, type Note } from './note';
import questionStyles from './Question.module.css';
import { Swallowed } from './Swallowed';
import { TastePad, type Cup } from './TastePad';
import styles from './TastePanel.module.css';
import { useWhoseNote } from './useWhoseNote';

interface Chip {
  word: string;
  axis: 'dryness' | 'sweetness';
  value: number;
  /** Marks that say as much. */
  says: (mark: number) => boolean;
}

const SWEET: Chip = { word: 'sweet', axis: 'sweetness', value: TASTE_WORDS.sweet!.value, says: (mark) => mark >= 7 };
/** Words for what the pad does not hold; two of one axis exclude each other. */
const MORE_CHIPS: Chip[] = [
  { word: 'not sweet', axis: 'sweetness', value: 3, says: (mark) => mark <= 4 },
  { word: 'dry', axis: 'dryness', value: TASTE_WORDS.dry!.value, says: (mark) => mark >= 1 && mark < 2 },
  { word: 'harsh', axis: 'dryness', value: TASTE_WORDS.harsh!.value, says: (mark) => mark >= 2 },
];

const SERVING_WORDS: [Serving, string][] = [
  ['serve', 'serve'],
  ['discard', 'would not'],
];

export interface TastePanelProps {
  sheet: SheetView;
  /** Of the shot on its sheet, from 1. */
  number?: number;
  expect: Expectation | null;
  closed: boolean;
  /** The shot after it pours: a note made now is asked after once that one is saved. */
  isPulling?: boolean;
}

/** The taste of a shot, the newest if none is named: pad, serve or not, and sweet at hand; the rest opens with one tap. */
export function TastePanel({ sheet, number: named, expect, closed, isPulling = false }: TastePanelProps) {
  const number = named ?? sheet.shots.length;
  const { person, taster: other } = useAppSelector((state) => state.settings);
  const taster = other || person;
  const [putTasting, { error }] = usePutTastingMutation();
  const [putShot, { error: shotError }] = usePutShotMutation();
  const [newIds] = useState(() => new Map<string, string>());
  const [isOpen, setOpen] = useState(named !== undefined);
  const whose = useWhoseNote(sheet, isPulling);
  const shot = sheet.shots[number - 1];
  const own = shot && noteBy(shot, taster);
  const disabled = closed || shot === undefined;

  const write = async (of: SheetShotView, note: Note): Promise<boolean> => {
    // One id for one person's note on one shot, however often it is sent.
    const key = `${of.id}/${taster}`;
    const stands = noteBy(of, taster);
    const id = stands?.id ?? newIds.get(key) ?? v7();
    newIds.set(key, id);
    const tastingDto = { ...note, shotId: of.id, person: taster, revision: stands?.revision };
    return !('error' in (await putTasting({ id, tastingDto })));
  };
  const save = (change: Note): void => {
    if (!shot) return;
    whose.noting(shot.id, noteOf(own));
    void write(shot, { ...noteOf(own), ...change });
  };
  /** What was noted while it poured is of the later shot after all. */
  const moveToLater = async (earlier: SheetShotView, later: SheetShotView): Promise<void> => {
    const note = noteOf(noteBy(earlier, taster));
    if (!(await write(later, note))) return;
    const open = whose.take();
    if (open) await write(earlier, { ...BLANK, ...open.before });
  };
  const change = (part: Parameters<typeof storedShotDto>[1]): void => {
    if (shot) void putShot({ id: shot.id, shotDto: storedShotDto(shot, part) });
  };

  const earlier = sheet.shots.slice(0, Math.max(0, number - 1)).flatMap((before, i) => {
    const cup = cupOf(before.tastings);
    return cup ? [{ number: i + 1, cup }] : [];
  });
  const { target } = sheet.run;
  const palate = sheet.palates.find((known) => known.person === taster);
  const chip = ({ word, axis, value, says }: Chip) => {
    const mark = own?.[axis];
    return (
      <ToggleChip
        key={word}
        chosen={mark != null && says(mark)}
        disabled={disabled}
        onToggle={(on) => save({ [axis]: on ? value : null })}
      >
        {word}
      </ToggleChip>
    );
  };
  return (
    <section className={styles.panel} aria-label={named ? `Taste of shot ${number} again` : 'Taste'}>
      {!named && whose.ask && (
        <WhoseNote
          earlier={whose.ask.earlier}
          onEarlier={whose.isEarlier}
          onLater={() => void moveToLater(sheet.shots[whose.ask!.earlier - 1]!, whose.ask!.later)}
        />
      )}
      <h2>{shot ? `Taste of shot ${number}` : 'Taste'}</h2>
      <p className="quiet small">{hintFor(shot !== undefined, isPulling, number)}</p>
      <TastePad
        label={shot ? `shot ${number}` : 'the next shot'}
        number={shot && number}
        value={own ? cupOf([own]) : shot ? cupOf(shot.tastings) : null}
        earlier={earlier}
        wanted={{ balance: target.balance, body: target.body }}
        tolerance={toleranceOf(sheet)}
        expect={expect}
        disabled={disabled}
        onTaste={(cup) => save(cup)}
      />
      <div className={styles.chips}>
        {SERVING_WORDS.map(([verdict, word]) => (
          <ToggleChip
            key={verdict}
            chosen={shot?.verdict === verdict}
            disabled={disabled}
            onToggle={(on) => change({ verdict: on ? verdict : null })}
          >
            {word}
          </ToggleChip>
        ))}
        {chip(SWEET)}
        {!isOpen && (
          <Button type="text" disabled={disabled} aria-expanded={false} onClick={() => setOpen(true)}>
            More words
          </Button>
        )}
      </div>
      {isOpen && (
        <>
          <div className={styles.chips}>{MORE_CHIPS.map(chip)}</div>
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
              {VERDICTS.map((versus) => (
                <ToggleChip
                  key={versus}
                  chosen={shot.versusLast === versus}
                  disabled={disabled}
                  onToggle={(on) => change({ versusLast: on ? versus : null })}
                >
                  {versus}
                </ToggleChip>
              ))}
            </div>
          )}
          {shot && <Swallowed share={own?.share ?? null} disabled={disabled} onShare={(share) => save({ share })} />}
        </>
      )}
      <Tasters sheet={sheet} shot={shot} taster={taster} closed={closed} />
      {palate && <p className="quiet small">{palateInWords(palate)} Notes are counted from there.</p>}
      <ProblemAlert error={error ?? shotError} />
    </section>
  );
}

/** Two large buttons, above everything: on a phone the pad lies below the sheet. */
function WhoseNote({ earlier, onEarlier, onLater }: { earlier: number; onEarlier: () => void; onLater: () => void }) {
  return (
    <Modal
      open
      footer={null}
      title={`What you noted while shot ${earlier + 1} poured is the taste of`}
      onCancel={onEarlier}
    >
      <div className={questionStyles.answers}>
        <Button size="large" onClick={onEarlier}>
          Shot {earlier}
        </Button>
        <Button size="large" onClick={onLater}>
          Shot {earlier + 1}
        </Button>
      </div>
    </Modal>
  );
}

const BLANK: Note = { balance: null, body: null, dryness: null, sweetness: null, overall: null, share: null };

function hintFor(hasShot: boolean, isPulling: boolean, number: number): string {
  if (!hasShot) return 'Pull the first shot, then tap where it sits.';
  if (isPulling) return `The next shot pours: what you tap here is of shot ${number}, the one before.`;
  return 'Tap where it sits: sip and spit, caffeine adds up.';
}

/** Who tastes, where that is not whoever stands at the tablet, and who else has tasted this shot. */
function Tasters({
  sheet,
  shot,
  taster,
  closed,
}: {
  sheet: SheetView;
  shot: SheetShotView | undefined;
  taster: string;
  closed: boolean;
}) {
  const dispatch = useAppDispatch();
  const people = [...new Set(sheet.shots.flatMap(({ tastings }) => tastings.map(({ person }) => person ?? '')))].filter(
    Boolean,
  );
  const others = shot?.tastings.filter((tasting) => tasting.person !== taster) ?? [];
  return (
    <>
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
    </>
  );
}

function noteBy(shot: SheetShotView, taster: string): TastingView | undefined {
  return shot.tastings.find(({ person }) => person === taster);
}

function cupOf(tastings: TastingView[]): Cup | null {
  const taste = combineTastings(tastings);
  return taste?.balance == null && taste?.body == null ? null : { balance: taste.balance ?? 0, body: taste.body ?? 0 };
}
