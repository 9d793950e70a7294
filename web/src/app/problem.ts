export interface FieldProblem {
  path: string;
  message: string;
}

export interface ServerProblem {
  detail: string;
  errors: FieldProblem[];
}

/** Whether a request got no answer of Olvet's own: dropped, left hanging, or the server in trouble. It passes. */
export function isUnanswered(error: unknown): boolean {
  const { status } = (error ?? {}) as { status?: unknown };
  return status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR' || (typeof status === 'number' && status >= 500);
}

/** What went wrong with a request, in words: the server's own problem document, or that it was out of reach. */
export function problemOf(error: unknown): ServerProblem {
  if (typeof error === 'object' && error !== null && 'status' in error) {
    const { status, data } = error as { status: unknown; data?: unknown };
    if (status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR') {
      return { detail: 'Olvet’s server is out of reach. Nothing is lost: try again in a moment.', errors: [] };
    }
    if (typeof data === 'object' && data !== null && 'detail' in data) {
      const { detail, errors } = data as { detail: string; errors?: FieldProblem[] };
      return { detail, errors: errors ?? [] };
    }
  }
  return { detail: 'Something went wrong; nothing was saved. Try again.', errors: [] };
}

const UNITS: Record<string, string> = { Grams: 'g', Seconds: 's', C: '°C', Percent: '%', Mm: 'mm' };

/** A field's path as one would say it: `shots[2].doseGrams` is "shot 3, dose (g)". */
export function fieldInWords(path: string): string {
  return path
    .split('.')
    .map((part) => {
      const [, list, index] = /^(\w+?)s?\[(\d+)\]$/.exec(part) ?? [];
      if (list) return `${spelled(list)} ${Number(index) + 1}`;
      const [, name, unit] = /^(\w+?)(Grams|Seconds|C|Percent|Mm)$/.exec(part) ?? [];
      return name ? `${spelled(name)} (${UNITS[unit!]})` : spelled(part);
    })
    .join(', ');
}

const spelled = (camelCase: string): string => camelCase.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

/** Field errors in the shape Ant Design's forms take them; `prefix` is cut off nested paths. */
export function formErrors(problem: ServerProblem, prefix = ''): { name: (string | number)[]; errors: string[] }[] {
  return problem.errors
    .filter(({ path }) => path.startsWith(prefix))
    .map(({ path, message }) => ({
      name: path
        .slice(prefix.length)
        .split(/[.[\]]/)
        .filter((part) => part !== '')
        .map((part) => (/^\d+$/.test(part) ? Number(part) : part)),
      errors: [message],
    }));
}
