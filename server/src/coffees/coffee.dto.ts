import { ApiProperty, ApiPropertyOptional, IntersectionType } from '@nestjs/swagger';
import { BODY_GOALS, DRUNK_AS, FLAVOUR_GOALS, ROASTS, type DrunkAs, type Roast } from '@olvet/core';
import { BooleanField, ChoiceField, InstantField, NumberField, TextField } from '../common/fields';
import { NormalView } from '../common/normal.dto';
import { RevisionDto, RowView } from '../common/rows';

const FLAVOUR_IDS = FLAVOUR_GOALS.map(({ id }) => id);
const BODY_IDS = BODY_GOALS.map(({ id }) => id);

export class CoffeeDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @TextField({ max: 80, optional: true })
  roaster?: string | null;

  @TextField({ max: 120, optional: true })
  origin?: string | null;

  @TextField({ max: 60, optional: true })
  process?: string | null;

  @NumberField({ min: -400, max: 6000, integer: true, optional: true })
  altitudeM?: number | null;

  @ChoiceField({ of: ROASTS, name: 'Roast' })
  roast!: Roast;

  @TextField({ max: 2000, optional: true, description: 'What the roaster says it tastes like' })
  notes?: string | null;

  @NumberField({
    min: 0,
    max: 100,
    integer: true,
    optional: true,
    description: 'Share of arabica, %; the rest is robusta',
  })
  arabicaPercent?: number | null;

  @ChoiceField({ of: FLAVOUR_IDS, name: 'FlavourGoal', optional: true, description: 'What it should taste of' })
  flavourGoal?: string | null;

  @ChoiceField({ of: BODY_IDS, name: 'BodyGoal', optional: true })
  bodyGoal?: string | null;

  @ChoiceField({ of: DRUNK_AS, name: 'DrunkAs', optional: true })
  drunkAs?: DrunkAs | null;

  @BooleanField({ optional: true })
  decaf?: boolean | null;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

/** How a coffee was found to taste where it pours in the middle of its window. */
export class LearnedTasteView {
  @ApiProperty({ type: NormalView }) balance!: NormalView;
  @ApiProperty({ type: NormalView }) body!: NormalView;
  @ApiProperty() ratio!: number;
  @ApiProperty() middleSeconds!: number;
  @ApiPropertyOptional({ type: Number, nullable: true }) temperatureC?: number | null;
  @ApiProperty() shots!: number;
}

export class CoffeeView extends IntersectionType(CoffeeDto, RowView) {
  @ApiProperty() override revision!: number;
  @ApiProperty({ type: LearnedTasteView, nullable: true }) learnedTaste!: LearnedTasteView | null;
}
