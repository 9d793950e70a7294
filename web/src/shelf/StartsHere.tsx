import { plainNumber } from '@olvet/core';
import { useGetStartQuery, type CoffeeView, type StationView } from '../app/api';

/** For every station that serves it: where its grinder would start. */
export function StartsHere({ coffee, stations }: { coffee: CoffeeView; stations: StationView[] }) {
  const serving = stations.filter(({ retiredAt }) => !retiredAt);
  if (serving.length === 0) return <p className="quiet">No station serves it now.</p>;
  return (
    <ul style={{ listStyle: 'none' }}>
      {serving.map((station) => (
        <Start key={station.id} coffee={coffee} station={station} />
      ))}
    </ul>
  );
}

function Start({ coffee, station }: { coffee: CoffeeView; station: StationView }) {
  const { doseGrams, yieldGrams, timeSeconds } = station.target;
  const { data: start } = useGetStartQuery({
    grinderId: station.grinderId,
    coffeeId: coffee.id,
    basketId: station.basketId,
    doseGrams,
    yieldGrams,
    middleSeconds: (timeSeconds.min + timeSeconds.max) / 2,
  });
  if (!start) return null;
  return (
    <li>
      {station.name}:{' '}
      {start.grind === null ? (
        <span className="quiet">its grinder has kept no recipe yet.</span>
      ) : (
        <>
          <strong className="numeral">{plainNumber(start.grind)}</strong>{' '}
          <span className="quiet">±{plainNumber(start.sd ?? 0, 1)}</span>, {plainNumber(doseGrams)} →{' '}
          {plainNumber(yieldGrams)} g
        </>
      )}
    </li>
  );
}
