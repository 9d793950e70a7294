import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { ChoiceField, InstantField, NotBelow, NumberField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class BasketDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @NumberField({ min: 4, max: 40 })
  nominalGrams!: number;

  @NumberField({ min: 4, max: 40 })
  minGrams!: number;

  @NotBelow('minGrams', 'the least it takes')
  @NumberField({ min: 4, max: 40 })
  maxGrams!: number;

  @NumberField({ min: 30, max: 80, optional: true, description: 'Inside, at the top, mm' })
  diameterMm?: number | null;

  @ChoiceField({ of: ['straight', 'tapered'], name: 'BasketShape', optional: true })
  shape?: 'straight' | 'tapered' | null;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class BasketView extends IntersectionType(BasketDto, RowView) {
  @ApiProperty() override revision!: number;
}
