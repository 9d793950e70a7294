import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { ChoiceField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class ShopDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @TextField({ min: 3, max: 3, description: 'ISO 4217' })
  currency!: string;

  @ChoiceField({ of: ['C', 'F'], name: 'TemperatureUnit' })
  temperatureUnit!: 'C' | 'F';
}

export class ShopView extends IntersectionType(ShopDto, RowView) {
  @ApiProperty() override revision!: number;
  @ApiProperty() isDemo!: boolean;
}
