import { CARE_CODES, CARE_HABITS, careTask, CAUTIONS, READING } from '@olvet/core';
import { Button, Segmented } from 'antd';
import { useState, type ReactNode } from 'react';
import {
  useGetBasketTableQuery,
  useGetCardQuery,
  useGetCareQuery,
  useGetShopQuery,
  useListCardsQuery,
  useListCoffeesQuery,
  useListStationsQuery,
  usePutPrintedMutation,
  type CardView,
  type CoffeeView,
} from '../app/api';
import { TableOf } from '../basketTable/BasketTable';
import { everyInWords } from '../care/careWords';
import { CardSheet } from '../cards/CardSheet';
import { MenuTable } from '../drinks/MenuPage';
import listStyles from '../parts/List.module.css';
import { Loading } from '../parts/Loading';
import { day } from '../parts/format';
import styles from './BookPage.module.css';
import { wantedOf } from '../shelf/wantedOf';

const PAPERS = { A4: 'A4', Letter: 'letter' } as const;
type Paper = keyof typeof PAPERS;
const ALL = { pageSize: 100 } as const;

/** Everything the bar goes by, as a booklet to print: what it wants, its cards, baskets, how to read a shot, drinks, care, cautions. */
export function BookPage() {
  const { data: shop, error } = useGetShopQuery();
  const { data: cards } = useListCardsQuery(ALL);
  const { data: coffees } = useListCoffeesQuery({ ...ALL, state: 'in-use' });
  const { data: stations } = useListStationsQuery({ ...ALL, state: 'in-use' });
  const [paper, choose] = useState<Paper>('A4');
  const [putPrinted] = usePutPrintedMutation();
  if (!shop || !cards || !coffees || !stations) return <Loading className={listStyles.page} error={error} />;
  // What stands at a station is what the book is about; the rest rests on the shelf.
  const served = coffees.items.filter(({ id }) => stations.items.some(({ coffeeId }) => coffeeId === id));
  const used = cards.items.filter(({ coffeeId }) => served.some(({ id }) => id === coffeeId));
  // As with a single card: what is on paper is known by what was printed.
  const print = async (): Promise<void> => {
    await Promise.all(used.map(({ id, latest: { version } }) => putPrinted({ id, printedDto: { version } })));
    window.print();
  };
  return (
    <div className={styles.book}>
      <style>{`@page { size: ${PAPERS[paper]}; margin: 15mm 15mm 18mm; @bottom-right { content: counter(page); font: 11pt 'Atkinson Hyperlegible', sans-serif; } }`}</style>
      <header className={styles.tools}>
        <h1>Bar book</h1>
        <Segmented<Paper> value={paper} onChange={choose} options={Object.keys(PAPERS) as Paper[]} aria-label="Paper" />
        <Button type="primary" onClick={() => void print()}>
          Print
        </Button>
      </header>
      <section className={styles.cover}>
        <p className={styles.title}>{shop.name}</p>
        <p>Bar book, {day(new Date().toISOString())}</p>
        <h2>What we want</h2>
        <dl className={styles.pairs}>
          {served.map((coffee) => (
            <Wanted key={coffee.id} coffee={coffee} />
          ))}
        </dl>
        <p>
          One thing at a time. One shot off after good ones: pull again, change nothing. Whoever changes a card says
          why.
        </p>
        <h2>Inside</h2>
        <ol>
          {used.map(({ id, name, stationName }) => (
            <li key={id}>
              {name}, {stationName}
            </li>
          ))}
          {['Baskets', 'Reading a shot', 'Drinks', 'Care', 'Cautions'].map((part) => (
            <li key={part}>{part}</li>
          ))}
        </ol>
      </section>
      {used.map((card) => (
        <BookCard key={card.id} card={card} />
      ))}
      <Part title="Baskets">
        {served.map((coffee) => (
          <BookBaskets key={coffee.id} coffee={coffee} />
        ))}
      </Part>
      <Part title="Reading a shot">
        <table className={styles.table}>
          <thead>
            <tr>
              {['Seen or tasted', 'Means', 'Do'].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {READING.map(({ seen, means, act }) => (
              <tr key={seen}>
                <th scope="row">{seen}</th>
                <td>{means}</td>
                <td>{act}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Part>
      <Part title="Drinks">
        <MenuTable />
        <p>Allergens: milk and nuts are named before they are poured; local rules win.</p>
      </Part>
      <BookCare />
      <Part title="Cautions">
        <dl className={styles.pairs}>
          {CAUTIONS.map(({ what, how }) => (
            <div key={what}>
              <dt>{what}</dt>
              <dd>{how}</dd>
            </div>
          ))}
        </dl>
        <p>The maker’s manual, local rules and licensed trades win wherever they differ from this book.</p>
      </Part>
    </div>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className={styles.part}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

function Wanted({ coffee }: { coffee: CoffeeView }) {
  return (
    <div>
      <dt>{coffee.name}</dt>
      <dd>{wantedOf(coffee)}</dd>
    </div>
  );
}

function BookCard({ card: { id, name, coffeeName, stationName, purpose } }: { card: CardView }) {
  const { currentData: card } = useGetCardQuery({ id });
  return (
    <section className={`${styles.part} ${styles.card}`}>
      <h2>{name}</h2>
      <p>
        {coffeeName} on {stationName}, {purpose === 'milk' ? 'with milk' : 'black'}
      </p>
      {card && <CardSheet card={card} />}
    </section>
  );
}

function BookBaskets({ coffee: { id, name } }: { coffee: CoffeeView }) {
  const { currentData: table } = useGetBasketTableQuery({ coffeeId: id });
  if (!table?.card) return null;
  return (
    <div className={styles.kept}>
      <h3>{name}</h3>
      <TableOf table={table} />
    </div>
  );
}

/** Each task once, with where it is done and how often there. */
function BookCare() {
  const items = useGetCareQuery().data?.items ?? [];
  return (
    <Part title="Care">
      {CARE_HABITS.map(({ title, when, steps, cautions }) => (
        <Task key={title} title={title} when={when} steps={steps} cautions={cautions} />
      ))}
      {CARE_CODES.map((code) => {
        const { title, when, steps, cautions } = careTask(code);
        const places = items
          .filter(({ task }) => task === code)
          .map(({ name, every }) => [name, everyInWords(every) || when].filter(Boolean).join(' '));
        return places.length === 0 ? null : (
          <Task key={code} title={title} when={places.join('; ')} steps={steps} cautions={cautions} />
        );
      })}
    </Part>
  );
}

function Task(props: { title: string; when: string; steps: readonly string[]; cautions: readonly string[] }) {
  const { title, when, steps, cautions } = props;
  return (
    <div className={styles.kept}>
      <h3>
        {title} <span className={styles.when}>{when}</span>
      </h3>
      <p>
        <strong>{cautions.join(' ')}</strong>
      </p>
      <ol>
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </div>
  );
}
