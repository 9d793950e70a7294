import { plainNumber } from '@olvet/core';
import { Form, Segmented } from 'antd';
import {
  useGetWearQuery,
  useListGrindersQuery,
  usePutGrinderMutation,
  type GrinderDto,
  type GrinderView,
} from '../app/api';
import { slopeInWords } from '../parts/learned';
import listStyles from '../parts/List.module.css';
import { EquipmentTab } from './EquipmentTab';
import { NameField, NumberField, OptionalNumberField } from './fields';

type Fields = Omit<GrinderDto, 'revision' | 'retiredAt'>;

export function GrindersTab() {
  const { data, error } = useListGrindersQuery({});
  const wear = useGetWearQuery().data ?? [];
  const [put] = usePutGrinderMutation();
  return (
    <EquipmentTab<GrinderView, Fields>
      what="grinder"
      intro="Its scale, its smallest step, which way is finer, and how much old coffee it holds after a change."
      items={data?.items}
      error={error}
      fresh={{ min: 0, max: 40, step: 1, finer: 'lower', dosing: 'weighed', purgeGrams: 10, collar: 'numbered' }}
      fieldsOf={(row) => row}
      write={async (id, fields, stored) => {
        const done = await put({
          id,
          grinderDto: { ...(stored as Partial<GrinderDto>), ...fields, retiredAt: stored.retiredAt },
        });
        return 'error' in done ? done.error : undefined;
      }}
      describe={({ id, min, max, step, finer, dosing, purgeGrams, learnedSlope, burrLifeKg }) => (
        <>
          {plainNumber(min)}–{plainNumber(max)}, {step === 0 ? 'stepless' : `step ${plainNumber(step)}`}, {finer} is
          finer, {dosing}, purge {plainNumber(purgeGrams)} g
          {wearInWords(wear.find(({ grinderId }) => grinderId === id)?.groundKg, burrLifeKg)}
          {learnedSlope && <span className="quiet"> · learned: {slopeInWords(learnedSlope)}</span>}
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
            <NumberField name="purgeGrams" label="Purge, g" extra="Old grounds to discard after a change" />
            <OptionalNumberField name="retentionGrams" label="Stays in the chute, g" />
            <OptionalNumberField name="groundKg" label="Ground before Olvet, kg" />
            <OptionalNumberField name="burrLifeKg" label="Burrs last, kg" />
          </div>
          <Form.Item name="collar" label="Collar">
            <Segmented
              block
              options={[
                { value: 'numbered', label: 'numbered' },
                { value: 'marked', label: 'plain marks' },
              ]}
            />
          </Form.Item>
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

/** ", 142 of 600 kg through the burrs". */
function wearInWords(groundKg: number | undefined, burrLifeKg: number | null | undefined): string {
  if (groundKg === undefined || groundKg < 0.1) return '';
  const worn = burrLifeKg ? ` of ${plainNumber(burrLifeKg, 0)}` : '';
  const due = burrLifeKg && groundKg > 0.9 * burrLifeKg ? ': look at them soon' : '';
  return `, ${plainNumber(groundKg, groundKg < 10 ? 1 : 0)}${worn} kg through the burrs${due}`;
}
