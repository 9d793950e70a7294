import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { LIMITS } from '@olvet/core';
import { IdField, InstantField, MethodIdField, NumberField, PartField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';
import { TargetDto } from '../common/target.dto';

class ChangeFieldsDto extends RevisionDto {
  @IdField()
  stationId!: string;

  @IdField()
  toCoffeeId!: string;

  @IdField({ optional: true, description: 'The bag that was opened for it' })
  bagId?: string | null;

  @NumberField({
    ...LIMITS.thrownGrams,
    optional: true,
    description: 'What of the coffee before was left in hopper and grinder, and discarded, g',
  })
  thrownGrams?: number | null;

  @InstantField()
  changedAt!: string;
}

export class CoffeeChangeDto extends ChangeFieldsDto {
  @MethodIdField()
  methodId!: string;

  @PartField(() => TargetDto, { description: 'What the station aims at from now on' })
  target!: TargetDto;

  @NumberField({ ...LIMITS.grind, optional: true, description: 'Where the grinder stands from now on' })
  grind?: number | null;
}

export class CoffeeChangeView extends IntersectionType(OmitType(ChangeFieldsDto, ['revision']), RowView) {
  @ApiProperty({ format: 'uuid' }) fromCoffeeId!: string;
  @ApiProperty() override thrownGrams!: number;
}
