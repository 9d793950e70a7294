import { ApiProperty } from '@nestjs/swagger';
import { IdField, NumberField } from '../common/fields';

export class StartQuery {
  @IdField()
  grinderId!: string;

  @IdField()
  coffeeId!: string;

  @IdField()
  basketId!: string;

  @NumberField({ min: 1, max: 60 })
  doseGrams!: number;

  @NumberField({ min: 1, max: 500 })
  yieldGrams!: number;

  @NumberField({ min: 1, max: 300, description: 'Middle of the wanted window' })
  middleSeconds!: number;
}

export class KeptSettingView {
  @ApiProperty() coffeeName!: string;
  @ApiProperty() grind!: number;
  @ApiProperty() daysAgo!: number;
}

export class StartView {
  @ApiProperty({ type: Number, nullable: true, description: 'null while the grinder has kept no recipe' })
  grind!: number | null;
  @ApiProperty({ type: Number, nullable: true }) sd!: number | null;
  @ApiProperty({ type: [KeptSettingView] }) from!: KeptSettingView[];
}
