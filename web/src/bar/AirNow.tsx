import { LIMITS } from '@olvet/core';
import { Button, Form } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { usePutRoomReadingMutation } from '../app/api';
import { formErrors, problemOf } from '../app/problem';
import { DegreesInput } from '../parts/DegreesInput';
import { NumberInput } from '../parts/NumberInput';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useTemperatureUnit } from '../parts/temperature';
import styles from './BarPage.module.css';

interface Fields {
  celsius: number | null;
  humidityPercent: number | null;
}

/** What the room is like now, at any time of the day, where no sensor says so. */
export function AirNow() {
  const [isOpen, open] = useState(false);
  const [form] = Form.useForm<Fields>();
  const unit = useTemperatureUnit();
  const [putReading, { isLoading, error }] = usePutRoomReadingMutation();
  // Kept over retries, so that sending twice keeps one reading.
  const [id, setId] = useState(() => v7());
  if (!isOpen) {
    return (
      <Button type="text" onClick={() => open(true)}>
        The air now
      </Button>
    );
  }
  const save = async (fields: Fields): Promise<void> => {
    const done = await putReading({ id, roomReadingDto: { ...fields, at: new Date().toISOString() } });
    if ('error' in done) return form.setFields(formErrors(problemOf(done.error)) as never);
    setId(v7());
    open(false);
  };
  return (
    <Form form={form} layout="inline" className={styles.air} onFinish={(fields) => void save(fields)}>
      <Form.Item name="humidityPercent" label="Humidity, %">
        <NumberInput autoFocus {...LIMITS.humidityPercent} />
      </Form.Item>
      <Form.Item name="celsius" label={`Room, °${unit}`}>
        <DegreesInput />
      </Form.Item>
      <Button htmlType="submit" loading={isLoading}>
        Save
      </Button>
      <Button type="text" onClick={() => open(false)}>
        Back
      </Button>
      <ProblemAlert error={error} />
    </Form>
  );
}
