import { careTask } from '@olvet/core';
import { Button } from 'antd';
import { useListCareDoneQuery, usePutCareDoneMutation, type CareDoneView, type CareItemView } from '../app/api';
import { oneTap } from '../parts/oneTap';
import { ProblemAlert } from '../parts/ProblemAlert';
import { dayAndTime } from '../parts/format';
import { withoutRow } from '../parts/withoutRow';
import styles from './CarePage.module.css';

const SHOWN = 12;
const tap = oneTap();

/** Who did what, and the way back where it was said by mistake. */
export function DoneLately({ items }: { items: readonly CareItemView[] }) {
  const { data } = useListCareDoneQuery({ pageSize: SHOWN });
  const [put, { isLoading, error }] = usePutCareDoneMutation();
  if (!data || data.items.length === 0) return null;
  const nameOf = ({ machineId = null, grinderId = null }: CareDoneView): string =>
    items.find((item) => item.machineId === machineId && item.grinderId === grinderId)?.name ?? '';
  return (
    <section aria-labelledby="lately">
      <h2 id="lately">Done lately</h2>
      <ProblemAlert error={error} />
      <ul className={styles.lately}>
        {data.items.map((row) => {
          const what = [careTask(row.task).title, nameOf(row)].filter(Boolean).join(', ');
          return (
            <li key={row.id}>
              <span>{dayAndTime(row.at)}</span>
              <span>{what}</span>
              <span className="quiet">{row.changedBy}</span>
              <Button
                disabled={isLoading}
                aria-label={`Take back: ${what}`}
                onClick={() =>
                  tap(
                    () =>
                      void put({
                        id: row.id,
                        careDoneDto: { ...withoutRow(row), removedAt: new Date().toISOString() },
                      }),
                  )
                }
              >
                Take back
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
