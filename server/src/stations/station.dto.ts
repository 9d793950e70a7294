import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { METHOD_IDS } from '@olvet/core';
import { ChoiceField, IdField, InstantField, NumberField, PartField, TextField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';
import { TargetDto } from '../common/target.dto';

export class StationDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @NumberField({ min: 0, max: 1000, integer: true, optional: true })
  position?: number | null;

  @IdField()
  grinderId!: string;

  @IdField()
  machineId!: string;

  @IdField()
  basketId!: string;

  @IdField()
  coffeeId!: string;

  @ChoiceField({ of: METHOD_IDS, name: 'MethodId' })
  methodId!: string;

  @PartField(() => TargetDto)
  target!: TargetDto;

  @NumberField({ min: -1000, max: 10000, optional: true, description: 'Where the grinder stands now' })
  grind?: number | null;

  @InstantField({ optional: true })
  retiredAt?: string | null;
}

export class StationView extends IntersectionType(StationDto, RowView) {
  @ApiProperty() override revision!: number;
}
