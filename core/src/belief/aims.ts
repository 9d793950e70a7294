import { snap, type Scale } from '../brew/snap';
import type { Settings } from '../contract/answer';
import type { AdviceShot } from '../contract/request';

type Weighed = 'doseGrams' | 'yieldGrams';

/**
 * What a hand with a scale misses by and is still aiming at the same, in ln: about 0.3 g of 18, less than the half gram a dose is turned by,
 * and 1.2 g of 36, less than the 2 g a yield is [assumed; a careful hand strays by ±0.1 and ±0.7]. Twice as much without a scale.
 */
const SAME_AIM = { doseGrams: 0.018, yieldGrams: 0.033 };
const BY_EYE = 2;

/** Doses or yields that were all aimed at the same. */
interface Aim {
  /** Somebody said so: a plan, or the recipe. */
  said: number | null;
  first: number;
  newest: number;
}

/** What the shots were poured with. */
interface Bar {
  start: Settings;
  /** Null where the machine cannot be set. */
  temperatureScale: Scale | null;
  /** Doses or yields are not weighed. */
  isByEye: boolean;
}

/**
 * What stood on grinder, scale and machine for every shot: as planned; where nobody said, as measured; where nobody measured, as for the shot before.
 *
 * A hand never weighs the same twice. Doses, or yields, that nobody planned and that lie no further apart than a hand strays were aimed at
 * the same, and stand here as the same figure, or every such shot would be one of other settings, with a lever turned to and fro. The
 * newest gives its group the figure it was measured at, so that the last shot's settings are always as planned or as measured. A
 * thermometer does not read the same twice either: what it read between two marks of the machine stood on the nearer one.
 */
export function readAims(shots: readonly AdviceShot[], bar: Bar): Settings[] {
  let before = bar.start;
  const aims = shots.map(({ planned, ...shot }) => {
    before = {
      grind: planned?.grind ?? shot.grind ?? before.grind,
      doseGrams: planned?.doseGrams ?? shot.doseGrams ?? before.doseGrams,
      yieldGrams: planned?.yieldGrams ?? shot.yieldGrams ?? before.yieldGrams,
      temperatureC: planned?.temperatureC ?? shot.temperatureC ?? before.temperatureC,
    };
    return before;
  });
  const doses = alike('doseGrams', aims, shots, bar);
  const yields = alike('yieldGrams', aims, shots, bar);
  const heats = asSet(aims, shots, bar);
  return aims.map(({ grind }, i) => ({
    grind,
    doseGrams: doses[i]!,
    yieldGrams: yields[i]!,
    temperatureC: heats[i]!,
  }));
}

/** What the machine was set to; where it cannot be set it stands as it is, whatever was read. */
function asSet(
  aims: readonly Settings[],
  shots: readonly AdviceShot[],
  { temperatureScale }: Bar,
): Settings['temperatureC'][] {
  const newest = aims.at(-1)?.temperatureC ?? null;
  if (temperatureScale === null) return aims.map(() => newest);
  return aims.map(({ temperatureC }, i) => {
    if (temperatureC === null || shots[i]!.planned?.temperatureC != null) return temperatureC;
    const mark = snap(temperatureC, temperatureScale);
    return Math.abs(mark - temperatureC) <= temperatureScale.step / 2 + 1e-9 ? mark : temperatureC;
  });
}

/** One variable of all shots, the same figure for what was aimed at the same. */
function alike(
  variable: Weighed,
  aims: readonly Settings[],
  shots: readonly AdviceShot[],
  { start, isByEye }: Bar,
): number[] {
  const values = aims.map((aim) => aim[variable]);
  const isSaid = shots.map((shot) => shot.planned?.[variable] != null);
  if (isSaid.every(Boolean)) return values;
  const within = (isByEye ? BY_EYE : 1) * SAME_AIM[variable];
  let current: Aim = { said: start[variable], first: start[variable], newest: start[variable] };
  const all = [current];
  const aimOf = values.map((value, i) => {
    const found = isSaid[i]
      ? all.find(({ said }) => said !== null && Math.abs(said - value) < 1e-9)
      : [current, ...nearestFirst(all, value)].find((aim) => distance(aim, value) <= within);
    current = found ?? { said: isSaid[i] ? value : null, first: value, newest: value };
    if (!found) all.push(current);
    current.newest = value;
    return current;
  });
  const last = aimOf.at(-1);
  return aimOf.map((aim) => (aim === last ? values.at(-1)! : (aim.said ?? aim.newest)));
}

/** In ln, from what was said, or else from the first and the newest, whichever is nearer: who repeats what was weighed aims at that. */
function distance({ said, first, newest }: Aim, value: number): number {
  return Math.min(...[said ?? first, newest].map((other) => Math.abs(Math.log(value / other))));
}

function nearestFirst(aims: readonly Aim[], value: number): Aim[] {
  return [...aims].sort((a, b) => distance(a, value) - distance(b, value));
}
