import type { Readable } from 'node:stream';
import { createInterface } from 'node:readline';
import { DeviceLink, type LinkOptions } from '../link';

/** What a plain balance prints: a sign, figures, perhaps blanks, and its unit: `+  18.32 g`. */
const PRINTED = /^\s*([+-]?)\s*(\d+(?:[.,]\d+)?)\s*g\b/;

/** Grams of one printed line, null where it says something else. */
export function gramsOf(line: string): number | null {
  const found = PRINTED.exec(line);
  return found ? Number(`${found[1]}${found[2]!.replace(',', '.')}`) : null;
}

/**
 * A real device: a balance that prints a line for each reading. `source` is its serial port opened as a file
 * (`createReadStream('/dev/ttyUSB0')`) or a TCP connection (`connect(port, host)`).
 */
export function connectBalance(source: Readable, options: Pick<LinkOptions, 'address' | 'name' | 'key'>): DeviceLink {
  const link = new DeviceLink({ ...options, kind: 'scale', unit: 'g', capabilities: [] });
  createInterface({ input: source }).on('line', (line) => {
    const grams = gramsOf(line);
    if (grams !== null) link.report({ grams });
  });
  return link;
}
