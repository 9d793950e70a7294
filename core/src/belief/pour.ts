import { convertTime } from '../brew/convertTime';
import { clamp } from '../brew/snap';
import type { Cause, Sign, TimerStart, Verdict } from '../brew/types';
import { predictDose } from '../dose/timedDose';
import type { Method } from '../method/Method';
import type { Settings } from '../contract/answer';
import type { AdviceShot, ValidAdviceRequest } from '../contract/request';
import { readAims } from './aims';
import { handOfShot, type Hand } from './hand';
import type { LikingScaleName } from './likingScale';

/** Share of the time by which a puck alone strays. */
export const PUCK_STRAYS = 0.05;
/** Dryness from here on is a fault, on the contract's scale of 3. */
export const DRY = 1.5;
export const CHANNEL_SIGNS: readonly Sign[] = ['spurts', 'late-rush', 'puck-crater', 'dead-spots'];

/** One shot with every gap filled and every clock read on the target's. */
export interface Pour {
  /** What stood on grinder, scale and machine: the settings as planned, or as they seem to have been aimed at. */
  planned: Settings;
  /** What was really poured; the best value known. */
  measured: Settings;
  /** Seconds on the target's clock, or null when nobody timed it; by the usual first drip where the shot's own was not seen. */
  timeSeconds: number | null;
  /** The same as read, on `clock`: the target's, unless the first drip was not seen and the two cannot be told apart exactly. */
  clockSeconds: number | null;
  clock: TimerStart;
  firstDripSeconds: number | null;
  seen: readonly Sign[];
  channelled: boolean;
  /** Harsh without being bitter: water went round the coffee, not through it, whether or not anybody saw the channel. */
  isMuddled: boolean;
  /** What the barista found to have gone wrong with it. */
  cause: Cause | null;
  /** False when channel, dose or group spoilt it: it says little about its settings. */
  sound: boolean;
  versusLast: Verdict | null;
  /** Grind of the shot before, and whether old grounds were left in. */
  previousGrind: number;
  /** Scatter of the hand that dosed and stopped it, where no scale did. */
  hand: Hand;
  purged: boolean;
  /** Poured before the last shots at these very settings came out differently: what held then holds no longer. */
  stale: boolean;
  /** Balance and body counted from where those who tasted like them best, on the scales where 0 is just right. */
  taste: NonNullable<AdviceShot['taste']> | null;
  /** The same as they said it. */
  said: NonNullable<AdviceShot['taste']> | null;
  /** Its marks of ten as most people would have given them: this person may be strict or kind. */
  marks: Record<LikingScaleName, number | null>;
}

/** Every shot with its gaps filled: from what was planned or aimed at, from the shot before, from the start. */
export function readPours(request: ValidAdviceRequest & { method: Method }, start: Settings, hand: Hand): Pour[] {
  const { method, machine, shots } = request;
  const aims = readAims(shots, { start, temperatureScale: machine?.temperatureC ?? null, isByEye: hand.isByEye });
  return shots.map((shot, index) => {
    const planned = aims[index]!;
    const measured: Settings = {
      grind: shot.grind ?? planned.grind,
      doseGrams: shot.doseGrams ?? timedDoseOf(request, shot) ?? planned.doseGrams,
      yieldGrams: shot.yieldGrams ?? planned.yieldGrams,
      temperatureC: shot.temperatureC ?? planned.temperatureC,
    };
    const seen = shot.seen ?? [];
    const cause = shot.cause ?? null;
    const clock = readClock(request, shot, method.leadSeconds);
    const isShort = method.timeIs === 'target' && isTooShort(request, clock.timeSeconds);
    const taste = shot.taste ? countedFromLikes(shot.taste) : null;
    // Somebody looked and the puck was clean: what is harsh then was drawn out of the coffee.
    const isMuddled = tastesMuddled(request, taste, isShort) && !seen.includes('clean');
    const channelled = isMuddled || sawChannel({ cause, seen });
    const pour: Pour = {
      planned,
      measured,
      ...clock,
      firstDripSeconds: shot.firstDripSeconds ?? null,
      seen,
      channelled,
      isMuddled,
      cause,
      sound: !channelled && cause !== 'dose-off' && cause !== 'cold-group',
      versusLast: shot.versusLast ?? null,
      hand: handOfShot(request, hand, shot),
      previousGrind: index === 0 ? measured.grind : aims[index - 1]!.grind,
      purged: cause !== 'not-purged' && (shot.purged ?? true),
      stale: false,
      taste,
      said: shot.taste ?? null,
      marks: { overall: null, sweetness: null },
    };
    return pour;
  });
}

/** What one person calls a bit bitter is just right for another. */
function countedFromLikes(said: NonNullable<AdviceShot['taste']>): NonNullable<AdviceShot['taste']> {
  const { balance, body, likes } = said;
  if (!likes) return said;
  const count = (value: number | null | undefined, from: number): number | null =>
    value == null ? null : clamp(value - from, -3, 3);
  return { ...said, balance: count(balance, likes.balance), body: count(body, likes.body) };
}

/** Seen or found, as against tasted. */
export function sawChannel({ cause, seen }: Pick<Pour, 'cause' | 'seen'>): boolean {
  return cause === 'channelled' || seen.some((sign) => CHANNEL_SIGNS.includes(sign));
}

/** Harsh and sour, harsh though not bitter, or harsh though the water had no time to draw out too much. */
function tastesMuddled({ target }: ValidAdviceRequest, taste: Pour['taste'], isShort: boolean): boolean {
  if (taste?.balance == null || taste.dryness == null) return false;
  const off = taste.balance - target.balance;
  return taste.dryness >= DRY && (off <= 0.5 || isShort);
}

/** Further short of the window than a puck alone strays. */
function isTooShort({ target }: ValidAdviceRequest, timeSeconds: number | null): boolean {
  return timeSeconds !== null && timeSeconds < (1 - PUCK_STRAYS) * target.timeSeconds.min;
}

/** What a timed grinder must have given in the time it ran. */
function timedDoseOf({ grinder }: ValidAdviceRequest, { grind, grindSeconds }: AdviceShot): number | null {
  if (!grinder.timedDose || grindSeconds == null || grind == null) return null;
  const { grams } = predictDose({ ...grinder.timedDose, finer: grinder.finer }, { seconds: grindSeconds, grind });
  return grams >= 1 && grams <= 60 ? grams : null;
}

function readClock(
  request: ValidAdviceRequest,
  shot: AdviceShot,
  usualLead: number,
): Pick<Pour, 'timeSeconds' | 'clockSeconds' | 'clock'> {
  const target = request.target.timer;
  const clock = shot.timer ?? target;
  const clockSeconds = shot.timeSeconds ?? null;
  if (clockSeconds === null || clock === target) {
    return { timeSeconds: clockSeconds, clockSeconds, clock: target };
  }
  const read = { timeSeconds: clockSeconds, from: clock, to: target };
  const firstDripSeconds = shot.firstDripSeconds ?? request.machine?.firstDripSeconds?.mean ?? null;
  const exact = convertTime({ ...read, firstDripSeconds });
  if (exact !== null) return { timeSeconds: exact, clockSeconds: exact, clock: target };
  // Without a first drip the belief reads the shot on its own clock, with its doubt; rules and words take the usual one.
  const usual = convertTime({ ...read, firstDripSeconds: usualLead });
  return { timeSeconds: usual ?? clockSeconds, clockSeconds, clock };
}
