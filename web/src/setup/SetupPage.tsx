import { BODY_GOALS, FLAVOUR_GOALS, ROASTS, recommendMethod, startTemperatureC } from '@olvet/core';
import { Button, DatePicker, Form, Input, Segmented, Select } from 'antd';
import type { Dayjs } from 'dayjs';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import {
  useListBasketsQuery,
  useListCoffeesQuery,
  useListGrindersQuery,
  useListMachinesQuery,
  useListStationsQuery,
  useSetUpStationMutation,
  type CoffeeView,
  type GrinderView,
} from '../app/api';
import { problemOf } from '../app/problem';
import { Loading } from '../parts/Loading';
import { NumberInput } from '../parts/NumberInput';
import { useMethods } from '../parts/useMethods';
import { DegreesInput } from '../parts/DegreesInput';
import { ProblemAlert } from '../parts/ProblemAlert';
import { inUnit, useTemperatureUnit } from '../parts/temperature';
import styles from './SetupPage.module.css';
import { NEW, setupDto, type SetupFields } from './setupDto';

const ALL = {};

/** A station and its first dial-in on one page: coffee, grinder, basket, machine, aim. */
export function SetupPage() {
  const grinders = inUse(useListGrindersQuery(ALL).data?.items);
  const machines = inUse(useListMachinesQuery(ALL).data?.items);
  const baskets = inUse(useListBasketsQuery(ALL).data?.items);
  const coffees = inUse(useListCoffeesQuery(ALL).data?.items);
  const stations = useListStationsQuery(ALL).data?.items;
  if (!grinders || !machines || !baskets || !coffees || !stations) return <Loading className={styles.page} />;
  return <SetupForm known={{ grinders, machines, baskets, coffees, stations }} />;
}

/** What was retired is not offered for a new station. */
function inUse<T extends { retiredAt?: string | null }>(items: T[] | undefined): T[] | undefined {
  return items?.filter(({ retiredAt }) => !retiredAt);
}

type Named = { id: string; name: string };

interface Known {
  grinders: (Named & Pick<GrinderView, 'purgeGrams' | 'learnedSlope'>)[];
  machines: (Named & { temperatureC?: { min: number; max: number } | null })[];
  baskets: (Named & { nominalGrams: number })[];
  coffees: (Named &
    Pick<CoffeeView, 'altitudeM' | 'flavourGoal' | 'bodyGoal' | 'drunkAs' | 'learnedTaste' | 'roast'>)[];
  stations: Named[];
}

function SetupForm({ known }: { known: Known }) {
  const [form] = Form.useForm<SetupFields>();
  const navigate = useNavigate();
  const methods = useMethods();
  const unit = useTemperatureUnit();
  const [setUp, { isLoading, error }] = useSetUpStationMutation();
  const [ids] = useState(() => ({
    station: v7(),
    run: v7(),
    grinder: v7(),
    machine: v7(),
    basket: v7(),
    coffee: v7(),
    bag: v7(),
    startedAt: new Date().toISOString(),
  }));
  const values = Form.useWatch([], form) as Partial<SetupFields> | undefined;
  const chosenCoffee = values?.coffeeId ?? known.coffees[0]?.id;
  const roast = known.coffees.find(({ id }) => id === chosenCoffee)?.roast ?? values?.coffee?.roast ?? 'medium';
  const chosenMachine = known.machines.find(({ id }) => id === (values?.machineId ?? known.machines[0]?.id));
  const recommended = recommendMethod({
    roast,
    altitudeM: known.coffees.find(({ id }) => id === chosenCoffee)?.altitudeM,
    canSetTemperature: chosenMachine ? chosenMachine.temperatureC != null : (values?.machine?.canSet ?? false),
  });
  const method = methods.find(values?.methodId ?? '') ?? recommended.method;
  const first = (items: Named[]): string => items[0]?.id ?? NEW;

  /** What follows from another answer is filled in, until the person says otherwise. */
  const onChange = (changed: Partial<SetupFields>): void => {
    const now = form.getFieldsValue(true) as SetupFields;
    const roastNow = known.coffees.find(({ id }) => id === now.coffeeId)?.roast ?? now.coffee.roast;
    if (changed.coffeeId || changed.coffee?.roast || changed.machineId || changed.machine?.canSet !== undefined) {
      const machineNow = known.machines.find(({ id }) => id === now.machineId);
      const { method: fitting } = recommendMethod({
        roast: roastNow,
        altitudeM: known.coffees.find(({ id }) => id === now.coffeeId)?.altitudeM,
        canSetTemperature: machineNow ? machineNow.temperatureC != null : now.machine.canSet,
      });
      if (fitting.id !== now.methodId) form.setFieldsValue({ methodId: fitting.id, ...aimOf(fitting.id, now) });
    }
    if (changed.coffeeId) form.setFieldsValue(goalsOf(changed.coffeeId));
    if (changed.methodId) form.setFieldsValue(aimOf(changed.methodId, now));
    const basketNow = known.baskets.find(({ id }) => id === changed.basketId)?.nominalGrams;
    const nominal = changed.basket?.nominalGrams ?? basketNow;
    if (nominal) {
      const ratio = (methods.find(now.methodId) ?? method).start.ratio;
      form.setFieldsValue({ doseGrams: nominal, yieldGrams: Math.round(nominal * ratio) });
    }
  };
  /** What the house wants of a coffee it knows. */
  const goalsOf = (coffeeId: string): Pick<SetupFields, 'flavourGoal' | 'bodyGoal'> => {
    const { flavourGoal, bodyGoal } = known.coffees.find(({ id }) => id === coffeeId) ?? {};
    return { flavourGoal: flavourGoal ?? undefined, bodyGoal: bodyGoal ?? undefined };
  };
  const aimOf = (methodId: string, now: SetupFields): Partial<SetupFields> => {
    const chosen = methods.find(methodId)!;
    const nominal = known.baskets.find(({ id }) => id === now.basketId)?.nominalGrams ?? now.basket.nominalGrams;
    const doseGrams = nominal ?? chosen.start.doseGrams;
    return { doseGrams, yieldGrams: Math.round(doseGrams * chosen.start.ratio), window: { ...chosen.windowSeconds } };
  };

  const save = async (fields: SetupFields): Promise<void> => {
    const machineScale =
      fields.machineId === NEW
        ? fields.machine.canSet
          ? { min: fields.machine.min, max: fields.machine.max }
          : null
        : (known.machines.find(({ id }) => id === fields.machineId)?.temperatureC ?? null);
    const temperatureC = startTemperatureC(method, roast, machineScale);
    const coffee = known.coffees.find(({ id }) => id === fields.coffeeId);
    const grinder = known.grinders.find(({ id }) => id === fields.grinderId);
    const dto = setupDto(fields, ids, {
      timer: method.timer,
      temperatureC,
      position: known.stations.length,
      drunkAs: coffee?.drunkAs,
      known: (Number(Boolean(grinder?.learnedSlope)) + Number(Boolean(coffee?.learnedTaste))) as 0 | 1 | 2,
      purgeGrams: grinder?.purgeGrams ?? fields.grinder.purgeGrams,
    });
    const done = await setUp({ stationId: ids.station, setupDto: dto });
    if (!('error' in done)) return void (await navigate(`/dial-in/${ids.run}`));
    const { errors } = problemOf(done.error);
    form.setFields(errors.map(({ path, message }) => ({ name: fieldOf(path), errors: [message] })) as never);
  };

  const choice = (label: string, name: 'grinderId' | 'machineId' | 'basketId' | 'coffeeId', items: Named[]) => (
    <Form.Item name={name} label={label} hidden={items.length === 0}>
      <Select
        options={[
          ...items.map(({ id, name: text }) => ({ value: id, label: text })),
          { value: NEW, label: 'a new one' },
        ]}
      />
    </Form.Item>
  );
  const isNew = (name: 'grinderId' | 'machineId' | 'basketId' | 'coffeeId'): boolean =>
    (values?.[name] ?? first(itemsOf(name))) === NEW;
  const itemsOf = (name: string): Named[] =>
    ({ grinderId: known.grinders, machineId: known.machines, basketId: known.baskets, coffeeId: known.coffees })[
      name
    ] ?? [];
  const keeps = known.grinders.some(({ id, learnedSlope }) => id === values?.grinderId && learnedSlope !== null);
  const must = (message: string) => [{ required: true, message }];
  const number = { className: styles.number } as const;
  const basket = { nominalGrams: 18 };
  const start = aimOf(recommended.method.id, { basket, basketId: first(known.baskets) } as SetupFields);

  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <h1>{known.stations.length === 0 ? 'Set up the first station' : 'Add a station'}</h1>
        <p className="quiet">What you fill in here decides the first advice. All of it can be changed later.</p>
      </header>
      <ProblemAlert error={error} />
      <Form
        form={form}
        layout="vertical"
        scrollToFirstError
        onValuesChange={onChange}
        onFinish={() => void save(form.getFieldsValue(true) as SetupFields)}
        initialValues={{
          coffeeId: first(known.coffees),
          grinderId: first(known.grinders),
          machineId: first(known.machines),
          basketId: first(known.baskets),
          coffee: { roast: 'medium' },
          grinder: { min: 0, max: 40, step: 1, finer: 'lower', dosing: 'weighed', purgeGrams: 10 },
          machine: { name: 'Machine', canSet: false, min: 88, max: 97, step: 1 },
          basket: { nominalGrams: 18 },
          stationName: known.stations.length === 0 ? 'Bar' : `Station ${known.stations.length + 1}`,
          methodId: recommended.method.id,
          ...start,
          ...goalsOf(first(known.coffees)),
        }}
      >
        <div className={styles.columns}>
          <section aria-labelledby="setup-coffee">
            <h2 id="setup-coffee">Coffee</h2>
            {choice('Coffee', 'coffeeId', known.coffees)}
            {isNew('coffeeId') && (
              <>
                <Form.Item name={['coffee', 'name']} label="Its name" rules={must('What is the coffee called?')}>
                  <Input maxLength={80} autoFocus />
                </Form.Item>
                <Form.Item name={['coffee', 'roast']} label="Roast">
                  <Select options={ROASTS.map((value) => ({ value, label: value }))} />
                </Form.Item>
                <Form.Item name="roastedOn" label="Roasted on (if the bag says)">
                  <DatePicker className={styles.number} disabledDate={(date: Dayjs) => date.valueOf() > Date.now()} />
                </Form.Item>
              </>
            )}
          </section>
          <section aria-labelledby="setup-grinder">
            <h2 id="setup-grinder">Grinder</h2>
            {choice('Grinder', 'grinderId', known.grinders)}
            {isNew('grinderId') && (
              <>
                <Form.Item name={['grinder', 'name']} label="What you call it" rules={must('Give the grinder a name')}>
                  <Input maxLength={80} />
                </Form.Item>
                <div className={styles.three}>
                  <Form.Item name={['grinder', 'min']} label="Scale from" rules={must('From?')}>
                    <NumberInput {...number} />
                  </Form.Item>
                  <Form.Item name={['grinder', 'max']} label="to" rules={must('To?')}>
                    <NumberInput {...number} />
                  </Form.Item>
                  <Form.Item
                    name={['grinder', 'step']}
                    label="Step"
                    tooltip="The smallest change you can set; 0 if there are no clicks"
                    rules={must('Step?')}
                  >
                    <NumberInput {...number} min={0} />
                  </Form.Item>
                </div>
                <Form.Item name={['grinder', 'finer']} label="Finer is">
                  <Segmented
                    block
                    options={[
                      { value: 'lower', label: 'a lower number' },
                      { value: 'higher', label: 'a higher number' },
                    ]}
                  />
                </Form.Item>
              </>
            )}
            <Form.Item
              name="grind"
              label={keeps ? 'Start at (optional)' : 'Where it stands now'}
              extra={
                keeps
                  ? 'Left empty, the recipes kept on this grinder say where to start.'
                  : 'Leave empty if you do not know.'
              }
            >
              <NumberInput {...number} />
            </Form.Item>
          </section>
          <section aria-labelledby="setup-machine">
            <h2 id="setup-machine">Basket and machine</h2>
            {choice('Basket', 'basketId', known.baskets)}
            {isNew('basketId') && (
              <Form.Item
                name={['basket', 'nominalGrams']}
                label="Basket, grams on its rim"
                rules={must('How many grams does the basket hold?')}
              >
                <NumberInput {...number} min={4} max={40} />
              </Form.Item>
            )}
            {choice('Machine', 'machineId', known.machines)}
            {isNew('machineId') && (
              <>
                <Form.Item name={['machine', 'name']} label="Machine" rules={must('Give the machine a name')}>
                  <Input maxLength={80} />
                </Form.Item>
                <Form.Item name={['machine', 'canSet']} label="Can you set its temperature?">
                  <Segmented
                    block
                    options={[
                      { value: false, label: 'no' },
                      { value: true, label: 'yes' },
                    ]}
                  />
                </Form.Item>
                {values?.machine?.canSet && (
                  <div className={styles.three}>
                    <Form.Item name={['machine', 'min']} label={`°${unit} from`} rules={must('From?')}>
                      <DegreesInput {...number} />
                    </Form.Item>
                    <Form.Item name={['machine', 'max']} label="to" rules={must('To?')}>
                      <DegreesInput {...number} />
                    </Form.Item>
                    <Form.Item name={['machine', 'step']} label="Step" rules={must('Step?')}>
                      <DegreesInput {...number} difference />
                    </Form.Item>
                  </div>
                )}
              </>
            )}
            <Form.Item name="stationName" label="Station" rules={must('Give the station a name')}>
              <Input maxLength={80} />
            </Form.Item>
          </section>
          <section aria-labelledby="setup-aim">
            <h2 id="setup-aim">Aim</h2>
            <Form.Item
              name="methodId"
              label="Method"
              extra={
                <>
                  {method.idea}
                  <br />
                  <strong>
                    {method.id === recommended.method.id
                      ? 'Suits this coffee and machine:'
                      : `Olvet would take ${recommended.method.name}:`}
                  </strong>{' '}
                  {inUnit(recommended.reasons.join(' '), unit)}
                </>
              }
            >
              <Select options={methods.all.map(({ id, name }) => ({ value: id, label: name }))} />
            </Form.Item>
            <div className={styles.two}>
              <Form.Item name="doseGrams" label="Dose, g" rules={must('Dose?')}>
                <NumberInput {...number} />
              </Form.Item>
              <Form.Item name="yieldGrams" label="Yield, g" rules={must('Yield?')}>
                <NumberInput {...number} />
              </Form.Item>
              <Form.Item name={['window', 'min']} label="Time from, s" rules={must('From?')}>
                <NumberInput {...number} />
              </Form.Item>
              <Form.Item name={['window', 'max']} label="to, s" rules={must('To?')}>
                <NumberInput {...number} />
              </Form.Item>
            </div>
            <Form.Item name="flavourGoal" label="Flavour wanted (optional)">
              <Select allowClear options={FLAVOUR_GOALS.map(({ id, text }) => ({ value: id, label: text }))} />
            </Form.Item>
            <Form.Item name="bodyGoal" label="Body wanted (optional)">
              <Select allowClear options={BODY_GOALS.map(({ id, text }) => ({ value: id, label: text }))} />
            </Form.Item>
            <Form.Item name="goal" label="What should it taste like? (optional)">
              <Input maxLength={400} placeholder="sweet, clear acidity, a little cocoa" />
            </Form.Item>
          </section>
        </div>
        <div className={styles.go}>
          <Button type="primary" size="large" htmlType="submit" loading={isLoading}>
            First advice
          </Button>
        </div>
      </Form>
    </div>
  );
}

/** Server paths → fields of this form. */
function fieldOf(path: string): (string | number)[] {
  const parts = path.split('.');
  if (path === 'station.name' || path === 'name') return ['stationName'];
  if (parts[0] === 'bag') return ['roastedOn'];
  if (path.includes('timeSeconds')) return ['window', parts.at(-1)!];
  if (parts[0] === 'run' || parts[0] === 'station') return [parts.at(-1)!];
  if (path.startsWith('machine.temperatureC')) return ['machine', parts.at(-1)!];
  return parts;
}
