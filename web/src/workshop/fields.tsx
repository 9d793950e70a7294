import { Form, Input } from 'antd';
import type { ReactNode } from 'react';
import { DegreesInput } from '../parts/DegreesInput';
import listStyles from '../parts/List.module.css';
import { NumberInput } from '../parts/NumberInput';
import { useTemperatureUnit } from '../parts/temperature';

type Path = string | (string | number)[];

/** A name; every thing in the workshop has one. */
export function NameField() {
  return (
    <Form.Item name="name" label="Name" rules={[{ required: true, message: 'Give it a name' }]}>
      <Input maxLength={80} />
    </Form.Item>
  );
}

const GIVEN = [{ required: true, message: 'A number is needed here' }];

/** A number that must be given. */
export function NumberField({ name, label, extra }: { name: Path; label: string; extra?: ReactNode }) {
  return (
    <Form.Item name={name} label={label} extra={extra} rules={GIVEN}>
      <NumberInput className={listStyles.full} />
    </Form.Item>
  );
}

export function OptionalNumberField({ name, label, extra }: { name: Path; label: string; extra?: ReactNode }) {
  return (
    <Form.Item name={name} label={label} extra={extra}>
      <NumberInput className={listStyles.full} />
    </Form.Item>
  );
}

/** A temperature, or a difference of two, that must be given; typed in the shop's unit. */
export function DegreesField({ name, label, difference }: { name: Path; label: string; difference?: boolean }) {
  const unit = useTemperatureUnit();
  return (
    <Form.Item name={name} label={`${label}, °${unit}`} rules={GIVEN}>
      <DegreesInput className={listStyles.full} difference={difference} />
    </Form.Item>
  );
}
