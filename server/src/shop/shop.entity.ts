import { Column, DataType, Model, PrimaryKey, Table } from 'sequelize-typescript';

@Table({ tableName: 'shops' })
export class Shop extends Model {
  @PrimaryKey
  @Column(DataType.UUID)
  declare id: string;

  @Column(DataType.TEXT)
  declare name: string;

  @Column({ type: DataType.TEXT, defaultValue: 'EUR' })
  declare currency: string;

  @Column({ type: DataType.TEXT, defaultValue: 'C' })
  declare temperatureUnit: 'C' | 'F';

  @Column({ type: DataType.BOOLEAN, defaultValue: false })
  declare isDemo: boolean;

  @Column({ type: DataType.INTEGER, defaultValue: 1 })
  declare revision: number;

  declare createdAt: Date;
  declare updatedAt: Date;
}
