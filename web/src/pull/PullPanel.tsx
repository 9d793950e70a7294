import { LIMITS, plainNumber, roundTo, type Look, type ShotLine } from '@olvet/core';
import { Button, Checkbox, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { temperatureNumber, TIMER_WORDS } from '../parts/format';
import { Stepper } from '../parts/Stepper';
import { useTemperatureUnit } from '../parts/temperature';
import { ToggleChip } from '../parts/ToggleChip';
import { useShortcuts } from '../parts/useShortcuts';
import { AskedFor } from './AskedFor';
import { LandingBox } from './LandingBox';
import { LeverLane, RescueLine } from './LeverLane';
import type { LivePull } from './livePull';
import { DeviceChooser } from './DeviceChooser';
import { DoseFromScale } from './DoseFromScale';
import {
  askedFigures,
  isAnythingSaid,
  leftToPlan,
  lineOf,
  NOTHING_SAID,
  setBefore,
  withAsPlanned,
  withMeasured,
  withValue,
  type Figure,
  type Measured,
  type PulledFigures,
} from './pulledFigures';
import { Preheat } from './Preheat';
import { PullClock } from './PullClock';
import styles from './PullPanel.module.css';
import { Running } from './Running';
import { NOTHING_SEEN, SeenPicker, SeenPictures, type Seeing } from './SeenPicker';
import { saidByMarks } from './saidByMarks';
import { SoakLength } from './SoakLength';
import type { PullSubject } from './subject';
import { useHolding } from './useHolding';
import { usePull, watchedOf, type PullHandle } from './usePull';
import { useWakeLock } from './useWakeLock';

/** The hands' part, in its order. */
const BEFORE =
  'Flush, knock out, wipe dry. Tare, grind, weigh, distribute, level tamp, clean rim; lock in gently and start at once.';

/** What was watched of a shot, beside its line. */
export type Watched = ReturnType<typeof watchedOf> & {
  unlevelledGrams: number | null;
  valveGrams: number | null;
  looks: Look[];
};

export interface PullPanelProps {
  subject: PullSubject;
  /** A shot that was begun before this page was loaded. */
  kept?: LivePull | null;
  /** Where the picture is drawn, and the large figures beside it, once the shot has begun; null: nowhere yet. */
  picture: HTMLElement | null;
  aside: HTMLElement | null;
  saving: boolean;
  /** Resolves with whether it was taken. */
  onShot: (id: string, line: ShotLine, watched: Watched) => Promise<boolean>;
  onBack: () => void;
  /** Another tablet has taken the shot over. */
  onLost: (pullId: string) => void;
  /** Told when the picture is needed, and when it is not any longer. */
  onPicture?: (isNeeded: boolean) => void;
  /** Told once the shot has begun: what it is, is not chosen any more. */
  onBegun?: () => void;
}

/**
 * A shot from the plan to Save: what to set before, the flight and its marks while it runs, the figures after. Nothing counts as
 * measured that neither a device nor a person said: the plan is a hint, and one tap takes a figure as planned.
 */
export function PullPanel({
  subject,
  kept = null,
  picture,
  aside,
  saving,
  onShot,
  onBack,
  onLost,
  onPicture,
  onBegun,
}: PullPanelProps) {
  const handle = usePull(subject, kept);
  useWakeLock();
  const holding = useHolding(handle.pull);
  const { isLost } = holding;
  useEffect(() => {
    if (!isLost) return;
    handle.letGo();
    onLost(handle.pull.id);
    // Told once: what follows is another page.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isLost]);
  const [figures, setFigures] = useState<PulledFigures>(NOTHING_SAID);
  const [unlevelledGrams, setUnlevelled] = useState<number | null>(null);
  const [seen, setSeen] = useState<Seeing>(NOTHING_SEEN);
  const [purged, setPurged] = useState(true);
  const [hour, setHour] = useState<string | null>(null);
  const asked = askedFigures(subject);
  const all = withMeasured(figures, measuredBy(handle, subject.hasScale));
  const left = leftToPlan(all, asked);
  const byMarks = saidByMarks(handle.pull.marks);
  /** The aim alone is no shot: something must have been said of this one. */
  const isTold = isAnythingSaid(all) || seen.signs.length + seen.looks.length > 0 || !purged || byMarks.seen.length > 0;
  const ready = !handle.isRunning && isTold && !saving;
  const say = (figure: Figure | 'timeSeconds') => (value: number | null) =>
    setFigures((now) => withValue(now, figure, value));
  const save = async (): Promise<void> => {
    if (!ready) return;
    const { seen: marked, ...rest } = byMarks;
    const signs = seen.signs.filter((sign) => !marked.some((mark) => mark.sign === sign)).map((sign) => ({ sign }));
    const line = { ...lineOf(all, asked), ...rest, ...(hour ? { hour } : {}), seen: [...marked, ...signs], purged };
    const valveGrams = setBefore(all, asked, 'valveGrams');
    const watched = { ...watchedOf(handle), unlevelledGrams, valveGrams, looks: seen.looks };
    if (await onShot(handle.pull.id, line, watched)) handle.done();
  };
  const back = (): void => {
    handle.done();
    onBack();
  };
  // While water runs nothing is left by a slip: it is stopped first.
  useShortcuts({ ' ': handle.toggle, Enter: () => void save(), Escape: () => !handle.isRunning && back() });
  const panel = useRef<HTMLDivElement>(null);
  // On a phone the shot may be taken while the sheet is read, with this panel still below it.
  useEffect(() => {
    panel.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const isFlying = handle.isRunning || (handle.isOver && handle.pull.seen.length > 0);
  const isDragged = subject.isLever && (handle.machine?.capabilities.includes('lever') ?? false);
  /** Beside no run sheet there is room for it from the start; a lever of the simulated bench is dragged in it. */
  const isShown = isFlying || subject.runId === null || isDragged;
  /** Beside the picture is room for what was seen. */
  const hasPictures = isShown && aside !== null && handle.isOver;
  const clock = <PullClock handle={handle} timerWords={TIMER_WORDS[subject.plan.timer]} />;
  const time = (
    <Stepper
      id="pull-time"
      label="time"
      unit="s"
      value={all.timeSeconds}
      step={0.5}
      {...LIMITS.timeSeconds}
      from={Math.round((subject.plan.timeSeconds.min + subject.plan.timeSeconds.max) / 2)}
      onChange={say('timeSeconds')}
    />
  );
  useEffect(() => {
    onPicture?.(isShown);
    return () => onPicture?.(false);
  }, [isShown, onPicture]);
  const isBegun = handle.pull.startedAt !== null;
  useEffect(() => {
    if (isBegun) onBegun?.();
  }, [isBegun, onBegun]);
  return (
    <div ref={panel} className={isShown && aside ? styles.flying : styles.panel}>
      <AskedFor holding={holding} />
      {picture &&
        isShown &&
        createPortal(
          <div className={styles.picture}>
            {/* Before the shot a lever needs all the room there is. */}
            {(isFlying || !subject.isLever) && (
              <LandingBox handle={handle} earlier={subject.earlier} reference={subject.reference} />
            )}
            {subject.isLever && <LeverLane handle={handle} subject={subject} />}
          </div>,
          picture,
        )}
      {isShown && aside ? (
        createPortal(
          <>
            {clock}
            {subject.runId === null && !isBegun && <p className={styles.before}>{BEFORE}</p>}
            {hasPictures && <SeenPictures seen={seen} onSeen={setSeen} />}
          </>,
          aside,
        )
      ) : (
        <div className={styles.clock}>
          {clock}
          {!handle.isRunning && time}
        </div>
      )}
      {handle.isRunning ? (
        <Running handle={handle} subject={subject} />
      ) : (
        <div className={styles.entry}>
          <Aim subject={subject} />
          {!handle.isOver && <DeviceChooser handle={handle} />}
          {subject.isLever && !handle.isOver && <Preheat />}
          {subject.isLever && handle.isOver && <RescueLine handle={handle} />}
          {subject.purgeGrams !== null && (
            <Checkbox checked={purged} onChange={(event) => setPurged(event.target.checked)}>
              Purged ({plainNumber(subject.purgeGrams)} g)
            </Checkbox>
          )}
          <div className={styles.steppers}>
            {isShown && aside && time}
            {asked.map(({ figure, planned, ...rest }) => (
              <div key={figure} className={styles.figure}>
                <Stepper {...rest} id={`pull-${figure}`} value={all[figure]} hint={planned} onChange={say(figure)} />
                {figure === 'doseGrams' && !handle.isOver && (
                  <DoseFromScale
                    handle={handle}
                    taken={figures.doseGrams}
                    onDose={(grams) => {
                      if (figures.doseGrams !== null) setUnlevelled((first) => first ?? figures.doseGrams);
                      say('doseGrams')(grams);
                    }}
                  />
                )}
                {planned !== null && (
                  <ToggleChip
                    chosen={figures.asPlanned.includes(figure)}
                    disabled={all[figure] !== null}
                    onToggle={(on) =>
                      setFigures(on ? withAsPlanned(figures, [figure]) : withValue(figures, figure, null))
                    }
                  >
                    <span className="visually-hidden">{rest.label} </span>as planned
                  </ToggleChip>
                )}
              </div>
            ))}
            {!handle.isOver && endsSoak(handle, subject) && <SoakLength />}
          </div>
          {!hasPictures && <SeenPicker seen={seen} onSeen={setSeen} />}
          <div className={styles.actions}>
            <Button type="primary" size="large" disabled={!ready} loading={saving} onClick={() => void save()}>
              Save shot <kbd>Enter</kbd>
            </Button>
            <Button size="large" disabled={left.length === 0} onClick={() => setFigures(withAsPlanned(figures, left))}>
              The rest as planned
            </Button>
            <Button size="large" onClick={back}>
              Back
            </Button>
            {handle.isOver && handle.pull.seen.length > 0 && (
              <Button size="large" type="text" onClick={handle.restart}>
                Start again
              </Button>
            )}
            {hour === null ? (
              <Button type="text" aria-label="Poured earlier" onClick={() => setHour('')}>
                Earlier
              </Button>
            ) : (
              <label className={styles.hour}>
                poured at
                <Input type="time" value={hour} onChange={(event) => setHour(event.target.value)} />
              </label>
            )}
          </div>
        </div>
      )}
    </div>
  );
}

function endsSoak({ machine }: PullHandle, { preBrew }: PullSubject): boolean {
  return preBrew !== 'none' && preBrew !== 'lever' && (machine?.capabilities.includes('end-soak') ?? false);
}

function Aim({ subject }: { subject: PullSubject }) {
  const unit = useTemperatureUnit();
  const { settings, timeSeconds } = subject.plan;
  const { grind, doseGrams, yieldGrams, temperatureC } = settings;
  const heat = temperatureC === null ? '' : ` · ${temperatureNumber(temperatureC, unit)} °${unit}`;
  return (
    <p className={styles.aim}>
      {grind !== null && (
        <>
          Grind <strong className="numeral">{plainNumber(grind)}</strong> ·{' '}
        </>
      )}
      {plainNumber(doseGrams)} → {plainNumber(yieldGrams)} g{heat}
      {subject.hasScale ? '' : ' · struck level'} · {timeSeconds.min}–{timeSeconds.max}&nbsp;s
    </p>
  );
}

/** The clock stops with the shot; the scale says the yield once nothing falls any more, or as far as it has come. */
function measuredBy({ isOver, seconds, trace }: PullHandle, hasScale: boolean): Measured {
  if (!isOver) return {};
  const grams = trace?.summary?.yieldGrams ?? trace?.grams ?? 0;
  const { min, max } = LIMITS.yieldGrams;
  return {
    timeSeconds: roundTo(seconds, 1),
    ...(hasScale && grams >= min && grams <= max ? { yieldGrams: roundTo(grams, 1) } : {}),
  };
}
