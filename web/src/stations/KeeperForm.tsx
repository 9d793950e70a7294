import { FIRST_KEEPER, plainNumber, roundTo } from '@olvet/core';
import { Button, Form, Input, Switch } from 'antd';
import { useState } from 'react';
import {
  useListDevicesQuery,
  usePutKeeperMutation,
  usePutStationMutation,
  type BoardStationView,
  type KeeperDto,
  type StationDto,
} from '../app/api';
import { formErrors, problemOf } from '../app/problem';
import listStyles from '../parts/List.module.css';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ONCE_MORE, useFollowing } from '../parts/useFollowing';
import { withoutRow } from '../parts/withoutRow';
import { NumberField, OptionalNumberField } from '../workshop/fields';
import styles from './StationPage.module.css';

/** What drifts may be answered with here: by a hand, and by Olvet itself. */
export function Limits({ standing }: { standing: BoardStationView }) {
  const [isOpen, open] = useState(false);
  return (
    <section aria-labelledby="limits" className={styles.limits}>
      <h2 id="limits">Turning the grind for a drift</h2>
      <p className="quiet">{inWords(standing)}</p>
      {isOpen ? (
        <div className={styles.two}>
          <HandLimits standing={standing} />
          <KeeperForm standing={standing} />
        </div>
      ) : (
        <Button onClick={() => open(true)}>Change what is allowed</Button>
      )}
    </section>
  );
}

function inWords({ station, keeper, day }: BoardStationView): string {
  const most =
    station.unitsPerMove == null ? 'as much as the tolerance is worth' : plainNumber(station.unitsPerMove, 2);
  const hand = `By hand: ${most} at once${day ? `, ${plainNumber(day.unitsPerDay, 2)} a day` : ''}.`;
  if (!keeper?.isOn) return `${hand} Olvet itself turns nothing here.`;
  const quiet = keeper.quietFrom == null ? '' : `, quiet from ${keeper.quietFrom} to ${keeper.quietUntil}`;
  return `${hand} Olvet itself: ${plainNumber(keeper.unitsPerMove, 2)} at once, ${plainNumber(keeper.unitsPerDay, 2)} a day${quiet}.`;
}

function HandLimits({ standing: { station } }: { standing: BoardStationView }) {
  const [put, { isLoading, error }] = usePutStationMutation();
  const [form] = Form.useForm<StationDto>();
  useFollowing(form, station);
  const save = async (fields: Pick<StationDto, 'unitsPerMove' | 'unitsPerDay'>): Promise<void> => {
    const done = await put({ id: station.id, stationDto: { ...withoutRow(station), ...fields } });
    if ('error' in done) form.setFields(formErrors(problemOf(done.error)) as never);
  };
  return (
    <Form
      form={form}
      name="hand"
      layout="vertical"
      initialValues={station}
      onFinish={(fields: StationDto) => void save(fields)}
    >
      <h3>By hand</h3>
      <ProblemAlert error={error} overtaken={ONCE_MORE} />
      <OptionalNumberField
        name="unitsPerMove"
        label="At most at once, in units"
        extra="Empty: what the tolerance is worth"
      />
      <OptionalNumberField name="unitsPerDay" label="At most in a day" extra="Empty: six such moves" />
      <Button htmlType="submit" loading={isLoading}>
        Save
      </Button>
    </Form>
  );
}

/** Off until a lead has set what it may do. */
function KeeperForm({ standing: { station, keeper, day } }: { standing: BoardStationView }) {
  const [put, { isLoading, error }] = usePutKeeperMutation();
  const devices = useListDevicesQuery({}).data?.items.filter(({ stationId }) => stationId === station.id) ?? [];
  const [form] = Form.useForm<KeeperDto>();
  const step = day?.turnUnits ?? 1;
  const first: KeeperDto = {
    isOn: false,
    unitsPerMove: roundTo(FIRST_KEEPER.steps * step, 4),
    unitsPerDay: roundTo(FIRST_KEEPER.stepsPerDay * step, 4),
    shotsBetween: FIRST_KEEPER.shots,
    fewestShots: FIRST_KEEPER.shots,
  };
  const initial = keeper ?? first;
  useFollowing(form, initial);
  const missing = (['machine', 'grinder'] as const).filter((kind) => !devices.some((device) => device.kind === kind));
  const save = async (fields: KeeperDto): Promise<void> => {
    const [quietFrom, quietUntil] = [fields.quietFrom || null, fields.quietUntil || null];
    const keeperDto = { ...fields, quietFrom, quietUntil, revision: keeper?.revision ?? null };
    const done = await put({ id: station.id, keeperDto });
    if ('error' in done) form.setFields(formErrors(problemOf(done.error)) as never);
  };
  return (
    <Form
      form={form}
      name="keeper"
      layout="vertical"
      initialValues={initial}
      onFinish={(fields: KeeperDto) => void save(fields)}
    >
      <h3>By Olvet itself</h3>
      {missing.length > 0 && (
        <p className="quiet small">
          It needs a {missing.join(' and a ')} of this station that speaks for itself: Workshop, Devices.
        </p>
      )}
      <ProblemAlert error={error} overtaken={ONCE_MORE} />
      <Form.Item name="isOn" label="May turn this grinder" valuePropName="checked">
        <Switch />
      </Form.Item>
      <div className={listStyles.two}>
        <NumberField name="unitsPerMove" label="At most at once, in units" />
        <NumberField name="unitsPerDay" label="At most in a day" />
        <NumberField name="shotsBetween" label="Shots between two turns" />
        <NumberField name="fewestShots" label="Never on fewer shots" />
        <Form.Item name="quietFrom" label="Quiet from">
          <Input placeholder="12:00" maxLength={5} />
        </Form.Item>
        <Form.Item name="quietUntil" label="until">
          <Input placeholder="13:30" maxLength={5} />
        </Form.Item>
      </div>
      <p className="quiet small">
        The burrs may turn by themselves: hands, cloths and brushes away while it is on, plug out before cleaning. What
        the maker of the grinder says comes first.
      </p>
      <Button htmlType="submit" loading={isLoading}>
        Save
      </Button>
    </Form>
  );
}
