import { Button, Select, Tag } from 'antd';
import { useState } from 'react';
import {
  useCommandDeviceMutation,
  useListDevicesQuery,
  useListStationsQuery,
  usePutDeviceMutation,
  type DeviceView,
} from '../app/api';
import listStyles from '../parts/List.module.css';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { withoutRow } from '../parts/withoutRow';
import { BenchHands } from './BenchHands';
import styles from './DevicesTab.module.css';
import { useNewest } from './useNewest';

const KIND_WORDS: Record<DeviceView['kind'], string> = {
  scale: 'scale',
  machine: 'machine',
  grinder: 'grinder',
  room: 'room sensor',
  refractometer: 'refractometer',
};

const SHARED = 'shared';

/** What speaks for itself: let in, given a place, put away. */
export function DevicesTab() {
  const { data, error } = useListDevicesQuery({ state: 'in-use' });
  const { data: stations } = useListStationsQuery({ state: 'in-use' });
  const [putDevice, { error: failed }] = usePutDeviceMutation();
  const newest = useNewest();
  if (!data || !stations) return <Loading error={error} />;
  const change = (device: DeviceView, part: object): void => {
    const { kind: _kind, unit: _unit, capabilities: _can, isSimulated: _simulated, code: _code, ...rest } = device;
    const { isConnected: _connected, ...dto } = withoutRow(rest);
    void putDevice({ id: device.id, deviceDto: { ...dto, ...part } });
  };
  const waiting = data.items.filter(({ letInAt }) => letInAt == null);
  const known = data.items.filter(({ letInAt }) => letInAt != null);
  return (
    <>
      <ProblemAlert error={failed} />
      {waiting.length > 0 && (
        <section aria-label="Waiting">
          <h2>Waits to be let in</h2>
          <ul className={listStyles.list}>
            {waiting.map((device) => (
              <li key={device.id} className={styles.waiting}>
                <p className={`numeral ${styles.code}`}>{device.code}</p>
                <p>
                  <strong>{device.name}</strong>, a {KIND_WORDS[device.kind]}. Does it show this code? Then it is the
                  one that you hold.
                </p>
                <Button type="primary" onClick={() => change(device, { letInAt: new Date().toISOString() })}>
                  Let it in
                </Button>
                <Button onClick={() => change(device, { retiredAt: new Date().toISOString() })}>Send it away</Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {known.length === 0 && waiting.length === 0 && (
        <p className="quiet">
          No device has said hello yet. A scale, machine, grinder, room sensor or refractometer speaks to Olvet through
          a small adapter; <code>docs/devices.md</code> says how to write one.
        </p>
      )}
      <ul className={listStyles.list}>
        {known.map((device) => (
          <li key={device.id} className={styles.row}>
            <div>
              <strong>{device.name}</strong> <span className="quiet">{KIND_WORDS[device.kind]}</span>{' '}
              {device.isSimulated && <Tag>simulated</Tag>}
              <p className="quiet small">{device.isConnected ? 'connected' : 'not connected'}</p>
            </div>
            <p className={`numeral ${styles.figures}`}>{device.isConnected ? newest(device) : '–'}</p>
            <label className={styles.place}>
              <span className="quiet small">belongs to</span>
              <Select
                value={device.stationId ?? SHARED}
                aria-label={`${device.name} belongs to`}
                options={[
                  { value: SHARED, label: 'shared' },
                  ...stations.items.map(({ id, name }) => ({ value: id, label: name })),
                ]}
                onChange={(to: string) => change(device, { stationId: to === SHARED ? null : to })}
              />
            </label>
            <Button
              onClick={() => change(device, { retiredAt: new Date().toISOString() })}
              aria-label={`Put ${device.name} away`}
            >
              Put away
            </Button>
            {device.isConnected && <Acts device={device} />}
          </li>
        ))}
      </ul>
    </>
  );
}

/** What it can be asked here; a simulated one has hands of the bench beside. */
function Acts({ device }: { device: DeviceView }) {
  const [command, { data: done, error, isLoading }] = useCommandDeviceMutation();
  const [asked, setAsked] = useState('');
  const act = (
    word: string,
    name: Parameters<typeof command>[0]['deviceCommandDto']['command'],
    value?: number,
  ): void => {
    setAsked(word);
    void command({ id: device.id, deviceCommandDto: { command: name, value: value ?? null } });
  };
  return (
    <div className={styles.acts}>
      <BenchHands device={device} isBusy={isLoading} act={act} />
      {done && !done.ok && (
        <p role="alert">
          {asked}: {done.message}.
        </p>
      )}
      <ProblemAlert error={error} />
    </div>
  );
}
