import { plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useGetBasketTableQuery, type BasketCellView, type BasketTableView, type TableBasketView } from '../app/api';
import { TIMER_WORDS } from '../parts/format';
import { plural } from '../parts/plural';
import styles from './BasketTable.module.css';
import { CellEditor, type EditedCell } from './CellEditor';

/** Nobody turns a collar by less to change baskets, units. */
const LEAST_UNITS = 0.1;
const HEADS = ['Basket', 'Short', 'Normal', 'Long'];

/** A coffee in every basket: dose, yield, the basket's own time, and where the grind would be for the card's. */
export function BasketTable({ coffeeId }: { coffeeId: string }) {
  const { currentData: table } = useGetBasketTableQuery({ coffeeId });
  const [edited, edit] = useState<EditedCell | null>(null);
  if (!table) return null;
  if (!table.card)
    return <p className="quiet">From its first card on: what each basket asks, short, normal and long.</p>;
  return (
    <>
      <TableOf table={table} onEdit={(cell, { basketId, name }) => edit({ coffeeId, basketId, name, cell })} />
      <CellEditor edited={edited} onClose={() => edit(null)} />
    </>
  );
}

/** The table alone, as it is printed. */
export function TableOf({
  table: { card, baskets },
  onEdit,
}: {
  table: BasketTableView;
  onEdit?: (cell: BasketCellView, basket: TableBasketView) => void;
}) {
  if (!card) return null;
  return (
    <div className={styles.table}>
      <p className="quiet">
        By <Link to={`/cards/${card.cardId}`}>{card.name}</Link>, version {card.version}, {card.grinderName} at{' '}
        {plainNumber(card.grind)}. Seconds {TIMER_WORDS[card.timer]} at that grind; <em>or</em> says the grind that
        brings it to the card’s own time.
      </p>
      <table>
        <thead>
          <tr>
            {HEADS.map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {baskets.map((basket) => (
            <tr key={basket.basketId}>
              <th scope="row">
                {basket.name}
                <br />
                <span className="quiet small">{originOf(basket)}</span>
              </th>
              {basket.cells.map((cell) => (
                <td key={cell.length}>
                  <div className={styles.cell}>
                    <p>
                      <Cell cell={cell} />
                    </p>
                    {onEdit && (
                      <Button
                        type="text"
                        aria-label={`Change ${basket.name}, ${cell.length}`}
                        onClick={() => onEdit(cell, basket)}
                      >
                        {cell.saved ? 'Said here' : 'Change'}
                      </Button>
                    )}
                  </div>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function originOf({ isCard, shots, size }: TableBasketView): string {
  if (isCard) return `${size}, the card’s own`;
  return shots === 0 ? `${size}, by its size alone` : `${size}, from ${plural(shots, 'shot')}`;
}

function Cell({ cell: { doseGrams, yieldGrams, ratio, timeSeconds, grind, unitsFiner } }: { cell: BasketCellView }) {
  const far = Math.abs(unitsFiner);
  return (
    <>
      <span className="numeral">
        {plainNumber(doseGrams, 1)} → {plainNumber(yieldGrams, 1)} g
      </span>{' '}
      <span className="quiet">1:{plainNumber(ratio, 1)}</span>
      <br />
      <span className="numeral">
        {timeSeconds.min}–{timeSeconds.max} s
      </span>
      {far >= LEAST_UNITS && (
        <>
          <br />
          <span className="quiet small">
            or {plainNumber(far, 1)} {unitsFiner > 0 ? 'finer' : 'coarser'}, at {plainNumber(grind, 1)}
          </span>
        </>
      )}
    </>
  );
}
