import { AllowNull, Column, DataType, Default, Model, PrimaryKey } from 'sequelize-typescript';
import { ServerOwned } from './serverOwned';

/** A row that belongs to a shop; its key starts with the shop's. */
export abstract class Owned extends Model {
  @ServerOwned
  @PrimaryKey
  @Column(DataType.UUID)
  declare shopId: string;

  @ServerOwned
  @PrimaryKey
  @Column(DataType.UUID)
  declare id: string;

  /** Counts writes; a writer must have seen the last one. */
  @ServerOwned
  @Default(1)
  @AllowNull(false)
  @Column(DataType.INTEGER)
  declare revision: number;

  /** First name of whoever wrote it last; empty where nobody said who stands at the tablet. */
  @ServerOwned
  @Default('')
  @AllowNull(false)
  @Column(DataType.TEXT)
  declare changedBy: string;

  @ServerOwned
  declare createdAt: Date;

  @ServerOwned
  declare updatedAt: Date;
}

/** A row, or a part of one, as JSON carries it: instants as text. */
export type Shown<T> = T extends Date
  ? string
  : T extends (infer Item)[]
    ? Shown<Item>[]
    : T extends Model
      ? { [K in Exclude<keyof T, NotShown>]: Shown<T[K]> }
      : T extends object
        ? { [K in keyof T]: Shown<T[K]> }
        : T;

/** What Sequelize gives every row beside its columns. */
type NotShown = Exclude<keyof Model, 'id' | 'version' | 'createdAt' | 'updatedAt'>;

/** The same answer, typed as its reader will get it; its instants become text when it is written. */
export function shown<T>(answer: T): Shown<T> {
  return answer as Shown<T>;
}
