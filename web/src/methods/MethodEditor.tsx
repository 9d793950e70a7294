import { LEVERS, methodErrors, METHOD_IDS, ORDERS, ROASTS, TIMER_STARTS, type Method, type Order } from '@olvet/core';
import { Form, Input, Segmented, Select } from 'antd';
import { usePutOwnMethodMutation, type OwnMethodDto, type OwnMethodView } from '../app/api';
import { DegreesInput } from '../parts/DegreesInput';
import { NumberInput } from '../parts/NumberInput';
import { TIMER_WORDS } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import listStyles from '../parts/List.module.css';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import { LEVER_WORDS, ORDER_WORDS } from './methodWords';

export interface MethodEditorProps {
  editing: { id: string; row: OwnMethodView | null } | null;
  /** What a new one begins as. */
  from: Method;
  basedOn: (typeof METHOD_IDS)[number];
  onClose: () => void;
  onSaved: (id: string) => void;
}

type Fields = Omit<Method, 'id'>;

/** A method of the shop's own: a copy with changes. Wrong fields are told before anything is sent. */
export function MethodEditor({ editing, from, basedOn, onClose, onSaved }: MethodEditorProps) {
  const [put] = usePutOwnMethodMutation();
  const unit = useTemperatureUnit();
  const save = async (fields: Fields): Promise<unknown> => {
    const { id, row } = editing!;
    const method = { ...from, ...fields, id } as Method;
    const errors = methodErrors(method);
    if (errors.length > 0) return { status: 422, data: { detail: 'Not every field can be right.', errors } };
    const ownMethodDto = {
      ...(row ? withoutRow(row) : {}),
      basedOn: basedOn as OwnMethodDto['basedOn'],
      method,
    } as OwnMethodDto;
    const done = await put({ id, ownMethodDto });
    if ('error' in done) return done.error;
    onSaved(id);
    return undefined;
  };
  const levers = LEVERS.map((value) => ({ value, label: LEVER_WORDS[value] }));
  const number = (name: (string | number)[], label: string) => (
    <Form.Item name={name} label={label} rules={[{ required: true, message: 'A number is needed here' }]}>
      <NumberInput className={listStyles.full} />
    </Form.Item>
  );
  return (
    <ResourceEditor<Fields>
      title={editing?.row ? from.name : `Our own ${from.name}`}
      initial={editing && { order: 'by-the-book', ...from, ...(editing.row ? {} : { name: `Our ${from.name}` }) }}
      onClose={onClose}
      onSave={save}
    >
      {() => (
        <>
          <Form.Item name="name" label="Name" rules={[{ required: true, message: 'Give it a name' }]}>
            <Input maxLength={60} />
          </Form.Item>
          <Form.Item name="idea" label="The idea, in one sentence">
            <Input.TextArea rows={2} maxLength={400} />
          </Form.Item>
          <Form.Item name="locks" label="Holds still">
            <Select mode="multiple" options={levers} />
          </Form.Item>
          <Form.Item name="balanceOrder" label="For sour or bitter, in this order">
            <Select mode="multiple" options={levers} />
          </Form.Item>
          <Form.Item name="bodyOrder" label="For thin or heavy, in this order">
            <Select mode="multiple" options={levers} />
          </Form.Item>
          <Form.Item name="order" label="How that order is taken">
            <Segmented block options={ORDERS.map((value) => ({ value, label: ORDER_WORDS[value].name }))} />
          </Form.Item>
          <Form.Item shouldUpdate>
            {({ getFieldValue }) => <p className="quiet">{ORDER_WORDS[getFieldValue('order') as Order].text}</p>}
          </Form.Item>
          <div className={listStyles.two}>
            {number(['start', 'doseGrams'], 'Start dose, g')}
            {number(['start', 'ratio'], 'Start ratio, 1 to')}
            {number(['windowSeconds', 'min'], 'Time from, s')}
            {number(['windowSeconds', 'max'], 'to, s')}
          </div>
          <Form.Item name="timer" label="Timer">
            <Select options={TIMER_STARTS.map((value) => ({ value, label: TIMER_WORDS[value] }))} />
          </Form.Item>
          <Form.Item name="timeIs" label="Time is">
            <Segmented
              block
              options={[
                { value: 'target', label: 'a target' },
                { value: 'outcome', label: 'an outcome' },
              ]}
            />
          </Form.Item>
          <div className={listStyles.two}>
            {ROASTS.map((roast) => (
              <Form.Item
                key={roast}
                name={['temperatureC', roast]}
                label={`°${unit} for ${roast}`}
                rules={[{ required: true, message: 'A number is needed here' }]}
              >
                <DegreesInput className={listStyles.full} />
              </Form.Item>
            ))}
          </div>
          <div className={listStyles.two}>
            {number(['tolerance', 'balance'], 'Balance within ±')}
            {number(['tolerance', 'body'], 'Body within ±')}
          </div>
          <Form.Item name="confirmShots" label="Confirming shots before the card">
            <Segmented
              block
              options={[
                { value: 0, label: 'by the odds' },
                { value: 1, label: 'at least one' },
                { value: 2, label: 'two' },
              ]}
            />
          </Form.Item>
        </>
      )}
    </ResourceEditor>
  );
}
