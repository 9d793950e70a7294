import { Form, Input, Radio } from 'antd';

const CUPS = [
  { value: 1, label: 'one' },
  { value: 2, label: 'two' },
];

/** What of a recipe is neither weighed nor timed. Nothing is chosen until somebody says it. */
export function CupsAndGroup({ within = [] }: { within?: string[] }) {
  return (
    <>
      <Form.Item name={[...within, 'cups']} label="Cups">
        <Radio.Group optionType="button" buttonStyle="solid" options={CUPS} />
      </Form.Item>
      <Form.Item name={[...within, 'groupName']} label="Group, where it matters">
        <Input maxLength={40} />
      </Form.Item>
    </>
  );
}
