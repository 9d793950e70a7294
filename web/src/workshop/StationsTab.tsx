import { METHODS, plainNumber, TIMER_STARTS } from '@olvet/core';
import { Form, Segmented, Select } from 'antd';
import {
  useListBarScalesQuery,
  useListBasketsQuery,
  useListCoffeesQuery,
  useListGrindersQuery,
  useListMachinesQuery,
  useListStationsQuery,
  usePutStationMutation,
  type GrinderView,
  type StationDto,
  type StationView,
} from '../app/api';
import { TIMER_WORDS } from '../parts/format';
import listStyles from '../parts/List.module.css';
import { useMethods } from '../parts/useMethods';
import { EquipmentTab } from './EquipmentTab';
import { NameField, NumberField, OptionalNumberField } from './fields';

type Fields = Pick<
  StationDto,
  'name' | 'grinderId' | 'machineId' | 'basketId' | 'coffeeId' | 'methodId' | 'target' | 'grind' | 'weighs' | 'scaleId'
>;

const ALL = {};

/**
 * Where the grinder stands once a station has changed. A number somebody typed stays; an old one means nothing on another
 * grinder, and for another coffee the recipes kept on this one know better.
 */
function grindAfter(
  before: Partial<StationDto>,
  { grinderId, coffeeId, grind }: Pick<StationDto, 'grinderId' | 'coffeeId' | 'grind'>,
  grinders: Pick<GrinderView, 'id' | 'learnedSlope'>[],
): number | null {
  const stood = before.grind ?? null;
  if ((grind ?? null) !== stood) return grind ?? null;
  if (before.grinderId !== grinderId) return null;
  const hasKept = grinders.some(({ id, learnedSlope }) => id === grinderId && learnedSlope !== null);
  return before.coffeeId !== coffeeId && hasKept ? null : stood;
}

export function StationsTab() {
  const { data, error } = useListStationsQuery(ALL);
  const grinders = useListGrindersQuery(ALL).data?.items ?? [];
  const machines = useListMachinesQuery(ALL).data?.items ?? [];
  const baskets = useListBasketsQuery(ALL).data?.items ?? [];
  const coffees = useListCoffeesQuery(ALL).data?.items ?? [];
  const [put] = usePutStationMutation();
  const scales = useListBarScalesQuery(ALL).data?.items ?? [];
  const methods = useMethods();
  const method = METHODS[1]!;
  const options = (items: { id: string; name: string; retiredAt?: string | null }[]) =>
    items.filter(({ retiredAt }) => !retiredAt).map(({ id, name }) => ({ value: id, label: name }));
  const nameOf = (items: { id: string; name: string }[], id: string): string =>
    items.find((item) => item.id === id)?.name ?? '';
  const pick = (name: string, label: string, items: { id: string; name: string; retiredAt?: string | null }[]) => (
    <Form.Item name={name} label={label} rules={[{ required: true, message: 'Choose one' }]}>
      <Select options={options(items)} />
    </Form.Item>
  );
  return (
    <EquipmentTab<StationView, Fields>
      what="station"
      intro="A grinder, a machine, a basket and the coffee at hand: one line at the bar each."
      items={data?.items}
      error={error}
      fresh={{
        methodId: method.id,
        weighs: true,
        target: {
          doseGrams: 18,
          yieldGrams: 36,
          timeSeconds: method.windowSeconds,
          timer: method.timer,
          balance: 0,
          body: 0,
        },
      }}
      fieldsOf={(row) => row}
      write={async (id, fields, stored) => {
        const target = {
          ...stored.target,
          ...fields.target,
          balance: stored.target?.balance ?? 0,
          body: stored.target?.body ?? 0,
        };
        const machine = machines.find((each) => each.id === fields.machineId);
        const temperatureC = machine?.temperatureC ? (fields.target.temperatureC ?? 93) : null;
        const stationDto = {
          ...(stored as Partial<StationDto>),
          ...fields,
          grind: grindAfter(stored, fields, grinders),
          target: { ...target, temperatureC },
        } as StationDto;
        const done = await put({ id, stationDto: { ...stationDto, retiredAt: stored.retiredAt } });
        return 'error' in done ? done.error : undefined;
      }}
      describe={({ grinderId, machineId, coffeeId, basketId, methodId, target, grind, weighs }) => (
        <>
          {nameOf(coffees, coffeeId)} · {nameOf(grinders, grinderId)} → {nameOf(machines, machineId)},{' '}
          {nameOf(baskets, basketId)} · {methods.find(methodId)?.name}, {plainNumber(target.doseGrams)} →{' '}
          {plainNumber(target.yieldGrams)} g in {target.timeSeconds.min}–{target.timeSeconds.max} s
          {grind != null && ` · grinder at ${plainNumber(grind)}`}
          {weighs === false && ' · no scale'}
        </>
      )}
    >
      {() => (
        <>
          <NameField />
          {pick('coffeeId', 'Coffee', coffees)}
          {pick('grinderId', 'Grinder', grinders)}
          <OptionalNumberField name="grind" label="It stands at (optional)" />
          {pick('machineId', 'Machine', machines)}
          {pick('basketId', 'Basket', baskets)}
          <Form.Item
            name="weighs"
            label="Doses and yields are"
            extra="Without a scale the advice counts on wider scatter."
          >
            <Segmented
              block
              options={[
                { value: true, label: 'weighed' },
                { value: false, label: 'struck level' },
              ]}
            />
          </Form.Item>
          <Form.Item name="scaleId" label="Scale" hidden={scales.length === 0}>
            <Select allowClear options={options(scales)} />
          </Form.Item>
          <Form.Item name="methodId" label="Method">
            <Select options={methods.all.map(({ id, name }) => ({ value: id, label: name }))} />
          </Form.Item>
          <div className={listStyles.two}>
            <NumberField name={['target', 'doseGrams']} label="Dose, g" />
            <NumberField name={['target', 'yieldGrams']} label="Yield, g" />
            <NumberField name={['target', 'timeSeconds', 'min']} label="Time from, s" />
            <NumberField name={['target', 'timeSeconds', 'max']} label="to, s" />
          </div>
          <Form.Item name={['target', 'timer']} label="Timer">
            <Select options={TIMER_STARTS.map((value) => ({ value, label: TIMER_WORDS[value] }))} />
          </Form.Item>
        </>
      )}
    </EquipmentTab>
  );
}
