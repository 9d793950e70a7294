import { CAUSE_WORDS, CAUSES, DOUBTED_FIGURES, shotLineInWords, SIGN_LABELS, SIGNS, TIMER_STARTS } from '@olvet/core';
import { App, Button, Checkbox, Form, Input, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { useGetShotHistoryQuery, usePutShotMutation, type SheetShotView, type ShotView } from '../app/api';
import { formErrors, problemOf } from '../app/problem';
import { NumberInput } from '../parts/NumberInput';
import { dayAndTime, TIMER_WORDS } from '../parts/format';
import { DegreesInput } from '../parts/DegreesInput';
import { lineOfShot } from '../parts/lineOfShot';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useTemperatureUnit } from '../parts/temperature';
import { ONCE_MORE, useFollowing } from '../parts/useFollowing';
import { RefractometerTds } from './RefractometerTds';
import { plannedOf } from './settings';
import { storedShotDto } from './shotDto';
import styles from './ShotForm.module.css';
import { useDoubts, type Doubted } from './useDoubts';

type Fields = Pick<
  ShotView,
  | 'grind'
  | 'doseGrams'
  | 'yieldGrams'
  | 'temperatureC'
  | 'timeSeconds'
  | 'timer'
  | 'firstDripSeconds'
  | 'tdsPercent'
  | 'purged'
  | 'cause'
  | 'note'
> & { signs: string[] };

/** What a shot says, to be corrected; what it said before stands below. */
export function ShotForm({
  sheet,
  shot,
  onClose,
  children,
}: {
  sheet: Doubted;
  shot: SheetShotView;
  onClose: () => void;
  children: ReactNode;
}) {
  const [form] = Form.useForm<Fields>();
  const { modal } = App.useApp();
  const unit = useTemperatureUnit();
  const [putShot, { isLoading, error }] = usePutShotMutation();
  /** As it stood when it was opened, or last refused: a figure that somebody else changed since is not overwritten unseen. */
  const [opened, setOpened] = useState(shot);
  const { data: history } = useGetShotHistoryQuery({ id: shot.id });
  const askDoubts = useDoubts(sheet);
  const number = { className: styles.number } as const;
  // The taste below may change the shot meanwhile, too.
  useFollowing(form, fieldsOf(shot));

  const write = async (change: Partial<ShotView>, seen = shot): Promise<void> => {
    const { revision } = seen;
    const done = await putShot({ id: shot.id, shotDto: { ...storedShotDto(shot, change), revision } });
    if ('error' in done) setOpened(shot);
    if ('error' in done) form.setFields(formErrors(problemOf(done.error)) as never);
    else onClose();
  };
  const save = async ({ signs, ...fields }: Fields): Promise<void> => {
    if ((await askDoubts(changedFigures(fields, shot), plannedOf(shot))) === 'to-correct') return;
    const seen = signs.map((sign) => shot.seen.find((mark) => mark.sign === sign) ?? { sign });
    const isOvertaken = (Object.keys(fields) as (keyof typeof fields)[]).some(
      (field) =>
        form.isFieldTouched(field) && JSON.stringify(fieldsOf(shot)[field]) !== JSON.stringify(fieldsOf(opened)[field]),
    );
    const change = { ...measuredAgain(fields, shot), cause: fields.cause ?? null, seen: seen as ShotView['seen'] };
    await write(change, isOvertaken ? opened : shot);
  };
  const remove = (): void => {
    modal.confirm({
      title: 'Remove this shot?',
      content: 'For a shot that never was. The advice forgets it; the record keeps it.',
      okText: 'Remove it',
      cancelText: 'Keep it',
      onOk: () => write({ removedAt: new Date().toISOString() }),
    });
  };
  return (
    <>
      <ProblemAlert error={error} overtaken={ONCE_MORE} />
      <Form
        form={form}
        layout="vertical"
        onFinish={(fields: Fields) => void save(fields)}
        initialValues={fieldsOf(shot)}
      >
        <div className={styles.grid}>
          <Form.Item name="grind" label="Grind">
            <NumberInput {...number} />
          </Form.Item>
          <Form.Item name="doseGrams" label="Dose, g">
            <NumberInput {...number} />
          </Form.Item>
          <Form.Item name="yieldGrams" label="Yield, g">
            <NumberInput {...number} />
          </Form.Item>
          <Form.Item name="timeSeconds" label="Time, s">
            <NumberInput {...number} />
          </Form.Item>
          <Form.Item name="firstDripSeconds" label="First drip, s">
            <NumberInput {...number} />
          </Form.Item>
          <Form.Item name="temperatureC" label={`Temperature, °${unit}`}>
            <DegreesInput className={styles.number} />
          </Form.Item>
          <Form.Item label="TDS, %" htmlFor="tdsPercent">
            <Form.Item name="tdsPercent" noStyle>
              <NumberInput {...number} />
            </Form.Item>
            <RefractometerTds
              stationId={shot.stationId}
              onTds={(tdsPercent) => form.setFieldValue('tdsPercent', tdsPercent)}
            />
          </Form.Item>
          <Form.Item name="timer" label="Timer">
            <Select options={TIMER_STARTS.map((value) => ({ value, label: TIMER_WORDS[value] }))} />
          </Form.Item>
        </div>
        <Form.Item name="signs" label="Seen">
          <Select mode="multiple" options={SIGNS.map((value) => ({ value, label: SIGN_LABELS[value] }))} />
        </Form.Item>
        <Form.Item name="purged" valuePropName="checked">
          <Checkbox>Purged first</Checkbox>
        </Form.Item>
        <Form.Item name="cause" label="What went wrong" extra="A shot with a known fault counts for little.">
          <Select allowClear options={CAUSES.map((value) => ({ value, label: CAUSE_WORDS[value] }))} />
        </Form.Item>
        <Form.Item name="note" label="Note">
          <Input.TextArea rows={2} maxLength={1000} />
        </Form.Item>
        <div className={styles.actions}>
          <Button type="primary" htmlType="submit" loading={isLoading}>
            Save correction
          </Button>
          <Button onClick={remove}>Remove</Button>
        </div>
      </Form>
      <div className={styles.taste}>{children}</div>
      {history && history.items.length > 0 && (
        <section className={styles.history}>
          <h2>Before</h2>
          <ol>
            {history.items.map((edit) => (
              <li key={edit.revision}>
                <span className="quiet small">until {dayAndTime(edit.editedAt)}</span>
                <br />
                {shotLineInWords(lineOfShot(edit.before))}
                {edit.before.changedBy && <span className="quiet"> · {edit.before.changedBy}</span>}
              </li>
            ))}
          </ol>
          {history.total > history.items.length && (
            <p className="quiet small">and {history.total - history.items.length} earlier corrections</p>
          )}
        </section>
      )}
    </>
  );
}

/** What was asked about when it was typed is not asked about again. */
function changedFigures(fields: Omit<Fields, 'signs'>, shot: SheetShotView) {
  return Object.fromEntries(
    DOUBTED_FIGURES.flatMap((figure) => (fields[figure] === shot[figure] ? [] : [[figure, fields[figure]]])),
  );
}

function fieldsOf(shot: SheetShotView): Fields {
  const { grind, doseGrams, yieldGrams, temperatureC, timeSeconds, timer, firstDripSeconds, tdsPercent } = shot;
  const { purged, cause, note, seen } = shot;
  const measured = { grind, doseGrams, yieldGrams, temperatureC, timeSeconds, timer, firstDripSeconds, tdsPercent };
  return { ...measured, purged, cause, note, signs: seen.map(({ sign }) => sign) };
}

/** A figure that is corrected is measured from now on; cups and glass stood for the yield of before. */
function measuredAgain(fields: Omit<Fields, 'signs'>, shot: SheetShotView): Partial<ShotView> {
  const isSame = (figure: 'doseGrams' | 'yieldGrams' | 'grind' | 'temperatureC'): boolean =>
    (fields[figure] ?? null) === (shot[figure] ?? null);
  return {
    ...fields,
    assumed: (shot.assumed ?? []).filter(isSame),
    ...(isSame('yieldGrams') ? {} : { cupGrams: null, yieldMl: null }),
  };
}
