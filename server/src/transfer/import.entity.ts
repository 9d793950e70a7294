import type { Match } from '@olvet/core';
import { Column, DataType, Table } from 'sequelize-typescript';
import { Owned } from '../database/owned.model';
import { ServerOwned } from '../database/serverOwned';
import type { TableCount } from './outcomes';

export const IMPORT_STATES = ['reading', 'unreadable', 'read', 'taking', 'taken', 'taken-back'] as const;
export type ImportState = (typeof IMPORT_STATES)[number];

/** A file that was brought: read and looked at, then perhaps taken, and perhaps taken back. */
@Table({ tableName: 'imports' })
export class Import extends Owned {
  @Column(DataType.TEXT)
  declare fileName: string;

  @Column(DataType.TEXT)
  declare state: ImportState;

  @ServerOwned
  @Column(DataType.INTEGER)
  declare rowsRead: number;

  @ServerOwned
  @Column(DataType.JSONB)
  declare tables: TableCount[];

  /** Files of a ZIP that are of no table. */
  @ServerOwned
  @Column(DataType.JSONB)
  declare notRead: string[];

  /** Why it could not be read, or taken. */
  @ServerOwned
  @Column(DataType.TEXT)
  declare problem: string | null;

  /** The settings in the file, for a shop that has nothing yet. */
  @ServerOwned
  @Column(DataType.JSONB)
  declare shop: object | null;

  @ServerOwned
  @Column(DataType.DATE)
  declare takenAt: Date | null;

  @ServerOwned
  @Column(DataType.DATE)
  declare takenBackAt: Date | null;
}

/** How a file with these columns was read before: the next one of its kind needs no matching. */
@Table({ tableName: 'import_matches' })
export class ImportMatch extends Owned {
  /** The names of the columns, as JSON. */
  @Column(DataType.TEXT)
  declare headers: string;

  @Column(DataType.JSONB)
  declare match: Match;
}
