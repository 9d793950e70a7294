import type { z } from 'zod';

export interface FieldError {
  /** Like `shots[2].doseGrams`; empty for the thing as a whole. */
  path: string;
  message: string;
}

/** Every complaint of a schema with its field's path, in words that say what would be right. */
export function fieldErrorsOf(error: z.ZodError): FieldError[] {
  const errors = error.issues.flatMap((issue) => fieldErrors(issue, []));
  // Two schemas joined into one complain twice of the same field.
  const once = new Map(errors.map((found) => [`${found.path} ${found.message}`, found]));
  return [...once.values()];
}

type Issue = z.core.$ZodIssue;

function fieldErrors(issue: Issue, prefix: PropertyKey[]): FieldError[] {
  const path = [...prefix, ...issue.path];
  if (issue.code === 'invalid_union') {
    // Of the two ways to give a method, complain about the one that was tried: text or object.
    const branches = issue.errors.filter((errors) => errors.length > 0);
    const tried =
      branches.find((errors) => errors.some((e) => e.path.length > 0 || e.code === 'custom')) ?? branches[0];
    return (tried ?? []).flatMap((inner) => fieldErrors(inner, path));
  }
  return [{ path: writePath(path), message: writeMessage(issue) }];
}

function withArticle(noun: string): string {
  return `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`;
}

function writePath(path: PropertyKey[]): string {
  return path.reduce<string>((text, part) => {
    if (typeof part === 'number') return `${text}[${part}]`;
    return text === '' ? String(part) : `${text}.${String(part)}`;
  }, '');
}

function writeMessage(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? `is missing: give ${withArticle(issue.expected)}`
        : `must be ${withArticle(issue.expected)}`;
    case 'too_small':
      return issue.inclusive === false ? `must be above ${issue.minimum}` : `must be at least ${issue.minimum}`;
    case 'too_big':
      return `must be at most ${issue.maximum}`;
    case 'invalid_value':
      return `must be one of ${issue.values.join(', ')}`;
    default:
      return issue.message;
  }
}
