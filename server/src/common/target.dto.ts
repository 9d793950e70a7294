import { TIMER_STARTS, type TimerStart } from '@olvet/core';
import { ChoiceField, NotBelow, NumberField, PartField } from './fields';

export class SecondsWindowDto {
  @NumberField({ min: 5, max: 120 })
  min!: number;

  @NotBelow('min', 'the window’s beginning', { strictly: true })
  @NumberField({ min: 5, max: 120 })
  max!: number;
}

/** What a dial-in aims at; taste on the scales −3 … +3. */
export class TargetDto {
  @NumberField({ min: 4, max: 40 })
  doseGrams!: number;

  @NumberField({ min: 4, max: 200 })
  yieldGrams!: number;

  @NumberField({ min: 60, max: 100, optional: true, description: 'null where the machine has no setting' })
  temperatureC?: number | null;

  @PartField(() => SecondsWindowDto)
  timeSeconds!: SecondsWindowDto;

  @ChoiceField({ of: TIMER_STARTS, name: 'TimerStart' })
  timer!: TimerStart;

  @NumberField({ min: -3, max: 3 })
  balance!: number;

  @NumberField({ min: -3, max: 3 })
  body!: number;
}
