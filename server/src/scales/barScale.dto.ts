import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { InstantField, NumberField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class BarScaleDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @NumberField({ min: 0.001, max: 10, description: 'Smallest step it shows, g' })
  resolutionGrams!: number;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class BarScaleView extends IntersectionType(BarScaleDto, RowView) {
  @ApiProperty() override revision!: number;
}
