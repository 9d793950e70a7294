import { brewRatio, plainNumber } from '@olvet/core';
import { Button, Pagination } from 'antd';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useListCardsQuery } from '../app/api';
import { EmptyState } from '../parts/EmptyState';
import { Loading } from '../parts/Loading';
import { day } from '../parts/format';
import styles from '../parts/List.module.css';
import own from './CardsPage.module.css';

const PAGE_SIZE = 20;

/** What is our recipe? */
export function CardsPage() {
  const [search, setSearch] = useSearchParams();
  const page = Math.max(1, Number(search.get('page')) || 1);
  const answer = useListCardsQuery({ page, pageSize: PAGE_SIZE }, { refetchOnMountOrArgChange: true });
  // The page before stays while the next one is on its way, not where it does not come.
  const cards = answer.error ? answer.currentData : answer.data;
  const navigate = useNavigate();
  if (!cards) return <Loading className={styles.page} error={answer.error} />;
  if (cards.total === 0) {
    return (
      <EmptyState
        title="No card yet"
        text="A card is the recipe everyone follows: dose, yield, time and grind, who set it and what changed since. Dial a coffee in and keep it."
        action={
          <Button type="primary" size="large" onClick={() => void navigate('/')}>
            To the bar
          </Button>
        }
      />
    );
  }
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <h1>Cards</h1>
        <Link to="/menu">Menu</Link>
        <Link to="/book">Bar book</Link>
      </header>
      <ul className={styles.list}>
        {cards.items.map(({ id, name, purpose, stationName, latest }) => {
          const { recipe } = latest;
          return (
            <li key={id}>
              <Link to={`/cards/${id}`} className={own.row}>
                <span>
                  <strong className={styles.name}>{name}</strong>
                  <br />
                  <span className="quiet small">
                    {stationName} · {purpose === 'milk' ? 'with milk' : 'black'}
                  </span>
                </span>
                <span className={`numeral ${own.recipe}`}>
                  {plainNumber(recipe.doseGrams)} → {plainNumber(recipe.yieldGrams)} g
                  <span className="quiet"> 1:{plainNumber(brewRatio(recipe.doseGrams, recipe.yieldGrams), 1)}</span>
                </span>
                <span className={`numeral ${own.recipe}`}>
                  {recipe.timeSeconds.min}–{recipe.timeSeconds.max} s
                </span>
                <span className={`numeral ${own.recipe}`}>
                  <span className={own.label}>grind</span> {plainNumber(recipe.grind)}
                </span>
                <span className="quiet small">
                  version {latest.version}
                  <br />
                  {day(latest.createdAt)}
                  {latest.setBy && `, ${latest.setBy}`}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
      <Pagination
        current={page}
        pageSize={PAGE_SIZE}
        total={cards.total}
        hideOnSinglePage
        showSizeChanger={false}
        onChange={(next) => setSearch({ page: String(next) })}
      />
    </div>
  );
}
