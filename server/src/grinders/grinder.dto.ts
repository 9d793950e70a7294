import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { ChoiceField, InstantField, NotBelow, NumberField, StepWithinScale, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class GrinderDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @NumberField({ min: -1000, max: 10000, description: 'Lowest number on the scale' })
  min!: number;

  @NotBelow('min', 'the lower end of the scale', { strictly: true })
  @NumberField({ min: -1000, max: 10000, description: 'Highest number on the scale' })
  max!: number;

  @StepWithinScale()
  @NumberField({ min: 0, max: 1000, description: 'Smallest usable change; 0 = stepless' })
  step!: number;

  @ChoiceField({ of: ['lower', 'higher'], name: 'FinerWay' })
  finer!: 'lower' | 'higher';

  @ChoiceField({ of: ['timed', 'weighed'], name: 'Dosing' })
  dosing!: 'timed' | 'weighed';

  @NumberField({ min: 0, max: 100, description: 'Old grounds to discard after a change, g' })
  purgeGrams!: number;

  @ChoiceField({ of: ['numbered', 'marked'], name: 'Collar', optional: true, description: 'Numbers, or plain marks' })
  collar?: 'numbered' | 'marked' | null;

  @NumberField({ min: 0, max: 100, optional: true, description: 'What stays in the chute, g' })
  retentionGrams?: number | null;

  @NumberField({ min: 0, max: 1000000, optional: true, description: 'Ground with these burrs before Olvet, kg' })
  groundKg?: number | null;

  @NumberField({ min: 1, max: 1000000, optional: true, description: 'What the maker says the burrs last, kg' })
  burrLifeKg?: number | null;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class LearnedSlopeView {
  @ApiProperty({ description: 'Change of ln(seconds per gram) for one unit finer' }) mean!: number;
  @ApiProperty() sd!: number;
  @ApiProperty() shots!: number;
}

export class GrinderView extends IntersectionType(GrinderDto, RowView) {
  @ApiProperty() override revision!: number;
  @ApiProperty({ type: LearnedSlopeView, nullable: true }) learnedSlope!: LearnedSlopeView | null;
}
