import { capital, METHODS, METHOD_IDS, recommendMethod, type Lever, type Method } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 } from 'uuid';
import {
  useListCoffeesQuery,
  useListMachinesQuery,
  useListOwnMethodsQuery,
  useListStationsQuery,
  usePutOwnMethodMutation,
  type OwnMethodView,
} from '../app/api';
import listStyles from '../parts/List.module.css';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { withoutRow } from '../parts/withoutRow';
import { MethodEditor } from './MethodEditor';
import { inUnit, useTemperatureUnit } from '../parts/temperature';
import styles from './MethodPage.module.css';
import { MethodPreview } from './MethodPreview';
import { DISAGREEMENTS, factsOf, LEVER_EFFECTS, LEVER_WORDS, ORDER_WORDS } from './methodWords';

const ALL = {};

/** One method to read: what it holds still, what it moves in which order, where others would disagree. */
export function MethodPage() {
  const { methodId } = useParams<'methodId'>();
  const { data: own, error } = useListOwnMethodsQuery(ALL);
  if (!own) return <Loading className={listStyles.page} error={error} />;
  const row = own.items.find(({ id }) => id === methodId) ?? null;
  const method = METHODS.find(({ id }) => id === methodId) ?? (row?.method as Method | undefined);
  if (!method) {
    return (
      <div className={listStyles.page}>
        <p>There is no such method here.</p>
        <Link to="/workshop?tab=methods">To the methods</Link>
      </div>
    );
  }
  return <OneMethod key={method.id} method={method} row={row} />;
}

function OneMethod({ method, row }: { method: Method; row: OwnMethodView | null }) {
  const [editing, setEditing] = useState<{ id: string; isNew: boolean } | null>(null);
  const [put, { error }] = usePutOwnMethodMutation();
  const navigate = useNavigate();
  const unit = useTemperatureUnit();
  const order = ORDER_WORDS[method.order ?? 'by-the-book'];
  const basedOn = row?.basedOn ?? (method.id as (typeof METHOD_IDS)[number]);
  const retire = (): void => {
    const retiredAt = row!.retiredAt ? null : new Date().toISOString();
    void put({ id: row!.id, ownMethodDto: { ...withoutRow(row!), retiredAt } });
  };
  return (
    <div className={listStyles.page}>
      <p className="small">
        <Link to="/workshop?tab=methods">All methods</Link>
      </p>
      <header className={listStyles.head}>
        <div className={styles.title}>
          <h1>{method.name}</h1>
          <p>{method.idea}</p>
          <p className="quiet">
            {row ? `Our own, made from ${METHODS.find(({ id }) => id === row.basedOn)?.name}. ` : ''}
            {method.suits}
          </p>
        </div>
        <div className={styles.buttons}>
          {row && <Button onClick={() => setEditing({ id: row.id, isNew: false })}>Edit</Button>}
          {row && <Button onClick={retire}>{row.retiredAt ? 'Use it again' : 'Retire it'}</Button>}
          <Button type={row ? 'default' : 'primary'} onClick={() => setEditing({ id: v7(), isNew: true })}>
            Make our own of it
          </Button>
        </div>
      </header>
      <ProblemAlert error={error} />
      <div className={styles.columns}>
        <div>
          <dl className={styles.facts}>
            {factsOf(method, unit).map(([name, value]) => (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
          {method.timeIs === 'target' && (
            <p>First the time is brought into the window with grind alone. Then the cup is tasted.</p>
          )}
          <Order title="Sour or bitter" levers={method.balanceOrder} />
          <Order title="Thin or heavy" levers={method.bodyOrder} />
          <h2>{capital(order.name)}</h2>
          <p>{order.text}</p>
          <SuitsHere method={method} />
        </div>
        <section aria-labelledby="disagree">
          <h2 id="disagree">Where methods disagree</h2>
          <dl className={styles.disagree}>
            {DISAGREEMENTS.map(({ question, methods, assumed }) => (
              <div key={question}>
                <dt>{question}</dt>
                <dd className="quiet">{methods}</dd>
                <dd>Olvet: {assumed}</dd>
              </div>
            ))}
          </dl>
        </section>
      </div>
      <MethodPreview method={method} />
      <MethodEditor
        editing={editing && { id: editing.id, row: editing.isNew ? null : row }}
        from={method}
        basedOn={basedOn}
        onClose={() => setEditing(null)}
        onSaved={(id) => void navigate(`/methods/${id}`)}
      />
    </div>
  );
}

function Order({ title, levers }: { title: string; levers: Lever[] }) {
  return (
    <>
      <h2 className={styles.order}>{title}</h2>
      {levers.length === 0 && <p className="quiet">Left as it comes.</p>}
      <ol className={styles.levers}>
        {levers.map((lever) => (
          <li key={lever}>
            <strong>{LEVER_WORDS[lever]}</strong> <span className="quiet">{LEVER_EFFECTS[lever]}</span>
          </li>
        ))}
      </ol>
    </>
  );
}

/** The stations whose coffee and machine this method would suit, with the reasons. */
function SuitsHere({ method }: { method: Method }) {
  const stations = (useListStationsQuery(ALL).data?.items ?? []).filter(({ retiredAt }) => !retiredAt);
  const coffees = useListCoffeesQuery(ALL).data?.items ?? [];
  const machines = useListMachinesQuery(ALL).data?.items ?? [];
  const unit = useTemperatureUnit();
  const suited = stations.flatMap((station) => {
    const coffee = coffees.find(({ id }) => id === station.coffeeId);
    const machine = machines.find(({ id }) => id === station.machineId);
    if (!coffee || !machine) return [];
    const { roast, altitudeM } = coffee;
    const advised = recommendMethod({ roast, altitudeM, canSetTemperature: machine.temperatureC != null });
    return advised.method.id === method.id ? [{ station, coffee, reasons: advised.reasons }] : [];
  });
  if (suited.length === 0) return null;
  return (
    <>
      <h2 className={styles.order}>Suits here</h2>
      <ul className={styles.levers}>
        {suited.map(({ station, coffee, reasons }) => (
          <li key={station.id}>
            <strong>
              {coffee.name} at {station.name}
            </strong>{' '}
            <span className="quiet">{inUnit(reasons.join(' '), unit)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
