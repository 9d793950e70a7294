import { completeRatio, plainNumber, ratioStyle, scaleRecipe } from '@olvet/core';
import { useState } from 'react';
import {
  useListBasketsQuery,
  useListGrindersQuery,
  useListStationsQuery,
  type BasketView,
  type StationView,
} from '../app/api';
import { Stepper } from '../parts/Stepper';
import styles from './MeasurePage.module.css';
import { Pick } from './Pick';

const ALL = {};
const STYLE_WORDS = { ristretto: 'ristretto: short and heavy', normal: 'normal', lungo: 'lungo: long and thin' };

type Part = 'doseGrams' | 'yieldGrams' | 'ratio';

/** Dose, yield, ratio: the two touched last decide, the third follows. */
export function RatioDesk() {
  const [parts, setParts] = useState<Record<Part, number | null>>({ doseGrams: 18, yieldGrams: 36, ratio: null });
  const [order, setOrder] = useState<Part[]>(['doseGrams', 'yieldGrams']);
  const whole = completeRatio(parts);
  const set = (part: Part) => (value: number | null) => {
    const newest = [part, ...order.filter((other) => other !== part)].slice(0, 2);
    const known = { ...(whole ?? parts), [part]: value };
    setOrder(newest);
    setParts({
      doseGrams: newest.includes('doseGrams') ? known.doseGrams : null,
      yieldGrams: newest.includes('yieldGrams') ? known.yieldGrams : null,
      ratio: newest.includes('ratio') ? known.ratio : null,
    });
  };
  const show = (part: Part): number | null => (whole ? Math.round(whole[part] * 100) / 100 : parts[part]);
  return (
    <div className={styles.two}>
      <div className={styles.stack}>
        <p className={styles.answer} aria-live="polite">
          {whole
            ? `1:${plainNumber(whole.ratio, 2)}, ${STYLE_WORDS[ratioStyle(whole.ratio)]}`
            : 'Two of the three, please.'}
        </p>
        <Stepper
          id="ratio-dose"
          label="dose"
          unit="g"
          value={show('doseGrams')}
          step={0.5}
          min={1}
          max={60}
          from={18}
          onChange={set('doseGrams')}
        />
        <Stepper
          id="ratio-yield"
          label="yield"
          unit="g"
          value={show('yieldGrams')}
          step={1}
          min={1}
          max={500}
          from={36}
          onChange={set('yieldGrams')}
        />
        <Stepper
          id="ratio-ratio"
          label="ratio, 1 to"
          unit=""
          value={show('ratio')}
          step={0.1}
          min={0.5}
          max={6}
          from={2}
          onChange={set('ratio')}
        />
        <p className="quiet">Up to 1:1.5 is a ristretto, up to 1:2.5 normal, beyond it a lungo. Custom, not law.</p>
      </div>
      <OtherBaskets />
    </div>
  );
}

/** A station's recipe in every basket of the house, short, normal and long. */
function OtherBaskets() {
  const stations = (useListStationsQuery(ALL).data?.items ?? []).filter(({ retiredAt }) => !retiredAt);
  const baskets = (useListBasketsQuery(ALL).data?.items ?? []).filter(({ retiredAt }) => !retiredAt);
  const grinders = useListGrindersQuery(ALL).data?.items ?? [];
  const [chosen, setChosen] = useState<string>();
  const station = stations.find(({ id }) => id === chosen) ?? stations[0];
  if (!station) return <p className="quiet">With a station set up, its recipe stands here for every basket.</p>;
  const slope = grinders.find(({ id }) => id === station.grinderId)?.learnedSlope?.mean ?? null;
  const own = baskets.find(({ id }) => id === station.basketId);
  return (
    <div className={styles.stack}>
      <h2>In another basket</h2>
      <Pick label="Station" items={stations} value={station.id} onChange={setChosen} />
      <div className={styles.full}>
        <table className={styles.table}>
          <caption className="visually-hidden">The recipe of {station.name} in every basket</caption>
          <thead>
            <tr>
              <th scope="col">Basket</th>
              <th scope="col">Dose</th>
              <th scope="col">Short</th>
              <th scope="col">Normal</th>
              <th scope="col">Time</th>
              <th scope="col">Grind</th>
            </tr>
          </thead>
          <tbody>
            {baskets.map((basket) => (
              <BasketLine key={basket.id} basket={basket} own={own} station={station} slope={slope} />
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet small">
        The window stays. More coffee on the same area pours slower, a wider basket faster; the grind makes up for it
        {slope === null ? ', by how much is known after a dial-in on this grinder.' : '.'}
      </p>
    </div>
  );
}

function BasketLine({
  basket,
  own,
  station,
  slope,
}: {
  basket: BasketView;
  own: BasketView | undefined;
  station: StationView;
  slope: number | null;
}) {
  const { target } = station;
  const isOwn = basket.id === own?.id;
  const doseGrams = isOwn ? target.doseGrams : basket.nominalGrams;
  const scaled = scaleRecipe({
    from: { doseGrams: target.doseGrams, diameterMm: own?.diameterMm ?? 58 },
    to: { doseGrams, diameterMm: basket.diameterMm ?? 58 },
    yieldGrams: target.yieldGrams,
    windowSeconds: target.timeSeconds,
    logTimePerUnit: slope ?? 1,
  });
  const units = Math.abs(scaled.finerUnits);
  return (
    <tr>
      <th scope="row">
        {basket.name}
        {isOwn && <span className="quiet"> (now)</span>}
      </th>
      <td>{plainNumber(doseGrams, 1)} g</td>
      <td>{plainNumber(doseGrams * 1.5, 0)} g</td>
      <td>{plainNumber(scaled.yieldGrams, 0)} g</td>
      <td>
        {scaled.windowSeconds.min}–{scaled.windowSeconds.max} s
      </td>
      <td>
        {isOwn || units < 0.05
          ? 'as now'
          : slope === null
            ? scaled.finerUnits > 0
              ? 'finer'
              : 'coarser'
            : `${plainNumber(units, 1)} ${scaled.finerUnits > 0 ? 'finer' : 'coarser'}`}
      </td>
    </tr>
  );
}
