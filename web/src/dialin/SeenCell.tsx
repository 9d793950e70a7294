import { CAUSE_WORDS, SIGN_LABELS } from '@olvet/core';
import type { SheetShotView } from '../app/api';
import { BasketClock } from '../parts/BasketClock';
import styles from './SeenCell.module.css';

/** What the eye caught, with the place in the basket where one was marked, and what went wrong. */
export function SeenCell({ shot }: { shot: SheetShotView }) {
  const { seen, purged, cause } = shot;
  const words = seen.map(({ sign, clock }) =>
    clock == null ? SIGN_LABELS[sign] : `${SIGN_LABELS[sign]} at\u00a0${clock}`,
  );
  if (!purged && cause !== 'not-purged') words.push('not purged');
  if (cause) words.push(CAUSE_WORDS[cause]);
  if (words.length === 0) return <td className="quiet">–</td>;
  return (
    <td>
      <span className={styles.seen}>
        {seen.some(({ clock }) => clock != null) && <BasketClock seen={seen} size={34} />}
        <span>{words.join(', ')}</span>
      </span>
    </td>
  );
}
