import { predictDose, plainNumber, secondsForDose, weighOnceMore, type TimedDoseModel } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import {
  useGetTimedDoseQuery,
  useListGrindersQuery,
  useListStationsQuery,
  usePutDoseWeighingMutation,
  type GrinderView,
} from '../app/api';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { Stepper } from '../parts/Stepper';
import { Caution } from './Caution';
import styles from './MeasurePage.module.css';
import { Pick } from './Pick';

const ALL = {};

/** From weighings at any grind time: how long to grind for a dose, and what a change of grind does to it. */
export function TimedDose() {
  const grinders = useListGrindersQuery(ALL).data?.items;
  const [chosen, setChosen] = useState<string>();
  if (!grinders) return <Loading />;
  const timed = grinders.filter(({ dosing, retiredAt }) => dosing === 'timed' && !retiredAt);
  const grinder = timed.find(({ id }) => id === chosen) ?? timed[0];
  if (!grinder) {
    return (
      <p>
        No grinder doses by time here. If one does, <Link to="/workshop?tab=grinders">say so in the workshop</Link>.
      </p>
    );
  }
  return (
    <>
      <div className={styles.pick}>
        <Pick label="Grinder" items={timed} value={grinder.id} onChange={setChosen} />
      </div>
      <Desk key={grinder.id} grinder={grinder} />
    </>
  );
}

function Desk({ grinder }: { grinder: GrinderView }) {
  const { data: desk, error } = useGetTimedDoseQuery({ grinderId: grinder.id });
  const station = useListStationsQuery(ALL).data?.items.find(({ grinderId }) => grinderId === grinder.id);
  const [putWeighing, { error: refused, isLoading }] = usePutDoseWeighingMutation();
  const standing = station?.grind ?? (grinder.min + grinder.max) / 2;
  const [grind, setGrind] = useState<number | null>(null);
  const [seconds, setSeconds] = useState<number | null>(null);
  const [grams, setGrams] = useState<number | null>(null);
  const [wanted, setWanted] = useState<number | null>(null);
  if (!desk) return <Loading error={error} />;
  const at = grind ?? standing;
  const doseGrams = wanted ?? station?.target.doseGrams ?? 18;
  const model = desk.model as TimedDoseModel | null;
  const hint = model && weighOnceMore(model, { doseGrams, grind: at });
  const run = model ? secondsForDose(model, { doseGrams, grind: at }) : null;
  const save = async (): Promise<void> => {
    const doseWeighingDto = {
      grinderId: grinder.id,
      grind: at,
      seconds: seconds!,
      grams: grams!,
      weighedAt: new Date().toISOString(),
    };
    const done = await putWeighing({ id: v7(), doseWeighingDto });
    if (!('error' in done)) setGrams(null);
  };
  return (
    <div className={styles.two}>
      <div className={styles.stack}>
        <p className={styles.answer} aria-live="polite">
          {run === null ? (
            <span className={styles.lead}>Weigh one dose to begin.</span>
          ) : (
            <>
              <span className={styles.lead}>Grind {plainNumber(run, 1)} s</span> for {plainNumber(doseGrams, 1)} g.
            </>
          )}
        </p>
        {hint && (
          <p aria-live="polite">
            {hint.worthIt ? 'Weigh once more: ' : 'Good enough: '}19 of 20 doses will lie within ±
            {plainNumber(hint.withinGrams, 1)} g.
          </p>
        )}
        {desk.creep && (
          <p role="alert">
            {desk.creep === 'up'
              ? 'The dose creeps up at an unchanged time: the grind has in effect gone coarser. Correct the grind first, the time second.'
              : 'The dose falls at an unchanged time: is the hopper low, or the grind in effect finer? Refill, then correct the grind.'}
          </p>
        )}
        <Stepper
          id="timed-wanted"
          label="wanted dose"
          unit="g"
          value={doseGrams}
          step={0.1}
          min={4}
          max={40}
          from={doseGrams}
          onChange={setWanted}
        />
        <Stepper
          id="timed-grind"
          label="grinder at"
          unit=""
          value={at}
          step={grinder.step || 0.1}
          min={grinder.min}
          max={grinder.max}
          from={at}
          onChange={setGrind}
        />
        {model && (
          <AfterChange model={model} grind={at} doseGrams={doseGrams} step={grinder.step || 1} finer={grinder.finer} />
        )}
        <Caution>Adjust finer only with the burrs turning. Keep the hopper filled: a low one gives less.</Caution>
      </div>
      <div className={styles.stack}>
        <h2>A weighing</h2>
        <Stepper
          id="timed-seconds"
          label="ran for"
          unit="s"
          value={seconds}
          step={0.1}
          min={0.1}
          max={120}
          from={run === null ? 4 : Math.round(run * 10) / 10}
          onChange={setSeconds}
        />
        <Stepper
          id="timed-grams"
          label="gave"
          unit="g"
          value={grams}
          step={0.1}
          min={0.5}
          max={100}
          from={doseGrams}
          onChange={setGrams}
        />
        <ProblemAlert error={refused} />
        <Button
          type="primary"
          size="large"
          disabled={seconds === null || grams === null}
          loading={isLoading}
          onClick={() => void save()}
        >
          Save weighing
        </Button>
        <ul className={styles.log} aria-label="Known doses, newest first">
          {[...desk.weighings]
            .reverse()
            .slice(0, 8)
            .map((weighing, i) => (
              <li key={i}>
                <span>
                  <strong className="numeral">{plainNumber(weighing.grams, 1)} g</strong> in{' '}
                  {plainNumber(weighing.seconds, 1)} s at {plainNumber(weighing.grind)}
                </span>
                <span className="quiet small">
                  {weighing.from === 'shot' ? 'with a shot' : 'weighed'},{' '}
                  {weighing.ageDays < 1 ? 'today' : `${Math.round(weighing.ageDays)} d ago`}
                </span>
              </li>
            ))}
        </ul>
        {desk.weighings.length === 0 && (
          <p className="quiet">Weighings, and doses logged with shots, will stand here.</p>
        )}
      </div>
    </div>
  );
}

/** "Finer by 1: about 0.8 g less, set 3.4 s." */
function AfterChange({
  model,
  grind,
  doseGrams,
  step,
  finer,
}: {
  model: TimedDoseModel;
  grind: number;
  doseGrams: number;
  step: number;
  finer: 'lower' | 'higher';
}) {
  const now = secondsForDose(model, { doseGrams, grind });
  const lines = ([1, -1] as const).map((direction) => {
    const by = Math.max(step, 1) * direction;
    const next = grind + (finer === 'higher' ? by : -by);
    const change = predictDose(model, { seconds: now, grind: next }).grams - doseGrams;
    const set = secondsForDose(model, { doseGrams, grind: next });
    return `${direction > 0 ? 'Finer' : 'Coarser'} by ${plainNumber(Math.abs(by))}: about ${plainNumber(Math.abs(change), 1)} g ${change < 0 ? 'less' : 'more'}, set ${plainNumber(set, 1)} s.`;
  });
  return (
    <ul style={{ listStyle: 'none' }} className="quiet">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}
