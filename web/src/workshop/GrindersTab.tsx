import { plainNumber } from '@olvet/core';
import { Form, Segmented } from 'antd';
import { useListGrindersQuery, usePutGrinderMutation, type GrinderDto, type GrinderView } from '../app/api';
import listStyles from '../parts/List.module.css';
import { EquipmentTab } from './EquipmentTab';
import { NameField, NumberField } from './fields';

type Fields = Omit<GrinderDto, 'revision' | 'retiredAt'>;

export function GrindersTab() {
  const { data, error } = useListGrindersQuery({ pageSize: 200 });
  const [put] = usePutGrinderMutation();
  return (
    <EquipmentTab<GrinderView, Fields>
      what="grinder"
      intro="Its scale, its smallest step, which way is finer, and how much old coffee it holds after a change."
      items={data?.items}
      error={error}
      fresh={{ min: 0, max: 40, step: 1, finer: 'lower', dosing: 'weighed', purgeGrams: 10 }}
      fieldsOf={(row) => row}
      write={async (id, fields, stored) => {
        const done = await put({
          id,
          grinderDto: { ...(stored as Partial<GrinderDto>), ...fields, retiredAt: stored.retiredAt },
        });
        return 'error' in done ? done.error : undefined;
      }}
      describe={({ min, max, step, finer, dosing, purgeGrams, learnedSlope }) => (
        <>
          {plainNumber(min)}–{plainNumber(max)}, {step === 0 ? 'stepless' : `step ${plainNumber(step)}`}, {finer} is
          finer, {dosing}, purge {plainNumber(purgeGrams)} g
          {learnedSlope && (
            <span className="quiet">
              {' '}
              · learned: one unit finer adds {plainNumber(100 * learnedSlope.mean, 1)} % time (±
              {plainNumber(100 * learnedSlope.sd, 1)}, from {learnedSlope.shots} shots)
            </span>
          )}
        </>
      )}
    >
      {() => (
        <>
          <NameField />
          <div className={listStyles.two}>
            <NumberField name="min" label="Scale from" />
            <NumberField name="max" label="Scale to" />
            <NumberField name="step" label="Smallest step" extra="0 if there are no clicks" />
            <NumberField name="purgeGrams" label="Purge, g" extra="Thrown out after a change" />
          </div>
          <Form.Item name="finer" label="Finer is">
            <Segmented
              block
              options={[
                { value: 'lower', label: 'a lower number' },
                { value: 'higher', label: 'a higher number' },
              ]}
            />
          </Form.Item>
          <Form.Item
            name="dosing"
            label="Dosing"
            extra="Adjust finer only with the burrs turning. Unplug before reaching in."
          >
            <Segmented
              block
              options={[
                { value: 'weighed', label: 'weighed' },
                { value: 'timed', label: 'by time' },
              ]}
            />
          </Form.Item>
        </>
      )}
    </EquipmentTab>
  );
}
