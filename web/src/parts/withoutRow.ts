/** What the server adds to a row beside what was written. */
type Added =
  | 'id'
  | 'createdAt'
  | 'updatedAt'
  | 'changedBy'
  | 'openedAt'
  | 'traced'
  | 'lesson'
  | 'suggestedStart'
  | 'learnedSlope'
  | 'learnedTaste'
  | 'temperatureOffset'
  | 'firstDrip';

/** A stored row as its own DTO again: what the server adds is taken off, the revision stays. */
export function withoutRow<T extends object>(row: T): Omit<T, Added> {
  const {
    id: _id,
    createdAt: _created,
    updatedAt: _updated,
    changedBy: _changedBy,
    openedAt: _openedAt,
    shopId: _shop,
    traced: _traced,
    lesson: _lesson,
    suggestedStart: _suggestedStart,
    learnedSlope: _slope,
    learnedTaste: _taste,
    temperatureOffset: _offset,
    firstDrip: _drip,
    ...dto
  } = row as T & Record<string, unknown>;
  return dto as Omit<T, Added>;
}
