import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { ChoiceField, IdField, InstantField, NumberField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class FoundDoseDto extends RevisionDto {
  @IdField()
  basketId!: string;

  @IdField()
  coffeeId!: string;

  @NumberField({ min: 4, max: 40 })
  grams!: number;

  @NumberField({ min: 0.05, max: 5, description: 'Half-width that holds the right dose in 19 of 20 cases' })
  toleranceGrams!: number;

  @ChoiceField({ of: ['coin', 'strike'], name: 'DoseHow', description: 'By the print of a thin coin, or struck level' })
  how!: 'coin' | 'strike';

  @InstantField()
  foundAt!: string;
}

export class FoundDoseView extends IntersectionType(FoundDoseDto, RowView) {
  @ApiProperty() override revision!: number;
}
