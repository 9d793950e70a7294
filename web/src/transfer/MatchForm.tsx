import {
  DATE_ORDERS,
  DELIMITERS,
  guessMatch,
  MATCH_COLUMNS,
  ROASTS,
  type MatchColumn,
  type MatchTable,
} from '@olvet/core';
import { Button, Select } from 'antd';
import Papa from 'papaparse';
import { useEffect, useState } from 'react';
import { useListImportMatchesQuery, useListStationsQuery, type MatchDto } from '../app/api';
import { Loading } from '../parts/Loading';
import styles from './TransferTab.module.css';
import { COLUMN_WORDS, DATE_WORDS } from './matchWords';

const ROWS_LOOKED_AT = 200;
const SAMPLES = 3;

interface Sample {
  delimiter: MatchDto['delimiter'];
  headers: string[];
  rows: string[][];
}

/** The beginning of a file, however large it is. */
function sampleOf(file: File): Promise<Sample> {
  return new Promise((resolve, reject) => {
    Papa.parse<string[]>(file, {
      preview: ROWS_LOOKED_AT,
      skipEmptyLines: true,
      delimitersToGuess: [...DELIMITERS],
      complete: ({ data: [headers = [], ...rows], meta }) => {
        const delimiter = DELIMITERS.find((each) => each === meta.delimiter) ?? ',';
        resolve({ delimiter, headers: headers.map((header) => header.replace(/^\ufeff/, '').trim()), rows });
      },
      error: reject,
    });
  });
}

interface Props {
  file: File;
  isSending: boolean;
  onMatch: (match: MatchDto) => void;
}

/** Which column is which, in a file of another house: guessed, or as it was said last time. */
export function MatchForm({ file, isSending, onMatch }: Props) {
  const [sample, setSample] = useState<Sample | null>(null);
  const [isBroken, setBroken] = useState(false);
  const { data: remembered, error } = useListImportMatchesQuery({});
  const { data: stations } = useListStationsQuery({ state: 'in-use' });
  useEffect(() => {
    sampleOf(file).then(setSample, () => setBroken(true));
  }, [file]);
  if (isBroken) return <p role="alert">This file cannot be read.</p>;
  if (!sample || !remembered || !stations) return <Loading error={error} />;
  const known = remembered.items.find(({ headers }) => JSON.stringify(headers) === JSON.stringify(sample.headers));
  const first = known?.match ?? firstMatch('shots', sample, stations.items[0]?.id ?? null);
  return (
    <Columns
      sample={sample}
      stations={stations.items}
      first={first}
      isKnown={Boolean(known)}
      isSending={isSending}
      onMatch={onMatch}
    />
  );
}

function firstMatch(table: MatchTable, { delimiter, headers, rows }: Sample, stationId: string | null): MatchDto {
  const { columns, decimal, dates } = guessMatch(table, headers, rows);
  const matched = headers.map((header, i) => ({ header, column: columns[i] as MatchColumn | null }));
  return { table, delimiter, decimal, dates, columns: matched, stationId, newRoast: null };
}

interface ColumnsProps extends Pick<Props, 'isSending' | 'onMatch'> {
  sample: Sample;
  stations: { id: string; name: string }[];
  first: MatchDto;
  isKnown: boolean;
}

function Columns({ sample, stations, first, isKnown, isSending, onMatch }: ColumnsProps) {
  const [match, setMatch] = useState(first);
  const change = (part: Partial<MatchDto>): void => setMatch((before) => ({ ...before, ...part }));
  const taken = new Set(match.columns.map(({ column }) => column));
  const options = (own: string | null | undefined) => [
    { value: '', label: 'leave out' },
    ...MATCH_COLUMNS[match.table]
      .filter((column) => column === own || !taken.has(column))
      .map((value) => ({ value: value as string, label: COLUMN_WORDS[value] })),
  ];
  return (
    <section className={styles.preview} aria-labelledby="which-column">
      <h2 id="which-column">Which column is which?</h2>
      <p className="quiet">
        {isKnown ? 'As the last file with these columns was read.' : 'A first guess: look it over.'}
      </p>
      <div className={styles.fields}>
        <label>
          Read it as
          <Select
            aria-label="Read it as"
            value={match.table}
            onChange={(table) => setMatch(firstMatch(table, sample, match.stationId ?? null))}
            options={[
              { value: 'shots', label: 'shots' },
              { value: 'coffees', label: 'coffees' },
            ]}
          />
        </label>
        <label>
          Numbers
          <Select
            aria-label="Numbers"
            value={match.decimal}
            onChange={(decimal) => change({ decimal })}
            options={[
              { value: '.', label: '18.1' },
              { value: ',', label: '18,1' },
            ]}
          />
        </label>
        {match.table === 'shots' && (
          <>
            <label>
              Dates
              <Select
                aria-label="Dates"
                value={match.dates}
                onChange={(dates) => change({ dates })}
                options={DATE_ORDERS.map((value) => ({ value, label: DATE_WORDS[value] }))}
              />
            </label>
            <label>
              Pulled at
              <Select
                aria-label="Pulled at"
                value={match.stationId}
                onChange={(stationId) => change({ stationId })}
                options={stations.map(({ id, name }) => ({ value: id, label: name }))}
              />
            </label>
          </>
        )}
        <label>
          {match.table === 'shots' ? 'Coffees not on the shelf' : 'Roast where none is said'}
          <Select
            aria-label="Coffees not on the shelf"
            value={match.newRoast ?? ''}
            onChange={(roast) => change({ newRoast: ROASTS.find((each) => each === roast) ?? null })}
            options={[
              { value: '', label: 'leave their rows out' },
              ...ROASTS.map((value) => ({ value, label: `put there, ${value} roast` })),
            ]}
          />
        </label>
      </div>
      <div className={styles.scroll}>
        <table>
          <thead>
            <tr>
              <th scope="col">In the file</th>
              <th scope="col">For example</th>
              <th scope="col">Is here</th>
            </tr>
          </thead>
          <tbody>
            {match.columns.map(({ header, column }, i) => (
              <tr key={`${i} ${header}`}>
                <th scope="row">{header}</th>
                <td className="quiet">
                  {sample.rows
                    .slice(0, SAMPLES)
                    .map((row) => row[i] ?? '')
                    .filter((cell) => cell !== '')
                    .join(' · ')}
                </td>
                <td>
                  <Select
                    aria-label={`${header} is`}
                    className={styles.table}
                    value={column ?? ''}
                    onChange={(value) =>
                      change({
                        columns: match.columns.map((each, j) =>
                          i === j ? { header, column: (value || null) as MatchDto['columns'][number]['column'] } : each,
                        ),
                      })
                    }
                    options={options(column)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p>
        <Button type="primary" size="large" loading={isSending} onClick={() => onMatch(match)}>
          Look what it brings
        </Button>
      </p>
    </section>
  );
}
