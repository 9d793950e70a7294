import { plainNumber, type PullMarkKind } from '@olvet/core';
import { useState } from 'react';
import { ClockTap } from './ClockTap';
import styles from './MarkRow.module.css';
import type { PullHandle } from './usePull';

/** In the order in which a shot shows them; `clock` asks for the hour in the basket. */
const TAPS: { kind: PullMarkKind; word: string; clock?: boolean }[] = [
  { kind: 'covered', word: 'Covered' },
  { kind: 'first-drip', word: 'First drip' },
  { kind: 'paling', word: 'Paling' },
  { kind: 'spurt', word: 'Spurt …', clock: true },
  { kind: 'dead-spot', word: 'Dead spot …', clock: true },
  { kind: 'spoilt', word: 'Spoilt' },
];

/** One tap each, with wet fingers; a second tap on what happens once takes it back. */
export function MarkRow({ handle }: { handle: PullHandle }) {
  const { pull, trace, mark, unmark } = handle;
  const [asking, ask] = useState<(typeof TAPS)[number] | null>(null);
  if (asking) {
    const at = (hour: number): void => {
      mark(asking.kind, hour);
      ask(null);
    };
    return <ClockTap label={asking.word.replace(' …', '')} onHour={at} onCancel={() => ask(null)} />;
  }
  return (
    <div className={styles.row} role="group" aria-label="What happens">
      {TAPS.map((tap) => {
        const made = pull.marks.filter(({ kind }) => kind === tap.kind);
        const own = made[0]?.seconds ?? (tap.kind === 'first-drip' ? trace?.firstDripSeconds : null);
        const said = tap.clock ? made.map(({ clock }) => clock).join(', ') : own == null ? '' : plainNumber(own, 1);
        const press = (): void => {
          if (tap.clock) ask(tap);
          else if (made[0]) unmark(made[0]);
          else mark(tap.kind);
        };
        return (
          <button
            key={tap.kind}
            type="button"
            className={said ? styles.made : styles.tap}
            aria-pressed={tap.clock ? undefined : made.length > 0}
            onClick={(event) => {
              // A tap leaves Space to the stop; who came by keyboard stays where they are.
              if (event.detail > 0) event.currentTarget.blur();
              press();
            }}
          >
            {tap.word}
            {said && <span className="numeral"> {said}</span>}
          </button>
        );
      })}
    </div>
  );
}
