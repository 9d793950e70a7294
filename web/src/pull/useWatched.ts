import { useEffect, useState } from 'react';
import { useListDevicesQuery, type PullView } from '../app/api';
import { traceReader } from '../worker/traceReader';
import type { LivePull } from './livePull';
import { Recorder } from './recorder';
import { useFollowed } from './useFollowed';
import { useTold } from './useTold';

const TICK_MS = 100;
const epoch = (): number => performance.timeOrigin + performance.now();

/** A shot that another tablet holds: its marks from there, its readings from the devices themselves. */
export function useWatched(view: PullView) {
  const { data: devices } = useListDevicesQuery({ state: 'in-use' });
  const [recorder] = useState(
    () =>
      new Recorder(
        pullOf(view),
        { scaleId: null, machineId: null },
        {
          now: epoch,
          read: (request) => traceReader().read(request),
          onChange: () => {},
          learned: { drip: null, delaySeconds: null },
        },
      ),
  );
  const snapshot = useTold(recorder);
  const of = (kind: 'scale' | 'machine'): string | null =>
    devices?.items.find((device) => device.kind === kind && view.deviceIds.includes(device.id))?.id ?? null;
  const [scaleId, machineId] = [of('scale'), of('machine')];
  const { startedAt, marks } = pullOf(view);
  useEffect(() => {
    recorder.adopt({ startedAt, marks });
    // Only another word of the tablet that holds it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [recorder, view]);
  useEffect(() => {
    recorder.follow({ scaleId, machineId }, { drip: null, delaySeconds: null });
  }, [recorder, scaleId, machineId]);
  useFollowed(recorder, scaleId, machineId);
  useEffect(() => {
    const ticking = setInterval(() => recorder.tick(), TICK_MS);
    return () => clearInterval(ticking);
  }, [recorder]);
  const { pull, trace, seconds } = snapshot;
  return {
    ...{ pull, trace, sinceStart: seconds, fine: recorder.fine },
    isRunning: pull.startedAt !== null && pull.stoppedSeconds === null,
    isOver: pull.stoppedSeconds !== null,
    move: () => {},
  };
}

function pullOf(view: PullView): LivePull {
  const { id, stationId, runId = null, kind, plan, startedAt, marks } = view;
  const { grind = null, doseGrams, yieldGrams, temperatureC = null, timeSeconds, timer } = plan;
  return {
    ...{ id, place: runId ?? stationId, stationId, runId, kind },
    plan: { settings: { grind, doseGrams, yieldGrams, temperatureC }, timeSeconds, timer },
    startedAt: startedAt == null ? null : Date.parse(startedAt),
    stoppedSeconds: marks.find((mark) => mark.kind === 'pump-off')?.seconds ?? null,
    marks: marks.map(({ kind: name, seconds, clock }) => ({ kind: name, seconds, ...(clock ? { clock } : {}) })),
    seen: [],
    followed: {},
    changedAt: epoch(),
  };
}
