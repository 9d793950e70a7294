import {
  learnStop,
  type LearnedStop,
  type PullMark,
  type PullMarkKind,
  type ShotKind,
  type TraceAnswer,
} from '@olvet/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { v7 } from 'uuid';
import {
  useCommandDeviceMutation,
  useListShotsQuery,
  usePutPullMutation,
  type DeviceCommandDto,
  type DeviceView,
} from '../app/api';
import { useAppSelector } from '../app/store';
import { tabletId } from '../app/tabletId';
import { ifItCan, tabletDb } from '../kept/tabletDb';
import { traceReader } from '../worker/traceReader';
import { markAt, traceOf, type LivePull, type PullPlan } from './livePull';
import { Recorder, type Snapshot } from './recorder';
import { useFollowed } from './useFollowed';
import { useTold } from './useTold';
import { usePullDevices, type PullDevicesHere } from './usePullDevices';

const TICK_MS = 100;
/** Shots that teach how this bar drips. */
const LEARNED_FROM = 30;
const STILL_GRAMS = 0.3;

export interface PullPlace {
  /** The dial-in or the station. */
  place: string;
  stationId: string;
  runId: string | null;
  kind: ShotKind;
  plan: PullPlan;
  /** Water is let in so long before full pressure, unless somebody ends it; null: no soak. */
  soakSeconds: number | null;
  /** The hand makes the pressure: no pump is started. */
  isLever: boolean;
}

export interface PullHandle extends PullDevicesHere {
  /** The shot at this very moment. */
  fine: () => Snapshot;
  pull: LivePull;
  trace: TraceAnswer | null;
  /** On the plan's own timer; null before that has begun. */
  seconds: number;
  /** From the start, whatever the timer counts. */
  sinceStart: number;
  isRunning: boolean;
  isOver: boolean;
  learned: LearnedStop;
  toggle: () => void;
  restart: () => void;
  mark: (kind: PullMarkKind, clock?: number) => void;
  unmark: (mark: PullMark) => void;
  move: (mark: PullMark, seconds: number) => void;
  /** Asks the machine for something it can do. */
  ask: (command: DeviceCommandDto['command'], value?: number) => void;
  /** The shot is saved, or left. */
  done: () => void;
  /** Another tablet holds it now: nothing more is told of it here. */
  letGo: () => void;
}

const epoch = (): number => performance.timeOrigin + performance.now();

function newPull({ place, stationId, runId, kind, plan }: PullPlace): LivePull {
  const nothing = { startedAt: null, stoppedSeconds: null, marks: [], seen: [], followed: {}, changedAt: epoch() };
  return { id: v7(), place, stationId, runId, kind, plan, ...nothing };
}

/** A shot being pulled here: its recorder, fed by the devices of its station and by hand. `kept` goes on where a page left off. */
export function usePull(at: PullPlace, kept: LivePull | null = null): PullHandle {
  const learned = useLearnedStop(at.stationId);
  const [recorder] = useState(
    () =>
      new Recorder(
        kept ?? newPull(at),
        { scaleId: null, machineId: null },
        {
          now: epoch,
          read: (request) => traceReader().read(request),
          onChange: (pull) => void ifItCan(() => tabletDb.pulls.put(pull), ''),
          learned,
        },
      ),
  );
  const { pull, trace, seconds: sinceStart } = useTold(recorder);
  const devices = usePullDevices(at.stationId, pull.followed, pull.startedAt !== null);
  const { scale, machine } = devices;
  const scaleId = scale?.id ?? null;
  const machineId = machine?.id ?? null;
  useEffect(() => recorder.follow({ scaleId, machineId }, learned), [recorder, scaleId, machineId, learned]);
  useFollowed(recorder, scaleId, machineId);
  useEffect(() => {
    const ticking = setInterval(() => recorder.tick(), TICK_MS);
    return () => clearInterval(ticking);
  }, [recorder]);
  const [command] = useCommandDeviceMutation();
  useTare(pull, scale, (id) => void command({ id, deviceCommandDto: { command: 'tare' } }));
  const share = useShared(pull, scaleId, machineId);

  const isRunning = pull.startedAt !== null && pull.stoppedSeconds === null;
  const isOver = pull.stoppedSeconds !== null;
  const toggle = (): void => {
    // A stopwatch begins again; a shot that was weighed is not thrown away by a second press.
    if (isOver && pull.seen.length > 0) return;
    if (isOver) recorder.restart();
    const name = isRunning ? 'stop' : 'start';
    if (isRunning && at.isLever && machine?.capabilities.includes('lever')) {
      void command({ id: machine.id, deviceCommandDto: { command: 'lever', value: 0 } });
    }
    if (isRunning) recorder.stop();
    else recorder.start(undefined, at.plan.timer === 'first-drip' && !machine ? 'first-drip' : 'pump-on');
    if (at.isLever || !machine?.capabilities.includes(name)) return;
    const value = isRunning ? null : at.soakSeconds;
    void command({ id: machine.id, deviceCommandDto: { command: name, value } });
  };
  const drip = at.plan.timer === 'first-drip' ? (markAt(pull, 'first-drip') ?? trace?.firstDripSeconds ?? null) : 0;
  return {
    ...{ pull, trace, sinceStart, isRunning, isOver, learned, toggle, ...devices, fine: recorder.fine },
    seconds: Math.max(0, sinceStart - (drip ?? sinceStart)),
    restart: () => recorder.restart(),
    mark: (kind, clock) => recorder.mark(kind, clock),
    unmark: (mark) => recorder.unmark(mark),
    move: (mark, seconds) => recorder.move(mark, seconds),
    ask: (name, value) =>
      machine && void command({ id: machine.id, deviceCommandDto: { command: name, value: value ?? null } }),
    letGo: () => void ifItCan(() => tabletDb.pulls.delete(pull.id), undefined),
    done: () => {
      share();
      void ifItCan(() => tabletDb.pulls.delete(pull.id), undefined);
    },
  };
}

function useLearnedStop(stationId: string): LearnedStop {
  const { data } = useListShotsQuery({ stationId, page: 1, pageSize: LEARNED_FROM });
  return useMemo(() => learnStop(data?.items.flatMap(({ traced }) => (traced ? [traced] : [])) ?? []), [data]);
}

/** A weight between these shares of the planned dose is one, and no cup. */
const DOSE_LIKE = { min: 0.5, max: 1.5 };

/** The cup that stands there is zero, once, before anything runs; a dose that is being weighed stays what it is. */
function useTare(pull: LivePull, scale: DeviceView | null, tare: (scaleId: string) => void): void {
  const asked = useRef<string | null>(null);
  const last = pull.seen.at(-1)?.[1] ?? null;
  const canTare = scale?.capabilities.includes('tare') ?? false;
  const share = (last ?? 0) / pull.plan.settings.doseGrams;
  const isDose = share >= DOSE_LIKE.min && share <= DOSE_LIKE.max;
  const isWaiting =
    pull.startedAt === null && !isDose && last !== null && Math.abs(last) > STILL_GRAMS && pull.seen.length > 10;
  // One try for each cup: a scale that shakes is not tared again and again.
  const cup = isWaiting ? `${scale?.id} ${Math.round(last / 5)}` : null;
  useEffect(() => {
    if (cup === null || !canTare || asked.current === cup) return;
    asked.current = cup;
    tare(scale!.id);
  });
}

/** Other tablets can watch: what changes of the pull itself is told, what devices say they hear themselves. */
function useShared(pull: LivePull, scaleId: string | null, machineId: string | null): () => void {
  const [putPull] = usePutPullMutation();
  const person = useAppSelector((state) => state.settings.person);
  const { id, stationId, runId, kind, plan, startedAt, marks } = pull;
  const body = useMemo(() => {
    const { timeSeconds, timer, settings } = plan;
    return {
      ...{ stationId, runId, kind, ownerId: tabletId(), ownerName: person },
      plan: { ...settings, timeSeconds, timer },
      startedAt: startedAt === null ? null : new Date(startedAt).toISOString(),
      marks: marks.map(({ kind: name, seconds, clock = null }) => ({ kind: name, seconds, clock })),
      deviceIds: [scaleId, machineId].filter((each) => each !== null),
    };
  }, [stationId, runId, kind, plan, startedAt, marks, scaleId, machineId, person]);
  const isBegun = startedAt !== null;
  useEffect(() => {
    if (isBegun) void putPull({ id, pullDto: body });
  }, [isBegun, id, body, putPull]);
  return () => {
    if (isBegun) void putPull({ id, pullDto: { ...body, endedAt: new Date().toISOString() } });
  };
}

/** The trace of what was pulled, with its phases; nothing where only the time was taken. */
export function watchedOf({ pull, trace }: Pick<PullHandle, 'pull' | 'trace'>) {
  const stored = traceOf(pull);
  const hasMore = stored.rows.length > 0 || stored.marks.some(({ kind }) => kind !== 'pump-on' && kind !== 'pump-off');
  return {
    trace: hasMore ? { ...stored, marks: stored.marks.map((mark) => ({ ...mark })) } : null,
    ...phasesOf({ pull, trace }),
  };
}

/** The phases of a shot as they are kept, seconds from its start; null where nobody knows. */
export function phasesOf({ pull, trace }: Pick<PullHandle, 'pull' | 'trace'>) {
  const drip = markAt(pull, 'first-drip') ?? trace?.firstDripSeconds ?? null;
  return {
    firstDripSeconds: pull.plan.timer === 'first-drip' ? null : drip,
    soakSeconds: markAt(pull, 'soak-ended'),
    coverSeconds: markAt(pull, 'covered'),
    tenGramsSeconds: markAt(pull, 'ten-grams') ?? trace?.tenGramsSeconds ?? null,
    contactSeconds: pull.stoppedSeconds,
  };
}
