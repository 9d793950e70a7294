import { Column, DataType, Table } from 'sequelize-typescript';
import { Edit } from '../database/edit.model';
import { Owned } from '../database/owned.model';

/** What one person tasted in one shot, on the contract's scales. */
@Table({ tableName: 'tastings' })
export class Tasting extends Owned {
  @Column(DataType.UUID)
  declare shotId: string;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare person: string;

  @Column(DataType.DOUBLE)
  declare balance: number | null;

  @Column(DataType.DOUBLE)
  declare body: number | null;

  @Column(DataType.DOUBLE)
  declare dryness: number | null;

  @Column(DataType.DOUBLE)
  declare sweetness: number | null;

  @Column(DataType.DOUBLE)
  declare overall: number | null;

  /** How much of the cup was swallowed; a sip where nobody said. */
  @Column(DataType.DOUBLE)
  declare share: number | null;

  @Column({ type: DataType.TEXT, defaultValue: '' })
  declare words: string;
}

/** What a tasting said before a correction. */
@Table({ tableName: 'tasting_edits', timestamps: false })
export class TastingEdit extends Edit<Tasting> {
  @Column({ type: DataType.UUID, primaryKey: true })
  declare tastingId: string;
}
