import {
  classicCups,
  eachOfTwo,
  glassOfGrams,
  gramsInGlass,
  LIMITS,
  ML_PER_OUNCE,
  plainNumber,
  type Roughly,
} from '@olvet/core';
import { useState } from 'react';
import { Stepper } from '../parts/Stepper';
import styles from './MeasurePage.module.css';

/** Glasses, ounces, two cups and small levers, each in grams with what it really may be. */
export function OldHabits() {
  const [ml, setMl] = useState<number | null>(60);
  const [grams, setGrams] = useState<number | null>(36);
  const [cups, setCups] = useState<number | null>(2);
  return (
    <div className={styles.two}>
      <div className={styles.stack}>
        <h2>A glass with its crema</h2>
        <Stepper
          id="old-ml"
          label="glass"
          unit="ml"
          value={ml}
          step={5}
          {...LIMITS.yieldMl}
          from={60}
          onChange={setMl}
        />
        {ml !== null && (
          <p className={styles.answer} aria-live="polite">
            {roughly(gramsInGlass(ml), 'g')} <span className="quiet">{plainNumber(ml / ML_PER_OUNCE, 1)} fl oz</span>
          </p>
        )}
        <p className="quiet">Fresh beans foam more and read high; wait for the crema and a glass reads low.</p>
        <h2>A small classic, or one pull of a lever</h2>
        <Stepper id="old-cups" label="cups" unit="" value={cups} step={1} min={1} max={4} from={2} onChange={setCups} />
        {cups !== null && <Classic cups={cups} />}
      </div>
      <div className={styles.stack}>
        <h2>A shot in grams</h2>
        <Stepper
          id="old-grams"
          label="yield"
          unit="g"
          value={grams}
          step={1}
          {...LIMITS.yieldGrams}
          from={36}
          onChange={setGrams}
        />
        {grams !== null && (
          <>
            <p className={styles.answer}>{roughly(glassOfGrams(grams), 'ml')}</p>
            <p>
              In ounces {plainNumber(glassOfGrams(grams).value / ML_PER_OUNCE, 1)}. In two cups{' '}
              {roughly(eachOfTwo(grams), 'g')} each: weigh both, as a leaning machine fills one.
            </p>
          </>
        )}
      </div>
    </div>
  );
}

function Classic({ cups }: { cups: number }) {
  const { doseGrams, ml, yieldGrams } = classicCups(cups);
  return (
    <p className={styles.answer} aria-live="polite">
      {roughly(doseGrams, 'g')} <span className="quiet">to</span> {ml} ml, {roughly(yieldGrams, 'g')}
    </p>
  );
}

function roughly({ value, least, most }: Roughly, unit: string): string {
  return `${plainNumber(value, 1)} ${unit} (${plainNumber(least, 1)}–${plainNumber(most, 1)})`;
}
