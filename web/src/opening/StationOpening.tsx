import { plainNumber, warmUpAt, type CarriedStart, type OpeningStep } from '@olvet/core';
import { Button } from 'antd';
import dayjs from 'dayjs';
import { useNavigate } from 'react-router';
import type { BoardStationView, CoffeeView, GrinderView, LearnedHereView, MachineView, OpeningView } from '../app/api';
import { runStart } from '../bar/openRun';
import { useOpenRun } from '../bar/useOpenRun';
import { learnedInWords } from './learnedInWords';
import { plural } from '../parts/plural';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ToggleChip } from '../parts/ToggleChip';
import type { Morning } from './morning';
import styles from './OpeningPage.module.css';

export interface StationOpeningProps {
  turn: number;
  reason: string;
  standing: BoardStationView;
  machine: MachineView;
  coffee: CoffeeView;
  grinder: GrinderView;
  opening: OpeningView | undefined;
  warmUpMinutes: number;
  switchedOnAt: number | null;
  forecast: Morning | null;
  learned: LearnedHereView | undefined;
  now: number;
  onlyLeft: boolean;
  onSwitch: (at: string | null) => void;
  onTick: (step: OpeningStep, done: boolean) => void;
}

const STEPS: { step: OpeningStep; text: string }[] = [
  { step: 'hopper', text: 'hopper filled' },
  { step: 'flushed', text: 'group flushed' },
  { step: 'cups-warm', text: 'cups warm' },
  { step: 'check-shot', text: 'check shot pulled' },
];

/** One station in the morning: its clock, its list, its start. */
export function StationOpening(props: StationOpeningProps) {
  const { turn, reason, standing, machine, opening, onlyLeft, onTick } = props;
  // A check shot pulled today ticks its own step, wherever it was entered.
  const ticked = opening?.done ?? [];
  const done: OpeningStep[] = standing.checkedAt === null ? ticked : [...new Set([...ticked, 'check-shot' as const])];
  const steps = STEPS.filter(({ step }) => !onlyLeft || !done.includes(step));
  return (
    <li className={styles.station}>
      <span className={`numeral ${styles.turn}`}>{turn}</span>
      <div>
        <h2>{standing.coffeeName}</h2>
        <p className="quiet small">
          {standing.station.name} · {standing.grinderName} → {machine.name}
        </p>
        <p className="small">{reason}</p>
      </div>
      <Clock {...props} />
      <div>
        <Forecast {...props} />
        <div className={styles.steps} role="group" aria-label={`To do at ${standing.station.name}`}>
          {steps.map(({ step, text }) => (
            <ToggleChip key={step} chosen={done.includes(step)} onToggle={(on) => onTick(step, on)}>
              {text}
            </ToggleChip>
          ))}
          {steps.length === 0 && <p className="quiet">Nothing left but the shots.</p>}
        </div>
        {!done.includes('flushed') && (
          <p className="quiet small">Steam and water burn: cups and hands clear when flushing.</p>
        )}
      </div>
      <Go {...props} />
    </li>
  );
}

/** The warm-up clock: one tap starts it; it reckons when a group is really hot. */
function Clock({ machine, standing, warmUpMinutes, switchedOnAt, now, onSwitch }: StationOpeningProps) {
  if (switchedOnAt === null) {
    return (
      <div>
        <Button
          type="primary"
          size="large"
          aria-label={`${machine.name} is on, for ${standing.station.name}`}
          onClick={() => onSwitch(new Date().toISOString())}
        >
          Switched on now
        </Button>
        <p className="quiet small">Hot after {warmUpMinutes} min. A ready light is not a hot group.</p>
      </div>
    );
  }
  const { hotAt, minutesLeft, isHot, share } = warmUpAt({ switchedOnAt, warmUpMinutes, now });
  const clock = new Date(hotAt).toLocaleTimeString(undefined, { hour: 'numeric', minute: '2-digit' });
  return (
    <div>
      <p className={`numeral ${styles.clock} ${isHot ? styles.hot : ''}`} role="status">
        {isHot ? 'Hot' : `Hot at ${clock}`}
      </p>
      {!isHot && (
        <div className={styles.bar} aria-hidden>
          <span style={{ width: `${100 * share}%` }} />
        </div>
      )}
      <p className="quiet small">{isHot ? `since ${clock}` : `in ${minutesLeft} min`}</p>
      {!isHot && (
        <Button
          size="small"
          onClick={() => onSwitch(new Date(switchedOnAt - 10 * 60_000).toISOString())}
          aria-label={`${machine.name} was on ten minutes earlier`}
        >
          10 min earlier
        </Button>
      )}
      <Button size="small" type="text" onClick={() => onSwitch(null)} aria-label={`${machine.name} is off`}>
        Off
      </Button>
    </div>
  );
}

/** What yesterday's setting will pour this morning, and what that implies. */
function Forecast({ standing, forecast, learned, now }: StationOpeningProps) {
  const today = standing.shots.findLast(
    ({ pulledAt, timeSeconds }) => timeSeconds != null && dayjs(pulledAt).isSame(now, 'day'),
  );
  const poured = today && <p className="small">Today it poured {plainNumber(today.timeSeconds!, 1)} s already.</p>;
  if (forecast === null) {
    return poured ?? <p className="quiet">Nothing timed here yet: the first shot tells.</p>;
  }
  const { closingGrind, timeSeconds, worthMoving, parts } = forecast;
  const s = (value: number): string => plainNumber(value, 0);
  return (
    <>
      <p className={`numeral ${styles.forecast}`}>
        At grind {plainNumber(closingGrind)} expect {s(timeSeconds.mean)} s ({s(timeSeconds.p10)}–{s(timeSeconds.p90)})
        {worthMoving && !today && `, so start at ${plainNumber(forecast.start.grind)}`}
      </p>
      <p className="quiet small">
        {parts.map(({ text }) => text).join(' ')} {worthMoving || today ? '' : 'Leave it where it stands.'}
      </p>
      {learned && (
        <p className="quiet small">
          {learnedInWords(learned, standing.day?.foundSeconds ?? timeSeconds.mean, ['humidity'])}
        </p>
      )}
      {poured}
    </>
  );
}

/** Where the night's forecast or a drift since says to begin; null where only the grinder's own setting is known. */
function startAt({ station, start }: BoardStationView, forecast: Morning | null): CarriedStart | null {
  if (forecast === null) return start;
  // A grinder somebody turned since closing is believed before a forecast that would leave it.
  return forecast.worthMoving || forecast.closingGrind === station.grind ? forecast.start : start;
}

function Go({ standing, coffee, grinder, forecast, switchedOnAt, warmUpMinutes, now }: StationOpeningProps) {
  const { open, opening: busy, error } = useOpenRun();
  const navigate = useNavigate();
  const { station } = standing;
  const begun = standing.shots.some(({ pulledAt }) => dayjs(pulledAt).isSame(now, 'day'));
  const start = startAt(standing, begun ? null : forecast);
  const grind = start?.grind ?? station.grind ?? null;
  const { budgetShots, budgetGrams } = runStart({
    station,
    coffee,
    grinder,
    foundDose: null,
    startedAt: new Date(now).toISOString(),
  });
  const hot = switchedOnAt !== null && warmUpAt({ switchedOnAt, warmUpMinutes, now }).isHot;
  return (
    <div className={styles.go}>
      <ProblemAlert error={error} />
      {standing.openRunId ? (
        <Button type="primary" size="large" onClick={() => void navigate(`/dial-in/${standing.openRunId}`)}>
          Go on
        </Button>
      ) : (
        <Button
          type={hot ? 'primary' : 'default'}
          size="large"
          loading={busy}
          onClick={() => void open(standing, start)}
        >
          Dial in{grind === null ? '' : ` at ${plainNumber(grind)}`}
        </Button>
      )}
      {!standing.openRunId && (
        <p className="quiet small">
          May take {plural(budgetShots ?? 0, 'shot')}, {budgetGrams} g.
          {!hot && ' A cold group tastes sour whatever the grind.'}
        </p>
      )}
    </div>
  );
}
