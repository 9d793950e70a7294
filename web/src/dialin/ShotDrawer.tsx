import {
  CAUSE_WORDS,
  CAUSES,
  DOUBTED_FIGURES,
  plainNumber,
  printShotLine,
  SIGN_LABELS,
  SIGNS,
  TIMER_STARTS,
} from '@olvet/core';
import { App, Button, Checkbox, Drawer, Form, Input, Select } from 'antd';
import type { ReactNode } from 'react';
import {
  useGetShotHistoryQuery,
  usePutShotMutation,
  type SheetShotView,
  type SheetView,
  type ShotEditView,
  type ShotView,
} from '../app/api';
import { formErrors, problemOf } from '../app/problem';
import { NumberInput } from '../parts/NumberInput';
import { dayAndTime, TIMER_WORDS } from '../parts/format';
import { DegreesInput } from '../parts/DegreesInput';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useTemperatureUnit } from '../parts/temperature';
import { ONCE_MORE, useFollowing } from '../parts/useFollowing';
import styles from './ShotDrawer.module.css';
import { plannedOf } from './settings';
import { storedShotDto } from './shotDto';
import { TastePanel } from './TastePanel';
import { useDoubts } from './useDoubts';

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

/** One shot, to be corrected in plain sight: what it said before stays readable below. */
export function ShotDrawer({
  sheet,
  shotId,
  onClose,
  onKeep,
}: {
  sheet: SheetView;
  shotId: string | null;
  onClose: () => void;
  /** Makes its recipe the card; null once the dial-in is closed. */
  onKeep: ((shotId: string) => void) | null;
}) {
  const at = sheet.shots.findIndex(({ id }) => id === shotId);
  const shot = sheet.shots[at];
  const number = at + 1;
  return (
    <Drawer open={shot !== undefined} onClose={onClose} title={shot && `Shot ${number}`} size={420} destroyOnHidden>
      {shot && (
        <ShotForm key={shot.id} sheet={sheet} shot={shot} onClose={onClose}>
          {onKeep && (
            <Button onClick={() => onKeep(shot.id)} style={{ marginBottom: 12 }}>
              Keep this one as card
            </Button>
          )}
          <TastePanel sheet={sheet} number={number} expect={null} closed={false} />
        </ShotForm>
      )}
    </Drawer>
  );
}

function ShotForm({
  sheet,
  shot,
  onClose,
  children,
}: {
  sheet: SheetView;
  shot: SheetShotView;
  onClose: () => void;
  children: ReactNode;
}) {
  const [form] = Form.useForm<Fields>();
  const { modal } = App.useApp();
  const unit = useTemperatureUnit();
  const [putShot, { isLoading, error }] = usePutShotMutation();
  const { data: history } = useGetShotHistoryQuery({ id: shot.id });
  const askDoubts = useDoubts(sheet);
  const number = { className: styles.number } as const;
  // The taste below may change the shot meanwhile, too.
  useFollowing(form, fieldsOf(shot));

  const write = async (change: Partial<ShotView>): Promise<void> => {
    const done = await putShot({ id: shot.id, shotDto: storedShotDto(shot, change) });
    if ('error' in done) form.setFields(formErrors(problemOf(done.error)) as never);
    else onClose();
  };
  const save = async ({ signs, ...fields }: Fields): Promise<void> => {
    if ((await askDoubts(changedFigures(fields, shot), plannedOf(shot))) === 'to-correct') return;
    const seen = signs.map((sign) => shot.seen.find((mark) => mark.sign === sign) ?? { sign });
    await write({ ...fields, cause: fields.cause ?? null, seen: seen as ShotView['seen'] });
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
          <Form.Item name="tdsPercent" label="TDS, %">
            <NumberInput {...number} />
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
                {inOneLine(edit)}
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

function inOneLine({ before }: ShotEditView): string {
  const { doseGrams, yieldGrams, timeSeconds, grind, seen } = before;
  const line = printShotLine({
    ...(doseGrams == null ? {} : { doseGrams }),
    ...(yieldGrams == null ? {} : { yieldGrams }),
    ...(timeSeconds == null ? {} : { timeSeconds }),
    seen: seen.map(({ sign, clock }) => ({ sign, ...(clock == null ? {} : { clock }) })),
  });
  return `${line}${grind == null ? '' : ` at grind ${plainNumber(grind)}`}`;
}
