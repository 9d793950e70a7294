import { BUTTON_KINDS, CARD_SHARES } from '@olvet/core';
import { Form, Segmented, Select } from 'antd';
import {
  useListMachinesQuery,
  usePutMachineButtonMutation,
  type CardDetailView,
  type MachineButtonDto,
  type MachineButtonView,
} from '../app/api';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import { NameField } from '../workshop/fields';
import { BUTTON_WORDS, shareInWords } from './words';

type Fields = Omit<MachineButtonDto, 'cardId' | 'cardVersion' | 'revision' | 'retiredAt'>;

export interface EditedButton {
  id: string;
  row: MachineButtonView | null;
}

/** A programmed button that makes the card's shot. */
export function ButtonEditor({
  card,
  editing,
  onClose,
}: {
  card: CardDetailView;
  editing: EditedButton | null;
  onClose: () => void;
}) {
  const [put] = usePutMachineButtonMutation();
  const machines = useListMachinesQuery({ state: 'in-use' }).data?.items ?? [];
  const save = async (fields: Fields): Promise<unknown> => {
    const { id, row } = editing!;
    const kept = row ? withoutRow(row) : { cardId: card.id, cardVersion: card.latest.version };
    const done = await put({ id, machineButtonDto: { ...kept, ...fields } });
    return 'error' in done ? done.error : undefined;
  };
  return (
    <ResourceEditor<Fields>
      title={editing?.row ? editing.row.name : `A button for ${card.name}`}
      initial={editing && (editing.row ?? { kind: 'volumetric', share: 1 })}
      onClose={onClose}
      onSave={save}
    >
      {() => (
        <>
          <NameField />
          <Form.Item name="machineId" label="Machine" rules={[{ required: true, message: 'Choose one' }]}>
            <Select options={machines.map(({ id, name }) => ({ value: id, label: name }))} />
          </Form.Item>
          <Form.Item name="kind" label="It stops">
            <Segmented block options={BUTTON_KINDS.map((value) => ({ value, label: BUTTON_WORDS[value] }))} />
          </Form.Item>
          <Form.Item name="share" label="Of the card">
            <Segmented block options={CARD_SHARES.map((value) => ({ value, label: shareInWords(value) }))} />
          </Form.Item>
        </>
      )}
    </ResourceEditor>
  );
}
