import { useGetBoardQuery } from './api';
import { standingOf } from '../bar/standing';
import styles from './Layout.module.css';

/** How many stations wait for a hand or a check shot: a quiet number on the rail, nothing where none does. */
export function DueBadge() {
  const { due } = useGetBoardQuery(undefined, {
    selectFromResult: ({ data }) => ({
      due: (data?.stations ?? []).filter((standing) => standing.check?.isDue || standingOf(standing).urgent).length,
    }),
  });
  if (due === 0) return null;
  return (
    <span className={styles.due}>
      {due}
      <span className="visually-hidden">{due === 1 ? ' station waits' : ' stations wait'}</span>
    </span>
  );
}
