import { Alert } from 'antd';
import { Link } from 'react-router';
import { useListCorrectionsQuery, type CorrectionView } from '../app/api';
import { plural } from '../parts/plural';

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
              <Link to={PLACES[row.kind].at(row)}>
                {PLACES[row.kind].called} {row.name?.slice(0, 16) ?? ''}
              </Link>
              : {row.path} {row.message}
            </li>
          ))}
        </ul>
      }
    />
  );
}
