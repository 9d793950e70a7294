import { ApiProperty, IntersectionType } from '@nestjs/swagger';
import { LATEST_FIRST_HOUR, LIMITS, MOST_CHECK_TIMES } from '@olvet/core';
import {
  BooleanField,
  ChoiceField,
  ClockTimesField,
  CurrencyField,
  NumberField,
  TextField,
  TimeZoneField,
} from '../common/fields';
import { RevisionDto, RowView } from '../common/rows';

export class ShopDto extends RevisionDto {
  @TextField({ min: 1, max: 80 })
  name!: string;

  @CurrencyField()
  currency!: string;

  @ChoiceField({ of: ['C', 'F'], name: 'TemperatureUnit' })
  temperatureUnit!: 'C' | 'F';

  @TimeZoneField({ description: 'IANA name of the shop’s time zone, like Europe/Lisbon' })
  timeZone!: string;

  @NumberField({
    min: 0,
    max: LATEST_FIRST_HOUR,
    integer: true,
    description: 'Hour at which a day begins; shots before it belong to the evening before',
  })
  firstHour!: number;

  @BooleanField({ optional: true, description: 'Is a check shot due when a station opens?' })
  checkAtOpening?: boolean | null;

  @ClockTimesField({ maxItems: MOST_CHECK_TIMES, optional: true, description: 'When a check shot is due, HH:MM' })
  checkTimes?: string[] | null;

  @BooleanField({ optional: true, description: 'Is a check shot due after a new bag?' })
  checkAtNewBag?: boolean | null;

  @NumberField({
    ...LIMITS.toleranceSeconds,
    optional: true,
    description: 'How far from its found time a shot may run before a station drifts',
  })
  toleranceSeconds?: number | null;
}

export class ShopView extends IntersectionType(ShopDto, RowView) {
  @ApiProperty() override revision!: number;
  @ApiProperty() isDemo!: boolean;
}
