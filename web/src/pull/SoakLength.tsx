import { LIMITS, SOAK_BY_COVER } from '@olvet/core';
import { soakByCoverSet } from '../app/settingsSlice';
import { useAppDispatch, useAppSelector } from '../app/store';
import { Stepper } from '../parts/Stepper';

/** Before a shot whose soak the machine can end: how long that lasts once the basket is covered. */
export function SoakLength() {
  const dispatch = useAppDispatch();
  const soakByCover = useAppSelector((state) => state.settings.soakByCover);
  return (
    <Stepper
      id="pull-soak"
      label="soak"
      unit="× time to cover"
      value={soakByCover}
      step={0.5}
      {...LIMITS.soakByCover}
      from={SOAK_BY_COVER}
      onChange={(value) => value !== null && dispatch(soakByCoverSet(value))}
    />
  );
}
