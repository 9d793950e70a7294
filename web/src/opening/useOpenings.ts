import type { OpeningStep } from '@olvet/core';
import { useRef } from 'react';
import { v7 } from 'uuid';
import { useListOpeningsQuery, usePutOpeningMutation, type OpeningDto, type OpeningView } from '../app/api';
import { useShopDay } from '../parts/useShopDay';
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
  const { today: day } = useShopDay();
  const { data } = useListOpeningsQuery({ pageSize: 100 }, { refetchOnMountOrArgChange: true });
  const [put, { error }] = usePutOpeningMutation();
  /** What the last writes answered: ahead of the list until it has been read again. */
  const written = useRef(new Map<string, OpeningView>());
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const items = data?.items ?? [];
  const of = (stationId: string): OpeningView | undefined =>
    items.find((opening) => opening.stationId === stationId && opening.day === day);
  // One write at a time, each on what the one before answered: two quick taps are no quarrel of two tablets.
  const change = (stationId: string, partOf: (row: OpeningView | undefined) => Partial<OpeningDto>): Promise<void> => {
    const next = async (): Promise<void> => {
      const [listed, answered] = [of(stationId), written.current.get(stationId)];
      const row = answered && (answered.revision ?? 0) >= (listed?.revision ?? 0) ? answered : listed;
      const openingDto = { stationId, day, ...(row ? withoutRow(row) : {}), ...partOf(row) };
      const done = await put({ id: row?.id ?? v7(), openingDto });
      if ('error' in done) written.current.delete(stationId);
      else written.current.set(stationId, done.data);
    };
    const turn = queue.current.then(next);
    queue.current = turn;
    return turn;
  };
  return {
    loaded: data !== undefined,
    of,
    before: (stationId) =>
      items.find((row) => row.stationId === stationId && row.day < day && row.humidityPercent != null),
    write: (stationId, part) => change(stationId, () => part),
    tick: (stationId, step, done) =>
      change(stationId, (row) => {
        const others = (row?.done ?? []).filter((other) => other !== step);
        return { done: done ? [...others, step] : others };
      }),
    error,
  };
}
