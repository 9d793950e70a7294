import { plainNumber } from '@olvet/core';
import { Form, Segmented } from 'antd';
import { useListMachinesQuery, usePutMachineMutation, type MachineDto, type MachineView } from '../app/api';
import listStyles from '../parts/List.module.css';
import { EquipmentTab } from './EquipmentTab';
import { NameField, NumberField } from './fields';

interface Fields {
  name: string;
  canSet: boolean;
  temperatureC: NonNullable<MachineDto['temperatureC']>;
}

const USUAL = { min: 88, max: 97, step: 0.5 };

export function MachinesTab() {
  const { data, error } = useListMachinesQuery({ pageSize: 200 });
  const [put] = usePutMachineMutation();
  return (
    <EquipmentTab<MachineView, Fields>
      what="machine"
      intro="Whether its brew temperature can be set, from where to where, in what steps."
      items={data?.items}
      error={error}
      fresh={{ canSet: true, temperatureC: USUAL }}
      fieldsOf={({ name, temperatureC }) => ({
        name,
        canSet: temperatureC != null,
        temperatureC: temperatureC ?? USUAL,
      })}
      write={async (id, { name, canSet, temperatureC }, { revision, retiredAt }) => {
        const machineDto: MachineDto = { revision, retiredAt, name, temperatureC: canSet ? temperatureC : null };
        const done = await put({ id, machineDto });
        return 'error' in done ? done.error : undefined;
      }}
      describe={({ temperatureC }) =>
        temperatureC
          ? `${plainNumber(temperatureC.min)}–${plainNumber(temperatureC.max)} °C in steps of ${plainNumber(temperatureC.step)}`
          : 'temperature cannot be set'
      }
    >
      {() => (
        <>
          <NameField />
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
                  <NumberField name={['temperatureC', 'min']} label="Lowest, °C" />
                  <NumberField name={['temperatureC', 'max']} label="Highest, °C" />
                  <NumberField name={['temperatureC', 'step']} label="Step, °C" />
                </div>
              )
            }
          </Form.Item>
        </>
      )}
    </EquipmentTab>
  );
}
