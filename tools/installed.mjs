// @ts-check
// Whether the packages of package-lock.json are there. Paths are those of the checkout, where every command runs.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

export const stampFile = join('node_modules', '.olvet-installed');

/** @returns {string} */
export function lockHash() {
  return createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
}

/** @returns {boolean} */
export function isInstalled() {
  return existsSync(stampFile) && readFileSync(stampFile, 'utf8') === lockHash();
}
