import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { FieldError } from '@olvet/core';
import type { Response } from 'express';
import { ConnectionError, DatabaseError, ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import { Problem } from './problem';

const STATUS: Record<Problem['kind'], number> = {
  invalid: 422,
  'not-found': 404,
  conflict: 409,
  busy: 503,
  'not-let-in': 401,
};
/** A client that is told so asks again by itself. */
const RETRY_AFTER_SECONDS = 1;
/** PostgreSQL's own: statement or lock took too long, the server is shutting down, a deadlock was broken. */
const PASSING = new Set(['57014', '55P03', '57P01', '57P02', '57P03', '40P01', '53300']);

const CHECK_VIOLATION = '23514';

interface ProblemBody {
  type: 'about:blank';
  title: string;
  status: number;
  detail: string;
  errors: FieldError[];
}

/** Every failure leaves as problem+json (RFC 9457) with field paths. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger(ProblemFilter.name);

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const body = this.describe(error);
    // Its own message would be the line's, and the database's quotes what people wrote.
    if (body.status >= 500) this.logger.error({ err: error }, 'A request failed');
    if (response.headersSent) return void response.end();
    if (body.status === 503) response.setHeader('Retry-After', RETRY_AFTER_SECONDS);
    response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
  }

  private describe(error: unknown): ProblemBody {
    const problem = error instanceof Problem ? error : fromDatabase(error);
    if (problem) return bodyOf(STATUS[problem.kind], problem.message, problem.errors);
    if (error instanceof HttpException) {
      const response = error.getResponse();
      const errors = typeof response === 'object' && 'errors' in response ? (response.errors as FieldError[]) : [];
      return bodyOf(error.getStatus(), error.message, errors);
    }
    return fromExpress(error) ?? bodyOf(500, 'Something went wrong here; nothing was saved. Try again.', []);
  }
}

/** The body of a refusal, RFC 9457. */
export function bodyOf(status: number, detail: string, errors: FieldError[]): ProblemBody {
  const titles: Record<number, string> = {
    400: 'Not understood',
    401: 'Not let in',
    404: 'Not found',
    409: 'Changed in the meantime',
    413: 'Too large',
    422: 'Not valid',
    429: 'Too often',
    503: 'Busy',
  };
  return { type: 'about:blank', title: titles[status] ?? 'Error', status, detail, errors };
}

/** Constraint violations name their column in PostgreSQL's own detail: Key ("shopId", "coffeeId")=(…) is not present. */
function fromDatabase(error: unknown): Problem | null {
  if (error instanceof ForeignKeyConstraintError) {
    const path = columnOf(error.parent);
    return new Problem('invalid', 'A reference leads nowhere.', [
      { path, message: 'there is nothing with this id in this shop' },
    ]);
  }
  if (error instanceof UniqueConstraintError) {
    const path = columnOf(error.parent);
    return new Problem('invalid', 'This is taken.', [
      { path, message: 'is already used by another one: choose another' },
    ]);
  }
  if (error instanceof DatabaseError && codeOf(error) === CHECK_VIOLATION) {
    const path = /^possible_(.*)$/.exec(constraintOf(error))?.[1] ?? '';
    return new Problem('invalid', 'This cannot be.', [{ path, message: 'cannot be right: correct it first' }]);
  }
  if (isPassing(error)) {
    return new Problem('busy', 'The database does not answer in time. Nothing was saved; try again in a moment.');
  }
  return null;
}

/** What may go well a moment later: no connection free or to be had, too slow, just starting. */
function isPassing(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  return error instanceof DatabaseError && PASSING.has(codeOf(error));
}

function codeOf({ parent }: DatabaseError): string {
  return String((parent as { code?: string }).code);
}

function constraintOf({ parent }: DatabaseError): string {
  return String((parent as { constraint?: string }).constraint);
}

function columnOf(error: Error): string {
  const detail = 'detail' in error ? String(error.detail) : '';
  const columns = /\(([^)]*)\)=/.exec(detail)?.[1] ?? '';
  return (
    columns
      .split(',')
      .map((c) => c.trim().replaceAll('"', ''))
      .findLast((c) => c !== 'shopId') ?? ''
  );
}

/** Errors of the body parser carry their own status: broken JSON, too large, wrong encoding. */
function fromExpress(error: unknown): ProblemBody | null {
  if (!(error instanceof Error) || !('status' in error) || typeof error.status !== 'number') return null;
  if (error.status < 400 || error.status > 499) return null;
  const detail = error.status === 413 ? 'This is too large: at most 1 MB at a time.' : 'The body is not valid JSON.';
  return bodyOf(error.status, error.status === 413 || error.status === 400 ? detail : error.message, []);
}
