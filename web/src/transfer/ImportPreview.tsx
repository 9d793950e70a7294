import type { MatchColumn } from '@olvet/core';
import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import {
  api,
  useGetImportQuery,
  useListImportRowsQuery,
  useTakeImportMutation,
  type ImportTableView,
  type ImportView,
} from '../app/api';
import { useAppDispatch } from '../app/store';
import { fieldInWords } from '../app/problem';
import { Loading } from '../parts/Loading';
import { plural } from '../parts/plural';
import { ProblemAlert } from '../parts/ProblemAlert';
import { COLUMN_WORDS } from './matchWords';
import { TABLE_WORDS } from './tableWords';
import styles from './TransferTab.module.css';

const ASK_EVERY_MS = 1000;
const ERRORS_SHOWN = 20;
const GOING_ON: readonly ImportView['state'][] = ['reading', 'taking'];

/** What a file would bring, and the one button that takes it. */
export function ImportPreview({ id }: { id: string }) {
  const known = api.endpoints.getImport.useQueryState({ id }).currentData;
  const isGoingOn = !known || GOING_ON.includes(known.state);
  const { currentData: seen, error } = useGetImportQuery({ id }, { pollingInterval: isGoingOn ? ASK_EVERY_MS : 0 });
  const [take, { isLoading, error: failed }] = useTakeImportMutation();
  const dispatch = useAppDispatch();
  const heading = useRef<HTMLHeadingElement>(null);
  const state = seen?.state;
  const isTold = useRef(false);
  useEffect(() => {
    if (state === 'read') heading.current?.scrollIntoView({ block: 'nearest' });
    if (state !== 'taken' || isTold.current) return;
    // Anything may have come in: every list is read again, once.
    isTold.current = true;
    dispatch(api.util.resetApiState());
  }, [state, dispatch]);
  if (!seen) return <Loading error={error} />;
  if (seen.state === 'taken') return <p role="status">Taken: {seen.fileName}.</p>;
  const sum = (count: (table: ImportTableView) => number): number =>
    seen.tables.reduce((n, table) => n + count(table), 0);
  const [fresh, refused, differing] = [sum((t) => t.fresh), sum((t) => t.refused), sum((t) => t.differing)];
  return (
    <section className={styles.preview} aria-labelledby="what-it-brings">
      <h2 id="what-it-brings" ref={heading}>
        {seen.fileName}
      </h2>
      {seen.state === 'reading' && <p role="status">Reading: {plural(seen.rowsRead, 'row')} so far.</p>}
      {seen.problem && <p role="alert">{seen.problem}</p>}
      {seen.tables.length > 0 && <Tables tables={seen.tables} />}
      {seen.notRead.length > 0 && <p className="quiet small">Not read: {seen.notRead.join(', ')}</p>}
      {differing > 0 && (
        <p className="quiet">
          {plural(differing, 'row')} {differing === 1 ? 'stands' : 'stand'} here in another form and will stay as{' '}
          {differing === 1 ? 'it is' : 'they are'}.
        </p>
      )}
      {refused > 0 && <Refused id={id} refused={refused} />}
      <ProblemAlert error={failed} />
      {(seen.state === 'read' || seen.state === 'taking') && (
        <p className={styles.act}>
          <Button
            type="primary"
            size="large"
            disabled={fresh === 0}
            loading={isLoading || seen.state === 'taking'}
            onClick={() => void take({ id })}
          >
            {fresh === 0 ? 'Nothing new in it' : `Take ${plural(fresh, 'row')}`}
          </Button>
          {refused > 0 && <span>{plural(refused, 'row')} left out</span>}
          {fresh > 0 && <span className="quiet">It can be taken back, as a whole, for a day.</span>}
        </p>
      )}
    </section>
  );
}

function Tables({ tables }: { tables: ImportTableView[] }) {
  return (
    <div className={styles.scroll}>
      <table>
        <thead>
          <tr>
            {['What', 'New', 'Here already', 'Cannot come in'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {tables.map(({ table, fresh, here, differing, refused }) => (
            <tr key={table}>
              <th scope="row">{TABLE_WORDS[table]}</th>
              <td className="numeral">{fresh}</td>
              <td className="numeral">{here + differing}</td>
              <td className="numeral">{refused}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const inWords = (path: string): string =>
  path in COLUMN_WORDS ? COLUMN_WORDS[path as MatchColumn] : fieldInWords(path);

function Refused({ id, refused }: { id: string; refused: number }) {
  const { data } = useListImportRowsQuery({ id, outcome: 'refused', pageSize: ERRORS_SHOWN });
  if (!data) return null;
  return (
    <div>
      <h3>Cannot come in</h3>
      <ul className={styles.errors}>
        {data.items.map(({ seq, file, line, errors }) => (
          <li key={seq}>
            {file}, line {line}: {errors.map(({ path, message }) => `${inWords(path)} ${message}`.trim()).join('; ')}
          </li>
        ))}
      </ul>
      {refused > data.items.length && <p className="quiet">and {refused - data.items.length} more</p>}
    </div>
  );
}
