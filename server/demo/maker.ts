import { createRandom, drawNormal, USUAL_FIRST_HOUR, type Random } from '@olvet/core';
import dayjs from 'dayjs';
import { v7 } from 'uuid';

/** Rows by table, in the order they must be inserted. */
export type DemoRows = Record<
  | 'grinders'
  | 'machines'
  | 'baskets'
  | 'coffees'
  | 'bags'
  | 'scales'
  | 'stations'
  | 'runs'
  | 'cards'
  | 'card_versions'
  | 'card_proposals'
  | 'shots'
  | 'shot_traces'
  | 'tastings'
  | 'people'
  | 'palates'
  | 'weighings'
  | 'found_doses'
  | 'methods'
  | 'openings'
  | 'room_readings'
  | 'day_moves'
  | 'keepers'
  | 'preparations'
  | 'drinks'
  | 'care_done'
  | 'care_rules'
  | 'buttons',
  Record<string, unknown>[]
>;

const SEED = 'lantern quay';
/** How far back the history goes. */
export const DAYS = 56;
/** Collects the rows of a made-up history; every draw and id comes from one seed. */
export class HistoryMaker {
  readonly rows: DemoRows = {
    grinders: [],
    machines: [],
    baskets: [],
    coffees: [],
    bags: [],
    scales: [],
    stations: [],
    runs: [],
    cards: [],
    card_versions: [],
    card_proposals: [],
    shots: [],
    shot_traces: [],
    tastings: [],
    people: [],
    palates: [],
    weighings: [],
    found_doses: [],
    methods: [],
    openings: [],
    room_readings: [],
    day_moves: [],
    keepers: [],
    preparations: [],
    drinks: [],
    care_done: [],
    care_rules: [],
    buttons: [],
  };
  private readonly random: Random = createRandom(SEED);
  private readonly ids = new Map<string, string>();

  constructor(readonly now: Date) {}

  add(table: keyof DemoRows, row: Record<string, unknown>): string {
    const at = (row.createdAt as Date | undefined) ?? dayjs(this.now).subtract(DAYS, 'day').toDate();
    const id = (row.id as string | undefined) ?? this.id(at);
    this.rows[table].push({ createdAt: at, updatedAt: at, ...row, id });
    return id;
  }

  /** Equipment that several stations share is made once. */
  once(table: keyof DemoRows, name: string, row: Record<string, unknown>): string {
    const key = `${table}/${name}`;
    const id = this.ids.get(key) ?? this.add(table, { ...row, name });
    this.ids.set(key, id);
    return id;
  }

  id(at: Date): string {
    const random = Uint8Array.from({ length: 16 }, () => Math.floor(this.random() * 256));
    return v7({ msecs: at.getTime(), random, seq: 0 });
  }

  /** The shop's day some days before today's: before its first hour it is still yesterday. */
  day(daysAgo: number): dayjs.Dayjs {
    return dayjs(this.now).subtract(USUAL_FIRST_HOUR, 'hour').startOf('day').subtract(daysAgo, 'day');
  }

  /** A day before now at some hour; today's hours are squeezed between its first hour and now, so that "today" has shots. */
  at(daysAgo: number, share: number): Date {
    if (daysAgo > 0)
      return this.day(daysAgo)
        .add(6.5 * 60 + share * 11 * 60, 'minute')
        .toDate();
    const day = this.day(0).add(USUAL_FIRST_HOUR, 'hour');
    const since = dayjs(this.now).diff(day, 'second');
    const open = Math.min(since, 4 * 3600);
    return day.add(since - open + share * (open - 60), 'second').toDate();
  }

  draw(mean: number, sd: number): number {
    return drawNormal(this.random, mean, sd);
  }

  get uniform(): Random {
    return this.random;
  }

  row(table: keyof DemoRows, id: string): Record<string, unknown> {
    return this.rows[table].find((row) => row.id === id)!;
  }
}
