import type { Sign, TimerStart } from '../../brew/types';
import { SIGN_LABELS } from '../../formats/shotLine';
import type { Reason } from '../../contract/answer';
import { changesBetween } from '../../contract/changes';
import { isBright, SMALLEST_WORD } from '../shots/cups';
import type { Decision } from '../decide/decision';
import { missedRecipe, type Evidence } from '../shots/evidence';
import { meanOf } from '../../belief/particles';
import { isInTime } from '../shots/inTime';
import { CHANNEL_SIGNS, type Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';
import { balanceWord, bodyWord, plainNumber, secondsInWords as seconds } from './words';

/** Where a shot's own clock began, when it is not the recipe's. */
const CLOCKS: Record<TimerStart, string> = {
  'pump-on': 'pump on',
  'first-drip': 'the first drip',
  'total-contact': 'the first water',
};

/** What the last shot measured and tasted of, where it means anything. */
export function shotReasons(problem: Problem, decision: Decision, { last }: Evidence): Reason[] {
  const { stage } = decision;
  const time =
    last.timeSeconds === null ? glimpseReason(last) : stage === 'surprise' ? null : timeReason(problem, decision, last);
  const cup = last.taste && stage !== 'spoilt' && stage !== 'tight' ? cupReasons(problem, decision) : [];
  return [...(time ? [time] : []), ...cup, ...channelReason(decision, last), ...signReasons(last)];
}

/** What poured from what, as far as it says more than the plan: a dose is easily weighed, and a missed one explains much. */
function recipeWords(pour: Pour, { stage }: Decision): string {
  const { measured, planned } = pour;
  const grams = (value: number): string => `${plainNumber(value, 1)} g`;
  const poured = grams(measured.yieldGrams);
  // Said by itself, where it is what decides.
  const missed = stage === 'strayed' || pour.cause === 'dose-off' ? null : missedRecipe(pour);
  if (missed === 'doseGrams')
    return `${poured}, from ${grams(measured.doseGrams)} instead of ${grams(planned.doseGrams)},`;
  return missed === 'yieldGrams' ? `${poured} instead of ${grams(planned.yieldGrams)}` : poured;
}

/** A channel that is not what decides: the shot was too slow in spite of it, or so fast that it alone does not explain it. */
function channelReason({ stage }: Decision, { seen }: Pour): Reason[] {
  if (stage === 'spoilt' || stage === 'tight') return [];
  if (seen.includes('late-rush')) {
    const text =
      'Slow, then suddenly fast: the puck gave way, as one does that is too fine or badly prepared. This shot counts for less.';
    return [{ code: 'channel', text }];
  }
  const signs = seen.filter((sign) => CHANNEL_SIGNS.includes(sign)).map((sign) => SIGN_LABELS[sign]);
  if (signs.length === 0) return [];
  const text = `Seen: ${signs.join(', ')}. Some water found a way round the coffee, so this shot counts for less. Distribute, and tamp level.`;
  return [{ code: 'channel', text }];
}

function timeReason(problem: Problem, decision: Decision, pour: Pour): Reason {
  const { action, stage, here } = decision;
  const { target } = problem.request;
  const { timeSeconds, clockSeconds, clock } = pour;
  const { min, max } = target.timeSeconds;
  const t = timeSeconds!;
  const isOtherClock = clock !== target.timer;
  const read = isOtherClock ? `${seconds(clockSeconds!)} from ${CLOCKS[clock]}, about ${seconds(t)} here,` : seconds(t);
  const poured = `${read} for ${recipeWords(pour, decision)}`;
  // Beside "the same again" half a second would look like a mistake, and two beside a card.
  const by = isInTime(problem, pour)
    ? 'hand and clock stray by'
    : action === 'dialled'
      ? 'shots of the same settings differ by'
      : null;
  const slight = action === 'change' || by === null ? '' : `, which is no more than ${by}`;
  if (t < min) return { code: 'too-fast', text: `${poured} is ${seconds(min - t)} short of the window${slight}.` };
  if (t > max) return { code: 'too-slow', text: `${poured} is ${seconds(t - max)} past the window${slight}.` };
  // The clock alone would make nonsense of a move that brings the time back.
  const usual = here.medianTimeSeconds;
  const isUsuallyOut = usual < min || usual > max;
  const doubt = isUsuallyOut
    ? `, but by all that was poured these settings take about ${seconds(usual)}`
    : ', but so near its edge that the next may well miss it';
  return { code: 'in-window', text: `${poured} is in the window${stage === 'window' ? doubt : ''}.` };
}

function glimpseReason({ seen }: Pour): Reason | null {
  if (seen.includes('gushing'))
    return { code: 'too-fast', text: 'Nobody timed it, but it gushed: too coarse, or too little coffee.' };
  if (seen.includes('dripping'))
    return { code: 'too-slow', text: 'Nobody timed it, but it only dripped: too fine, or too much coffee.' };
  return null;
}

/**
 * What stream and puck tell besides channels (which decide by themselves) and gushes or drips (which the clock tells better): nothing
 * to turn a lever for, but worth a word.
 */
const SIGNS_SAY: Partial<Record<Sign, string>> = {
  'early-blonding': 'It paled early: part of the bed gave out before the rest. Distribute with care.',
  'uneven-spouts': 'Uneven spouts tell of an uneven bed, unless one merely ran first. Distribute with care.',
  'soupy-puck': 'A soupy puck means little coffee for this basket: harmless.',
  'screen-imprint':
    'The screen printed on the puck: this dose is high for the basket. Find the dose again before the card is written.',
};

function signReasons({ seen }: Pour): Reason[] {
  const isExplained = seen.includes('gushing');
  return seen.flatMap((sign) => {
    const text = SIGNS_SAY[sign];
    return text === undefined || (isExplained && sign === 'early-blonding') ? [] : [{ code: sign, text }];
  });
}

/** What the last cup tasted of, and what the move at hand does about it. */
function cupReasons(problem: Problem, decision: Decision): Reason[] {
  const { target } = problem.request;
  const { taste, said } = decision.evidence!.last;
  const { balance, body } = taste!;
  const reasons: Reason[] = [];
  if (balance != null) {
    const off = balance - target.balance;
    const way = Math.abs(off) > SMALLEST_WORD ? balanceRemedy(problem, decision, off < 0) : '';
    const code = off < -SMALLEST_WORD ? 'sour' : off > SMALLEST_WORD ? 'bitter' : 'balanced';
    reasons.push({ code, text: `It tasted ${forTaster(balanceWord, said!.balance!, balance)}${way}.` });
  }
  if (body != null && Math.abs(body - target.body) > SMALLEST_WORD) {
    const isThin = body < target.body;
    const text = `The body was ${forTaster(bodyWord, said!.body!, body)}${bodyRemedy(decision, isThin)}.`;
    reasons.push({ code: isThin ? 'thin' : 'heavy', text });
  }
  return reasons;
}

/** The word as it was said, and what it is to somebody who likes a cup elsewhere on the scale. */
function forTaster(wordOf: (value: number) => string, said: number, counted: number): string {
  const word = wordOf(said);
  return word === wordOf(counted) ? word : `${word}, ${wordOf(counted)} to this taste`;
}

/** What the cup asks for is said only beside a move that gives it: beside "the same again" it would contradict itself. */
function balanceRemedy(problem: Problem, decision: Decision, isSour: boolean): string {
  const { action, stage, chosen, here } = decision;
  if (stage === 'limits') return '';
  if (action !== 'change') {
    return isBright(problem, decision.evidence!.last) ? ', but sweet: bright, as a light roast may be' : '';
  }
  const isFixed = meanOf(chosen.outlook.balance) > meanOf(here.balance) === isSour;
  if (isFixed) return `: it needs ${isSour ? 'more' : 'less'} extraction`;
  return stage === 'window' ? ': the time comes first' : '';
}

/** One lever must not be praised beside the advice to turn another. */
function bodyRemedy({ action, stage, evidence, chosen, here }: Decision, isThin: boolean): string {
  if (action !== 'change' || stage === 'limits') return '';
  const before = evidence!.last.planned;
  const after = chosen.move.settings;
  const longer = Math.log(after.yieldGrams / after.doseGrams / (before.yieldGrams / before.doseGrams));
  if (Math.abs(longer) > 0.005 && longer < 0 === isThin) {
    const byDose = changesBetween(before, after).some(({ variable }) => variable === 'doseGrams');
    if (byDose) return `: ${isThin ? 'more' : 'less'} coffee for the same water sets that right`;
    return `: ${isThin ? 'less' : 'more'} water for the same coffee sets that right`;
  }
  if (stage === 'window') return ': the time comes first';
  const isFixed = meanOf(chosen.outlook.body) > meanOf(here.body) === isThin;
  return isFixed
    ? `: ${chosen.move.lever === 'grind' ? 'the grind' : 'this'} moves it a little that way too`
    : ': that comes after';
}
