import { plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useListMachinesQuery, usePutMachineMutation, type MachineDto, type MachineView } from '../app/api';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import type { TemperatureUnit } from '../parts/format';
import { Stepper } from '../parts/Stepper';
import { celsiusOf, shownDegrees, shownDifference, useTemperatureUnit } from '../parts/temperature';
import { withoutRow } from '../parts/withoutRow';
import { Caution } from './Caution';
import styles from './MeasurePage.module.css';
import { Pick } from './Pick';

/** Two figures of a machine: how far its water is from what it shows, and when its first drip comes. */
export function MachineCheck() {
  const machines = useListMachinesQuery({}).data?.items;
  const [chosen, setChosen] = useState<string>();
  if (!machines) return <Loading />;
  const used = machines.filter(({ retiredAt }) => !retiredAt);
  const machine = used.find(({ id }) => id === chosen) ?? used[0];
  if (!machine) {
    return (
      <p>
        A machine is needed first: <Link to="/setup">set up a station</Link>.
      </p>
    );
  }
  return (
    <>
      <div className={styles.pick}>
        <Pick label="Machine" items={used} value={machine.id} onChange={setChosen} />
      </div>
      <Figures key={machine.id} machine={machine} />
    </>
  );
}

function Figures({ machine }: { machine: MachineView }) {
  const [shownC, setShown] = useState<number | null>(null);
  const [measuredC, setMeasured] = useState<number | null>(null);
  const [drip, setDrip] = useState<number | null>(null);
  const unit = useTemperatureUnit();
  const [putMachine, { error, isLoading }] = usePutMachineMutation();
  const { temperatureOffset, firstDrip } = machine;
  const temperatures = machine.temperatureReadings ?? [];
  const drips = machine.firstDripReadings ?? [];
  const write = async (part: Partial<MachineDto>): Promise<void> => {
    const done = await putMachine({ id: machine.id, machineDto: { ...withoutRow(machine), ...part } });
    if ('error' in done) return;
    setMeasured(null);
    setDrip(null);
  };
  const usual = machine.temperatureC ? Math.round((machine.temperatureC.min + machine.temperatureC.max) / 2) : 93;
  const shown = (celsius: number | null): number | null => (celsius === null ? null : shownDegrees(celsius, unit));
  const kept = (value: number | null): number | null => (value === null ? null : celsiusOf(value, unit));
  return (
    <>
      <ProblemAlert error={error} />
      <div className={styles.two}>
        <section className={styles.stack} aria-labelledby="check-heat">
          <h2 id="check-heat">Temperature</h2>
          <p className={styles.answer} aria-live="polite">
            {temperatureOffset ? offsetWords(temperatureOffset.mean, temperatureOffset.sd, unit) : 'Not measured yet.'}
          </p>
          <p className="quiet">
            Thermometer in the stream below the group, after a flush, when the number stands still.
          </p>
          <Stepper
            id="heat-shown"
            label="the display says"
            unit={`°${unit}`}
            value={shown(shownC)}
            step={unit === 'F' ? 1 : 0.5}
            min={shownDegrees(60, unit)}
            max={shownDegrees(110, unit)}
            from={shownDegrees(usual, unit)}
            onChange={(value) => setShown(kept(value))}
          />
          <Stepper
            id="heat-measured"
            label="the thermometer says"
            unit={`°${unit}`}
            value={shown(measuredC)}
            step={unit === 'F' ? 1 : 0.5}
            min={shownDegrees(40, unit)}
            max={shownDegrees(110, unit)}
            from={shownDegrees(shownC ?? usual, unit)}
            onChange={(value) => setMeasured(kept(value))}
          />
          <div className={styles.buttons}>
            <Button
              type="primary"
              size="large"
              loading={isLoading}
              disabled={shownC === null || measuredC === null}
              onClick={() =>
                void write({ temperatureReadings: [...temperatures, { shownC: shownC!, measuredC: measuredC! }] })
              }
            >
              Save reading
            </Button>
            {temperatures.length > 0 && (
              <Button size="large" onClick={() => void write({ temperatureReadings: [] })}>
                Start over
              </Button>
            )}
          </div>
          <p className="quiet small">
            {temperatures.length} taken. A new dial-in on it starts that much hotter or cooler, where it can be set.
          </p>
        </section>
        <section className={styles.stack} aria-labelledby="check-drip">
          <h2 id="check-drip">First drip</h2>
          <p className={styles.answer} aria-live="polite">
            {firstDrip
              ? `${plainNumber(firstDrip.mean, 1)} s after pump on, ±${plainNumber(firstDrip.sd, 1)} s.`
              : 'Not measured yet.'}
          </p>
          <p className="quiet">From pump on to the first drop in the cup, on a shot that runs well.</p>
          <Stepper
            id="drip-seconds"
            label="first drip after"
            unit="s"
            value={drip}
            step={0.5}
            min={0}
            max={60}
            from={6.5}
            onChange={setDrip}
          />
          <div className={styles.buttons}>
            <Button
              type="primary"
              size="large"
              loading={isLoading}
              disabled={drip === null}
              onClick={() => void write({ firstDripReadings: [...drips, drip!] })}
            >
              Save drip
            </Button>
            {drips.length > 0 && (
              <Button size="large" onClick={() => void write({ firstDripReadings: [] })}>
                Start over
              </Button>
            )}
          </div>
          <p className="quiet small">
            {drips.length} watched. With it, shots timed from pump on and from the first drip can be compared.
          </p>
        </section>
      </div>
      <br />
      <Caution>
        Group, water and steam burn: hands clear when flushing. Work inside the machine is for a licensed technician.
      </Caution>
    </>
  );
}

function offsetWords(mean: number, sd: number, unit: TemperatureUnit): string {
  const show = (celsius: number): string => plainNumber(shownDifference(celsius, unit), 1);
  if (Math.abs(mean) < 0.3) return `As shown, ±${show(sd)} °${unit}.`;
  return `${show(Math.abs(mean))} °${unit} ${mean < 0 ? 'cooler' : 'hotter'} than shown, ±${show(sd)}.`;
}
