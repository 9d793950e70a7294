import { Button, Form, Input } from 'antd';
import { useEnterMutation, type EnterDto } from '../app/api';
import { formErrors, problemOf } from '../app/problem';
import { ProblemAlert } from '../parts/ProblemAlert';
import styles from './EnterPage.module.css';

/** A tablet of the shop's network is let in once, by the code shown where Olvet runs. */
export function EnterPage() {
  const [enter, { isLoading, error }] = useEnterMutation();
  const [form] = Form.useForm<EnterDto>();
  const send = async (enterDto: EnterDto): Promise<void> => {
    const done = await enter({ enterDto });
    if ('error' in done) form.setFields(formErrors(problemOf(done.error)) as never);
  };
  return (
    <main className={styles.page}>
      <h1>Let this tablet in</h1>
      <p>
        Its code stands where Olvet was started, and on any tablet that is in already: Workshop, Tablets. It is asked
        for once.
      </p>
      {error && problemOf(error).errors.length === 0 && <ProblemAlert error={error} />}
      <Form form={form} layout="vertical" onFinish={(fields: EnterDto) => void send(fields)}>
        <Form.Item name="code" label="Code" rules={[{ required: true, message: 'Six digits' }]}>
          <Input inputMode="numeric" autoComplete="off" size="large" className="numeral" maxLength={20} />
        </Form.Item>
        <Form.Item
          name="name"
          label="Name of this tablet"
          rules={[{ required: true, message: 'For the list of tablets' }]}
        >
          <Input size="large" maxLength={40} placeholder="Left bar" />
        </Form.Item>
        <Button type="primary" size="large" htmlType="submit" loading={isLoading}>
          Let it in
        </Button>
      </Form>
    </main>
  );
}
