import { resolve } from 'node:path';
import { buildStale } from '../lib/build';
import { orStop } from '../lib/say';

export function run(): Promise<void> {
  return orStop(() => buildStale(resolve('.olvet')));
}
