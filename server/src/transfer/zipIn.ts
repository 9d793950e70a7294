import { createReadStream } from 'node:fs';
import { open as openFile } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { text as textOf } from 'node:stream/consumers';
import { fromFd, type Entry, type ZipFile } from 'yauzl';
import { promisify } from 'node:util';
import { Unreadable } from './rowsIn';

/** A shop with a million shots unpacks to a tenth of it; what is larger is no shop. */
const MOST_BYTES = 8 * 1024 ** 3;
/** Figures shrink to a tenth or so. What shrinks further than this was made to fill a disk. */
const MOST_RATIO = 200;
/** Below this a good ratio hurts nobody. */
const HARMLESS_BYTES = 16 * 1024 ** 2;
const MOST_FILES = 500_000;
const SIGNATURE = 'PK\u0003\u0004';

export const isZip = async (path: string): Promise<boolean> => {
  const file = await openFile(path);
  const { buffer, bytesRead } = await file.read(Buffer.alloc(4), 0, 4, 0);
  await file.close();
  return bytesRead === 4 && buffer.toString('latin1') === SIGNATURE;
};

/** The files of a ZIP by name, each to be opened on its own. */
export interface OpenZip {
  names: string[];
  open(name: string): Promise<Readable>;
  text(name: string): Promise<string>;
  close(): void;
}

/** @throws Unreadable for what is no ZIP, has paths in its names or unpacks to more than it should */
export async function openZip(path: string): Promise<OpenZip> {
  const file = await openFile(path);
  const zip = await promisify<number, ZipFile>((fd, done) =>
    fromFd(fd, { lazyEntries: true, autoClose: false }, (error, opened) => done(error, opened)),
  )(file.fd).catch(async () => {
    await file.close();
    throw new Unreadable('This is no ZIP that can be read: it may be cut off. Send the whole file.');
  });
  const close = (): void => void file.close().catch(() => {});
  try {
    const entries = await entriesOf(zip);
    const open = async (name: string): Promise<Readable> => {
      const entry = entries.get(name);
      if (!entry) throw new Unreadable(`It holds no ${name}.`);
      return promisify<Entry, Readable>((each, done) =>
        zip.openReadStream(each, (error, stream) => done(error, stream)),
      )(entry);
    };
    return { names: [...entries.keys()], open, text: async (name) => textOf(await open(name)), close };
  } catch (error) {
    close();
    throw error;
  }
}

function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    let bytes = 0;
    zip.on('error', (error: Error) => reject(new Unreadable(`This ZIP is refused: ${error.message}.`)));
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: Entry) => {
      bytes += entry.uncompressedSize;
      const ratio = entry.uncompressedSize / Math.max(1, entry.compressedSize);
      const isBomb = entry.uncompressedSize > HARMLESS_BYTES && ratio > MOST_RATIO;
      if (bytes > MOST_BYTES || isBomb || entries.size >= MOST_FILES) {
        reject(new Unreadable('This ZIP is refused: it unpacks to more than a shop ever holds.'));
        return;
      }
      if (!entry.fileName.endsWith('/')) entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

export const openPlain = (path: string): Readable => createReadStream(path);
