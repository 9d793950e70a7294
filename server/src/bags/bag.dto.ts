import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { DayField, IdField, InstantField, NumberField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class BagDto extends RevisionDto {
  @IdField()
  coffeeId!: string;

  @DayField({ optional: true })
  roastedOn?: string | null;

  @DayField({ optional: true })
  openedOn?: string | null;

  @NumberField({ min: 1, max: 100000, description: 'When full' })
  weightGrams!: number;

  @NumberField({ min: 0, max: 10000000, integer: true, optional: true })
  priceCents?: number | null;

  @InstantField({ optional: true })
  finishedAt?: string | null;
}

export class BagView extends IntersectionType(BagDto, RowView) {
  @ApiProperty() override revision!: number;
}
