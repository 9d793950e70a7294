import { DatePicker, Form } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import { usePutBagMutation, type BagDto, type BagView } from '../app/api';
import listStyles from '../parts/List.module.css';
import { NumberInput } from '../parts/NumberInput';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import type { BagHint } from './CoffeeEditor';

interface BagFields {
  roastedOn?: Dayjs | null;
  openedOn?: Dayjs | null;
  weightGrams: number;
  price?: number | null;
}

export interface EditedBag {
  id: string;
  coffeeId: string;
  coffeeName: string;
  /** As it is stored now; null for a new one. */
  row: BagView | null;
  hint?: BagHint;
}

/** A new bag, or the figures of one that stands on the shelf. */
export function BagEditor({
  editing,
  currency,
  onClose,
}: {
  editing: EditedBag | null;
  currency: string;
  onClose: () => void;
}) {
  const [putBag] = usePutBagMutation();
  const save = async ({ roastedOn, openedOn, weightGrams, price }: BagFields): Promise<unknown> => {
    const { id, coffeeId, row } = editing!;
    const bagDto: BagDto = {
      ...(row ? withoutRow(row) : {}),
      coffeeId,
      roastedOn: roastedOn?.format('YYYY-MM-DD') ?? null,
      openedOn: openedOn?.format('YYYY-MM-DD') ?? null,
      weightGrams,
      priceCents: price == null ? null : Math.round(price * 100),
    };
    const done = await putBag({ id, bagDto });
    return 'error' in done ? done.error : undefined;
  };
  return (
    <ResourceEditor<BagFields>
      title={editing?.row ? `A bag of ${editing.coffeeName}` : `A new bag of ${editing?.coffeeName ?? ''}`}
      initial={editing ? fieldsOf(editing) : null}
      onClose={onClose}
      onSave={save}
    >
      {() => (
        <>
          <Form.Item name="roastedOn" label="Roasted on">
            <DatePicker className={listStyles.full} disabledDate={isAhead} />
          </Form.Item>
          <Form.Item name="openedOn" label="Opened on" extra="Leave empty while it is closed.">
            <DatePicker className={listStyles.full} disabledDate={isAhead} />
          </Form.Item>
          <Form.Item
            name="weightGrams"
            label="Weight when full, g"
            rules={[{ required: true, message: 'How many grams?' }]}
          >
            <NumberInput className={listStyles.full} />
          </Form.Item>
          <Form.Item name="price" label={`Price, ${currency}`}>
            <NumberInput className={listStyles.full} min={0} />
          </Form.Item>
        </>
      )}
    </ResourceEditor>
  );
}

function isAhead(date: Dayjs): boolean {
  return date.isAfter(dayjs(), 'day');
}

function fieldsOf({ row, hint }: EditedBag): Partial<BagFields> {
  if (!row) {
    return {
      roastedOn: hint?.roastedOn ? dayjs(hint.roastedOn) : null,
      openedOn: dayjs().startOf('day'),
      weightGrams: hint?.weightGrams ?? 1000,
      price: hint?.price ?? null,
    };
  }
  return {
    roastedOn: row.roastedOn ? dayjs(row.roastedOn) : null,
    openedOn: row.openedOn ? dayjs(row.openedOn) : null,
    weightGrams: row.weightGrams,
    price: row.priceCents == null ? null : row.priceCents / 100,
  };
}
