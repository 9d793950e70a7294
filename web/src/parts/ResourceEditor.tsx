import { Button, Drawer, Form, type FormInstance } from 'antd';
import { useState, type ReactNode } from 'react';
import { formErrors, problemOf } from '../app/problem';
import { ProblemAlert } from './ProblemAlert';
import { ONCE_MORE, useFollowing } from './useFollowing';

type Attempt = (write: () => Promise<unknown>) => Promise<void>;

export interface ResourceEditorProps<F extends object> {
  title: string;
  /** What it begins with and, while it is open, what is stored; null = closed. */
  initial: Partial<F> | null;
  onClose: () => void;
  /** Writes; resolves with an error to be shown, or undefined. */
  onSave: (fields: F) => Promise<unknown>;
  /** Beside "Save": a button that writes something else, through `attempt`, and then closes or says what is wrong as saving does. */
  extra?: (attempt: Attempt) => ReactNode;
  children: (form: FormInstance<F>) => ReactNode;
}

/** The drawer in which one thing of the workshop or the shelf is entered: server errors land on their fields. */
export function ResourceEditor<F extends object>(props: ResourceEditorProps<F>) {
  const { title, initial, onClose } = props;
  return (
    <Drawer open={initial !== null} onClose={onClose} title={title} size={440} destroyOnHidden>
      {initial && <EditorForm {...props} initial={initial} />}
    </Drawer>
  );
}

function EditorForm<F extends object>({
  initial,
  onClose,
  onSave,
  extra,
  children,
}: ResourceEditorProps<F> & { initial: Partial<F> }) {
  const [form] = Form.useForm<F>();
  const [error, setError] = useState<unknown>();
  const [saving, setSaving] = useState(false);
  useFollowing(form, initial);
  const attempt: Attempt = async (write) => {
    setSaving(true);
    const failed = await write();
    setSaving(false);
    setError(failed);
    if (failed === undefined) return onClose();
    form.setFields(formErrors(problemOf(failed)) as never);
  };
  return (
    <>
      <ProblemAlert error={error} overtaken={ONCE_MORE} />
      <Form
        form={form}
        layout="vertical"
        initialValues={initial as object}
        onFinish={(fields: F) => void attempt(() => onSave(fields))}
      >
        {children(form)}
        <div style={{ display: 'flex', gap: 10 }}>
          <Button type="primary" htmlType="submit" loading={saving}>
            Save
          </Button>
          <Button onClick={onClose}>Cancel</Button>
          {extra?.(attempt)}
        </div>
      </Form>
    </>
  );
}
