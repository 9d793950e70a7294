import { judgeDay, parseDayRequest } from './judge';

/** One line of the conversation: a day judged, or what is wrong with the request. */
export function dayLine(line: string): string {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    return JSON.stringify({ schema: 'olvet.error/1', id: null, errors: [{ path: '', message: 'is not JSON' }] });
  }
  const parsed = parseDayRequest(value);
  if (parsed.ok) return JSON.stringify(judgeDay(parsed.request));
  const id = (value as { id?: unknown } | null)?.id;
  return JSON.stringify({ schema: 'olvet.error/1', id: typeof id === 'string' ? id : null, errors: parsed.errors });
}
