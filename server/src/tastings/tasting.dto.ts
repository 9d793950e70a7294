import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { IdField, TextField } from '../common/fields';
import { RowView } from '../common/rows';
import { TasteScalesDto } from './tasteScales.dto';

export class TastingDto extends TasteScalesDto {
  @IdField()
  shotId!: string;

  @TextField({ max: 80, optional: true, description: 'Who tasted; empty for the one at the bar' })
  person?: string | null;

  @TextField({ max: 1000, optional: true })
  words?: string | null;
}

export class TastingView extends IntersectionType(TastingDto, RowView) {
  @ApiProperty() override revision!: number;
}
