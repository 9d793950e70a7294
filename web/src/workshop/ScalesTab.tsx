import { plainNumber } from '@olvet/core';
import { useListBarScalesQuery, usePutBarScaleMutation, type BarScaleDto, type BarScaleView } from '../app/api';
import { EquipmentTab } from './EquipmentTab';
import { NameField, NumberField } from './fields';

type Fields = Omit<BarScaleDto, 'revision' | 'retiredAt'>;

export function ScalesTab() {
  const { data, error } = useListBarScalesQuery({});
  const [put] = usePutBarScaleMutation();
  return (
    <EquipmentTab<BarScaleView, Fields>
      what="scale"
      intro="The smallest step each shows. A station without one says so itself, and the advice counts on wider scatter."
      items={data?.items}
      error={error}
      fresh={{ resolutionGrams: 0.1 }}
      fieldsOf={(row) => row}
      write={async (id, fields, stored) => {
        const barScaleDto = { ...(stored as Partial<BarScaleDto>), ...fields, retiredAt: stored.retiredAt };
        const done = await put({ id, barScaleDto });
        return 'error' in done ? done.error : undefined;
      }}
      describe={({ resolutionGrams }) => `shows steps of ${plainNumber(resolutionGrams, 3)} g`}
    >
      {() => (
        <>
          <NameField />
          <NumberField name="resolutionGrams" label="Smallest step, g" />
        </>
      )}
    </EquipmentTab>
  );
}
