import { LIMITS, TIMER_STARTS, type TimerStart } from '@olvet/core';
import { ChoiceField, NotBelow, NumberField, PartField } from './fields';

export class SecondsWindowDto {
  @NumberField(LIMITS.windowSeconds)
  min!: number;

  @NotBelow('min', 'the window’s beginning', { strictly: true })
  @NumberField(LIMITS.windowSeconds)
  max!: number;
}

/** What a dial-in aims at; taste on the scales −3 … +3. */
export class TargetDto {
  @NumberField(LIMITS.doseGrams)
  doseGrams!: number;

  @NumberField(LIMITS.yieldGrams)
  yieldGrams!: number;

  @NumberField({ ...LIMITS.temperatureC, optional: true, description: 'null where the machine has no setting' })
  temperatureC?: number | null;

  @PartField(() => SecondsWindowDto)
  timeSeconds!: SecondsWindowDto;

  @ChoiceField({ of: TIMER_STARTS, name: 'TimerStart' })
  timer!: TimerStart;

  @NumberField(LIMITS.taste)
  balance!: number;

  @NumberField(LIMITS.taste)
  body!: number;
}
