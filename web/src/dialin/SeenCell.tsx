import { SIGN_LABELS } from '@olvet/core';
import type { SeenDto } from '../app/api';
import { BasketClock } from '../parts/BasketClock';
import styles from './SeenCell.module.css';

/** What the eye caught, with the place in the basket where one was marked. */
export function SeenCell({ seen, purged }: { seen: SeenDto[]; purged: boolean }) {
  const words = seen.map(({ sign, clock }) => (clock == null ? SIGN_LABELS[sign] : `${SIGN_LABELS[sign]} ${clock} h`));
  if (!purged) words.push('not purged');
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
