import { isCurrency, LATEST_FIRST_HOUR, MOST_CHECK_TIMES, USUAL_CHECK_TIMES } from '@olvet/core';
import { App, Button, Checkbox, Form, Input, Segmented, Select } from 'antd';
import { useGetShopQuery, usePutShopMutation, type ShopDto, type ShopView } from '../app/api';
import { formErrors, problemOf } from '../app/problem';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ONCE_MORE, useFollowing } from '../parts/useFollowing';
import styles from './EquipmentTab.module.css';
import { NumberField } from './fields';

const NO_CURRENCY = new Error('Three letters of a currency, like EUR');
const TIME_ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone')].map((value) => ({ value }));
const FIRST_HOURS = Array.from({ length: LATEST_FIRST_HOUR + 1 }, (_, value) => ({ value, label: `${value}:00` }));

export function ShopTab() {
  const { data: shop, error } = useGetShopQuery();
  if (!shop) return <Loading error={error} />;
  return <ShopForm shop={shop} />;
}

function ShopForm({ shop }: { shop: ShopView }) {
  const [put, { isLoading, error }] = usePutShopMutation();
  const [form] = Form.useForm<ShopDto>();
  const { message } = App.useApp();
  useFollowing(form, shop);
  const save = async (fields: ShopDto): Promise<void> => {
    const currency = fields.currency.toUpperCase();
    form.setFieldsValue({ currency });
    const done = await put({ shopDto: { ...fields, currency, revision: shop.revision } });
    if ('error' in done) form.setFields(formErrors(problemOf(done.error)) as never);
    else void message.success('Saved.');
  };
  return (
    <div className={styles.form}>
      <ProblemAlert error={error} overtaken={ONCE_MORE} />
      <Form form={form} layout="vertical" initialValues={shop} onFinish={(fields: ShopDto) => void save(fields)}>
        <Form.Item name="name" label="Name of the house" rules={[{ required: true, message: 'Give it a name' }]}>
          <Input maxLength={80} />
        </Form.Item>
        <Form.Item
          name="currency"
          label="Currency"
          extra="Three letters, like EUR"
          rules={[
            {
              validator: (_, code: string) =>
                isCurrency(code.toUpperCase()) ? Promise.resolve() : Promise.reject(NO_CURRENCY),
            },
          ]}
        >
          <Input maxLength={3} />
        </Form.Item>
        <Form.Item name="temperatureUnit" label="Temperature shown in">
          <Segmented
            options={[
              { value: 'C', label: '°C' },
              { value: 'F', label: '°F' },
            ]}
          />
        </Form.Item>
        <Form.Item name="timeZone" label="Time zone" extra="Days and mornings go by the clock there">
          <Select showSearch options={TIME_ZONES} />
        </Form.Item>
        <Form.Item name="firstHour" label="A day begins at" extra="Shots before it belong to the evening before">
          <Select options={FIRST_HOURS} />
        </Form.Item>
        <Form.Item name="checkAtOpening" valuePropName="checked">
          <Checkbox>A check shot is due when a station opens</Checkbox>
        </Form.Item>
        <Form.Item name="checkTimes" label="Check shots are due at" extra="By the shop’s clock, like 12:00">
          <Select
            mode="tags"
            tokenSeparators={[',', ' ']}
            maxCount={MOST_CHECK_TIMES}
            options={USUAL_CHECK_TIMES.map((value) => ({ value }))}
          />
        </Form.Item>
        <Form.Item name="checkAtNewBag" valuePropName="checked">
          <Checkbox>A check shot is due after a new bag</Checkbox>
        </Form.Item>
        <NumberField
          name="toleranceSeconds"
          label="Tolerance, s"
          extra="Further than this from its found time, for more than a shot, a station drifts"
        />
        <Button type="primary" htmlType="submit" loading={isLoading}>
          Save
        </Button>
      </Form>
    </div>
  );
}
