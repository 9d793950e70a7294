import { CARD_SHARES, FOAMS, MILKS, POURING } from '@olvet/core';
import { Form, Segmented, Select } from 'antd';
import { usePutDrinkMutation, type CardDetailView, type DrinkDto, type DrinkView } from '../app/api';
import listStyles from '../parts/List.module.css';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import { NameField, NumberField } from '../workshop/fields';
import { FOAM_WORDS, MILK_WORDS, POURING_WORDS, shareInWords } from './words';

type Fields = Omit<DrinkDto, 'cardId' | 'cardVersion' | 'revision' | 'retiredAt'>;

export interface EditedDrink {
  id: string;
  row: DrinkView | null;
}

const FIRST: Partial<Fields> = {
  ...{ share: 1, cupMl: 180, milkMl: 0, milk: 'none', foam: 'none', waterMl: 0, pouring: 'coffee-first' },
};

/** A drink that hangs on a card. */
export function DrinkEditor({
  card,
  editing,
  onClose,
}: {
  card: CardDetailView;
  editing: EditedDrink | null;
  onClose: () => void;
}) {
  const [put] = usePutDrinkMutation();
  const save = async (fields: Fields): Promise<unknown> => {
    const { id, row } = editing!;
    const kept = row ? withoutRow(row) : { cardId: card.id, cardVersion: card.latest.version };
    const done = await put({ id, drinkDto: { ...kept, ...fields } });
    return 'error' in done ? done.error : undefined;
  };
  const pick = <T extends string>(name: keyof Fields, label: string, of: readonly T[], words: Record<T, string>) => (
    <Form.Item name={name} label={label}>
      <Select options={of.map((value) => ({ value, label: words[value] }))} />
    </Form.Item>
  );
  return (
    <ResourceEditor<Fields>
      title={editing?.row ? editing.row.name : `A drink on ${card.name}`}
      initial={editing && (editing.row ?? FIRST)}
      onClose={onClose}
      onSave={save}
    >
      {() => (
        <>
          <NameField />
          <Form.Item name="share" label="Of the card">
            <Segmented block options={CARD_SHARES.map((value) => ({ value, label: shareInWords(value) }))} />
          </Form.Item>
          <div className={listStyles.two}>
            <NumberField name="cupMl" label="Cup, ml" />
            <NumberField name="waterMl" label="Water, ml" />
            <NumberField name="milkMl" label="Milk, ml" />
            {pick('milk', 'Which milk', MILKS, MILK_WORDS)}
            {pick('foam', 'Foam', FOAMS, FOAM_WORDS)}
            {pick('pouring', 'Poured', POURING, POURING_WORDS)}
          </div>
          <p className="quiet small">Allergens and how long milk may stand: local rules win.</p>
        </>
      )}
    </ResourceEditor>
  );
}
