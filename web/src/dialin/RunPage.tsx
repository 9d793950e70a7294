import { changesBetween, type Cause, type Settings, type ShotLine } from '@olvet/core';
import { Alert, App, Button, type InputRef } from 'antd';
import { lazy, Suspense, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { v7 } from 'uuid';
import {
  useGetSheetQuery,
  usePutRunMutation,
  usePutShotMutation,
  type SheetShotView,
  type SheetView,
} from '../app/api';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useShortcuts } from '../parts/useShortcuts';
import { withoutRow } from '../parts/withoutRow';
import { BeforeFirst } from './BeforeFirst';
import { EntryLine } from './EntryLine';
import { KeepCardModal } from './KeepCardModal';
import { LearnedPanel } from './LearnedPanel';
import { MovePanel } from './MovePanel';
import { PullPanel } from './PullPanel';
import { RunHeader } from './RunHeader';
import styles from './RunPage.module.css';
import { RunSheet } from './RunSheet';
import { plannedOf } from './settings';
import { ShotDrawer } from './ShotDrawer';
import { newShotDto, storedShotDto } from './shotDto';
import { StartHint } from './StartHint';
import { TastePanel } from './TastePanel';
import { useAdvice, useReview, useWhatIf } from './useAdvice';

const REFRESH_MS = 15_000;

/** Charts are heavy, and few open them at the bar. */
const WhyDrawer = lazy(() => import('./WhyDrawer'));

/** What should the next shot be? */
export function RunPage() {
  const { runId } = useParams<'runId'>();
  const { currentData: sheet, error } = useGetSheetQuery({ id: runId! }, { pollingInterval: REFRESH_MS });
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
  /** The barista's own next shot; it belongs to the state of the sheet it was made for. */
  const [own, setOwn] = useState<{ settings: Settings; after: number } | null>(null);
  const [pulling, setPulling] = useState<Settings | null>(null);
  const [correcting, setCorrecting] = useState<string | null>(null);
  const [keeping, setKeeping] = useState(false);
  const [whyOpen, setWhyOpen] = useState(false);
  const [putShot, shotState] = usePutShotMutation();
  const [putRun, runState] = usePutRunMutation();
  const { modal } = App.useApp();
  const lineInput = useRef<InputRef>(null);
  const pendingId = useRef(v7());

  const chosen = own !== null && own.after === shots.length ? own.settings : null;
  // While a shot is pulled the column shows that shot, not what was advised instead of it.
  const aim = pulling ?? chosen;
  const edited = aim !== null && !(advice && changesBetween(aim, advice.settings).length === 0) ? aim : null;
  const foreseen = useWhatIf(request, edited);
  const ghost = closed ? null : (aim ?? advice?.settings ?? null);
  const expect = closed ? null : edited ? foreseen : (advice?.expect ?? null);
  const last = shots.at(-1);
  const setGhost = (settings: Settings): void => setOwn({ settings, after: shots.length });

  const saveShot = async (aim: Settings, line: ShotLine): Promise<boolean> => {
    const done = await putShot({
      id: pendingId.current,
      shotDto: newShotDto(sheet, aim, line, new Date()),
    });
    if ('error' in done) return false;
    pendingId.current = v7();
    setPulling(null);
    setOwn(null);
    return true;
  };
  const sayCause = (shot: SheetShotView, cause: Cause | null): void => {
    void putShot({ id: shot.id, shotDto: storedShotDto(shot, { cause }) });
  };
  const take = (): void => {
    if (ghost) setPulling(ghost);
  };
  const pullAgain = (): void => {
    if (last) setPulling(plannedOf(last));
  };
  const giveUp = (): void => {
    modal.confirm({
      title: 'Give this dial-in up?',
      content: 'The shots stay, and what they taught of the grinder is kept. No card is written.',
      okText: 'Give up',
      cancelText: 'Go on',
      onOk: async () => {
        const endedAt = new Date().toISOString();
        await putRun({ id: run.id, runDto: { ...withoutRow(run), status: 'given-up', endedAt } });
      },
    });
  };
  // Another tablet may take out the very shot that is being corrected.
  const isCorrecting = shots.some(({ id }) => id === correcting);
  const free = !closed && !pulling && !keeping && !isCorrecting && !whyOpen;
  useShortcuts(
    free
      ? {
          Enter: advice?.action === 'dialled' && !edited ? () => setKeeping(true) : take,
          n: take,
          ' ': take,
          r: pullAgain,
          '/': () => lineInput.current?.focus(),
        }
      : {},
  );

  const dialled = advice?.action === 'dialled' && !edited;
  /** The next shot is the last one once more; a second button for that would only ask which of the two is meant. */
  const isAgain = last !== undefined && ghost !== null && changesBetween(plannedOf(last), ghost).length === 0;
  const takeWord = isAgain ? 'Pull again' : last ? 'Take it' : 'Pull it';
  const actions = (
    <>
      {dialled ? (
        <Button type="primary" size="large" onClick={() => setKeeping(true)}>
          Keep as card <kbd>Enter</kbd>
        </Button>
      ) : (
        <Button type="primary" size="large" onClick={take}>
          {takeWord} <kbd>Enter</kbd>
        </Button>
      )}
      {last && (dialled || !isAgain) && (
        <Button size="large" onClick={pullAgain}>
          Pull again <kbd>r</kbd>
        </Button>
      )}
      {!dialled && last && (
        <Button size="large" onClick={() => setKeeping(true)}>
          Keep as card
        </Button>
      )}
      <Button size="large" type="text" onClick={giveUp}>
        Give up
      </Button>
    </>
  );

  return (
    <div className={styles.page}>
      <RunHeader sheet={sheet} />
      <div className={styles.score}>
        <RunSheet
          sheet={sheet}
          ghost={ghost}
          edited={edited !== null}
          expect={expect}
          onGhost={pulling ? null : setGhost}
          onShot={({ id }) => setCorrecting(id)}
          review={review}
          onCause={closed ? null : sayCause}
        />
      </div>
      <div className={styles.side}>
        <TastePanel sheet={sheet} expect={expect} closed={closed} />
      </div>
      <div className={closed || pulling ? styles.bottom : `${styles.bottom} ${styles.advice}`}>
        <ProblemAlert error={shotState.error ?? runState.error} />
        {closed && (
          <Alert
            type="info"
            showIcon
            title={
              run.status === 'kept' ? 'This dial-in is done; its recipe is on a card.' : 'This dial-in was given up.'
            }
          />
        )}
        {closed && <LearnedPanel sheet={sheet} />}
        {!closed && !pulling && (
          <>
            <MovePanel
              advice={advice}
              problem={problem}
              finer={sheet.grinder.finer}
              edited={edited !== null}
              actions={actions}
              onAlternative={setGhost}
              onBackToAdvice={() => setOwn(null)}
              onWhy={() => setWhyOpen(true)}
            />
            {ghost && shots.length === 0 && <StartHint sheet={sheet} ghost={ghost} onTake={setGhost} />}
            {shots.length === 0 && <BeforeFirst sheet={sheet} next={ghost} />}
            {ghost && (
              <EntryLine inputRef={lineInput} saving={shotState.isLoading} onShot={(line) => saveShot(ghost, line)} />
            )}
          </>
        )}
        {pulling && (
          <PullPanel
            sheet={sheet}
            aim={pulling}
            grindChanged={last !== undefined && plannedOf(last).grind !== pulling.grind}
            saving={shotState.isLoading}
            onShot={(line) => saveShot(pulling, line)}
            onBack={() => setPulling(null)}
          />
        )}
      </div>
      <ShotDrawer sheet={sheet} shotId={correcting} onClose={() => setCorrecting(null)} />
      {whyOpen && (
        <Suspense fallback={null}>
          <WhyDrawer sheet={sheet} review={review} onClose={() => setWhyOpen(false)} />
        </Suspense>
      )}
      {keeping && (last || ghost) && (
        <KeepCardModal
          sheet={sheet}
          settings={last ? plannedOf(last) : ghost!}
          open={keeping}
          onClose={() => setKeeping(false)}
        />
      )}
    </div>
  );
}
