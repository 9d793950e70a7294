import { isPending, type Middleware } from '@reduxjs/toolkit';

/** What this page wrote itself it has read again already: the stream tells of it within so long. */
const TOLD_WITHIN_MS = 3000;

/** A write as it was asked for: of a shot its sheet is told, too, of a tasting its shot. */
interface Sent {
  id?: unknown;
  shotDto?: { runId?: unknown };
  tastingDto?: { shotId?: unknown };
}

function toldOf({ id, shotDto, tastingDto }: Sent): string[] {
  return [id, shotDto?.runId, tastingDto?.shotId].filter((each) => typeof each === 'string');
}

const written = new Map<string, number>();

/** Remembers the rows that this page writes. */
export const rememberWrites: Middleware = () => (next) => (action) => {
  // The stream may tell of it before the answer is there.
  if (isPending(action)) {
    const { arg } = action.meta as { arg?: { type?: string; originalArgs?: Sent } };
    if (arg?.type === 'mutation') for (const id of toldOf(arg.originalArgs ?? {})) written.set(id, performance.now());
  }
  return next(action);
};

/** Whether this page wrote that row a moment ago. Each write answers for one word of the stream: the next one is another's. */
export function takeOwnWrite(id: string): boolean {
  const now = performance.now();
  for (const [each, at] of written) if (now - at > TOLD_WITHIN_MS) written.delete(each);
  return written.delete(id);
}
