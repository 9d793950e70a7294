import { Button } from 'antd';
import { startTransition, useCallback, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useGetBoardQuery, useGetShopQuery } from '../app/api';
import { useIsLive } from '../live/useIsLive';
import { DueCare } from '../care/DueCare';
import { EmptyState } from '../parts/EmptyState';
import { Loading } from '../parts/Loading';
import { plural } from '../parts/plural';
import { useNow } from '../parts/useNow';
import { AirNow } from './AirNow';
import styles from './BarPage.module.css';
import { StationStrip, type StripPanel } from './StationStrip';

/** Where the stream is cut the board is asked again and again; where it is there, only for what time alone changes. */
const REFRESH_MS = { cut: 30_000, live: 300_000 };

/** How are we standing, what needs a hand now? */
export function BarPage() {
  const isLive = useIsLive();
  const { data: board, error } = useGetBoardQuery(undefined, {
    pollingInterval: isLive ? REFRESH_MS.live : REFRESH_MS.cut,
    refetchOnMountOrArgChange: true,
  });
  const { data: shop } = useGetShopQuery();
  const now = new Date(useNow(10_000));
  const navigate = useNavigate();
  const [open, setOpen] = useState<{ stationId: string; panel: StripPanel } | null>(null);
  const onPanel = useCallback(
    // In slices, so that a form that opens holds nothing up.
    (stationId: string, panel: StripPanel | null) => startTransition(() => setOpen(panel && { stationId, panel })),
    [],
  );
  if (!board) return <Loading className={styles.loading} error={error} />;
  if (board.stations.length === 0) {
    return (
      <EmptyState
        title="Your bar starts here"
        text="Each station will be one line: its coffee, where the grinder stands, the last shots against their window, and whether it needs a hand. Tell Olvet about your coffee, grinder and basket; it takes about a minute, and the first advice follows at once."
        action={
          <Button type="primary" size="large" onClick={() => void navigate('/setup')}>
            Set up the first station
          </Button>
        }
      />
    );
  }
  const weekday = now.toLocaleDateString(undefined, { weekday: 'long' });
  const clock = now.toLocaleTimeString(undefined, { hour: 'numeric', minute: '2-digit' });
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <h1 className="numeral">
          {weekday}, {clock}
        </h1>
        <p className="quiet">{shop?.name}</p>
        <Link to="/opening">Opening list</Link>
        <Link to="/hand-over">Hand over</Link>
        <DueCare />
        <AirNow />
        <p className={styles.used}>
          <span className="numeral">{board.gramsToday} g</span>{' '}
          <span className="quiet">used today, {plural(board.shotsToday, 'shot')}</span>
        </p>
      </header>
      <ul className={styles.stations}>
        {board.stations.map((station) => (
          <StationStrip
            key={station.station.id}
            standing={station}
            panel={open?.stationId === station.station.id ? open.panel : null}
            onPanel={onPanel}
          />
        ))}
      </ul>
      <p className={styles.more}>
        <Link to="/setup">Add a station</Link>
      </p>
    </div>
  );
}
