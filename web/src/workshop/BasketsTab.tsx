import { plainNumber } from '@olvet/core';
import { Form, Segmented } from 'antd';
import { useListBasketsQuery, usePutBasketMutation, type BasketDto, type BasketView } from '../app/api';
import listStyles from '../parts/List.module.css';
import { EquipmentTab } from './EquipmentTab';
import { NameField, NumberField } from './fields';

type Fields = Omit<BasketDto, 'revision' | 'retiredAt'>;

export function BasketsTab() {
  const { data, error } = useListBasketsQuery({});
  const [put] = usePutBasketMutation();
  return (
    <EquipmentTab<BasketView, Fields>
      what="basket"
      intro="What its rim says, and the least and the most it really takes. A nominal size is an upper limit on many baskets."
      items={data?.items}
      error={error}
      fresh={{ nominalGrams: 18, minGrams: 16, maxGrams: 19.5, diameterMm: 58, shape: 'straight' }}
      fieldsOf={(row) => ({ ...row, diameterMm: row.diameterMm ?? 58, shape: row.shape ?? 'straight' })}
      write={async (id, fields, stored) => {
        const done = await put({
          id,
          basketDto: { ...(stored as Partial<BasketDto>), ...fields, retiredAt: stored.retiredAt },
        });
        return 'error' in done ? done.error : undefined;
      }}
      describe={({ nominalGrams, minGrams, maxGrams, diameterMm, shape }) =>
        `${plainNumber(nominalGrams)} g on the rim, takes ${plainNumber(minGrams)}–${plainNumber(maxGrams)} g, ${plainNumber(diameterMm ?? 58)} mm${shape === 'tapered' ? ', tapered' : ''}`
      }
    >
      {() => (
        <>
          <NameField />
          <NumberField name="nominalGrams" label="On its rim, g" />
          <div className={listStyles.two}>
            <NumberField name="minGrams" label="Least, g" />
            <NumberField name="maxGrams" label="Most, g" />
            <NumberField name="diameterMm" label="Diameter, mm" />
          </div>
          <Form.Item name="shape" label="Wall" extra="Tapered: a wrong dose punishes, and can jam an automatic tamper.">
            <Segmented
              block
              options={[
                { value: 'straight', label: 'straight' },
                { value: 'tapered', label: 'tapered' },
              ]}
            />
          </Form.Item>
        </>
      )}
    </EquipmentTab>
  );
}
