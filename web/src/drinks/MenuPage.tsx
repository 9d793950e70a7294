import { drinkFigures, plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { Link } from 'react-router';
import { useListCardsQuery, useListCoffeesQuery, useListDrinksQuery } from '../app/api';
import listStyles from '../parts/List.module.css';
import { Loading } from '../parts/Loading';
import styles from './CardDrinks.module.css';
import { madeOf } from './words';

const IN_USE = { state: 'in-use', pageSize: 100 } as const;

/** Every drink of the house, to be printed. */
export function MenuPage() {
  return (
    <div className={listStyles.page}>
      <header className={listStyles.head}>
        <h1>Menu</h1>
        <Button className={styles.add} onClick={() => window.print()}>
          Print
        </Button>
      </header>
      <MenuTable />
    </div>
  );
}

/** What each drink is made of, how strong, how much caffeine. */
export function MenuTable() {
  const { data: drinks, error } = useListDrinksQuery(IN_USE);
  const { data: cards } = useListCardsQuery({ pageSize: 100 });
  const { data: coffees } = useListCoffeesQuery({ pageSize: 100 });
  if (!drinks || !cards || !coffees) return <Loading className={listStyles.page} error={error} />;
  const rows = drinks.items.flatMap((drink) => {
    const card = cards.items.find(({ id }) => id === drink.cardId);
    if (!card) return [];
    const coffee = coffees.items.find(({ id }) => id === card.coffeeId);
    return [{ drink, card, ...drinkFigures(drink, card.latest.recipe, coffee) }];
  });
  return (
    <>
      {rows.length === 0 ? (
        <p>
          No drink yet: each hangs on a card. <Link to="/cards">To the cards</Link>
        </p>
      ) : (
        <div className={`${styles.drinks} ${styles.scroll}`}>
          <table>
            <thead>
              <tr>
                {['Drink', 'Card', 'Made of', 'Cup', 'Coffee in 100 ml', 'Caffeine'].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(({ drink, card, strength, caffeineMg }) => (
                <tr key={drink.id}>
                  <th scope="row">{drink.name}</th>
                  <td>
                    <Link to={`/cards/${card.id}`}>{card.name}</Link>
                  </td>
                  <td>{madeOf(drink)}</td>
                  <td>{plainNumber(drink.cupMl, 0)} ml</td>
                  <td>{plainNumber(strength, 1)} g</td>
                  <td>
                    {caffeineMg.low}–{caffeineMg.high} mg
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="quiet small">
        Caffeine adds up: adults are commonly advised to stay near 400 mg a day, less when pregnant; local health advice
        and rules on allergens win.
      </p>
    </>
  );
}
