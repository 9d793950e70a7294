import { plainNumber, type Settings } from '@olvet/core';
import { Link } from 'react-router';
import type { SheetView } from '../app/api';
import { shownDifference, useTemperatureUnit } from '../parts/temperature';
import styles from './StartHint.module.css';

const FELT = {
  'too-coarse': 'it poured apart, like sand',
  near: 'it held a peak: near',
  'too-fine': 'it packed like flour',
} as const;

/** Before the first shot: what was measured and counts, and what could still be. */
export function BeforeFirst({ sheet, next }: { sheet: SheetView; next: Settings | null }) {
  const { run, station, grinder, foundDose, timedDose, hasScale, machine } = sheet;
  const unit = useTemperatureUnit();
  const stood = station.grind ?? null;
  const isTurned = next !== null && stood !== null && next.grind !== stood;
  const said = [
    isTurned && grinder.purgeGrams > 0
      ? `The grinder stood at ${plainNumber(stood)}: turn it, and purge ${plainNumber(grinder.purgeGrams)} g first.`
      : null,
    run.handCheck ? `Between the fingers ${FELT[run.handCheck]}.` : null,
    foundDose
      ? `The dose was found: ${plainNumber(foundDose.grams, 1)} g ±${plainNumber(foundDose.toleranceGrams, 1)}.`
      : null,
    hasScale ? null : 'Nothing is weighed here: forecasts are wider.',
    machine.temperatureOffset && Math.abs(machine.temperatureOffset.mean) >= 0.5
      ? `Its water is ${plainNumber(shownDifference(Math.abs(machine.temperatureOffset.mean), unit), 1)} °${unit} ${machine.temperatureOffset.mean < 0 ? 'cooler' : 'hotter'} than shown; that is allowed for.`
      : null,
  ].filter(Boolean);
  const offers = [
    run.handCheck ? null : { to: `/measure/hand?run=${run.id}`, text: 'Check a pinch by hand' },
    foundDose ? null : { to: '/measure/dose', text: 'Find the dose' },
    grinder.dosing === 'timed' && !timedDose ? { to: '/measure/timed', text: 'Weigh a timed dose' } : null,
  ].filter((offer) => offer !== null);
  if (run.status !== 'open' || (said.length === 0 && offers.length === 0)) return null;
  return (
    <p className={styles.before}>
      {said.length > 0 && <span>{said.join(' ')}</span>}
      {offers.map(({ to, text }) => (
        <Link key={to} to={to}>
          {text}
        </Link>
      ))}
    </p>
  );
}
