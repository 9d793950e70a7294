import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { LIMITS } from '@olvet/core';
import { BooleanField, IdField, InstantField, NumberField, TextField } from '../common/fields';
import { GearDto } from '../common/gear.dto';
import { RowView } from '../common/rows';

export class StationDto extends GearDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @NumberField({ min: 0, max: 1000, integer: true, optional: true })
  position?: number | null;

  @NumberField({ ...LIMITS.grind, optional: true, description: 'Where the grinder stands now' })
  grind?: number | null;

  @NumberField({ ...LIMITS.grindSeconds, optional: true, description: 'What a timed grinder runs for the dose now' })
  grindSeconds?: number | null;

  @NumberField({ ...LIMITS.turnUnits, optional: true, description: 'The most to turn for a drift at once' })
  unitsPerMove?: number | null;

  @NumberField({ ...LIMITS.turnUnits, optional: true, description: 'The most to turn for drifts in a day' })
  unitsPerDay?: number | null;

  @IdField({ optional: true })
  scaleId?: string | null;

  @BooleanField({ optional: true, description: 'false where doses are struck level and yields read in a glass' })
  weighs?: boolean | null;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class StationView extends IntersectionType(StationDto, RowView) {
  @ApiProperty() override revision!: number;
}
