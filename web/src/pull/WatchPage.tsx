import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useAskForPullMutation, useGetPullQuery, useGivePullMutation, type PullView } from '../app/api';
import { useAppSelector } from '../app/store';
import { tabletId } from '../app/tabletId';
import { ifItCan, tabletDb } from '../kept/tabletDb';
import { TIMER_WORDS } from '../parts/format';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useNow } from '../parts/useNow';
import { LandingBox } from './LandingBox';
import { Phases } from './Phases';
import pageStyles from './PullPage.module.css';
import { useWatched } from './useWatched';
import styles from './PullPanel.module.css';

/** As the server has it: so long without an answer and the shot goes to whoever asked. */
const ANSWER_MS = 10_000;

/** A shot that another tablet pulls, as it is seen there. */
export function WatchPage() {
  const { pullId } = useParams<'pullId'>();
  const { currentData: view, error } = useGetPullQuery({ id: pullId! });
  if (!view) {
    return (
      <Loading className={pageStyles.missing} error={error}>
        <Link to="/">To the bar</Link>
      </Loading>
    );
  }
  return <Watching key={view.id} view={view} />;
}

function Watching({ view }: { view: PullView }) {
  const handle = useWatched(view);
  const navigate = useNavigate();
  const { pull, trace, sinceStart, isOver } = handle;
  const isMine = view.ownerId === tabletId() && view.endedAt == null;
  useEffect(() => {
    if (!isMine) return;
    // Handed over: from here on it lives on this tablet.
    void ifItCan(() => tabletDb.pulls.put({ ...pull, changedAt: Date.now() }), '').then(() =>
      navigate(view.runId ? `/dial-in/${view.runId}` : `/pull/${view.stationId}`, { replace: true }),
    );
    // The moment it becomes ours, with what was seen by then.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isMine]);
  return (
    <div className={pageStyles.page}>
      <header className={pageStyles.head}>
        <h1>A shot of {view.ownerName || 'another tablet'}</h1>
        <span className="quiet">{view.endedAt ? 'is saved or left' : isOver ? 'has been stopped' : 'as it runs'}</span>
      </header>
      <div className={pageStyles.picture}>
        <LandingBox handle={handle} earlier={[]} />
      </div>
      <div className={pageStyles.aside}>
        <div className={styles.clock}>
          <p className="quiet">seconds {TIMER_WORDS[pull.plan.timer]}</p>
          <p className={`numeral ${styles.seconds}`} role="timer" aria-live="off">
            {sinceStart.toFixed(1)}
          </p>
          <p className="quiet">grams</p>
          <p className={`numeral ${styles.seconds}`}>{(trace?.grams ?? 0).toFixed(1)}</p>
          <Phases handle={handle} />
        </div>
      </div>
      <div className={pageStyles.bottom}>
        {view.endedAt ? <Link to="/">To the bar</Link> : <TakeOver view={view} />}
      </div>
    </div>
  );
}

/** Asking comes first; who gets no answer may take it. */
function TakeOver({ view }: { view: PullView }) {
  const [ask, { error }] = useAskForPullMutation();
  const [give, { error: refused }] = useGivePullMutation();
  const person = useAppSelector((state) => state.settings.person);
  const now = useNow(500);
  const [askedAt, setAskedAt] = useState<number | null>(null);
  const me = tabletId();
  const isAsked = view.askedById === me;
  const left = askedAt === null ? ANSWER_MS : Math.max(0, ANSWER_MS - (now - askedAt));
  return (
    <p className={styles.soak}>
      {isAsked ? (
        <Button
          size="large"
          disabled={left > 0}
          onClick={() => void give({ id: view.id, givePullDto: { tabletId: me, toId: me } })}
        >
          {left > 0 ? `Asked; take it in ${Math.ceil(left / 1000)} s` : 'Take it over'}
        </Button>
      ) : (
        <Button
          size="large"
          onClick={() => {
            setAskedAt(Date.now());
            void ask({ id: view.id, askPullDto: { tabletId: me, name: person } });
          }}
        >
          Ask to take it over
        </Button>
      )}
      <span className="quiet">
        {askedAt !== null && !isAsked ? 'It stays where it is.' : 'Marks and the stop are made where it is held.'}
      </span>
      <ProblemAlert error={error ?? refused} />
    </p>
  );
}
