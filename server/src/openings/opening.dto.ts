import { ApiProperty, IntersectionType, OmitType } from '@nestjs/swagger';
import { LIMITS, OPENING_STEPS, type OpeningStep } from '@olvet/core';
import { ChoiceListField, DayField, IdField, InstantField, NumberField, PartField } from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

/** What the setting the day before closed at was expected to pour. */
export class OpeningForecastDto extends OmitType(RevisionDto, ['revision']) {
  @NumberField({ ...LIMITS.grind })
  grind!: number;

  @NumberField({ ...LIMITS.timeSeconds })
  mean!: number;

  @NumberField({ ...LIMITS.timeSeconds })
  p10!: number;

  @NumberField({ ...LIMITS.timeSeconds })
  p90!: number;
}

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

  @PartField(() => OpeningForecastDto, {
    optional: true,
    description: 'As it was shown before the first shot: held against that, it says how good forecasts are here',
  })
  forecast?: OpeningForecastDto | null;
}

export class OpeningView extends IntersectionType(OpeningDto, RowView) {
  @ApiProperty() override revision!: number;
}
