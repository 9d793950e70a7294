import { clockTimeOf, dayAfter, startOfDay, type ShopHours } from '@olvet/core';
import { Button, Input } from 'antd';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import {
  useGetBoardQuery,
  useGetHappenedQuery,
  useGetStockQuery,
  useListBagsQuery,
  useListCoffeesQuery,
  usePutHandOverMutation,
  type BoardStationView,
  type HandOverView,
  type HappenedView,
} from '../app/api';
import { checkInWords, standingOf } from '../bar/standing';
import { day as dayInWords, dayAndTime } from '../parts/format';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useShopDay } from '../parts/useShopDay';
import { useShopHours } from '../parts/useShopHours';
import { bagState, lastsInWords } from '../shelf/bagState';
import { HAPPENED_WORDS } from './happenedWords';
import styles from './HandOverPage.module.css';

/** What runs out later than this is nobody's matter tonight, days. */
const SOON_DAYS = 3;

/** What was changed and why, how the stations stand, what runs out, what is due; made from what happened, and open to a note. */
export function HandOverPage() {
  const [search] = useSearchParams();
  const { today } = useShopDay();
  const hours = useShopHours();
  const since = sinceOf(search.get('since')) ?? startOfDay(today, hours).toISOString();
  const { data: board, error } = useGetBoardQuery();
  const { currentData: happened, error: unread } = useGetHappenedQuery({ since });
  if (!board || !happened) return <Loading className={styles.page} error={error ?? unread} />;
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <div>
          <h1>Handing over</h1>
          <p className="quiet">
            {dayInWords(since)}, {clockTimeOf(new Date(since), hours)} to {clockTimeOf(new Date(), hours)}
          </p>
        </div>
        <Button className={styles.noPrint} onClick={() => window.print()}>
          Print
        </Button>
      </header>
      <Note since={since} last={happened.lastHandOver} />
      <section aria-labelledby="stand">
        <h2 id="stand">How it stands</h2>
        <ul className={styles.rows}>
          {board.stations.map((standing) => (
            <StationRow key={standing.station.id} standing={standing} hours={hours} />
          ))}
        </ul>
      </section>
      <section aria-labelledby="changed">
        <h2 id="changed">What was changed, and why</h2>
        {happened.items.length === 0 && <p className="quiet">Nothing.</p>}
        <ul className={styles.rows}>
          {happened.items.map((row) => (
            <HappenedRow key={`${row.at} ${row.kind} ${row.stationName}`} row={row} hours={hours} />
          ))}
        </ul>
      </section>
      <RunningOut />
    </div>
  );
}

/** Whoever types an address by hand gets today. */
function sinceOf(text: string | null): string | null {
  return text !== null && dayjs(text).isValid() ? dayjs(text).toISOString() : null;
}

function StationRow({ standing, hours }: { standing: BoardStationView; hours: ShopHours }) {
  const { station, coffeeName, check } = standing;
  const { title, detail } = standingOf(standing);
  return (
    <li>
      <span className="numeral">{title}</span>
      <span>
        <Link to={`/stations/${station.id}`}>{coffeeName}</Link> <span className="quiet">{station.name}</span>
      </span>
      <span className="quiet">
        {detail} {check && checkInWords(check, hours)}
      </span>
    </li>
  );
}

function HappenedRow({ row, hours }: { row: HappenedView; hours: ShopHours }) {
  const { at, kind, stationName, why, by } = row;
  return (
    <li>
      <span className="numeral">{clockTimeOf(new Date(at), hours)}</span>
      <span>
        {HAPPENED_WORDS[kind](row)} <span className="quiet">{[stationName, by].filter(Boolean).join(', ')}</span>
      </span>
      <span className="quiet">{why}</span>
    </li>
  );
}

function RunningOut() {
  const { today } = useShopDay();
  const { data: stock } = useGetStockQuery();
  const bags = useListBagsQuery({ state: 'in-use' }).data?.items ?? [];
  const coffees = useListCoffeesQuery({ state: 'in-use' }).data?.items ?? [];
  const soon = bags.flatMap((bag) => {
    const coffee = coffees.find(({ id }) => id === bag.coffeeId);
    if (!coffee || !bag.openedOn) return [];
    const { daysLeft } = bagState(bag, coffee, stock, today).stock;
    if (daysLeft === null || daysLeft > SOON_DAYS) return [];
    return [{ id: bag.id, name: coffee.name, when: lastsInWords(daysLeft, today), daysLeft }];
  });
  return (
    <section aria-labelledby="runs-out">
      <h2 id="runs-out">What runs out by {dayjs(dayAfter(today, SOON_DAYS)).format('dddd')}</h2>
      {soon.length === 0 && <p className="quiet">Nothing that is open.</p>}
      <ul className={styles.rows}>
        {soon
          .sort((one, other) => one.daysLeft - other.daysLeft)
          .map(({ id, name, when }) => (
            <li key={id}>
              <span />
              <span>{name}</span>
              <span className="quiet">{when}</span>
            </li>
          ))}
      </ul>
    </section>
  );
}

function Note({ since, last }: { since: string; last: HandOverView | null }) {
  const [note, setNote] = useState('');
  const [put, { isLoading, isSuccess, error }] = usePutHandOverMutation();
  // Kept over retries, so that sending twice hands over once.
  const id = useMemo(() => v7(), []);
  const save = () => void put({ id, handOverDto: { since, at: new Date().toISOString(), note } });
  return (
    <section aria-labelledby="note" className={styles.note}>
      <h2 id="note" className={last?.note ? undefined : styles.onScreen}>
        For whoever comes next
      </h2>
      {last?.note && (
        <p>
          “{last.note}”{' '}
          <span className="quiet">{[last.changedBy, dayAndTime(last.at)].filter(Boolean).join(', ')}</span>
        </p>
      )}
      <div className={styles.noPrint}>
        <Input.TextArea
          aria-label="Note for whoever comes next"
          placeholder="What the figures do not say"
          autoSize={{ minRows: 2, maxRows: 6 }}
          maxLength={2000}
          value={note}
          disabled={isSuccess}
          onChange={({ target }) => setNote(target.value)}
        />
        <Button type="primary" size="large" loading={isLoading} disabled={isSuccess} onClick={save}>
          {isSuccess ? 'Handed over' : 'Hand over'}
        </Button>
      </div>
      <ProblemAlert error={error} />
    </section>
  );
}
