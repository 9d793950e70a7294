import { plainNumber } from '@olvet/core';
import { Form, Segmented, Select } from 'antd';
import { useListMachinesQuery, usePutMachineMutation, type MachineDto, type MachineView } from '../app/api';
import { NumberInput } from '../parts/NumberInput';
import { temperatureNumber, type TemperatureUnit } from '../parts/format';
import { shownDifference, useTemperatureUnit } from '../parts/temperature';
import listStyles from '../parts/List.module.css';
import { EquipmentTab } from './EquipmentTab';
import { DegreesField, NameField, NumberField } from './fields';

interface Fields {
  name: string;
  canSet: boolean;
  groups?: number | null;
  warmUpMinutes?: number | null;
  preBrew?: MachineDto['preBrew'];
  pumpBar?: number | null;
  temperatureC: NonNullable<MachineDto['temperatureC']>;
}

const PRE_BREW_WORDS = {
  none: 'nothing: the pump starts at once',
  'pre-infusion': 'pre-infusion',
  valve: 'a low-flow valve',
  lever: 'a lever: pressure by hand',
} as const;

const USUAL = { min: 88, max: 97, step: 0.5 };

export function MachinesTab() {
  const unit = useTemperatureUnit();
  const { data, error } = useListMachinesQuery({});
  const [put] = usePutMachineMutation();
  return (
    <EquipmentTab<MachineView, Fields>
      what="machine"
      intro="Its groups, how long it takes to get hot, what comes before the pump, whether its temperature can be set."
      items={data?.items}
      error={error}
      fresh={{ canSet: true, temperatureC: USUAL, groups: 1, preBrew: 'none' }}
      fieldsOf={({ name, temperatureC, groups, warmUpMinutes, preBrew, pumpBar }) => ({
        name,
        groups: groups ?? 1,
        warmUpMinutes,
        preBrew,
        pumpBar,
        canSet: temperatureC != null,
        temperatureC: temperatureC ?? USUAL,
      })}
      write={async (id, { canSet, temperatureC, ...fields }, stored) => {
        const machineDto: MachineDto = {
          ...(stored as Partial<MachineDto>),
          ...fields,
          retiredAt: stored.retiredAt,
          temperatureC: canSet ? temperatureC : null,
        };
        const done = await put({ id, machineDto });
        return 'error' in done ? done.error : undefined;
      }}
      describe={(machine) => describe(machine, unit)}
    >
      {() => (
        <>
          <NameField />
          <div className={listStyles.two}>
            <NumberField name="groups" label="Groups" />
            <Form.Item
              name="warmUpMinutes"
              label="Warm-up, minutes"
              extra="Until a group is really hot, not until the light"
            >
              <NumberInput className={listStyles.full} precision={0} />
            </Form.Item>
            <Form.Item name="pumpBar" label="Pressure, bar">
              <NumberInput className={listStyles.full} />
            </Form.Item>
          </div>
          <Form.Item name="preBrew" label="Before the pump">
            <Select options={Object.entries(PRE_BREW_WORDS).map(([value, label]) => ({ value, label }))} />
          </Form.Item>
          <Form.Item name="canSet" label="Can its temperature be set?">
            <Segmented
              block
              options={[
                { value: true, label: 'yes' },
                { value: false, label: 'no' },
              ]}
            />
          </Form.Item>
          <Form.Item noStyle shouldUpdate={(a: Fields, b: Fields) => a.canSet !== b.canSet}>
            {({ getFieldValue }) =>
              getFieldValue('canSet') && (
                <div className={listStyles.two}>
                  <DegreesField name={['temperatureC', 'min']} label="Lowest" />
                  <DegreesField name={['temperatureC', 'max']} label="Highest" />
                  <DegreesField name={['temperatureC', 'step']} label="Step" difference />
                </div>
              )
            }
          </Form.Item>
        </>
      )}
    </EquipmentTab>
  );
}

function describe(machine: MachineView, unit: TemperatureUnit): string {
  const { temperatureC, groups, warmUpMinutes, preBrew, temperatureOffset, firstDrip } = machine;
  const { mean = 0 } = temperatureOffset ?? {};
  return [
    temperatureC
      ? `${temperatureNumber(temperatureC.min, unit)}–${temperatureNumber(temperatureC.max, unit)} °${unit} in steps of ${plainNumber(shownDifference(temperatureC.step, unit))}`
      : 'temperature cannot be set',
    groups && groups > 1 ? `${groups} groups` : null,
    warmUpMinutes ? `hot after ${warmUpMinutes} min` : null,
    preBrew && preBrew !== 'none' ? PRE_BREW_WORDS[preBrew].split(':')[0]! : null,
    temperatureOffset
      ? `${plainNumber(shownDifference(Math.abs(mean), unit), 1)} °${unit} ${mean < 0 ? 'cooler' : 'hotter'} than shown`
      : null,
    firstDrip ? `first drip after ${plainNumber(firstDrip.mean, 1)} s` : null,
  ]
    .filter(Boolean)
    .join(', ');
}
