import { AsyncLocalStorage } from 'node:async_hooks';
import type { NextFunction, Request, Response } from 'express';
import type { Model, ModelStatic } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';

/** A request says with this header who stands at the tablet: a first name, percent-encoded as in an address. */
export const PERSON_HEADER = 'olvet-person';

const MOST_LETTERS = 80;
const there = new AsyncLocalStorage<string>();

/** Remembers, while a request is answered, who sent it; nothing is locked by it. */
export function noteWhoIsThere(request: Request, _response: Response, next: NextFunction): void {
  there.run(nameIn(request.header(PERSON_HEADER) ?? ''), next);
}

/** The first name, '' where nobody said so, undefined outside a request. */
export function whoIsThere(): string | undefined {
  return there.getStore();
}

/** Every row written while a request is answered carries who wrote it; what the server does by itself leaves the name. */
export function signRows(sequelize: Sequelize): void {
  sequelize.addHook('beforeSave', (row) => {
    const person = whoIsThere();
    const table = row.constructor as ModelStatic<Model>;
    if (person !== undefined && 'changedBy' in table.getAttributes()) row.set('changedBy', person);
  });
}

/** What is no name at all is nobody: a broken header must not lose a shot. */
function nameIn(header: string): string {
  try {
    const name = decodeURIComponent(header).trim().slice(0, MOST_LETTERS);
    return /^[\p{L}\p{N}\p{M}\p{P} ]+$/u.test(name) ? name : '';
  } catch {
    return '';
  }
}
