import { startTemperatureC } from '@olvet/core';
import { Button, Form } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { useSetUpStationMutation, type SetupDto } from '../app/api';
import { problemOf } from '../app/problem';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useMethods } from '../parts/useMethods';
import { aimOf, firstOf, fittingMethod, goalsOf, roastOf, useKnown, type Answers, type Known } from './known';
import { AimSection, CoffeeSection, GrinderSection, MachineSection } from './sections';
import styles from './SetupPage.module.css';
import { NEW, setupDto, type SetupFields } from './setupDto';

/** A station and its first dial-in on one page: coffee, grinder, basket, machine, aim. */
export function SetupPage() {
  const known = useKnown();
  if (!known) return <Loading className={styles.page} />;
  return <SetupForm known={known} />;
}

const USUAL_BASKET_GRAMS = 18;

function SetupForm({ known }: { known: Known }) {
  const [form] = Form.useForm<SetupFields>();
  const navigate = useNavigate();
  const methods = useMethods();
  const [setUp, { isLoading, error }] = useSetUpStationMutation();
  const [ids] = useState(newIds);
  const values = Form.useWatch([], form) as Partial<SetupFields> | undefined;
  const answers = answersOf(known, values);
  const recommended = fittingMethod(known, answers);
  const method = methods.find(values?.methodId ?? '') ?? recommended.method;

  const aimNow = (methodId: string, now: SetupFields) =>
    aimOf(known, methods.find(methodId)!, { id: now.basketId, nominalGrams: now.basket.nominalGrams });
  /** What follows from another answer is filled in, until the person says otherwise. */
  const onChange = (changed: Partial<SetupFields>): void => {
    const now = form.getFieldsValue(true) as SetupFields;
    if (decidesMethod(changed)) {
      const { method: fitting } = fittingMethod(known, answersOf(known, now));
      if (fitting.id !== now.methodId) form.setFieldsValue({ methodId: fitting.id, ...aimNow(fitting.id, now) });
    }
    if (changed.coffeeId) form.setFieldsValue(goalsOf(known, changed.coffeeId));
    if (changed.methodId) form.setFieldsValue(aimNow(changed.methodId, now));
    const basketNow = known.baskets.find(({ id }) => id === changed.basketId)?.nominalGrams;
    const nominal = changed.basket?.nominalGrams ?? basketNow;
    if (nominal) {
      const ratio = (methods.find(now.methodId) ?? method).start.ratio;
      form.setFieldsValue({ doseGrams: nominal, yieldGrams: Math.round(nominal * ratio) });
    }
  };

  const save = async (fields: SetupFields): Promise<void> => {
    const coffee = known.coffees.find(({ id }) => id === fields.coffeeId);
    const grinder = known.grinders.find(({ id }) => id === fields.grinderId);
    const dto = setupDto(fields, ids, {
      timer: method.timer,
      temperatureC: startTemperatureC(method, roastOf(known, answers), machineScaleOf(known, fields)),
      position: known.stations.length,
      drunkAs: coffee?.drunkAs,
      known: (Number(Boolean(grinder?.learnedSlope)) + Number(Boolean(coffee?.learnedTaste))) as 0 | 1 | 2,
      purgeGrams: grinder?.purgeGrams ?? fields.grinder.purgeGrams,
    });
    const done = await setUp({ stationId: ids.station, setupDto: dto });
    if (!('error' in done)) return void (await navigate(nextPlace(fields, dto, ids.run)));
    const { errors } = problemOf(done.error);
    form.setFields(errors.map(({ path, message }) => ({ name: fieldOf(path), errors: [message] })) as never);
  };

  const basket = { id: firstOf(known.baskets), nominalGrams: USUAL_BASKET_GRAMS };
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
          coffeeId: firstOf(known.coffees),
          grinderId: firstOf(known.grinders),
          machineId: firstOf(known.machines),
          basketId: firstOf(known.baskets),
          coffee: { roast: 'medium' },
          grinder: { min: 0, max: 40, step: 1, finer: 'lower', dosing: 'weighed', purgeGrams: 10 },
          people: Math.max(1, known.people),
          machine: { name: 'Machine', canSet: false, min: 88, max: 97, step: 1, preBrew: 'none' },
          basket: { nominalGrams: USUAL_BASKET_GRAMS, isMarked: true },
          stationName: known.stations.length === 0 ? 'Bar' : `Station ${known.stations.length + 1}`,
          methodId: recommended.method.id,
          ...aimOf(known, recommended.method, basket),
          ...goalsOf(known, firstOf(known.coffees)),
        }}
      >
        <div className={styles.columns}>
          <CoffeeSection known={known} values={values} />
          <GrinderSection known={known} values={values} />
          <MachineSection known={known} values={values} />
          <AimSection method={method} recommended={recommended} />
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

/** Made once, so that what is sent twice is the same station. */
function newIds() {
  const rows = { station: v7(), run: v7(), grinder: v7(), machine: v7(), basket: v7(), coffee: v7(), bag: v7() };
  return { ...rows, startedAt: new Date().toISOString() };
}

function answersOf(known: Known, values: Partial<SetupFields> | undefined): Answers {
  return {
    coffeeId: values?.coffeeId ?? firstOf(known.coffees),
    machineId: values?.machineId ?? firstOf(known.machines),
    roast: values?.coffee?.roast,
    canSet: values?.machine?.canSet,
    preBrew: values?.machine?.preBrew,
    people: values?.people,
  };
}

/** Another answer to one of these may call for another method. */
function decidesMethod({ coffeeId, coffee, machineId, machine, people }: Partial<SetupFields>): boolean {
  const { canSet, preBrew } = machine ?? {};
  return [coffeeId, coffee?.roast, machineId, canSet, preBrew, people].some((answer) => answer !== undefined);
}

/** A basket without a figure goes through the dose finder first. */
function nextPlace({ basketId, basket }: SetupFields, { station }: SetupDto, runId: string): string {
  if (basketId !== NEW || basket.isMarked) return `/dial-in/${runId}`;
  const from = new URLSearchParams({ basket: station.basketId, coffee: station.coffeeId, run: runId });
  return `/measure/dose?${from.toString()}`;
}

/** null where the temperature cannot be set. */
function machineScaleOf(known: Known, { machineId, machine }: SetupFields): { min: number; max: number } | null {
  if (machineId !== NEW) return known.machines.find(({ id }) => id === machineId)?.temperatureC ?? null;
  return machine.canSet ? { min: machine.min, max: machine.max } : null;
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
