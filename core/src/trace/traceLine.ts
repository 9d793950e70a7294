import { parseTraceRequest, readTrace } from './readTrace';

/** One line of the conversation: a trace, or what is wrong with the request. */
export function traceLine(line: string): string {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    return JSON.stringify({ schema: 'olvet.error/1', id: null, errors: [{ path: '', message: 'is not JSON' }] });
  }
  const parsed = parseTraceRequest(value);
  if (parsed.ok) return JSON.stringify(readTrace(parsed.request));
  const id = (value as { id?: unknown } | null)?.id;
  return JSON.stringify({ schema: 'olvet.error/1', id: typeof id === 'string' ? id : null, errors: parsed.errors });
}
