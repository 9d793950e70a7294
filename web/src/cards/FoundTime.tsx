import { LIMITS, plainNumber } from '@olvet/core';
import { Button, Form, Input, Modal } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useMoveFoundTimeMutation, type CardDetailView, type MoveFoundTimeDto } from '../app/api';
import { formErrors, problemOf } from '../app/problem';
import { NumberInput } from '../parts/NumberInput';
import { plural } from '../parts/plural';
import { ProblemAlert } from '../parts/ProblemAlert';
import styles from './CardPage.module.css';

type Fields = Pick<MoveFoundTimeDto, 'seconds' | 'note'>;

/** The time this recipe was found at, with its spread; a person may move it, service never does. */
export function FoundTime({ card }: { card: CardDetailView }) {
  const { found } = card.latest;
  const [open, setOpen] = useState(false);
  return (
    <li>
      {found
        ? `Found at ${plainNumber(found.seconds, 1)} s, single shots ±${plainNumber(found.sd, 1)} s (${plural(found.shots, 'shot')})`
        : 'The time it was found at is not known'}{' '}
      <Button className={styles.noPrint} type="text" onClick={() => setOpen(true)}>
        {found ? 'Move it' : 'Say it'}
      </Button>
      {open && <MoveModal card={card} onClose={() => setOpen(false)} />}
    </li>
  );
}

function MoveModal({ card, onClose }: { card: CardDetailView; onClose: () => void }) {
  const [form] = Form.useForm<Fields>();
  const [move, { isLoading, error }] = useMoveFoundTimeMutation();
  // Kept over retries, so that sending twice makes one version.
  const [versionId] = useState(() => v7());
  const save = async (fields: Fields): Promise<void> => {
    const done = await move({ id: card.id, moveFoundTimeDto: { ...fields, versionId } });
    if ('error' in done) form.setFields(formErrors(problemOf(done.error)) as never);
    else onClose();
  };
  return (
    <Modal
      open
      title="The time this recipe is right at"
      okText="Make it a new version"
      confirmLoading={isLoading}
      onCancel={onClose}
      onOk={() => form.submit()}
    >
      <ProblemAlert error={error} />
      <Form
        form={form}
        layout="vertical"
        initialValues={{ seconds: card.latest.found?.seconds ?? null, note: '' }}
        onFinish={(fields: Fields) => void save(fields)}
      >
        <Form.Item name="seconds" label="Time, s" rules={[{ required: true, message: 'How many seconds?' }]}>
          <NumberInput {...LIMITS.timeSeconds} />
        </Form.Item>
        <Form.Item name="note" label="Why" rules={[{ required: true, message: 'Say why, for the next shift' }]}>
          <Input maxLength={400} />
        </Form.Item>
      </Form>
    </Modal>
  );
}
