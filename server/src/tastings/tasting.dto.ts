import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { IdField, NumberField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class TastingDto extends RevisionDto {
  @IdField()
  shotId!: string;

  @TextField({ max: 80, optional: true, description: 'Who tasted; empty for the one at the bar' })
  person?: string | null;

  @NumberField({ min: -3, max: 3, optional: true, description: '−3 very sour … +3 very bitter' })
  balance?: number | null;

  @NumberField({ min: -3, max: 3, optional: true, description: '−3 thin … +3 heavy' })
  body?: number | null;

  @NumberField({ min: 0, max: 3, optional: true })
  dryness?: number | null;

  @NumberField({ min: 0, max: 10, optional: true })
  sweetness?: number | null;

  @NumberField({ min: 0, max: 10, optional: true })
  overall?: number | null;

  @TextField({ max: 1000, optional: true })
  words?: string | null;
}

export class TastingView extends IntersectionType(TastingDto, RowView) {
  @ApiProperty() override revision!: number;
}
