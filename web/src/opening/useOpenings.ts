import type { OpeningStep } from '@olvet/core';
import dayjs from 'dayjs';
import { v7 } from 'uuid';
import { useListOpeningsQuery, usePutOpeningMutation, type OpeningDto, type OpeningView } from '../app/api';
import { withoutRow } from '../parts/withoutRow';

export interface Openings {
  loaded: boolean;
  /** This morning at a station; undefined before anything was done there. */
  of: (stationId: string) => OpeningView | undefined;
  /** The last morning before today at which somebody looked at the air. */
  before: (stationId: string) => OpeningView | undefined;
  write: (stationId: string, part: Partial<OpeningDto>) => Promise<void>;
  tick: (stationId: string, step: OpeningStep, done: boolean) => Promise<void>;
  error: unknown;
}

/** This morning's list at every station, and yesterday's air. */
export function useOpenings(): Openings {
  const day = dayjs().format('YYYY-MM-DD');
  const { data } = useListOpeningsQuery({ pageSize: 100 }, { refetchOnMountOrArgChange: true });
  const [put, { error }] = usePutOpeningMutation();
  const items = data?.items ?? [];
  const of = (stationId: string): OpeningView | undefined =>
    items.find((opening) => opening.stationId === stationId && opening.day === day);
  const write = async (stationId: string, part: Partial<OpeningDto>): Promise<void> => {
    const row = of(stationId);
    await put({ id: row?.id ?? v7(), openingDto: { stationId, day, ...(row ? withoutRow(row) : {}), ...part } });
  };
  return {
    loaded: data !== undefined,
    of,
    before: (stationId) =>
      items.find((row) => row.stationId === stationId && row.day < day && row.humidityPercent != null),
    write,
    tick: (stationId, step, done) => {
      const now = of(stationId)?.done ?? [];
      return write(stationId, { done: done ? [...now, step] : now.filter((other) => other !== step) });
    },
    error,
  };
}
