import { SIGN_LABELS, SIGNS, type Sign } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { ToggleChip } from '../parts/ToggleChip';
import styles from './PullPanel.module.css';

/** The signs that a glance catches; the others open with one tap. */
const FIRST_SIGNS = SIGNS.slice(0, 4);

/** What the eye caught. */
export function SeenPicker({ seen, onSeen }: { seen: Sign[]; onSeen: (seen: Sign[]) => void; isAfter: boolean }) {
  const [allSigns, showAllSigns] = useState(false);
  return (
    <fieldset className={styles.seen}>
      <legend className="visually-hidden">Seen</legend>
      {(allSigns ? SIGNS : FIRST_SIGNS).map((sign) => (
        <ToggleChip
          key={sign}
          chosen={seen.includes(sign)}
          onToggle={(on) => onSeen(on ? [...seen, sign] : seen.filter((other) => other !== sign))}
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
  );
}
