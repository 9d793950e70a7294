import { Form, Switch } from 'antd';
import { useListPeopleQuery, usePutPersonMutation, type PersonDto, type PersonView } from '../app/api';
import { EquipmentTab } from './EquipmentTab';
import { NameField } from './fields';

type Fields = Pick<PersonDto, 'name' | 'isLead'>;

/** Who works here: by first name, some leading. */
export function PeopleTab() {
  const { data, error } = useListPeopleQuery({});
  const [put] = usePutPersonMutation();
  return (
    <EquipmentTab<PersonView, Fields>
      what="person"
      intro="First names only. Whoever stands at a tablet is chosen there with one tap; shots, tastes, cards and changes carry the name."
      items={data?.items}
      error={error}
      fresh={{ isLead: false }}
      fieldsOf={(row) => row}
      write={async (id, fields, stored) => {
        const personDto = { ...(stored as Partial<PersonDto>), ...fields, retiredAt: stored.retiredAt };
        const done = await put({ id, personDto });
        return 'error' in done ? done.error : undefined;
      }}
      describe={({ isLead }) => (isLead ? 'leads' : '')}
    >
      {() => (
        <>
          <NameField />
          <Form.Item name="isLead" label="Leads" valuePropName="checked" extra="Says what the recipes of the shop are.">
            <Switch />
          </Form.Item>
        </>
      )}
    </EquipmentTab>
  );
}
