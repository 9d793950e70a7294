import { clockTimeOf, combineTastings, dayAfter, shotLineInWords, tasteInWords, type ShopHours } from '@olvet/core';
import { Button, Drawer } from 'antd';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import {
  useGetBoardQuery,
  useGetStationDayQuery,
  useListLearnedHereQuery,
  useListShotsQuery,
  type BoardStationView,
  type SheetShotView,
} from '../app/api';
import { AnswerDrift, LastAnswer } from '../bar/DayMove';
import { KeeperLine } from '../bar/KeeperLine';
import { ShotEntry } from '../bar/ShotEntry';
import { checkInWords, standingOf } from '../bar/standing';
import { StationTimes } from '../bar/StationTimes';
import { ShotForm } from '../dialin/ShotForm';
import { ANY_BASKET } from '../dialin/useDoubts';
import { learnedInWords } from '../opening/learnedInWords';
import { day as dayInWords } from '../parts/format';
import { lineOfShot } from '../parts/lineOfShot';
import { Loading } from '../parts/Loading';
import { Rose } from '../parts/Rose';
import { plural } from '../parts/plural';
import { UndoSaved } from '../parts/UndoSaved';
import { useShopDay } from '../parts/useShopDay';
import { useShopHours } from '../parts/useShopHours';
import { Limits } from './KeeperForm';
import { PasteShots } from './PasteShots';
import { Prepared } from './Prepared';
import styles from './StationPage.module.css';

/** What did this station pour on a day? */
export function StationPage() {
  const { stationId } = useParams<'stationId'>();
  const { data: board, error } = useGetBoardQuery();
  const standing = board?.stations.find(({ station }) => station.id === stationId);
  if (!standing) {
    return (
      <Loading
        className={styles.page}
        error={error ?? (board && { status: 404, data: { detail: 'No such station.' } })}
      >
        <Link to="/">To the bar</Link>
      </Loading>
    );
  }
  return <StationDay standing={standing} />;
}

function StationDay({ standing }: { standing: BoardStationView }) {
  const { station, coffeeName, check } = standing;
  const [search, setSearch] = useSearchParams();
  const { today } = useShopDay();
  const hours = useShopHours();
  const day = search.get('day') ?? today;
  const { currentData, error } = useGetStationDayQuery({ id: station.id, day });
  const [entering, setEntering] = useState<'shot' | 'paste' | null>(null);
  const turn = (to: 'shot' | 'paste'): void => setEntering(entering === to ? null : to);
  const [correctingId, correct] = useState<string | null>(null);
  const shots = currentData?.shots ?? [];
  const correcting = shots.find(({ id }) => id === correctingId);
  const goTo = (other: string): void => setSearch(other === today ? {} : { day: other });
  const { title, detail, urgent } = standingOf(standing);
  const isAsked = urgent && standing.day?.action === 'move';
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <div>
          <h1>{coffeeName}</h1>
          <p className="quiet">{station.name}</p>
        </div>
        <p>
          <span className={`numeral ${styles.title}`}>{title}</span>
          <span className="quiet small">
            {' '}
            {detail} {check && checkInWords(check, hours)}
          </span>
        </p>
        <div className={styles.actions}>
          <Button
            type={isAsked ? 'default' : 'primary'}
            onClick={() => turn('shot')}
            aria-expanded={entering === 'shot'}
          >
            Shot
          </Button>
          <Button onClick={() => turn('paste')} aria-expanded={entering === 'paste'}>
            Paste shots
          </Button>
        </div>
      </header>
      {day === today && <StationTimes standing={standing} />}
      {day === today && <Answers standing={standing} />}
      {standing.keeper && <KeeperLine keeper={standing.keeper} day={standing.day} name={station.name} />}
      <UndoSaved place={station.id} />
      {entering === 'shot' && <ShotEntry standing={standing} onDone={() => setEntering(null)} />}
      {entering === 'paste' && <PasteShots standing={standing} onDone={() => setEntering(null)} />}
      <nav className={styles.days} aria-label="Days">
        <Button onClick={() => goTo(dayAfter(day, -1))}>Day before</Button>
        <h2>
          {day === today ? 'Today' : dayInWords(`${day}T12:00`)}, {plural(shots.length, 'shot')}
        </h2>
        {day < today && <Button onClick={() => goTo(dayAfter(day, 1))}>Day after</Button>}
      </nav>
      {!currentData && <Loading error={error} />}
      {currentData && shots.length === 0 && <p>Nothing poured here {day === today ? 'yet' : 'that day'}.</p>}
      <ul className={styles.shots}>
        {shots.map((shot) => (
          <li key={shot.id}>
            <span className="numeral">{shot.hourKnown === false ? 'hour unknown' : hourOf(shot, hours)}</span>
            <span className="quiet">{KIND_WORDS[shot.kind ?? 'service']}</span>
            <span>
              {shotLineInWords(lineOfShot({ ...shot, kind: 'service' }))}
              {tasteOf(shot) && ` · ${tasteOf(shot)}`}
            </span>
            <span className="quiet">{shot.pulledBy}</span>
            {shot.kind === 'dial-in' ? (
              <Link to={`/dial-in/${shot.runId}`}>its dial-in</Link>
            ) : (
              <Button onClick={() => correct(shot.id)} aria-label={`Correct the shot of ${hourOf(shot, hours)}`}>
                Correct
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Prepared stationId={station.id} />
      <LearnedHere standing={standing} />
      <Limits standing={standing} />
      <StationRose stationId={station.id} />
      <Drawer open={correcting !== undefined} onClose={() => correct(null)} title="The shot" size={420} destroyOnHidden>
        {correcting && (
          <ShotForm
            key={correcting.id}
            sheet={{ basket: ANY_BASKET, run: station }}
            shot={correcting}
            onClose={() => correct(null)}
          >
            {null}
          </ShotForm>
        )}
      </Drawer>
    </div>
  );
}

/** What is to be done about today's drift, and what was. */
function Answers({ standing }: { standing: BoardStationView }) {
  const { station, day, openRunId } = standing;
  if (!day || openRunId !== null) return null;
  const isAsked = standingOf(standing).urgent && day.action === 'move';
  return (
    <div>
      {day.lastMove && <LastAnswer station={station} day={day} />}
      {isAsked && <AnswerDrift standing={standing} day={day} />}
    </div>
  );
}

/** What air and hours have meant at this station, in seconds of its card. */
function LearnedHere({ standing: { station, day } }: { standing: BoardStationView }) {
  const { data } = useListLearnedHereQuery();
  const learned = data?.find(({ stationId }) => stationId === station.id);
  const words = learned && day ? learnedInWords(learned, day.foundSeconds) : '';
  if (words === '') return null;
  return (
    <section aria-labelledby="learned">
      <h2 id="learned">Learned here</h2>
      <p className="quiet">{words}</p>
    </section>
  );
}

/** Shots whose spurts and dead spots tell of the hand. */
const ROSE_OF = 200;

function StationRose({ stationId }: { stationId: string }) {
  const { data } = useListShotsQuery({ stationId, page: 1, pageSize: ROSE_OF });
  const seen = data?.items.flatMap((shot) => shot.seen) ?? [];
  if (!seen.some(({ clock }) => clock != null)) return null;
  return (
    <section aria-labelledby="basket-clock">
      <h2 id="basket-clock">The basket over the last {plural(data!.items.length, 'shot')}</h2>
      <Rose sign="spurts" seen={seen} />
      <Rose sign="dead-spots" seen={seen} />
    </section>
  );
}

const KIND_WORDS = { 'dial-in': 'dial-in', service: 'service', check: 'check' } as const;

function hourOf({ pulledAt }: SheetShotView, hours: ShopHours): string {
  return clockTimeOf(new Date(pulledAt), hours);
}

function tasteOf({ tastings }: SheetShotView): string {
  const taste = combineTastings(tastings);
  return taste ? tasteInWords(taste) : '';
}
