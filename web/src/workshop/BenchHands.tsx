import { Button } from 'antd';
import type { DeviceCommandDto, DeviceView } from '../app/api';
import { plainNumber } from '@olvet/core';
import { NumberInput } from '../parts/NumberInput';
import { useState } from 'react';
import styles from './DevicesTab.module.css';

type Command = DeviceCommandDto['command'];

interface Hand {
  word: string;
  command: Command;
  value?: number;
}

/** One row a command: the buttons that ask for it. */
const HANDS: Partial<Record<Command, Hand[]>> = {
  tare: [{ word: 'Tare', command: 'tare' }],
  start: [
    { word: 'Start the pump', command: 'start' },
    { word: 'Start with a soak', command: 'start', value: 20 },
  ],
  stop: [{ word: 'Stop', command: 'stop' }],
  'end-soak': [{ word: 'End the soak', command: 'end-soak' }],
  measure: [{ word: 'Measure the last cup', command: 'measure' }],
  cup: [
    { word: 'Cup off', command: 'cup', value: 0 },
    { word: 'Cup on', command: 'cup', value: 1 },
    { word: 'Basket on', command: 'cup', value: 2 },
  ],
  battery: [
    { word: 'Battery dies', command: 'battery', value: 0 },
    { word: 'Battery full', command: 'battery', value: 100 },
  ],
  preparation: [
    { word: 'Prepare badly', command: 'preparation', value: 1 },
    { word: 'Prepare well', command: 'preparation', value: 0 },
  ],
};

const CAUTIONS: Partial<Record<DeviceView['kind'], string>> = {
  machine: 'Starts hot water under pressure: cup below, hands clear, portafilter locked in.',
  grinder:
    'Finer only while the burrs turn. If the motor hums and nothing turns, switch off and unplug before reaching in.',
};

/** What hands do at a device, and at the simulated bench. */
export function BenchHands({
  device,
  isBusy,
  act,
}: {
  device: DeviceView;
  isBusy: boolean;
  act: (word: string, command: Command, value?: number) => void;
}) {
  const { capabilities, kind } = device;
  const hands = capabilities.flatMap((command) => HANDS[command] ?? []);
  const caution = CAUTIONS[kind];
  return (
    <>
      {hands.map(({ word, command, value }) => (
        <Button key={word} disabled={isBusy} onClick={() => act(word, command, value)}>
          {word}
        </Button>
      ))}
      {capabilities.includes('grind') && (
        <Amount word="Grind" unit="s" from={4.8} onAct={(n) => act('Grind', 'grind', n)} />
      )}
      {capabilities.includes('set-grind') && (
        <Amount word="Set to" unit="" from={12} onAct={(n) => act('Set', 'set-grind', n)} />
      )}
      {caution && capabilities.length > 0 && <p className={`quiet small ${styles.caution}`}>{caution}</p>}
    </>
  );
}

function Amount({
  word,
  unit,
  from,
  onAct,
}: {
  word: string;
  unit: string;
  from: number;
  onAct: (value: number) => void;
}) {
  const [value, setValue] = useState<number | null>(from);
  return (
    <span className={styles.amount}>
      <NumberInput
        value={value}
        aria-label={`${word} ${unit}`.trim()}
        placeholder={plainNumber(from)}
        onChange={(next) => setValue(typeof next === 'number' ? next : null)}
      />
      <Button disabled={value === null} onClick={() => value !== null && onAct(value)}>
        {word} {unit && '…'}
      </Button>
    </span>
  );
}
