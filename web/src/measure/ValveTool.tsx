import { adviseValve, plainNumber, ROASTS, VALVE_TARGET_GRAMS, type Roast } from '@olvet/core';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useListMachinesQuery, usePutMachineMutation, type MachineView } from '../app/api';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { Stepper } from '../parts/Stepper';
import { withoutRow } from '../parts/withoutRow';
import { Caution } from './Caution';
import styles from './MeasurePage.module.css';
import { Pick } from './Pick';

/** The pre-brew valve brought to its flow: 30 s of water into a cup, then a turn. */
export function ValveTool() {
  const machines = useListMachinesQuery({}).data?.items;
  const [chosen, setChosen] = useState<string>();
  if (!machines) return <Loading />;
  const withValve = machines.filter(({ preBrew, retiredAt }) => preBrew === 'valve' && !retiredAt);
  const machine = withValve.find(({ id }) => id === chosen) ?? withValve[0];
  if (!machine) {
    return (
      <p>
        No machine here has a pre-brew valve. If one does,{' '}
        <Link to="/workshop?tab=machines">say so in the workshop</Link>.
      </p>
    );
  }
  return (
    <>
      <div className={styles.pick}>
        <Pick label="Machine" items={withValve} value={machine.id} onChange={setChosen} />
      </div>
      <Valve key={machine.id} machine={machine} />
    </>
  );
}

function Valve({ machine }: { machine: MachineView }) {
  const [roast, setRoast] = useState<Roast>('medium');
  const [grams, setGrams] = useState<number | null>(null);
  const [putMachine, { error, isLoading }] = usePutMachineMutation();
  const readings = machine.valveReadings ?? [];
  const target = VALVE_TARGET_GRAMS[roast];
  const advice = adviseValve(readings, target);
  const write = async (valveReadings: MachineView['valveReadings']): Promise<void> => {
    const done = await putMachine({ id: machine.id, machineDto: { ...withoutRow(machine), valveReadings } });
    if (!('error' in done)) setGrams(null);
  };
  const turned = (readings.at(-1)?.turns ?? 0) + (advice?.turn ?? 0);
  return (
    <div className={styles.stack}>
      <label htmlFor="valve-roast" className={styles.choice}>
        Roast
        <Select
          id="valve-roast"
          value={roast}
          onChange={setRoast}
          options={ROASTS.map((value) => ({ value, label: `${value}: ${VALVE_TARGET_GRAMS[value]} g` }))}
        />
      </label>
      <p className={styles.answer} aria-live="polite">
        {advice === null && <span className={styles.lead}>Let it run 30 s and weigh. Target {target} g.</span>}
        {advice?.onTarget && (
          <span className={styles.calm}>On target: {plainNumber(readings.at(-1)!.grams, 0)} g in 30 s.</span>
        )}
        {advice && !advice.onTarget && (
          <>
            <span className={styles.lead}>
              {advice.turn > 0 ? 'Close' : 'Open'} it {turnWords(Math.abs(advice.turn))},{' '}
              {advice.turn > 0 ? 'clockwise, for less' : 'anticlockwise, for more'}.
            </span>{' '}
            Then 30 s again; target {target} g.
          </>
        )}
      </p>
      {advice && readings.length > 1 && (
        <p className="quiet">
          A turn of this valve takes off about {plainNumber(advice.gramsPerTurn.mean, 0)} g (±
          {plainNumber(advice.gramsPerTurn.sd, 0)}).
        </p>
      )}
      <Stepper
        id="valve-grams"
        label="water in 30 s"
        unit="g"
        value={grams}
        step={1}
        min={0}
        max={1000}
        from={target}
        onChange={setGrams}
      />
      <ProblemAlert error={error} />
      <div className={styles.buttons}>
        <Button
          type="primary"
          size="large"
          disabled={grams === null}
          loading={isLoading}
          onClick={() => void write([...readings, { turns: turned, grams: grams! }])}
        >
          Save reading
        </Button>
        {readings.length > 0 && (
          <Button size="large" onClick={() => void write([])}>
            Start over
          </Button>
        )}
      </div>
      <ul className={styles.log} aria-label="Readings">
        {readings.map((reading, i) => (
          <li key={i}>
            <span>
              <strong className="numeral">{plainNumber(reading.grams, 0)} g</strong>{' '}
              {reading.turns === 0
                ? 'where it stood'
                : `at ${turnWords(Math.abs(reading.turns))} ${reading.turns > 0 ? 'closed' : 'opened'}`}
            </span>
          </li>
        ))}
      </ul>
      <Caution>
        The water is near boiling: a heavy cup, hands clear, no splashing. Follow the maker’s manual for this valve.
      </Caution>
    </div>
  );
}

/** 0.375 → "3/8 of a turn". */
function turnWords(turns: number): string {
  const sixteenths = Math.round(turns * 16);
  if (sixteenths % 16 === 0) return sixteenths === 16 ? 'one turn' : `${sixteenths / 16} turns`;
  const shared = [8, 4, 2].find((divisor) => sixteenths % divisor === 0) ?? 1;
  return `${sixteenths / shared}/${16 / shared} of a turn`;
}
