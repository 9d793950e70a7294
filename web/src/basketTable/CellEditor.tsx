import { Button } from 'antd';
import { v7 } from 'uuid';
import { usePutBasketRowMutation, type BasketCellView, type BasketRowDto } from '../app/api';
import listStyles from '../parts/List.module.css';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import { NumberField } from '../workshop/fields';

type Fields = Pick<BasketRowDto, 'doseGrams' | 'yieldGrams' | 'timeSeconds'>;

export interface EditedCell {
  coffeeId: string;
  basketId: string;
  name: string;
  cell: BasketCellView;
}

/** What the shop says of a basket itself; it stands until it is taken back. */
export function CellEditor({ edited, onClose }: { edited: EditedCell | null; onClose: () => void }) {
  const [put] = usePutBasketRowMutation();
  const write = async ({ doseGrams, yieldGrams, timeSeconds }: Fields, retiredAt: string | null): Promise<unknown> => {
    const { coffeeId, basketId, cell } = edited!;
    const kept = cell.saved ? withoutRow(cell.saved) : { coffeeId, basketId, length: cell.length };
    const done = await put({
      id: cell.saved?.id ?? v7(),
      basketRowDto: { ...kept, doseGrams, yieldGrams, timeSeconds, retiredAt },
    });
    return 'error' in done ? done.error : undefined;
  };
  const saved = edited?.cell.saved;
  return (
    <ResourceEditor<Fields>
      title={edited ? `${edited.name}, ${edited.cell.length}` : ''}
      initial={edited && edited.cell}
      onClose={onClose}
      onSave={(fields) => write(fields, null)}
      extra={
        saved
          ? (attempt) => (
              <Button onClick={() => void attempt(() => write(saved, new Date().toISOString()))}>As worked out</Button>
            )
          : undefined
      }
    >
      {() => (
        <div className={listStyles.two}>
          <NumberField name="doseGrams" label="Dose, g" />
          <NumberField name="yieldGrams" label="Yield, g" />
          <NumberField name={['timeSeconds', 'min']} label="From, s" />
          <NumberField name={['timeSeconds', 'max']} label="To, s" />
        </div>
      )}
    </ResourceEditor>
  );
}
