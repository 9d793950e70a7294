import { completeRatio, plainNumber, ratioStyle } from '@olvet/core';
import { useState } from 'react';
import { useListStationsQuery } from '../app/api';
import { BasketTable } from '../basketTable/BasketTable';
import { Stepper } from '../parts/Stepper';
import styles from './MeasurePage.module.css';
import { Pick } from './Pick';

const IN_USE = { state: 'in-use' } as const;
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

/** A station's coffee in every basket of the house. */
function OtherBaskets() {
  const stations = useListStationsQuery(IN_USE).data?.items ?? [];
  const [chosen, setChosen] = useState<string>();
  const station = stations.find(({ id }) => id === chosen) ?? stations[0];
  if (!station) return <p className="quiet">With a station set up, its coffee stands here for every basket.</p>;
  return (
    <div className={styles.stack}>
      <h2>In another basket</h2>
      <Pick label="Station" items={stations} value={station.id} onChange={setChosen} />
      <div className={styles.full}>
        <BasketTable coffeeId={station.coffeeId} />
      </div>
    </div>
  );
}
