import { Button, Pagination } from 'antd';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useListRunsQuery, type RunView } from '../app/api';
import { EmptyState } from '../parts/EmptyState';
import { Loading } from '../parts/Loading';
import { dayAndTime } from '../parts/format';
import styles from '../parts/List.module.css';

const PAGE_SIZE = 20;
const STATUS: Record<RunView['status'], string> = { open: 'under way', kept: 'kept as card', 'given-up': 'given up' };

/** All dial-ins, the newest first. */
export function RunsPage() {
  const [search, setSearch] = useSearchParams();
  const page = Math.max(1, Number(search.get('page')) || 1);
  const answer = useListRunsQuery({ page, pageSize: PAGE_SIZE }, { refetchOnMountOrArgChange: true });
  // The page before stays while the next one is on its way, not where it does not come.
  const runs = answer.error ? answer.currentData : answer.data;
  const navigate = useNavigate();
  if (!runs) return <Loading className={styles.page} error={answer.error} />;
  if (runs.total === 0) {
    return (
      <EmptyState
        title="No dial-in yet"
        text="A dial-in is written like a score: one row for each variable, one column for each shot, and the next move beside it. Start one from a station at the bar."
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
        <h1>Dial-ins</h1>
        <p className="quiet">Start a new one from its station at the bar.</p>
      </header>
      <ul className={styles.list}>
        {runs.items.map((run) => (
          <li key={run.id}>
            <Link to={`/dial-in/${run.id}`} className={styles.row}>
              <strong className={styles.name}>{run.coffeeName}</strong>
              <span>{run.stationName}</span>
              <span>{run.methodName}</span>
              <span className="quiet">{dayAndTime(run.startedAt)}</span>
              <span className={run.status === 'open' ? styles.hot : 'quiet'}>{STATUS[run.status]}</span>
            </Link>
          </li>
        ))}
      </ul>
      <Pagination
        current={page}
        pageSize={PAGE_SIZE}
        total={runs.total}
        hideOnSinglePage
        showSizeChanger={false}
        onChange={(next) => setSearch({ page: String(next) })}
      />
    </div>
  );
}
