import 'reflect-metadata';

const KEY = Symbol('serverOwned');

/** Marks a column that only the server writes: a client's put neither sets nor clears it. */
export function ServerOwned(target: object, column: string): void {
  Reflect.defineMetadata(KEY, [...serverOwnedOf(target.constructor), column], target.constructor);
}

/** Names of the columns of this table, inherited ones included, that only the server writes. */
export function serverOwnedOf(model: object): readonly string[] {
  return (Reflect.getMetadata(KEY, model) as string[] | undefined) ?? [];
}
