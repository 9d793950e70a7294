import type { LiveEvent } from '@olvet/core';
import { useEffect } from 'react';
import { api } from '../app/api';
import { rows } from '../app/cacheTags';
import { useAppDispatch } from '../app/store';
import { takeOwnWrite } from './ownWrites';
import { stream } from './stream';

/** Several rows are often written at once: they are read again together, well within a second. */
const GATHER_MS = 150;
/** What may have been written while the stream was away. */
const MISSED = [
  ...([
    'Bags',
    'Cards',
    'CareDone',
    'CareRules',
    'CoffeeChanges',
    'Coffees',
    'DayMoves',
    'Devices',
    'HandOvers',
    'Keepers',
    'StationEvents',
  ] as const),
  ...(['Grinders', 'Openings', 'Pulls', 'RoomReadings', 'Runs', 'Shots', 'Stations'] as const),
];

type Told = Parameters<typeof rows>[0];

/** What the event stream says of a row makes a page read it again; after a break it reads all of these. */
export function useLive(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    let waiting: { type: Told; id: string }[] = [];
    let timer: ReturnType<typeof setTimeout> | undefined;
    const read = (type: Told, id: string): void => {
      waiting.push({ type, id });
      timer ??= setTimeout(() => {
        dispatch(api.util.invalidateTags(waiting.flatMap((row) => [row, rows(row.type)])));
        [waiting, timer] = [[], undefined];
      }, GATHER_MS);
    };
    const ended = stream.listen(
      (event) => {
        const row = rowOf(event);
        // Of a shot being pulled two tablets write in turn: only rows are known to be read again already.
        if (row && !(event.kind === 'row' && takeOwnWrite(event.id))) read(row.type, row.id);
      },
      () => void dispatch(api.util.invalidateTags(MISSED)),
    );
    return () => {
      clearTimeout(timer);
      ended();
    };
  }, [dispatch]);
}

function rowOf(event: LiveEvent): { type: Told; id: string } | null {
  switch (event.kind) {
    case 'device':
      return { type: 'Devices', id: event.deviceId };
    case 'pull':
      return { type: 'Pulls', id: event.pullId };
    case 'row':
      return { type: event.type, id: event.id };
    default:
      return null;
  }
}
