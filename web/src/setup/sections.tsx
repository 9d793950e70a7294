import { BODY_GOALS, FLAVOUR_GOALS, ROASTS, type PreBrew } from '@olvet/core';
import { DatePicker, Form, Input, Segmented, Select } from 'antd';
import type { Dayjs } from 'dayjs';
import { DegreesInput } from '../parts/DegreesInput';
import { NumberInput } from '../parts/NumberInput';
import { inUnit, useTemperatureUnit } from '../parts/temperature';
import { useMethods } from '../parts/useMethods';
import { firstOf, type fittingMethod, type Known, type Named } from './known';
import styles from './SetupPage.module.css';
import { NEW, type SetupFields } from './setupDto';

export interface SectionProps {
  known: Known;
  /** What the form holds by now. */
  values: Partial<SetupFields> | undefined;
}

export function CoffeeSection({ known, values }: SectionProps) {
  return (
    <section aria-labelledby="setup-coffee">
      <h2 id="setup-coffee">Coffee</h2>
      <Choice name="coffeeId" label="Coffee" items={known.coffees} />
      {isNew(values?.coffeeId, known.coffees) && (
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
  );
}

export function GrinderSection({ known, values }: SectionProps) {
  const keeps = known.grinders.some(({ id, learnedSlope }) => id === values?.grinderId && learnedSlope !== null);
  return (
    <section aria-labelledby="setup-grinder">
      <h2 id="setup-grinder">Grinder</h2>
      <Choice name="grinderId" label="Grinder" items={known.grinders} />
      {isNew(values?.grinderId, known.grinders) && (
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
          <Form.Item name={['grinder', 'dosing']} label="Doses are">
            <Segmented
              block
              options={[
                { value: 'weighed', label: 'weighed' },
                { value: 'timed', label: 'ground by time' },
              ]}
            />
          </Form.Item>
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
          keeps ? 'Left empty, the recipes kept on this grinder say where to start.' : 'Leave empty if you do not know.'
        }
      >
        <NumberInput {...number} />
      </Form.Item>
    </section>
  );
}

export function MachineSection({ known, values }: SectionProps) {
  const unit = useTemperatureUnit();
  return (
    <section aria-labelledby="setup-machine">
      <h2 id="setup-machine">Basket and machine</h2>
      <Choice name="basketId" label="Basket" items={known.baskets} />
      {isNew(values?.basketId, known.baskets) && (
        <>
          <Form.Item name={['basket', 'isMarked']} label="Is there a figure on its rim?">
            <Segmented
              block
              options={[
                { value: true, label: 'yes' },
                { value: false, label: 'no: find the dose first' },
              ]}
            />
          </Form.Item>
          <Form.Item
            name={['basket', 'nominalGrams']}
            label={values?.basket?.isMarked === false ? 'About, g' : 'Basket, grams on its rim'}
            rules={must('How many grams does the basket hold?')}
          >
            <NumberInput {...number} min={4} max={40} />
          </Form.Item>
        </>
      )}
      <Choice name="machineId" label="Machine" items={known.machines} />
      {isNew(values?.machineId, known.machines) && (
        <>
          <Form.Item name={['machine', 'name']} label="Machine" rules={must('Give the machine a name')}>
            <Input maxLength={80} />
          </Form.Item>
          <Form.Item name={['machine', 'preBrew']} label="What presses">
            <Select options={PRESSES} />
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
      <Form.Item name="people" label="How many people pull here?">
        <NumberInput {...number} min={1} max={99} precision={0} />
      </Form.Item>
      <Form.Item name="stationName" label="Station" rules={must('Give the station a name')}>
        <Input maxLength={80} />
      </Form.Item>
    </section>
  );
}

export interface AimSectionProps {
  method: { id: string; idea: string };
  recommended: ReturnType<typeof fittingMethod>;
}

export function AimSection({ method, recommended }: AimSectionProps) {
  const methods = useMethods();
  const unit = useTemperatureUnit();
  return (
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
  );
}

/** What comes before the pressure decides the method more than any coffee. */
const PRESSES: { value: PreBrew; label: string }[] = [
  { value: 'none', label: 'a pump' },
  { value: 'pre-infusion', label: 'a pump, with pre-infusion' },
  { value: 'valve', label: 'a pump, with a pre-brew valve' },
  { value: 'lever', label: 'a hand on the lever' },
];

/** One of those the shop has, or a new one; nothing to choose where it has none. */
function Choice({ name, label, items }: { name: keyof SetupFields; label: string; items: Named[] }) {
  return (
    <Form.Item name={name} label={label} hidden={items.length === 0}>
      <Select
        options={[
          ...items.map(({ id, name: text }) => ({ value: id, label: text })),
          { value: NEW, label: 'a new one' },
        ]}
      />
    </Form.Item>
  );
}

function isNew(chosen: string | undefined, items: Named[]): boolean {
  return (chosen ?? firstOf(items)) === NEW;
}

function must(message: string) {
  return [{ required: true, message }];
}

const number = { className: styles.number } as const;
