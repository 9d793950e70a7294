import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { LIMITS, OPENING_STEPS, type OpeningStep } from '@olvet/core';
import { ChoiceListField, DayField, IdField, InstantField, NumberField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class OpeningDto extends RevisionDto {
  @IdField()
  stationId!: string;

  @DayField()
  day!: string;

  @InstantField({ optional: true, description: 'When the machine was switched on' })
  switchedOnAt?: string | null;

  @ChoiceListField({ of: OPENING_STEPS, name: 'OpeningStep', optional: true })
  done?: OpeningStep[] | null;

  @NumberField({ ...LIMITS.roomC, optional: true, description: 'In the room, °C' })
  roomC?: number | null;

  @NumberField({ ...LIMITS.humidityPercent, optional: true })
  humidityPercent?: number | null;
}

export class OpeningView extends IntersectionType(OpeningDto, RowView) {
  @ApiProperty() override revision!: number;
}
