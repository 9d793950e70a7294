import { openingOrder, usualWarmUpMinutes } from '@olvet/core';
import { Switch } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  useGetBoardQuery,
  useGetStockQuery,
  useListBagsQuery,
  useListCoffeesQuery,
  useListGrindersQuery,
  useListLearnedHereQuery,
  useListMachinesQuery,
  type OpeningForecastDto,
} from '../app/api';
import { EmptyState } from '../parts/EmptyState';
import listStyles from '../parts/List.module.css';
import { Loading } from '../parts/Loading';
import { leaveField, NumberInput } from '../parts/NumberInput';
import { typedNumber } from '../parts/typedNumber';
import { ProblemAlert } from '../parts/ProblemAlert';
import { celsiusOf, shownDegrees, useTemperatureUnit } from '../parts/temperature';
import { useNow } from '../parts/useNow';
import { morningAt } from './morning';
import { useShopDay } from '../parts/useShopDay';
import styles from './OpeningPage.module.css';
import { StationOpening } from './StationOpening';
import { TastedToday } from './TastedToday';
import { useOpenings } from './useOpenings';

const ALL = {};
const IN_USE = { state: 'in-use' } as const;

/** From a cold machine to the first advice: what is on, what is left, in which order to dial in. */
export function OpeningPage() {
  const { data: board, error } = useGetBoardQuery(undefined, { refetchOnMountOrArgChange: true });
  const machines = useListMachinesQuery(ALL).data?.items;
  const grinders = useListGrindersQuery(ALL).data?.items;
  const coffees = useListCoffeesQuery(ALL).data?.items;
  const bags = useListBagsQuery(IN_USE).data?.items;
  const { data: stock } = useGetStockQuery();
  const { data: learned } = useListLearnedHereQuery();
  const openings = useOpenings();
  const { today, dayOf } = useShopDay();
  const now = useNow(5_000);
  const unit = useTemperatureUnit();
  const [onlyLeft, setOnlyLeft] = useState(false);
  if (!board || !machines || !grinders || !coffees || !bags || !openings.loaded) {
    return <Loading className={listStyles.page} error={error} />;
  }
  if (board.stations.length === 0) {
    return (
      <EmptyState
        title="Nothing to open yet"
        text="Every station will stand here in the morning: when its machine is hot, what is left to do, where its grinder should start."
        action={<Link to="/setup">Set up the first station</Link>}
      />
    );
  }
  const facts = board.stations.map((standing) => {
    const { station } = standing;
    const machine = machines.find(({ id }) => id === station.machineId)!;
    const coffee = coffees.find(({ id }) => id === station.coffeeId)!;
    const bag =
      bags.find(({ coffeeId, finishedAt, openedOn }) => coffeeId === coffee.id && !finishedAt && openedOn) ?? null;
    const opening = openings.of(station.id);
    const warmUpMinutes = machine.warmUpMinutes ?? usualWarmUpMinutes(machine.groups ?? 1);
    const switchedOnAt = opening?.switchedOnAt ? Date.parse(opening.switchedOnAt) : null;
    const grinder = grinders.find(({ id }) => id === station.grinderId)!;
    const forecast = morningAt({
      standing,
      grinder,
      coffee,
      bag,
      before: openings.before(station.id),
      now: opening,
      learned: learned?.find(({ stationId }) => stationId === station.id),
      today,
      dayOf,
    });
    return { standing, machine, coffee, bag, opening, warmUpMinutes, switchedOnAt, grinder, forecast };
  });
  const turns = openingOrder(
    facts.map(({ standing, switchedOnAt, warmUpMinutes, coffee, forecast }) => ({
      id: standing.station.id,
      hotAt: switchedOnAt === null ? null : switchedOnAt + warmUpMinutes * 60_000,
      shotsPerDay: stock?.pace.find(({ coffeeId }) => coffeeId === coffee.id)?.shotsPerDay ?? 0,
      doubt: forecast?.logTime.sd ?? 0.2,
    })),
    now,
  );
  /** What was expected, as long as nothing was poured that could be known already. */
  const expected = ({ standing, forecast }: (typeof facts)[number]): { forecast?: OpeningForecastDto } => {
    const hasPoured = standing.shots.some(({ pulledAt }) => dayOf(pulledAt) === today);
    if (!forecast || hasPoured) return {};
    const { mean, p10, p90 } = forecast.timeSeconds;
    return { forecast: { grind: forecast.closingGrind, mean, p10, p90 } };
  };
  const air = facts.find(({ opening }) => opening?.humidityPercent != null || opening?.roomC != null)?.opening;
  // A field that was left as it stood says nothing.
  const shownRoom = air?.roomC == null ? null : shownDegrees(air.roomC, unit);
  const writeAir = async (part: { roomC?: number | null; humidityPercent?: number | null }): Promise<void> => {
    for (const fact of facts) await openings.write(fact.standing.station.id, { ...part, ...expected(fact) });
  };
  const switchOn = async (machineId: string, switchedOnAt: string | null): Promise<void> => {
    for (const fact of facts) {
      const { standing, machine, opening } = fact;
      if (machine.id !== machineId) continue;
      const done = (opening?.done ?? []).filter((step) => step !== 'switched-on');
      await openings.write(standing.station.id, {
        ...expected(fact),
        switchedOnAt,
        done: switchedOnAt === null ? done : [...done, 'switched-on'],
      });
    }
  };
  return (
    <div className={listStyles.page}>
      <header className={listStyles.head}>
        <div>
          <h1>Opening</h1>
          <p className="quiet">{new Date(now).toLocaleDateString(undefined, { dateStyle: 'full' })}</p>
        </div>
        <label className={styles.left}>
          <Switch checked={onlyLeft} onChange={setOnlyLeft} aria-label="Only what is left" /> Only what is left
        </label>
        <div className={styles.air} role="group" aria-label="The air this morning">
          <label htmlFor="room-c">Room</label>
          <NumberInput
            id="room-c"
            min={shownDegrees(-20, unit)}
            max={shownDegrees(60, unit)}
            suffix={`°${unit}`}
            value={shownRoom}
            onBlur={(event) => {
              const shown = typedNumber(event.target.value);
              if (shown === shownRoom) return;
              void writeAir({ roomC: shown === null ? null : celsiusOf(shown, unit) });
            }}
            onPressEnter={leaveField}
          />
          <label htmlFor="humidity">Humidity</label>
          <NumberInput
            id="humidity"
            min={0}
            max={100}
            suffix="%"
            value={air?.humidityPercent ?? null}
            onBlur={(event) => {
              const humidityPercent = typedNumber(event.target.value);
              if (humidityPercent !== (air?.humidityPercent ?? null)) void writeAir({ humidityPercent });
            }}
            onPressEnter={leaveField}
          />
        </div>
      </header>
      <ProblemAlert error={openings.error} />
      <ol className={styles.stations}>
        {turns.map(({ id, reason }, i) => {
          const fact = facts.find(({ standing }) => standing.station.id === id)!;
          return (
            <StationOpening
              key={id}
              turn={i + 1}
              reason={reason}
              {...fact}
              now={now}
              onlyLeft={onlyLeft}
              onSwitch={(at) => void switchOn(fact.machine.id, at)}
              learned={learned?.find(({ stationId }) => stationId === id)}
              onTick={(step, done) => void openings.tick(id, step, done)}
            />
          );
        })}
      </ol>
      <div className={styles.foot}>
        <TastedToday />
        <p>
          <a href="/api/calendar.ics">Reminders as a calendar</a>
          <span className="quiet">
            {' '}
            to subscribe to: switching on, check shots, coffees coming into their own, bags running out.
          </span>
        </p>
      </div>
    </div>
  );
}
