import { AllowNull, Column, DataType, Default, Model, PrimaryKey } from 'sequelize-typescript';

/** A row that belongs to a shop; its key starts with the shop's. */
export abstract class Owned extends Model {
  @PrimaryKey
  @Column(DataType.UUID)
  declare shopId: string;

  @PrimaryKey
  @Column(DataType.UUID)
  declare id: string;

  /** Counts writes; a writer must have seen the last one. */
  @Default(1)
  @AllowNull(false)
  @Column(DataType.INTEGER)
  declare revision: number;

  declare createdAt: Date;
  declare updatedAt: Date;
}
