import { readTrace, requestOf, tableOfTrace, type PullMark, type StoredTrace } from '@olvet/core';
import { Button, Drawer } from 'antd';
import Papa from 'papaparse';
import { useMemo, useState } from 'react';
import { useGetShotTraceQuery, usePutShotMutation, type SheetShotView, type ShotDto } from '../app/api';
import { storedShotDto } from '../dialin/shotDto';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { LandingBox } from './LandingBox';
import { markAt, withMark, withoutMark, type LivePull, type PullPlan } from './livePull';
import { Phases } from './Phases';
import { TraceFile } from './TraceFile';
import styles from './TraceDrawer.module.css';
import { phasesOf } from './usePull';

export interface TraceDrawerProps {
  shot: SheetShotView;
  number: number;
  plan: PullPlan;
  earlier: (number | null)[][];
  reference: (number | null)[] | null;
  onClose: () => void;
}

/** The flight of a shot, large, over earlier ones: its marks can be put right, its figures taken along as a file. */
export default function TraceDrawer(props: TraceDrawerProps) {
  const { shot, number, onClose } = props;
  const { data: trace, error } = useGetShotTraceQuery({ id: shot.id }, { skip: shot.traced == null });
  const [read, setRead] = useState<StoredTrace | null>(null);
  const shown = read ?? (trace as StoredTrace | undefined);
  return (
    <Drawer open onClose={onClose} title={`Trace of shot ${number}`} size={860}>
      {shown && <Large key={read ? 'read' : 'kept'} {...props} trace={shown} isNew={read !== null} />}
      {!shown && shot.traced != null && <Loading error={error} />}
      <TraceFile onTrace={setRead} />
    </Drawer>
  );
}

function Large({
  shot,
  plan,
  earlier,
  reference,
  trace,
  isNew,
  onClose,
}: TraceDrawerProps & { trace: StoredTrace; isNew: boolean }) {
  const [pull, setPull] = useState(() => pullOf(shot, plan, trace));
  const [putShot, { isLoading, error }] = usePutShotMutation();
  const stored: StoredTrace = useMemo(() => ({ ...trace, marks: pull.marks }), [trace, pull.marks]);
  const answer = useMemo(() => {
    const { doseGrams, yieldGrams } = plan.settings;
    return readTrace(requestOf(stored, { doseGrams, yieldGrams, timer: plan.timer }));
  }, [stored, plan]);
  const sinceStart = pull.stoppedSeconds ?? trace.rows.at(-1)?.[0] ?? 0;
  const move = (mark: PullMark, seconds: number): void =>
    setPull((now) => {
      const moved = withMark(withoutMark(now, mark), { ...mark, seconds: Math.round(10 * seconds) / 10 });
      return { ...moved, stoppedSeconds: markAt(moved, 'pump-off') };
    });
  const fine = () => ({ pull, trace: answer, seconds: sinceStart });
  const handle = { pull, trace: answer, sinceStart, isRunning: false, isOver: true, move, fine };
  const isChanged = isNew || pull.marks !== trace.marks;
  const save = async (): Promise<void> => {
    const timeSeconds = answer.summary?.timeSeconds ?? shot.timeSeconds ?? null;
    const change: Partial<ShotDto> = { ...phasesOf(handle), timeSeconds, trace: stored as ShotDto['trace'] };
    const done = await putShot({ id: shot.id, shotDto: storedShotDto(shot, change) });
    if (!('error' in done)) onClose();
  };
  return (
    <div className={styles.large}>
      <div className={styles.picture}>
        <LandingBox handle={handle} earlier={earlier} reference={reference} />
      </div>
      <Phases handle={handle} />
      <div className={styles.actions}>
        <Button type="primary" disabled={!isChanged} loading={isLoading} onClick={() => void save()}>
          {isNew ? 'Keep this trace' : 'Save the marks'}
        </Button>
        <Button onClick={() => download(stored, `shot-${shot.id}.csv`)}>Take it along as CSV</Button>
        <span className="quiet small">Drag a mark, or move it with the arrow keys.</span>
      </div>
      <ProblemAlert error={error} />
    </div>
  );
}

/** A kept trace as a shot that is over. */
function pullOf({ id, stationId, runId, kind }: SheetShotView, plan: PullPlan, trace: StoredTrace): LivePull {
  const at = (name: StoredTrace['columns'][number]): number => trace.columns.indexOf(name);
  const [grams, bar, celsius] = [at('grams'), at('bar'), at('celsius')];
  const seen = trace.rows.map((row): LivePull['seen'][number] => [
    1000 * row[0]!,
    row[grams] ?? null,
    row[bar] ?? null,
    row[celsius] ?? null,
  ]);
  const off = trace.marks.find((mark) => mark.kind === 'pump-off')?.seconds ?? null;
  const place = { id, place: id, stationId, runId: runId ?? null, kind: kind ?? ('service' as const), plan };
  return { ...place, startedAt: 0, stoppedSeconds: off, marks: trace.marks, seen, followed: {}, changedAt: 0 };
}

function download(trace: StoredTrace, name: string): void {
  const url = URL.createObjectURL(new Blob([Papa.unparse(tableOfTrace(trace))], { type: 'text/csv' }));
  const link = Object.assign(document.createElement('a'), { href: url, download: name });
  link.click();
  URL.revokeObjectURL(url);
}
