import type { FieldError } from './fieldErrors';

type Parsed<R> = { ok: true; request: R } | { ok: false; errors: FieldError[] };

/** One line of a conversation with scripts: the answer to a request, or what is wrong with it, by its id where it has one. */
export function jsonLine<R>(
  line: string,
  parse: (value: unknown) => Parsed<R>,
  answer: (request: R) => object,
): string {
  const refused = (id: string | null, errors: FieldError[]): string =>
    JSON.stringify({ schema: 'olvet.error/1', id, errors });
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    return refused(null, [{ path: '', message: 'is not JSON' }]);
  }
  const parsed = parse(value);
  if (parsed.ok) return JSON.stringify(answer(parsed.request));
  const id = (value as { id?: unknown } | null)?.id;
  return refused(typeof id === 'string' ? id : null, parsed.errors);
}
