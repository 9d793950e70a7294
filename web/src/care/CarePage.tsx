import { CARE_HABITS } from '@olvet/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useGetCareQuery, type CareItemView } from '../app/api';
import { EmptyState } from '../parts/EmptyState';
import listStyles from '../parts/List.module.css';
import { Loading } from '../parts/Loading';
import styles from './CarePage.module.css';
import { CareRow, How } from './CareRow';
import { DoneLately } from './DoneLately';
import { RuleEditor } from './RuleEditor';

/** What wants cleaning now, what comes next, how, and who did it last. */
export function CarePage() {
  const { data: care, error } = useGetCareQuery(undefined, { refetchOnMountOrArgChange: true });
  const [edited, edit] = useState<CareItemView | null>(null);
  if (!care) return <Loading className={listStyles.page} error={error} />;
  if (care.items.length === 0) {
    return (
      <EmptyState
        title="Nothing to care for yet"
        text="Each machine and grinder will stand here with what it wants and when: rinse, soak, backflush, brush out."
        action={<Link to="/setup">Set up the first station</Link>}
      />
    );
  }
  const due = care.items.filter(({ isDue }) => isDue);
  const rest = care.items.filter(({ isDue }) => !isDue);
  const list = (items: readonly CareItemView[]) => (
    <ul className={styles.list}>
      {items.map((item) => (
        <CareRow key={`${item.task} ${item.machineId ?? item.grinderId}`} item={item} onRule={() => edit(item)} />
      ))}
    </ul>
  );
  return (
    <div className={listStyles.page}>
      <header className={listStyles.head}>
        <h1>Care</h1>
        <span className="quiet">The maker’s manual wins where it differs.</span>
      </header>
      <section aria-labelledby="due">
        <h2 id="due">{due.length > 0 ? 'Due now' : 'Nothing is due'}</h2>
        {list(due)}
      </section>
      <section aria-labelledby="next">
        <h2 id="next">Next</h2>
        {list(rest)}
      </section>
      <section aria-labelledby="habits">
        <h2 id="habits">With every shot</h2>
        <ul className={styles.list}>
          {CARE_HABITS.map(({ title, when, steps, cautions }) => (
            <li key={title} className={styles.row}>
              <div>
                <h3>{title}</h3>
                <p className="quiet">{when}</p>
                <How steps={steps} cautions={cautions} />
              </div>
            </li>
          ))}
        </ul>
      </section>
      <DoneLately items={care.items} />
      <RuleEditor item={edited} onClose={() => edit(null)} />
    </div>
  );
}
