import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { IdField, InstantField, NumberField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class DoseWeighingDto extends RevisionDto {
  @IdField()
  grinderId!: string;

  @NumberField({ min: -1000, max: 10000 })
  grind!: number;

  @NumberField({ min: 0.1, max: 120, description: 'How long the grinder ran' })
  seconds!: number;

  @NumberField({ min: 0.5, max: 100 })
  grams!: number;

  @InstantField()
  weighedAt!: string;

  @InstantField({ optional: true, description: 'Set when it was a mistake' })
  removedAt?: string | null;
}

export class DoseWeighingView extends IntersectionType(DoseWeighingDto, RowView) {
  @ApiProperty() override revision!: number;
}
