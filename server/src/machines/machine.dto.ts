import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import {
  ChoiceField,
  InstantField,
  NotBelow,
  NumberField,
  NumberListField,
  PartField,
  StepWithinScale,
  TextField,
} from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class TemperatureScaleDto {
  @NumberField({ min: 60, max: 100 })
  min!: number;

  @NotBelow('min', 'the lowest temperature', { strictly: true })
  @NumberField({ min: 60, max: 100 })
  max!: number;

  @StepWithinScale()
  @NumberField({ min: 0.1, max: 10 })
  step!: number;
}

export const PRE_BREWS = ['none', 'pre-infusion', 'valve', 'lever'] as const;
export type PreBrew = (typeof PRE_BREWS)[number];

export class TemperatureReadingDto {
  @NumberField({ min: 60, max: 110, description: 'What the display said, °C' })
  shownC!: number;

  @NumberField({ min: 40, max: 110, description: 'What the thermometer said, °C' })
  measuredC!: number;
}

export class ValveReadingDto {
  @NumberField({ min: -20, max: 20, description: 'Turns clockwise from the first reading' })
  turns!: number;

  @NumberField({ min: 0, max: 1000, description: 'Water in 30 s, g' })
  grams!: number;
}

export class CalibratedView {
  @ApiProperty() mean!: number;
  @ApiProperty() sd!: number;
  @ApiProperty() readings!: number;
}

export class MachineDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @PartField(() => TemperatureScaleDto, { optional: true, description: 'null where it cannot be set' })
  temperatureC?: TemperatureScaleDto | null;

  @NumberField({ min: 1, max: 8, integer: true, optional: true })
  groups?: number | null;

  @NumberField({ min: 1, max: 240, integer: true, optional: true, description: 'Minutes until a group is really hot' })
  warmUpMinutes?: number | null;

  @ChoiceField({ of: PRE_BREWS, name: 'PreBrew', optional: true })
  preBrew?: PreBrew | null;

  @NumberField({ min: 0.5, max: 20, optional: true })
  pumpBar?: number | null;

  @PartField(() => TemperatureReadingDto, { many: true, optional: true, maxItems: 100 })
  temperatureReadings?: TemperatureReadingDto[] | null;

  @NumberListField({ min: 0, max: 60, maxItems: 100, optional: true, description: 'Pump on → first drip, s' })
  firstDripReadings?: number[] | null;

  @PartField(() => ValveReadingDto, { many: true, optional: true, maxItems: 100 })
  valveReadings?: ValveReadingDto[] | null;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class MachineView extends IntersectionType(MachineDto, RowView) {
  @ApiProperty() override revision!: number;
  @ApiProperty({ type: CalibratedView, nullable: true, description: 'Group minus display, °C' })
  temperatureOffset!: CalibratedView | null;
  @ApiProperty({ type: CalibratedView, nullable: true, description: 'Pump on → first drip, s' })
  firstDrip!: CalibratedView | null;
}
