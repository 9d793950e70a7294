import { Button, Drawer, Form, type FormInstance } from 'antd';
import { useState, type ReactNode } from 'react';
import { formErrors, problemOf } from '../app/problem';
import { ProblemAlert } from './ProblemAlert';

export interface ResourceEditorProps<F extends object> {
  title: string;
  /** null = closed. */
  initial: Partial<F> | null;
  onClose: () => void;
  /** Writes; resolves with an error to be shown, or undefined. */
  onSave: (fields: F) => Promise<unknown>;
  extra?: ReactNode;
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
  const save = async (fields: F): Promise<void> => {
    setSaving(true);
    const failed = await onSave(fields);
    setSaving(false);
    setError(failed);
    if (failed === undefined) return onClose();
    form.setFields(formErrors(problemOf(failed)) as never);
  };
  return (
    <>
      <ProblemAlert error={error} />
      <Form form={form} layout="vertical" initialValues={initial as object} onFinish={(fields: F) => void save(fields)}>
        {children(form)}
        <div style={{ display: 'flex', gap: 10 }}>
          <Button type="primary" htmlType="submit" loading={saving}>
            Save
          </Button>
          <Button onClick={onClose}>Leave it</Button>
          {extra}
        </div>
      </Form>
    </>
  );
}
