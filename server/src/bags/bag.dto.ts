import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { DayField, IdField, InstantField, NumberField, PartField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class FrozenSpellDto {
  @DayField()
  from!: string;

  @DayField({ optional: true, description: 'null while it lies frozen' })
  to?: string | null;
}

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

  @PartField(() => FrozenSpellDto, { many: true, optional: true, maxItems: 50 })
  frozen?: FrozenSpellDto[] | null;

  @NumberField({ min: 0, max: 100000, optional: true, description: 'What was left when it was last weighed' })
  weighedGrams?: number | null;

  @InstantField({ optional: true })
  weighedAt?: string | null;

  @InstantField({ optional: true })
  finishedAt?: string | null;
}

export class BagView extends IntersectionType(BagDto, RowView) {
  @ApiProperty() override revision!: number;
}
