import { plainNumber, restOf } from '@olvet/core';
import { Button, Popover, Space } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 } from 'uuid';
import {
  useGetCoffeeQuery,
  useGetShopQuery,
  useGetStockQuery,
  useListBagsQuery,
  useListRunsQuery,
  useListStationsQuery,
  usePutBagMutation,
  type BagDto,
  type CoffeeView,
} from '../app/api';
import { BasketTable } from '../basketTable/BasketTable';
import { Loading } from '../parts/Loading';
import { NumberInput } from '../parts/NumberInput';
import { day, money } from '../parts/format';
import { learnedTasteInWords } from '../parts/learned';
import listStyles from '../parts/List.module.css';
import { plural } from '../parts/plural';
import { ProblemAlert } from '../parts/ProblemAlert';
import { withoutRow } from '../parts/withoutRow';
import { wantedOf } from './wantedOf';
import { BagEditor, type EditedBag } from './BagEditor';
import { bagState, isFrozen, lastsInWords, type BagState } from './bagState';
import { CoffeeEditor } from './CoffeeEditor';
import { useShopDay } from '../parts/useShopDay';
import styles from './CoffeePage.module.css';
import { PHASE_WORDS, RestBar } from './RestBar';
import { StartsHere } from './StartsHere';

/** One coffee: its rest, its bags, what the house learned of it, where to start with it. */
export function CoffeePage() {
  const { coffeeId } = useParams<'coffeeId'>();
  const { currentData: coffee, error } = useGetCoffeeQuery({ id: coffeeId! });
  const { data: bags } = useListBagsQuery({ coffeeId, state: 'in-use' });
  const { data: stock } = useGetStockQuery();
  const { data: shop } = useGetShopQuery();
  const { data: stations } = useListStationsQuery({ coffeeId });
  const { data: runs } = useListRunsQuery({ coffeeId, pageSize: 1 });
  const { today } = useShopDay();
  const [editing, setEditing] = useState(false);
  const [bag, setBag] = useState<EditedBag | null>(null);
  if (!coffee || !bags) {
    return (
      <Loading className={listStyles.page} error={error}>
        <Link to="/shelf">To the shelf</Link>
      </Loading>
    );
  }
  const currency = shop?.currency ?? 'EUR';
  const states = bags.items.filter(({ finishedAt }) => !finishedAt).map((each) => bagState(each, coffee, stock, today));
  const open = states.find((state) => state.bag.openedOn) ?? states[0];
  const newBag = { id: v7(), coffeeId: coffee.id, coffeeName: coffee.name, row: null };
  return (
    <div className={listStyles.page}>
      <header className={listStyles.head}>
        <div>
          <h1>{coffee.name}</h1>
          <p className="quiet">{factsOf(coffee).join(' · ')}</p>
        </div>
        <div className={styles.actions}>
          <Button onClick={() => setEditing(true)}>Edit</Button>
          <Button type="primary" onClick={() => setBag(newBag)}>
            New bag
          </Button>
        </div>
      </header>
      <div className={styles.columns}>
        <section aria-labelledby="coffee-rest">
          <h2 id="coffee-rest">Rest</h2>
          {open?.rest ? <RestBar rest={open.rest} large /> : <PlainBand coffee={coffee} />}
          <h2>Bags</h2>
          {states.length === 0 && <p className="quiet">No bag on the shelf.</p>}
          <ul className={listStyles.list}>
            {states.map((state) => (
              <BagRow
                key={state.bag.id}
                state={state}
                currency={currency}
                onEdit={() => setBag({ ...newBag, id: state.bag.id })}
              />
            ))}
          </ul>
        </section>
        <section aria-labelledby="coffee-known" className={styles.known}>
          <h2 id="coffee-known">What we want of it</h2>
          <p>{goalOf(coffee)}</p>
          {coffee.notes && <p className="quiet">Its roaster says: {coffee.notes}</p>}
          <h2>What the house learned</h2>
          <p>
            {coffee.learnedTaste
              ? learnedTasteInWords(coffee.learnedTaste)
              : 'Nothing yet: after its first dial-in Olvet knows where it pours sour, balanced and bitter.'}
          </p>
          {runs && runs.total > 0 && <p className="quiet">{plural(runs.total, 'dial-in')} so far.</p>}
          <h2>Where to start</h2>
          <StartsHere coffee={coffee} stations={stations?.items ?? []} />
        </section>
      </div>
      <section aria-labelledby="coffee-baskets">
        <h2 id="coffee-baskets">In every basket</h2>
        <BasketTable coffeeId={coffee.id} />
      </section>
      <CoffeeEditor editing={editing ? { id: coffee.id, row: coffee } : null} onClose={() => setEditing(false)} />
      <BagEditor
        editing={bag && { ...bag, row: bags.items.find(({ id }) => id === bag.id) ?? null }}
        currency={currency}
        onClose={() => setBag(null)}
      />
    </div>
  );
}

function factsOf(coffee: CoffeeView): (string | null)[] {
  const { roaster, roast, origin, process, altitudeM, arabicaPercent, decaf } = coffee;
  return [
    roaster ?? null,
    `${roast} roast`,
    origin ?? null,
    process ?? null,
    altitudeM == null ? null : `${altitudeM}\u00a0m`,
    arabicaPercent == null ? null : `${arabicaPercent}\u00a0% arabica`,
    decaf ? 'decaf' : null,
  ].filter(Boolean);
}

function goalOf(coffee: CoffeeView): string {
  const wanted = wantedOf(coffee);
  return coffee.flavourGoal || coffee.bodyGoal
    ? `${wanted}.`
    : `Nobody has said yet; ${wanted}. Edit it to aim a dial-in at a flavour.`;
}

/** Without a bag: the band its roast usually has. */
function PlainBand({ coffee }: { coffee: CoffeeView }) {
  const { today } = useShopDay();
  const { band } = restOf({ roastedOn: today, today: today, roast: coffee.roast });
  return (
    <p className="quiet">
      A {coffee.roast} roast is usually at its best from day {band.bestFromDay} to day {band.bestUntilDay} after
      roasting.
    </p>
  );
}

/** One bag with what a hand does to it: weigh, freeze, thaw, finish. */
function BagRow({ state, currency, onEdit }: { state: BagState; currency: string; onEdit: () => void }) {
  const { bag, rest, stock, shotCents } = state;
  const [putBag, { error }] = usePutBagMutation();
  const { today } = useShopDay();
  const [weighed, setWeighed] = useState<number | null>(null);
  const frozen = isFrozen(bag);
  const change = (part: Partial<BagDto>): void => {
    void putBag({ id: bag.id, bagDto: { ...withoutRow(bag), ...part } });
  };
  const spells = bag.frozen ?? [];
  const toggleFrozen = (): void =>
    change({
      frozen: frozen
        ? spells.map((spell) => (spell.to == null ? { ...spell, to: today } : spell))
        : [...spells, { from: today, to: null }],
    });
  return (
    <li className={styles.bag}>
      <div className={styles.stock}>
        <p>
          <strong className="numeral">{plainNumber(stock.leftGrams, 0)} g</strong> of {plainNumber(bag.weightGrams, 0)}{' '}
          g left
          {shotCents !== null && <span className="quiet"> · {money(shotCents, currency)} a shot</span>}
        </p>
        <p className="quiet small">
          {[
            bag.roastedOn ? `roasted ${day(bag.roastedOn)}` : 'roast day unknown',
            bag.openedOn ? `opened ${day(bag.openedOn)}` : 'closed',
            frozen ? 'frozen' : rest && PHASE_WORDS[rest.phase],
            bag.openedOn ? lastsInWords(stock.daysLeft, today) : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
        <ProblemAlert error={error} />
      </div>
      <div className={styles.actions}>
        <Popover
          trigger="click"
          title="On the scale, without the bag’s own weight"
          content={
            <Space.Compact>
              <NumberInput
                aria-label="Grams left"
                min={0}
                max={bag.weightGrams}
                suffix="g"
                value={weighed}
                onChange={(value) => setWeighed(value)}
              />
              <Button
                type="primary"
                disabled={weighed === null}
                onClick={() => change({ weighedGrams: weighed, weighedAt: new Date().toISOString() })}
              >
                Count on from here
              </Button>
            </Space.Compact>
          }
        >
          <Button>Weigh it</Button>
        </Popover>
        <Button onClick={toggleFrozen}>{frozen ? 'Thawed' : 'Freeze'}</Button>
        {!bag.openedOn && !frozen && <Button onClick={() => change({ openedOn: today })}>Open</Button>}
        <Button onClick={() => change({ finishedAt: new Date().toISOString() })}>Empty</Button>
        <Button onClick={onEdit}>Edit</Button>
      </div>
    </li>
  );
}
