import { plainNumber } from '@olvet/core';
import styles from './Phases.module.css';
import { markAt } from './livePull';
import type { PullHandle } from './usePull';

/** The parts of a shot in their order, as far as they are known: seconds from the start, then what flowed. */
export function Phases({ handle }: { handle: Pick<PullHandle, 'pull' | 'trace' | 'isOver'> }) {
  const { pull, trace, isOver } = handle;
  const soak = markAt(pull, 'soak-ended');
  const contact = pull.stoppedSeconds;
  const summary = isOver ? (trace?.summary ?? null) : null;
  const rows: [word: string, value: number | null | undefined, unit: string][] = [
    ['covered', markAt(pull, 'covered'), 's'],
    ['soak', soak, 's'],
    ['first drip', markAt(pull, 'first-drip') ?? trace?.firstDripSeconds, 's'],
    ['ten grams', markAt(pull, 'ten-grams') ?? trace?.tenGramsSeconds, 's'],
    ['full brew', contact !== null && soak !== null ? contact - soak : null, 's'],
    ['total contact', contact, 's'],
    ['machine’s timer', isOver ? pull.machineSeconds : null, 's'],
    ['mean flow', summary?.meanFlow, 'g/s'],
    ['peak flow', summary?.peakFlow, 'g/s'],
    ['late over middle flow', summary?.flowLateOverMid, ''],
    ['fell after the stop', summary?.dripGrams, 'g'],
  ];
  const known = rows.filter(([, value]) => value != null);
  if (known.length === 0) return null;
  return (
    <dl className={styles.phases} aria-label="Phases">
      {known.map(([word, value, unit]) => (
        <div key={word}>
          <dt>{word}</dt>
          <dd className="numeral">
            {plainNumber(value!, 1)} <span className="quiet">{unit}</span>
          </dd>
        </div>
      ))}
      {summary?.isLateRush && (
        <p>It ran much faster at the end: the puck gave way. Counted as seen, so the grind is not blamed for it.</p>
      )}
    </dl>
  );
}
