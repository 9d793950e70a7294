import { Column, CreatedAt, DataType, Model, PrimaryKey, Table } from 'sequelize-typescript';

/** What scale and machine said while a shot ran: read when it is opened large, so it lies beside the shots. */
@Table({ tableName: 'shot_traces', updatedAt: false })
export class ShotTrace extends Model {
  @PrimaryKey
  @Column(DataType.UUID)
  declare shopId: string;

  @PrimaryKey
  @Column(DataType.UUID)
  declare shotId: string;

  /** Packed: `packTrace`. */
  @Column(DataType.BLOB)
  declare body: Buffer;

  @CreatedAt
  declare createdAt: Date;
}
