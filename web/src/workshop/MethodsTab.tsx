import { METHODS, type Method } from '@olvet/core';
import { Link } from 'react-router';
import { useListOwnMethodsQuery } from '../app/api';
import { factsOf } from '../methods/methodWords';
import { useTemperatureUnit } from '../parts/temperature';
import styles from './MethodsTab.module.css';

/** The methods side by side: what each holds still and aims at; the shop's own first. */
export function MethodsTab() {
  const { data: own } = useListOwnMethodsQuery({});
  const rows = own?.items ?? [];
  return (
    <>
      <p className="quiet">
        Methods disagree: where the window lies, whether time is a target or an outcome, whether light roasts want finer
        or more yield. Choose one for a station; Olvet follows its order. Open one to read it, or to make your own of
        it.
      </p>
      <ul className={styles.methods}>
        {rows.map((row) => (
          <Card key={row.id} method={row.method as Method} mark={row.retiredAt ? 'ours, retired' : 'ours'} />
        ))}
        {METHODS.map((method) => (
          <Card key={method.id} method={method} />
        ))}
      </ul>
    </>
  );
}

function Card({ method, mark }: { method: Method; mark?: string }) {
  const unit = useTemperatureUnit();
  return (
    <li>
      <h2>
        <Link to={`/methods/${method.id}`}>{method.name}</Link>
        {mark && <span className="quiet small"> {mark}</span>}
      </h2>
      <p>{method.idea}</p>
      <dl>
        {factsOf(method, unit)
          .slice(0, 4)
          .map(([name, value]) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
      </dl>
    </li>
  );
}
