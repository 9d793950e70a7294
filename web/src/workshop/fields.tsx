import { Form, Input, InputNumber } from 'antd';
import type { ReactNode } from 'react';
import listStyles from '../parts/List.module.css';

type Path = string | (string | number)[];

/** A name; every thing in the workshop has one. */
export function NameField() {
  return (
    <Form.Item name="name" label="Name" rules={[{ required: true, message: 'Give it a name' }]}>
      <Input maxLength={80} />
    </Form.Item>
  );
}

/** A number that must be given. */
export function NumberField({ name, label, extra }: { name: Path; label: string; extra?: ReactNode }) {
  return (
    <Form.Item name={name} label={label} extra={extra} rules={[{ required: true, message: 'A number is needed here' }]}>
      <InputNumber className={listStyles.full} controls={false} inputMode="decimal" />
    </Form.Item>
  );
}
