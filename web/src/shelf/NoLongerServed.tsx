import { Button, Pagination } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useListCoffeesQuery } from '../app/api';
import { plural } from '../parts/plural';
import styles from './ShelfPage.module.css';

const PAGE_SIZE = 20;

/** Coffees the shop has given up: out of the way, a page at a time, never lost. */
export function NoLongerServed() {
  const [isOpen, setIsOpen] = useState(false);
  const [page, setPage] = useState(1);
  const { data } = useListCoffeesQuery({ state: 'over', page, pageSize: PAGE_SIZE });
  if (!data || data.total === 0) return null;
  return (
    <section className={styles.over} aria-label="No longer served">
      <Button type="text" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
        {isOpen ? 'Hide' : 'Show'} {plural(data.total, 'coffee')} no longer served
      </Button>
      {isOpen && (
        <>
          <ul>
            {data.items.map(({ id, name, roast, roaster }) => (
              <li key={id}>
                <Link to={`/shelf/${id}`}>{name}</Link>{' '}
                <span className="quiet small">{[roast, roaster].filter(Boolean).join(' · ')}</span>
              </li>
            ))}
          </ul>
          {data.total > PAGE_SIZE && (
            <Pagination
              current={page}
              pageSize={PAGE_SIZE}
              total={data.total}
              showSizeChanger={false}
              onChange={setPage}
            />
          )}
        </>
      )}
    </section>
  );
}
