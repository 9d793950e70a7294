import { SIGN_LABELS, type Cause, type ShotReview } from '@olvet/core';
import type { SheetShotView } from '../app/api';
import { BasketClock } from '../parts/BasketClock';
import { CAUSE_WORDS } from './causes';
import styles from './SeenCell.module.css';
import { SurpriseMark } from './SurpriseMark';

export interface SeenCellProps {
  shot: SheetShotView;
  number: number;
  review: ShotReview | undefined;
  /** null where the run is closed to remarks. */
  onCause: ((cause: Cause | null) => void) | null;
}

/** What the eye caught, with the place in the basket where one was marked; and the shot that nobody foresaw. */
export function SeenCell({ shot, number, review, onCause }: SeenCellProps) {
  const { seen, purged, cause } = shot;
  const words = seen.map(({ sign, clock }) => (clock == null ? SIGN_LABELS[sign] : `${SIGN_LABELS[sign]} ${clock} h`));
  if (!purged && cause !== 'not-purged') words.push('not purged');
  if (cause) words.push(CAUSE_WORDS[cause]);
  const marked = review !== undefined && (review.surprising || cause != null);
  if (words.length === 0 && !marked) return <td className="quiet">–</td>;
  return (
    <td>
      <span className={styles.seen}>
        {seen.some(({ clock }) => clock != null) && <BasketClock seen={seen} size={34} />}
        <span>
          {words.join(', ')}
          {marked && onCause && (
            <SurpriseMark number={number} cause={cause ?? null} review={review} onCause={onCause} />
          )}
        </span>
      </span>
    </td>
  );
}
