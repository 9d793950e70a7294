import { useGetShopQuery, type SheetView } from '../app/api';
import { elapsed, money } from '../parts/format';
import { useNow } from '../parts/useNow';
import { GoalChooser } from './GoalChooser';
import { gramsUsed } from './gramsUsed';
import { MethodSwitch } from './MethodSwitch';
import styles from './RunHeader.module.css';

/** What is being dialled in, and what it has cost so far. */
export function RunHeader({ sheet }: { sheet: SheetView }) {
  const { run, coffee, station, grinder, machine, basket, shots, ageDays, centsPerGram } = sheet;
  const { data: shop } = useGetShopQuery();
  const now = useNow(1000);
  const grams = gramsUsed(sheet);
  const facts = [coffee.process, coffee.roast, ageDays === null ? null : `${ageDays} days off roast`].filter(Boolean);
  const until = run.endedAt ? Date.parse(run.endedAt) : now;
  return (
    <header className={styles.head}>
      <div>
        <h1>{coffee.name}</h1>
        <p className="quiet small">{facts.join(' · ')}</p>
      </div>
      <div className={`quiet small ${styles.gear}`}>
        <p>
          {station.name}: {grinder.name} → {machine.name} · {basket.name}
        </p>
        <div className={run.status === 'open' ? styles.choosers : undefined}>
          <MethodSwitch sheet={sheet} />
          <GoalChooser sheet={sheet} />
        </div>
      </div>
      <dl className={styles.figures}>
        <div>
          <dd className="numeral">
            {shots.length}
            {run.budgetShots != null && <span className="quiet"> / {run.budgetShots}</span>}
          </dd>
          <dt>{leftInWords(run.budgetShots ?? null, shots.length)}</dt>
        </div>
        <div>
          <dd className="numeral">
            {Math.round(grams)}
            {run.budgetGrams != null && <span className="quiet"> / {Math.round(run.budgetGrams)}</span>} g
          </dd>
          <dt>
            {centsPerGram === null ? 'coffee used' : `coffee, ${money(centsPerGram * grams, shop?.currency ?? 'EUR')}`}
          </dt>
        </div>
        <div>
          <dd className="numeral">{elapsed(run.startedAt, until)}</dd>
          <dt>{run.endedAt ? 'in all' : 'since start'}</dt>
        </div>
      </dl>
    </header>
  );
}

/** The budget counted down. */
function leftInWords(budget: number | null, shots: number): string {
  if (budget === null) return 'shots';
  const left = budget - shots;
  if (left > 0) return `shots, ${left} left`;
  return left === 0 ? 'shots, none left' : `shots, ${-left} over`;
}
