import { plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import { useGetShopQuery, useGetStockQuery, useListBagsQuery, useListCoffeesQuery, type CoffeeView } from '../app/api';
import { EmptyState } from '../parts/EmptyState';
import { Loading } from '../parts/Loading';
import { money } from '../parts/format';
import listStyles from '../parts/List.module.css';
import { BagEditor, type EditedBag } from './BagEditor';
import { bagState, lastsInWords, type BagState } from './bagState';
import { CoffeeEditor } from './CoffeeEditor';
import { NoLongerServed } from './NoLongerServed';
import { RestBar } from './RestBar';
import { useShopDay } from '../parts/useShopDay';
import styles from './ShelfPage.module.css';

const IN_USE = { state: 'in-use' } as const;

/** Which coffees, how rested, how much is left, what a shot of each costs. */
export function ShelfPage() {
  const { data: coffees, error } = useListCoffeesQuery(IN_USE);
  const { data: bags } = useListBagsQuery(IN_USE);
  const { data: stock } = useGetStockQuery();
  const { data: shop } = useGetShopQuery();
  const { today } = useShopDay();
  const [coffee, setCoffee] = useState<{ id: string; row: CoffeeView | null } | null>(null);
  const [bag, setBag] = useState<EditedBag | null>(null);
  if (!coffees || !bags) return <Loading className={listStyles.page} error={error} />;
  const currency = shop?.currency ?? 'EUR';
  const statesOf = (row: CoffeeView): BagState[] =>
    bags.items
      .filter(({ coffeeId, finishedAt }) => coffeeId === row.id && !finishedAt)
      .map((each) => bagState(each, row, stock, today));
  const ending = coffees.items.filter((row) => soonest(statesOf(row)) < 7);
  const add = (
    <Button type="primary" size="large" onClick={() => setCoffee({ id: v7(), row: null })}>
      Add a coffee
    </Button>
  );
  return (
    <div className={listStyles.page}>
      {coffees.total === 0 ? (
        <EmptyState
          title="The shelf is empty"
          text="Each coffee stands here with its bags: how rested, how much is left, when it runs out, what a shot costs."
          action={add}
        />
      ) : (
        <>
          <header className={listStyles.head}>
            <h1>Shelf</h1>
            {ending.length > 0 && (
              <p>
                <strong>Runs out this week:</strong> {ending.map(({ name }) => name).join(', ')}
              </p>
            )}
            <div className={styles.add}>{add}</div>
          </header>
          <ul className={listStyles.list}>
            {coffees.items.map((row) => (
              <CoffeeRow
                key={row.id}
                coffee={row}
                states={statesOf(row)}
                currency={currency}
                onBag={() => setBag({ id: v7(), coffeeId: row.id, coffeeName: row.name, row: null })}
              />
            ))}
          </ul>
        </>
      )}
      <NoLongerServed />
      <CoffeeEditor
        editing={coffee}
        onClose={() => setCoffee(null)}
        onBag={({ id, name }, hint) => setBag({ id: v7(), coffeeId: id, coffeeName: name, row: null, hint })}
      />
      <BagEditor editing={bag} currency={currency} onClose={() => setBag(null)} />
    </div>
  );
}

/** Days until the first of its bags in use is empty. */
function soonest(states: BagState[]): number {
  return Math.min(...states.filter(({ bag }) => bag.openedOn).map(({ stock }) => stock.daysLeft ?? Infinity), Infinity);
}

function CoffeeRow({
  coffee,
  states,
  currency,
  onBag,
}: {
  coffee: CoffeeView;
  states: BagState[];
  currency: string;
  onBag: () => void;
}) {
  const { today } = useShopDay();
  const open = states.find(({ bag }) => bag.openedOn) ?? states[0];
  const altitude = coffee.altitudeM == null ? null : `${coffee.altitudeM}\u00a0m`;
  const facts = [coffee.roast, coffee.roaster, coffee.origin, coffee.process, altitude].filter(Boolean);
  return (
    <li className={styles.row}>
      <div>
        <h2>
          <Link to={`/shelf/${coffee.id}`}>{coffee.name}</Link>
        </h2>
        <p className="quiet small">{facts.join(' · ')}</p>
      </div>
      {open ? (
        <>
          <div>{open.rest ? <RestBar rest={open.rest} /> : <p className="quiet">roast day unknown</p>}</div>
          <div>
            <p>
              <span className={`numeral ${styles.left}`}>{plainNumber(open.stock.leftGrams, 0)}</span> g left
              {states.length > 1 && <span className="quiet">, {states.length - 1} more</span>}
            </p>
            <p className="quiet small">
              {[
                lastsInWords(open.stock.daysLeft, today),
                open.shotCents === null ? '' : `${money(open.shotCents, currency)} a shot`,
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          </div>
        </>
      ) : (
        <p className={`quiet ${styles.none}`}>no bag on the shelf</p>
      )}
      <Button onClick={onBag} aria-label={`New bag of ${coffee.name}`}>
        New bag
      </Button>
    </li>
  );
}
