import { Alert } from 'antd';
import { Link } from 'react-router';
import { useListCorrectionsQuery, type CorrectionView } from '../app/api';
import { plural } from '../parts/plural';
import styles from './ToCorrect.module.css';

/** Where a row of each kind is corrected. */
const PLACES: Record<CorrectionView['kind'], { called: string; at: (row: CorrectionView) => string }> = {
  shots: { called: 'Shot of', at: ({ within }) => (within ? `/dial-in/${within}` : '/') },
  runs: { called: 'Dial-in', at: ({ id }) => `/dial-in/${id}` },
  bags: { called: 'Bag opened', at: ({ within }) => `/shelf/${within}` },
  coffees: { called: 'Coffee', at: ({ id }) => `/shelf/${id}` },
  stations: { called: 'Station', at: () => '/workshop?tab=stations' },
  grinders: { called: 'Grinder', at: () => '/workshop?tab=grinders' },
  baskets: { called: 'Basket', at: () => '/workshop?tab=baskets' },
  shops: { called: 'The shop', at: () => '/workshop?tab=shop' },
};

/** Fields by the words they have on screen. */
const WORDS: Record<string, string> = {
  altitudeM: 'altitude',
  currency: 'currency',
  doseGrams: 'dose',
  endedAt: 'end',
  firstDripSeconds: 'first drip',
  grind: 'grind',
  grindSeconds: 'grinding time',
  max: 'upper end of the scale',
  maxGrams: 'most it takes',
  openedOn: 'day of opening',
  pulledAt: 'time of the shot',
  roastedOn: 'day of roast',
  seen: 'what was seen',
  startedAt: 'beginning',
  tdsPercent: 'TDS',
  temperatureC: 'temperature',
  timeSeconds: 'time',
  weightGrams: 'weight',
  yieldGrams: 'yield',
};

/** What was stored before there was a rule that it breaks; nothing where all is right. */
export function ToCorrect() {
  const { data: rows = [] } = useListCorrectionsQuery(undefined, { refetchOnMountOrArgChange: true });
  if (rows.length === 0) return null;
  return (
    <Alert
      type="warning"
      showIcon
      title={`${plural(rows.length, 'figure')} cannot be right`}
      description={
        <ul>
          {rows.map((row) => (
            <li key={`${row.id} ${row.path}`}>
              <Link to={PLACES[row.kind].at(row)} className={styles.link}>
                {PLACES[row.kind].called} {row.name?.slice(0, 16) ?? ''}
              </Link>
              : {WORDS[row.path] ?? row.path} {row.message}
            </li>
          ))}
        </ul>
      }
    />
  );
}
