import { existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { isAlive } from './processes';

export const STARTER = 'tools/run.mjs start';

/** What a start remembers of itself, so that the next one knows its leftovers. */
export interface StartState {
  starterPid: number;
  serverPid: number | null;
  address: string | null;
}

export const stateFile = (home: string): string => resolve(home, 'start.json');

/** null where there is none, or none that can be read. */
export function readState(home: string): StartState | null {
  const file = stateFile(home);
  if (!existsSync(file)) return null;
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as StartState;
  } catch {
    return null;
  }
}

/** Where a start of this home serves just now; null where none does. */
export function runningStart(home: string): string | null {
  const state = readState(home);
  if (!state || state.starterPid === process.pid || !isAlive(state.starterPid, STARTER)) return null;
  return state.address ?? 'an address it has not said yet';
}
