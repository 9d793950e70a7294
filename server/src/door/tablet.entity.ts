import { Column, DataType, Model, PrimaryKey, Table } from 'sequelize-typescript';

/** A device of the shop's own network that was let in by the code. */
@Table({ tableName: 'tablets', timestamps: false })
export class Tablet extends Model {
  @PrimaryKey
  @Column(DataType.UUID)
  declare shopId: string;

  @PrimaryKey
  @Column(DataType.UUID)
  declare id: string;

  @Column(DataType.TEXT)
  declare name: string;

  @Column({ type: DataType.DATE, defaultValue: DataType.NOW })
  declare letInAt: Date;

  @Column({ type: DataType.DATE, defaultValue: DataType.NOW })
  declare seenAt: Date;

  @Column(DataType.DATE)
  declare letOutAt: Date | null;
}
