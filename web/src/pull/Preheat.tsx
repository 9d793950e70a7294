import { chamberLoss, plainNumber } from '@olvet/core';
import { useState } from 'react';
import { ToggleChip } from '../parts/ToggleChip';
import { useNow } from '../parts/useNow';
import styles from './PullPanel.module.css';

const STEPS = ['Kettle at the boil', 'Chamber hot, off the heat', 'Filled to the brim'] as const;
/** From this step on it cools. */
const OFF_THE_HEAT = 1;

/** What comes before a lever is pulled; each second off the heat costs warmth, most with light roasts. */
export function Preheat() {
  const [doneAt, setDone] = useState<(number | null)[]>(STEPS.map(() => null));
  const now = useNow(1000);
  const off = doneAt[OFF_THE_HEAT];
  const gone = off == null ? null : Math.max(0, (now - off) / 1000);
  return (
    <div className={styles.preheat} role="group" aria-label="Preheat">
      {STEPS.map((step, i) => (
        <ToggleChip
          key={step}
          chosen={doneAt[i] !== null}
          onToggle={(on) => setDone(doneAt.map((at, j) => (j === i ? (on ? Date.now() : null) : at)))}
        >
          {step}
        </ToggleChip>
      ))}
      <span className="quiet small">
        {gone === null
          ? 'Steam and the chamber burn: hold it by its handle.'
          : `${plainNumber(gone, 0)} s off the heat: about ${plainNumber(chamberLoss(gone), 0)} °C lost. Pull soon.`}
      </span>
    </div>
  );
}
