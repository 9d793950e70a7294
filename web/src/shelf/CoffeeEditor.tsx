import {
  BODY_GOALS,
  DRUNK_AS,
  FLAVOUR_GOALS,
  LABEL_FIELDS,
  readLabel,
  ROASTS,
  type LabelField,
  type LabelReading,
} from '@olvet/core';
import { Button, Form, Input, Select, Switch, type FormInstance } from 'antd';
import { useState } from 'react';
import { usePutCoffeeMutation, type CoffeeDto, type CoffeeView } from '../app/api';
import listStyles from '../parts/List.module.css';
import { NumberInput } from '../parts/NumberInput';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import { useShopDay } from '../parts/useShopDay';
import styles from './CoffeeEditor.module.css';

export type CoffeeFields = Omit<CoffeeDto, 'revision' | 'retiredAt'>;
/** What a label said of the bag rather than of the coffee. */
export type BagHint = Pick<LabelReading['fields'], 'roastedOn' | 'weightGrams' | 'price'>;

export interface CoffeeEditorProps {
  /** `row` as it is stored now; null for a new one. */
  editing: { id: string; row: CoffeeView | null } | null;
  onClose: () => void;
  /** After a new coffee was saved whose label told of its bag as well. */
  onBag?: (coffee: { id: string; name: string }, hint: BagHint) => void;
}

const DRUNK_WORDS = { black: 'black', milk: 'with milk', long: 'long' } as const;

/** One coffee's fields in a drawer; a new one may begin with the text of its bag. */
export function CoffeeEditor({ editing, onClose, onBag }: CoffeeEditorProps) {
  const [putCoffee] = usePutCoffeeMutation();
  const [hint, setHint] = useState<BagHint>({});
  const row = editing?.row ?? null;
  const save = async (fields: CoffeeFields): Promise<unknown> => {
    const { id } = editing!;
    const done = await putCoffee({ id, coffeeDto: { ...(row ? withoutRow(row) : {}), ...fields } });
    if ('error' in done) return done.error;
    if (!row && Object.keys(hint).length > 0) onBag?.({ id, name: fields.name }, hint);
    setHint({});
    return undefined;
  };
  const retire = async (coffee: CoffeeView): Promise<unknown> => {
    const retiredAt = coffee.retiredAt ? null : new Date().toISOString();
    const done = await putCoffee({ id: coffee.id, coffeeDto: { ...withoutRow(coffee), retiredAt } });
    return 'error' in done ? done.error : undefined;
  };
  return (
    <ResourceEditor<CoffeeFields>
      title={row ? row.name : 'A new coffee'}
      initial={editing ? (row ?? { roast: 'medium', drunkAs: 'black', decaf: false }) : null}
      onClose={onClose}
      onSave={save}
      extra={(attempt) =>
        row && (
          <Button onClick={() => void attempt(() => retire(row))}>
            {row.retiredAt ? 'Serve it again' : 'No longer served'}
          </Button>
        )
      }
    >
      {(form) => (
        <>
          {!row && <LabelPaste form={form} onBag={setHint} />}
          <Form.Item name="name" label="Name" rules={[{ required: true, message: 'What is the coffee called?' }]}>
            <Input maxLength={80} />
          </Form.Item>
          <Form.Item name="roast" label="Roast">
            <Select options={ROASTS.map((value) => ({ value, label: value }))} />
          </Form.Item>
          <Form.Item name="roaster" label="Roaster">
            <Input maxLength={80} />
          </Form.Item>
          <Form.Item name="origin" label="Origin">
            <Input maxLength={120} />
          </Form.Item>
          <div className={listStyles.two}>
            <Form.Item name="process" label="Process">
              <Input maxLength={60} />
            </Form.Item>
            <Form.Item name="altitudeM" label="Altitude, m">
              <NumberInput className={listStyles.full} precision={0} />
            </Form.Item>
            <Form.Item name="arabicaPercent" label="Arabica, %">
              <NumberInput className={listStyles.full} precision={0} />
            </Form.Item>
            <Form.Item name="decaf" label="Decaf" valuePropName="checked">
              <Switch />
            </Form.Item>
          </div>
          <Form.Item name="notes" label="Roaster’s notes">
            <Input.TextArea rows={2} maxLength={2000} />
          </Form.Item>
          <Form.Item name="flavourGoal" label="What we want of it">
            <Select allowClear options={FLAVOUR_GOALS.map(({ id, text }) => ({ value: id, label: text }))} />
          </Form.Item>
          <div className={listStyles.two}>
            <Form.Item name="bodyGoal" label="Body">
              <Select allowClear options={BODY_GOALS.map(({ id, text }) => ({ value: id, label: text }))} />
            </Form.Item>
            <Form.Item name="drunkAs" label="Drunk">
              <Select options={DRUNK_AS.map((value) => ({ value, label: DRUNK_WORDS[value] }))} />
            </Form.Item>
          </div>
        </>
      )}
    </ResourceEditor>
  );
}

const FIELD_WORDS: Record<LabelField, string> = {
  name: 'name',
  roaster: 'roaster',
  origin: 'origin',
  process: 'process',
  altitudeM: 'altitude',
  roast: 'roast',
  notes: 'notes',
  arabicaPercent: 'arabica',
  roastedOn: 'roast day',
  weightGrams: 'weight',
  price: 'price',
};

/** The text of a bag, typed or pasted: what was recognised fills the fields below, to be looked over. */
function LabelPaste({ form, onBag }: { form: FormInstance<CoffeeFields>; onBag: (hint: BagHint) => void }) {
  const [text, setText] = useState('');
  const { today } = useShopDay();
  const [reading, setReading] = useState<LabelReading | null>(null);
  const read = (): void => {
    const found = readLabel(text, today);
    const { roastedOn, weightGrams, price, ...coffee } = found.fields;
    form.setFieldsValue(coffee);
    onBag({
      ...(roastedOn === undefined ? {} : { roastedOn }),
      ...(weightGrams === undefined ? {} : { weightGrams }),
      ...(price === undefined ? {} : { price }),
    });
    setReading(found);
  };
  const known = reading ? LABEL_FIELDS.filter((field) => reading.fields[field] !== undefined) : [];
  return (
    <div className={styles.paste}>
      <label htmlFor="label-text">The text of the bag, if you have it</label>
      <Input.TextArea
        id="label-text"
        rows={3}
        maxLength={4000}
        value={text}
        placeholder={'Gull Rock\nOrigin: Sable Valley\n1850 masl, washed\nRoasted on 3 November'}
        onChange={(event) => setText(event.target.value)}
      />
      <Button disabled={text.trim() === ''} onClick={read}>
        Fill in from it
      </Button>
      <p className="small" aria-live="polite">
        {reading &&
          (known.length > 0
            ? `Recognised: ${known.map((key) => FIELD_WORDS[key]).join(', ')}. Look it over.`
            : 'Nothing in it was recognised.')}
        {reading && reading.unread.length > 0 && (
          <span className="quiet"> Left out: {reading.unread.map((line) => `“${line}”`).join(', ')}.</span>
        )}
      </p>
    </div>
  );
}
