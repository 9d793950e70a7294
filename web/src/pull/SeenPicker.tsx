import { SIGN_LABELS, SIGNS, type Look, type Sign } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { ToggleChip } from '../parts/ToggleChip';
import { SIGHTS, type Sight } from './looks';
import styles from './SeenPicker.module.css';

/** What the eye caught of one shot. */
export interface Seeing {
  signs: Sign[];
  looks: Look[];
}

export const NOTHING_SEEN: Seeing = { signs: [], looks: [] };

/** The signs that a glance catches; the others open with one tap. */
const FIRST_SIGNS = SIGNS.slice(0, 5);

export interface SeenPickerProps {
  seen: Seeing;
  onSeen: (seen: Seeing) => void;
}

/** A few words at hand, and pictures of everything else behind one tap. */
export function SeenPicker(props: SeenPickerProps) {
  const [isOpen, open] = useState(false);
  if (isOpen) return <SeenPictures {...props} />;
  const { seen, onSeen } = props;
  return (
    <fieldset className={styles.seen}>
      <legend className="visually-hidden">Seen</legend>
      {FIRST_SIGNS.map((sign) => (
        <ToggleChip
          key={sign}
          chosen={seen.signs.includes(sign)}
          onToggle={(on) => onSeen(withSight(seen, { sign }, on))}
        >
          {SIGN_LABELS[sign]}
        </ToggleChip>
      ))}
      <Button type="text" onClick={() => open(true)}>
        More seen
      </Button>
    </fieldset>
  );
}

/** Everything there is to see, in small drawings: tap what was there. A clean puck and stream say something, too. */
export function SeenPictures({ seen, onSeen }: SeenPickerProps) {
  return (
    <fieldset className={styles.pictures}>
      <legend>Seen</legend>
      <ToggleChip
        chosen={seen.signs.includes('clean')}
        onToggle={(on) => onSeen(withSight(seen, { sign: 'clean' }, on))}
      >
        Looked: stream and puck clean
      </ToggleChip>
      {SIGHTS.map(({ name, note, drawn }) => (
        <div key={name} className={styles.row} role="group" aria-label={name}>
          <span className="quiet small">{name}</span>
          <div className={styles.drawn}>
            {drawn.map(({ word, sight, drawing }) => {
              const chosen = isSeen(seen, sight);
              return (
                <button
                  key={word}
                  type="button"
                  aria-pressed={chosen}
                  className={chosen ? styles.on : styles.off}
                  onClick={() => onSeen(withSight(seen, sight, !chosen))}
                >
                  <svg viewBox="0 0 44 44" width="34" height="34" aria-hidden>
                    {drawing}
                  </svg>
                  <span>{word}</span>
                </button>
              );
            })}
          </div>
          {note && <span className={`quiet small ${styles.note}`}>{note}</span>}
        </div>
      ))}
    </fieldset>
  );
}

function isSeen({ signs, looks }: Seeing, sight: Sight): boolean {
  return 'sign' in sight ? signs.includes(sight.sign) : looks.includes(sight.look);
}

/** Clean and any fault exclude each other; so do two looks of one thing. */
export function withSight({ signs, looks }: Seeing, sight: Sight, on: boolean): Seeing {
  if ('look' in sight) {
    const [thing] = sight.look.split('-');
    const others = looks.filter((look) => !look.startsWith(`${thing}-`));
    return { signs, looks: on ? [...others, sight.look] : looks.filter((look) => look !== sight.look) };
  }
  const { sign } = sight;
  const others = signs.filter((other) => other !== sign && (other === 'clean') === (sign === 'clean'));
  return { signs: on ? [...others, sign] : signs.filter((other) => other !== sign), looks };
}
