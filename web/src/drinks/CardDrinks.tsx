import { buttonSetting, drinkFigures, plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import {
  useGetCoffeeQuery,
  useListDrinksQuery,
  useListMachineButtonsQuery,
  useListMachinesQuery,
  usePutDrinkMutation,
  usePutMachineButtonMutation,
  usePutPrintedMutation,
  type CardDetailView,
  type DrinkView,
  type MachineButtonView,
} from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ToggleChip } from '../parts/ToggleChip';
import { withoutRow } from '../parts/withoutRow';
import { ButtonEditor, type EditedButton } from './ButtonEditor';
import styles from './CardDrinks.module.css';
import { DrinkEditor, type EditedDrink } from './DrinkEditor';
import { BUTTON_WORDS, madeOf } from './words';

const CHANGE = 'Change';
const IN_USE = { state: 'in-use', pageSize: 100 } as const;

/** What hangs on a card: drinks and programmed buttons; after the card has changed, what must change with it. */
export function CardDrinks({ card }: { card: CardDetailView }) {
  const drinks = useListDrinksQuery(IN_USE).data?.items.filter(({ cardId }) => cardId === card.id) ?? [];
  const buttons = useListMachineButtonsQuery(IN_USE).data?.items.filter(({ cardId }) => cardId === card.id) ?? [];
  const { data: coffee } = useGetCoffeeQuery({ id: card.coffeeId });
  const [drink, editDrink] = useState<EditedDrink | null>(null);
  const [button, editButton] = useState<EditedButton | null>(null);
  return (
    <section aria-labelledby="drinks" className={styles.drinks}>
      <ToBringInLine card={card} drinks={drinks} buttons={buttons} />
      <h2 id="drinks">Drinks on this card</h2>
      {drinks.length > 0 && (
        <div className={styles.scroll}>
          <table>
            <thead>
              <tr>
                {['Drink', 'Made of', 'Cup', 'Coffee in 100 ml', 'Caffeine', CHANGE].map((head) => (
                  <th key={head} scope="col" className={head === CHANGE ? styles.onScreen : undefined}>
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {drinks.map((row) => (
                <DrinkRow
                  key={row.id}
                  row={row}
                  card={card}
                  coffee={coffee}
                  onEdit={() => editDrink({ id: row.id, row })}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {buttons.length > 0 && (
        <ul className={styles.buttons}>
          {buttons.map((row) => (
            <li key={row.id}>
              <ButtonLine row={row} card={card} />
              <Button onClick={() => editButton({ id: row.id, row })} aria-label={`Edit ${row.name}`}>
                Edit
              </Button>
            </li>
          ))}
        </ul>
      )}
      <p className={styles.add}>
        <Button onClick={() => editDrink({ id: v7(), row: null })}>Add a drink</Button>
        <Button onClick={() => editButton({ id: v7(), row: null })}>Add a programmed button</Button>
      </p>
      <DrinkEditor card={card} editing={drink} onClose={() => editDrink(null)} />
      <ButtonEditor card={card} editing={button} onClose={() => editButton(null)} />
    </section>
  );
}

/** Ticked off one by one, each is in line with the card's newest version. */
function ToBringInLine({
  card: { id: cardId, latest, printedVersion },
  drinks,
  buttons,
}: {
  card: CardDetailView;
  drinks: readonly DrinkView[];
  buttons: readonly MachineButtonView[];
}) {
  const [putDrink, drinkWrite] = usePutDrinkMutation();
  const [putButton, buttonWrite] = usePutMachineButtonMutation();
  const [putPrinted, printWrite] = usePutPrintedMutation();
  const behind = <T extends { cardVersion: number }>(rows: readonly T[]): T[] =>
    rows.filter(({ cardVersion }) => cardVersion < latest.version);
  const cardVersion = latest.version;
  const items = [
    ...behind(drinks).map((row) => ({
      ...{ id: row.id, name: row.name },
      tick: () => void putDrink({ id: row.id, drinkDto: { ...withoutRow(row), cardVersion } }),
    })),
    ...behind(buttons).map((row) => ({
      ...{ id: row.id, name: `button ${row.name}` },
      tick: () => void putButton({ id: row.id, machineButtonDto: { ...withoutRow(row), cardVersion } }),
    })),
    ...(printedVersion !== null && printedVersion < cardVersion
      ? [
          {
            ...{ id: 'printed', name: `card on the wall, version ${printedVersion}` },
            tick: () => void putPrinted({ id: cardId, printedDto: { version: cardVersion } }),
          },
        ]
      : []),
  ];
  if (items.length === 0) return null;
  return (
    <div className={styles.behind} role="group" aria-label="To change with the card">
      <p>
        <strong>Version {cardVersion} is new.</strong> Tick off what was changed with it:
      </p>
      <p className={styles.add}>
        {items.map(({ id, name, tick }) => (
          <ToggleChip
            key={id}
            chosen={false}
            disabled={drinkWrite.isLoading || buttonWrite.isLoading || printWrite.isLoading}
            onToggle={tick}
          >
            {name}
          </ToggleChip>
        ))}
      </p>
      <ProblemAlert error={drinkWrite.error ?? buttonWrite.error ?? printWrite.error} />
    </div>
  );
}

function DrinkRow({
  row,
  card,
  coffee,
  onEdit,
}: {
  row: DrinkView;
  card: CardDetailView;
  coffee: Parameters<typeof drinkFigures>[2] | undefined;
  onEdit: () => void;
}) {
  const { strength, caffeineMg, fits, fillsMl } = drinkFigures(row, card.latest.recipe, coffee);
  return (
    <tr>
      <th scope="row">{row.name}</th>
      <td>{madeOf(row)}</td>
      <td>
        {plainNumber(row.cupMl, 0)} ml
        {!fits && <strong className={styles.over}> needs {plainNumber(fillsMl, 0)} ml</strong>}
      </td>
      <td>{plainNumber(strength, 1)} g</td>
      <td>
        {caffeineMg.low}–{caffeineMg.high} mg
      </td>
      <td className={styles.onScreen}>
        <Button onClick={onEdit} aria-label={`Edit ${row.name}`}>
          Edit
        </Button>
      </td>
    </tr>
  );
}

function ButtonLine({ row, card }: { row: MachineButtonView; card: CardDetailView }) {
  const machine = useListMachinesQuery({ state: 'in-use' }).data?.items.find(({ id }) => id === row.machineId);
  const { recipe, found } = card.latest;
  const setting = buttonSetting(row.kind, row.share, recipe, found?.seconds ?? null);
  return (
    <p>
      <strong>{row.name}</strong>{' '}
      <span className="quiet">
        on {machine?.name}, {BUTTON_WORDS[row.kind]}
      </span>
      <br />
      {setting === null
        ? 'Stop it by hand: the card counts from another moment than the button, or has no found time.'
        : `Set to ${plainNumber(setting.value, 1)} ${setting.unit}${
            setting.least === setting.most ? '' : ` (${setting.least}–${setting.most}, as fresh as the coffee is)`
          }. Programme it as the maker’s manual says, then weigh two cups against the card.`}
    </p>
  );
}
