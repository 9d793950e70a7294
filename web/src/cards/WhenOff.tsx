import { plainNumber, whenOff } from '@olvet/core';
import { useGetShopQuery, useListStationsQuery, type CardDetailView } from '../app/api';
import { useMethods } from '../parts/useMethods';
import styles from './CardPage.module.css';

/** What a careful hand holds dose and yield to, g (handbook: ±0.2 g of dose; a yield is read as it falls). */
const HOLD_GRAMS = { dose: 0.2, yield: 1 };

/** What a shot by this card is held to, and the three things to do when the cup is off. */
export function WhenOff({ card }: { card: CardDetailView }) {
  const { data: shop } = useGetShopQuery();
  const stations = useListStationsQuery({}).data?.items;
  const methods = useMethods();
  const methodId = stations?.find(({ id }) => id === card.stationId)?.methodId;
  const method = methodId === undefined ? undefined : methods.find(methodId);
  const { recipe, found } = card.latest;
  const grams = (value: number, by: number): string => `${plainNumber(value - by, 1)}–${plainNumber(value + by, 1)} g`;
  const seconds = found && shop?.toleranceSeconds;
  return (
    <div className={styles.off}>
      <p>
        Hold it to dose {grams(recipe.doseGrams, HOLD_GRAMS.dose)}, yield {grams(recipe.yieldGrams, HOLD_GRAMS.yield)}
        {seconds && `, time ${plainNumber(found.seconds - seconds, 0)}–${plainNumber(found.seconds + seconds, 0)} s`}.
      </p>
      <h2>When it is off</h2>
      <dl>
        {(method ? whenOff(method) : []).map(({ sign, act }) => (
          <div key={sign}>
            <dt>{sign}</dt>
            <dd>{act}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
