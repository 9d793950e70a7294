/** A stored row as its own DTO again: what the server adds is taken off, the revision stays. */
export function withoutRow<T extends object>(row: T): Omit<T, 'id' | 'createdAt' | 'updatedAt'> {
  const {
    id: _id,
    createdAt: _created,
    updatedAt: _updated,
    shopId: _shop,
    ...dto
  } = row as T & Record<string, unknown>;
  return dto as Omit<T, 'id' | 'createdAt' | 'updatedAt'>;
}
