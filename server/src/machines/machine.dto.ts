import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { InstantField, NotBelow, NumberField, PartField, StepWithinScale, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class TemperatureScaleDto {
  @NumberField({ min: 60, max: 100 })
  min!: number;

  @NotBelow('min', { strictly: true })
  @NumberField({ min: 60, max: 100 })
  max!: number;

  @StepWithinScale()
  @NumberField({ min: 0.1, max: 10 })
  step!: number;
}

export class MachineDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @PartField(() => TemperatureScaleDto, { optional: true, description: 'null where it cannot be set' })
  temperatureC?: TemperatureScaleDto | null;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class MachineView extends IntersectionType(MachineDto, RowView) {
  @ApiProperty() override revision!: number;
}
