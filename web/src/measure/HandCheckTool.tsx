import { HAND_CHECKS, type HandCheck } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useGetSheetQuery, useListRunsQuery, usePutRunMutation } from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { withoutRow } from '../parts/withoutRow';
import { Caution } from './Caution';
import { PinchDrawing } from './drawings';
import styles from './MeasurePage.module.css';

const WORDS: Record<HandCheck, { name: string; text: string }> = {
  'too-coarse': { name: 'Pours apart', text: 'Like sand: it falls off the fingers and holds no shape. Too coarse.' },
  near: { name: 'Holds a peak', text: 'It keeps a peak and your fingerprint, and cracks when poked. Near.' },
  'too-fine': { name: 'Packs like flour', text: 'A smooth lump, nearly no grain to feel. Too fine.' },
};

/** What fingers tell of the grind before the first shot: weak evidence, but it saves the worst ones. */
export function HandCheckTool() {
  const [search] = useSearchParams();
  const asked = search.get('run');
  const [felt, setFelt] = useState<HandCheck | null>(null);
  const { data: runs } = useListRunsQuery({ pageSize: 50 }, { refetchOnMountOrArgChange: true, skip: asked !== null });
  // The dial-in that sent one here, and no other; else the newest one that is open.
  const runId = asked ?? runs?.items.find(({ status }) => status === 'open')?.id;
  return (
    <div className={styles.stack} style={{ maxWidth: 820 }}>
      <ol className={styles.steps}>
        <li>Purge first, then catch a pinch between finger and thumb.</li>
        <li>Squeeze it, let go, poke it.</li>
      </ol>
      <Answers runId={runId} felt={felt} onFelt={setFelt} />
      <Caution>
        Catch the grounds below the chute. Never reach into a grinder that is plugged in; burrs that hum and stand still
        are locked: switch off at once, go coarser.
      </Caution>
    </div>
  );
}

function Answers({
  runId,
  felt,
  onFelt,
}: {
  runId: string | undefined;
  felt: HandCheck | null;
  onFelt: (felt: HandCheck) => void;
}) {
  const [putRun, { error, isLoading }] = usePutRunMutation();
  const { currentData: sheet, error: missing } = useGetSheetQuery({ id: runId ?? '' }, { skip: !runId });
  const navigate = useNavigate();
  const chosen = felt ?? sheet?.run.handCheck ?? null;
  const begun = (sheet?.shots.length ?? 0) > 0;
  const closed = sheet !== undefined && sheet.run.status !== 'open';
  const tell = async (): Promise<void> => {
    if (!sheet) return;
    const done = await putRun({ id: sheet.run.id, runDto: { ...withoutRow(sheet.run), handCheck: chosen } });
    if (!('error' in done)) await navigate(`/dial-in/${sheet.run.id}`);
  };
  return (
    <>
      <div className={styles.pinches} role="group" aria-label="What the pinch did">
        {HAND_CHECKS.map((kind) => (
          <button
            key={kind}
            type="button"
            className={styles.pinch}
            aria-pressed={chosen === kind}
            onClick={() => onFelt(kind)}
          >
            <PinchDrawing kind={kind} />
            <strong>
              {chosen === kind && '✓ '}
              {WORDS[kind].name}
            </strong>
            <span className="quiet">{WORDS[kind].text}</span>
          </button>
        ))}
      </div>
      <ProblemAlert error={error ?? missing} />
      {runId && !closed ? (
        <div className={styles.buttons}>
          <Button
            type="primary"
            size="large"
            disabled={chosen === null || begun || !sheet}
            loading={isLoading}
            onClick={() => void tell()}
          >
            Tell the dial-in{sheet ? ` of ${sheet.coffee.name}` : ''}
          </Button>
          {begun && <p className="quiet">It has shots already: they say more than fingers.</p>}
        </div>
      ) : (
        <p className="quiet">
          {closed ? 'That dial-in is closed.' : 'No dial-in is open.'} <Link to="/">Open one at the bar</Link>, and what
          you felt moves its first grind.
        </p>
      )}
    </>
  );
}
