import { plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { memo } from 'react';
import { Link, useNavigate } from 'react-router';
import type { BoardStationView } from '../app/api';
import { useGetShopQuery } from '../app/api';
import { OpenPull } from '../pull/OpenPull';
import { ProblemAlert } from '../parts/ProblemAlert';
import { temperatureNumber } from '../parts/format';
import { OutcomeMark, outcomeClass } from '../parts/Outcome';
import { useMethods } from '../parts/useMethods';
import { UndoSaved } from '../parts/UndoSaved';
import { useShopHours } from '../parts/useShopHours';
import { AnotherCoffee } from './AnotherCoffee';
import { BackTo } from './BackTo';
import { ShotEntry } from './ShotEntry';
import { KeeperLine } from './KeeperLine';
import { AnswerDrift, LastAnswer } from './DayMove';
import { checkInWords, standingOf } from './standing';
import styles from './StationStrip.module.css';
import { StationEvents } from './StationEvents';
import { StationTimes } from './StationTimes';
import { useOpenRun } from './useOpenRun';

/** What is open under a strip. */
export type StripPanel = 'shot' | 'another-coffee' | 'events';

export interface StationStripProps {
  standing: BoardStationView;
  /** null where nothing is open here. */
  panel: StripPanel | null;
  onPanel: (stationId: string, panel: StripPanel | null) => void;
}

/** One station, drawn again only where it has changed: what it pours, where the grinder stands, how the last shots ran, what it needs. */
export const StationStrip = memo(function StationStrip({ standing, panel, onPanel: onPanelOf }: StationStripProps) {
  const { station, coffeeName, grinderName, machineName, ageDays, start, openRunId, cardId, check, day, keeper } =
    standing;
  const { doseGrams, yieldGrams, temperatureC } = station.target;
  const onPanel = (to: StripPanel | null): void => onPanelOf(station.id, to);
  const { data: shop } = useGetShopQuery();
  const navigate = useNavigate();
  const methods = useMethods();
  const hours = useShopHours();
  const { open, opening, error } = useOpenRun();
  const { title, detail, side, urgent } = standingOf(standing);
  const unit = shop?.temperatureUnit ?? 'C';
  const heat = temperatureC == null ? '' : ` · ${temperatureNumber(temperatureC, unit)} °${unit}`;
  return (
    <li className={styles.strip}>
      <div className={styles.names}>
        <h2>
          <Link to={`/stations/${station.id}`} className={styles.name}>
            {coffeeName}
          </Link>
        </h2>
        <p className="quiet small">
          {station.name} · {grinderName} → {machineName}
          {ageDays !== null && ` · day ${ageDays}`}
        </p>
        <p className="quiet small">
          {plainNumber(doseGrams)} → {plainNumber(yieldGrams)} g{heat} · {methods.find(station.methodId)?.name}
        </p>
        <p className={styles.swap}>
          <Button
            type="text"
            aria-expanded={panel === 'another-coffee'}
            aria-label={`Another coffee at ${station.name}`}
            onClick={() => onPanel(panel === 'another-coffee' ? null : 'another-coffee')}
          >
            Another coffee
          </Button>
          <Button
            type="text"
            aria-expanded={panel === 'events'}
            aria-label={`Filled or cleaned at ${station.name}`}
            onClick={() => onPanel(panel === 'events' ? null : 'events')}
          >
            Filled
          </Button>
          <BackTo standing={standing} />
          {cardId && (
            <Link to={`/cards/${cardId}`} className={styles.card} aria-label={`Card of ${coffeeName}`}>
              Card
            </Link>
          )}
        </p>
      </div>
      <div className={styles.grind}>
        <span className="numeral">{station.grind == null ? '–' : plainNumber(station.grind)}</span>
        <span className="quiet small">grind</span>
      </div>
      <StationTimes standing={standing} />
      <div className={styles.state}>
        <p className={`numeral ${styles.title} ${side ? outcomeClass(side) : ''}`}>
          {side && <OutcomeMark side={side} size={22} />} {title}
        </p>
        <p className="quiet small">
          {detail} {check && checkInWords(check, hours)}
        </p>
        {keeper && <KeeperLine keeper={keeper} day={day} name={station.name} />}
        <OpenPull stationId={station.id} />
        {!openRunId && day?.lastMove && <LastAnswer station={station} day={day} />}
        <UndoSaved place={station.id} />
        {!openRunId && urgent && day?.action === 'move' && <AnswerDrift standing={standing} day={day} />}
        <ProblemAlert error={error} />
        <div className={styles.actions}>
          {openRunId ? (
            <Button type="primary" onClick={() => void navigate(`/dial-in/${openRunId}`)}>
              Go on
            </Button>
          ) : (
            <Button
              type={urgent && day?.action !== 'move' ? 'primary' : 'default'}
              loading={opening}
              onClick={() => void open(standing, start)}
            >
              Dial in{start !== null && ` at ${plainNumber(start.grind)}`}
            </Button>
          )}
          {panel === null && (
            <Button
              type={check?.isDue && !urgent ? 'primary' : 'default'}
              aria-label={`Shot at ${station.name}`}
              onClick={() => onPanel('shot')}
            >
              Shot
            </Button>
          )}
        </div>
      </div>
      {panel === 'shot' && <ShotEntry standing={standing} onDone={() => onPanel(null)} />}
      {panel === 'events' && <StationEvents standing={standing} onDone={() => onPanel(null)} />}
      {panel === 'another-coffee' && <AnotherCoffee standing={standing} onDone={() => onPanel(null)} />}
    </li>
  );
});
