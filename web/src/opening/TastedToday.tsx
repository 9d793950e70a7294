import { CAFFEINE_NEAR_MG, caffeineOf } from '@olvet/core';
import { useGetTastedTodayQuery } from '../app/api';
import { plural } from '../parts/plural';

/** Who has tasted how much today, and the caffeine that makes. */
export function TastedToday() {
  const { data } = useGetTastedTodayQuery(undefined, { refetchOnMountOrArgChange: true });
  if (!data || data.length === 0) return null;
  return (
    <section aria-labelledby="tasted-today">
      <h2 id="tasted-today">Tasted today</h2>
      <ul style={{ listStyle: 'none' }}>
        {data.map(({ person, cups }) => {
          const { low, high } = caffeineOf(cups);
          const near = high > 0.75 * CAFFEINE_NEAR_MG;
          return (
            <li key={person}>
              <strong>{person || 'At the bar'}</strong>: {plural(cups.length, 'cup')}, about {low}–{high} mg caffeine
              {near && <strong> : spit from here on</strong>}
            </li>
          );
        })}
      </ul>
      <p className="quiet small">
        A rough figure: 60–80 mg for each full single, a quarter of the cup for a sip. Adults are commonly advised to
        stay near {CAFFEINE_NEAR_MG} mg a day, less when pregnant: follow local health advice.
      </p>
    </section>
  );
}
