import { changesBetween, type Settings, type ShotLine } from '@olvet/core';
import { Alert, Button, type InputRef } from 'antd';
import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useGetSheetQuery, type SheetView } from '../app/api';
import { Loading } from '../parts/Loading';
import { OpenPull } from '../pull/OpenPull';
import { PullPanel } from '../pull/PullPanel';
import { useKeptPull } from '../pull/useKeptPull';
import { ProblemAlert } from '../parts/ProblemAlert';
import { Rose } from '../parts/Rose';
import { UndoSaved } from '../parts/UndoSaved';
import { useShortcuts } from '../parts/useShortcuts';
import { BeforeFirst } from './BeforeFirst';
import { EntryLine } from './EntryLine';
import { KeepCardModal } from './KeepCardModal';
import { LearnedPanel } from './LearnedPanel';
import { MovePanel } from './MovePanel';
import { NextActions } from './NextActions';
import { RunHeader } from './RunHeader';
import styles from './RunPage.module.css';
import { RunSheet } from './RunSheet';
import { plannedOf } from './settings';
import { sheetSubject } from './sheetSubject';
import { ShotDrawer } from './ShotDrawer';
import { StartHint } from './StartHint';
import { TastePanel } from './TastePanel';
import { useAdvice, useReview, useWhatIf } from './useAdvice';
import { useSheetState } from './useSheetState';
import { useIsLive } from '../live/useIsLive';
import { useSheetWriting, type PulledShot } from './useSheetWriting';

/** Where the stream is cut the sheet is asked for again and again; where it is there, for what nobody is told of. */
const REFRESH_MS = { cut: 15_000, live: 300_000 };

/** Charts are heavy, and few open them at the bar. */
const WhyDrawer = lazy(() => import('./WhyDrawer'));
const TraceDrawer = lazy(() => import('../pull/TraceDrawer'));

/** What should the next shot be? */
export function RunPage() {
  const { runId } = useParams<'runId'>();
  const isLive = useIsLive();
  const { currentData: sheet, error } = useGetSheetQuery(
    { id: runId! },
    { pollingInterval: isLive ? REFRESH_MS.live : REFRESH_MS.cut },
  );
  if (!sheet) {
    return (
      <Loading className={styles.missing} error={error}>
        <Link to="/dial-in">To all dial-ins</Link>
      </Loading>
    );
  }
  return <OpenSheet key={sheet.run.id} sheet={sheet} />;
}

function OpenSheet({ sheet }: { sheet: SheetView }) {
  const { run, shots } = sheet;
  const closed = run.status !== 'open';
  const { request, advice, problem } = useAdvice(sheet);
  const review = useReview(request);
  const navigate = useNavigate();
  const [{ stage, overlay }, did] = useSheetState();
  const writing = useSheetWriting(sheet);
  const lineInput = useRef<InputRef>(null);

  const [kept, forgetKept] = useKeptPull(run.id, (pull) =>
    did({ did: 'pull', aim: { ...pull.plan.settings, grind: pull.plan.settings.grind! } }),
  );
  const [picture, setPicture] = useState<HTMLElement | null>(null);
  const [aside, setAside] = useState<HTMLElement | null>(null);
  const [isFlying, setFlying] = useState(false);
  const [tasteOpen, setTasteOpen] = useState(false);
  const pulling = stage.is === 'pulling' ? stage.aim : null;
  const chosen = stage.own?.afterShots === shots.length ? stage.own.settings : null;
  // While a shot is pulled the column shows that shot, not what was advised instead of it.
  const aim = pulling ?? chosen;
  const edited = aim !== null && !(advice && isSame(aim, advice.settings)) ? aim : null;
  const foreseen = useWhatIf(request, edited);
  const ghost = closed ? null : (aim ?? advice?.settings ?? null);
  const expect = closed ? null : edited ? foreseen : (advice?.expect ?? null);
  const seen = shots.flatMap((shot) => shot.seen);
  const last = shots.at(-1);
  const subject = useMemo(() => pulling && sheetSubject(sheet, pulling), [sheet, pulling]);
  const traced = overlay?.is === 'tracing' ? shots.find(({ id }) => id === overlay.shotId) : undefined;
  const dialled = advice?.action === 'dialled' && !edited;

  const choose = (settings: Settings): void => did({ did: 'choose', settings, afterShots: shots.length });
  const pull = (settings: Settings | null | undefined): void => {
    if (settings) did({ did: 'pull', aim: settings });
  };
  const take = (): void => pull(ghost);
  const pullAgain = (): void => pull(last && plannedOf(last));
  const keep = (shotId: string | null = null): void => did({ did: 'open', overlay: { is: 'keeping', shotId } });
  const close = (): void => did({ did: 'close' });
  const saveShot = async (settings: Settings, line: ShotLine, pulled?: PulledShot): Promise<boolean> => {
    const saved = await writing.saveShot(settings, line, pulled);
    if (saved) {
      forgetKept();
      did({ did: 'drop-own' });
    }
    return saved;
  };
  // Another tablet may take out the very shot that is being corrected.
  const isCovered = overlay?.is === 'correcting' ? shots.some(({ id }) => id === overlay.shotId) : overlay !== null;
  const isFree = !closed && !pulling && !isCovered && !writing.question;
  useShortcuts(
    isFree
      ? {
          Enter: dialled ? () => keep() : take,
          n: take,
          ' ': take,
          r: pullAgain,
          '/': () => lineInput.current?.focus(),
        }
      : {},
  );

  return (
    <div className={styles.page}>
      <div className={styles.head}>
        <RunHeader sheet={sheet} />
        {!pulling && <OpenPull stationId={run.stationId} />}
      </div>
      <div ref={setPicture} className={styles.score} hidden={!isFlying} />
      <div className={styles.score} hidden={isFlying}>
        <RunSheet
          sheet={sheet}
          ghost={ghost}
          edited={edited !== null}
          expect={expect}
          onGhost={pulling ? null : choose}
          onTrace={({ id }) => did({ did: 'open', overlay: { is: 'tracing', shotId: id } })}
          onShot={({ id }) => did({ did: 'open', overlay: { is: 'correcting', shotId: id } })}
          review={review}
          onCause={closed ? null : writing.sayCause}
        />
      </div>
      <div className={styles.side}>
        <div ref={setAside} className={styles.aside} />
        {isFlying && shots.length > 0 && (
          <Button type="text" aria-expanded={tasteOpen} onClick={() => setTasteOpen(!tasteOpen)}>
            {tasteOpen ? 'Close the taste' : `Taste of shot ${shots.length}`}
          </Button>
        )}
        <div hidden={isFlying && !tasteOpen}>
          <TastePanel sheet={sheet} expect={expect} closed={closed} isPulling={pulling !== null} />
          <Rose sign="spurts" seen={seen} />
          <Rose sign="dead-spots" seen={seen} />
        </div>
      </div>
      <div className={`${styles.bottom} ${pulling ? styles.pulling : closed ? '' : styles.advice}`}>
        <ProblemAlert error={writing.error} />
        {pulling && <UndoSaved place={run.id} />}
        {writing.question}
        {closed && <ClosedPanel sheet={sheet} />}
        {!closed && !pulling && (
          <>
            <MovePanel
              advice={advice}
              problem={problem}
              finer={sheet.grinder.finer}
              edited={edited !== null}
              actions={
                <>
                  <NextActions
                    dialled={dialled}
                    isAgain={last !== undefined && ghost !== null && isSame(plannedOf(last), ghost)}
                    isFirst={last === undefined}
                    onTake={take}
                    onPullAgain={pullAgain}
                    onKeep={() => keep()}
                    onGiveUp={writing.giveUp}
                  />
                  <UndoSaved place={run.id} />
                </>
              }
              onAlternative={choose}
              onBackToAdvice={() => did({ did: 'drop-own' })}
              onWhy={() => did({ did: 'open', overlay: { is: 'explaining' } })}
            />
            {ghost && shots.length === 0 && <StartHint sheet={sheet} ghost={ghost} onTake={choose} />}
            {shots.length === 0 && <BeforeFirst sheet={sheet} next={ghost} />}
            {ghost && (
              <EntryLine inputRef={lineInput} saving={writing.isSaving} onShot={(line) => saveShot(ghost, line)} />
            )}
          </>
        )}
        {pulling && subject && (
          <PullPanel
            key={kept?.id}
            subject={subject}
            kept={kept}
            picture={picture}
            aside={aside}
            saving={writing.isSaving}
            onShot={(id, line, watched) => saveShot(pulling, line, { id, watched })}
            onBack={() => {
              forgetKept();
              did({ did: 'go-back' });
            }}
            onLost={(pullId) => void navigate(`/watch/${pullId}`)}
            onPicture={setFlying}
          />
        )}
      </div>
      <ShotDrawer
        sheet={sheet}
        shotId={overlay?.is === 'correcting' ? overlay.shotId : null}
        onClose={close}
        onKeep={closed ? null : keep}
        onTrace={(shotId) => did({ did: 'open', overlay: { is: 'tracing', shotId } })}
      />
      {traced && (
        <Suspense fallback={null}>
          <TraceDrawer
            shot={traced}
            number={shots.indexOf(traced) + 1}
            plan={{ settings: plannedOf(traced), timeSeconds: run.target.timeSeconds, timer: traced.timer }}
            earlier={shots.flatMap((shot) => (shot !== traced && shot.traced ? [shot.traced.line] : []))}
            reference={sheet.reference?.line ?? null}
            onClose={close}
          />
        </Suspense>
      )}
      {overlay?.is === 'explaining' && (
        <Suspense fallback={null}>
          <WhyDrawer sheet={sheet} review={review} onClose={close} />
        </Suspense>
      )}
      {overlay?.is === 'keeping' && (last || ghost) && (
        <KeepCardModal sheet={sheet} shotId={overlay.shotId} next={ghost ?? plannedOf(last!)} open onClose={close} />
      )}
    </div>
  );
}

function ClosedPanel({ sheet }: { sheet: SheetView }) {
  const isKept = sheet.run.status === 'kept';
  return (
    <>
      <Alert
        type="info"
        showIcon
        title={isKept ? 'This dial-in is done; its recipe is on a card.' : 'This dial-in was given up.'}
      />
      <LearnedPanel sheet={sheet} />
    </>
  );
}

function isSame(one: Settings, other: Settings): boolean {
  return changesBetween(one, other).length === 0;
}
