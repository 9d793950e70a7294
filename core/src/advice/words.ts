import type { Settings, Change, Expectation, Reason } from './answer';
import type { Choice, Decision } from './decide';
import { SIGN_LABELS } from '../formats/shotLine';
import type { Cause } from '../brew/types';
import { slopeOf } from './infer';
import { changesBetween } from './changes';
import type { Pour, Problem } from './problem';

/** 12.50 → "12.5", 36 → "36". */
export function plainNumber(value: number, decimals = 2): string {
  return String(Number(value.toFixed(decimals)));
}

/** "4 in 5": a probability as people say it. */
export function oddsInWords(probability: number): string {
  if (probability >= 0.95) return 'almost surely';
  if (probability <= 0.05) return 'hardly ever';
  const fractions = [
    [1, 10],
    [1, 5],
    [1, 4],
    [1, 3],
    [2, 5],
    [1, 2],
    [3, 5],
    [2, 3],
    [3, 4],
    [4, 5],
    [9, 10],
  ] as const;
  const [a, b] = fractions.reduce((best, next) =>
    Math.abs(next[0] / next[1] - probability) < Math.abs(best[0] / best[1] - probability) ? next : best,
  );
  return `${a} in ${b}`;
}

export function balanceWord(balance: number): string {
  const size = Math.abs(balance);
  if (size < 0.3) return 'even';
  const side = balance < 0 ? 'sour' : 'bitter';
  return size < 1 ? `a bit ${side}` : size < 2 ? side : `very ${side}`;
}

export function bodyWord(body: number): string {
  const size = Math.abs(body);
  if (size < 0.5) return 'full';
  const side = body < 0 ? 'thin' : 'heavy';
  return size < 1 ? `a bit ${side}` : side;
}

/** One change as one would call it across the bar: "Finer, 14 → 12.5". */
export function changeInWords(problem: Problem, change: Change): string {
  const fromTo = `${plainNumber(change.from)} → ${plainNumber(change.to)}`;
  const up = change.to > change.from;
  switch (change.variable) {
    case 'grind':
      return `${up === (problem.finerSign === 1) ? 'Finer' : 'Coarser'}, ${fromTo}`;
    case 'doseGrams':
      return `${up ? 'More' : 'Less'} coffee, ${fromTo} g`;
    case 'yieldGrams':
      return `${up ? 'Longer' : 'Shorter'}, ${fromTo} g`;
    case 'temperatureC':
      return `${up ? 'Hotter' : 'Cooler'}, ${fromTo} °C`;
  }
}

/** What a choice does against the last shot, with its odds: the line of an alternative. */
export function alternativeText(problem: Problem, choice: Choice, from: Settings, expect: Expectation): string {
  const changed = changesBetween(from, choice.move.settings);
  if (changed.length === 0)
    return `Pull the same again: costs a shot, settles the doubt; ${oddsInWords(expect.asWanted)}.`;
  const moves = changed.map((change) => changeInWords(problem, change)).join(' and ');
  const purge = choice.move.lever === 'grind' ? '' : ', no purge';
  const taste = `${balanceWord(expect.balance.mean)}, ${bodyWord(expect.body.mean)}`;
  return `${moves}: about ${plainNumber(expect.timeSeconds.mean, 0)} s, ${taste}${purge}; ${oddsInWords(expect.asWanted)}.`;
}

/** Why this and not something else, naming the evidence in the user's own units. */
export function reasonsFor(problem: Problem, decision: Decision, expect: Expectation): Reason[] {
  const { evidence, stage } = decision;
  if (evidence === null) return startReasons(problem, decision.chosen.move.settings, expect);
  const reasons: Reason[] = [];
  const add = (code: string, text: string): void => void reasons.push({ code, text });
  const { last } = evidence;
  const n = evidence.sameSettings.length;
  if (stage === 'limits')
    add('limit', 'The last shot stood outside what grinder, basket or machine allow: first back inside.');
  if (stage === 'spoilt') add('channel', spoiltText(problem, decision));
  if (stage === 'tight') {
    add(
      'too-tight',
      'Spoilt again in spite of care: water breaks through a bed that is too tight. Coarser, whatever the cup says of sourness.',
    );
  }
  if (stage === 'unpurged') {
    const change = `${plainNumber(last.previousGrind)} → ${plainNumber(last.planned.grind)}`;
    add(
      'not-purged',
      `Old grounds were still in the grinder after ${change}: this shot is part old grind and proves nothing.`,
    );
  }
  if (stage === 'excused') add('cause', `${CAUSE_TEXTS[last.cause!]} This shot counts for little: the same again.`);
  if (stage === 'strayed') add('strayed', strayedText(last, evidence.strayed!));
  if (stage === 'surprise' && evidence.surprise) {
    const { expectedSeconds, sigmas } = evidence.surprise;
    const side = sigmas > 0 ? 'slower' : 'faster';
    add(
      'surprise',
      `${seconds(last.timeSeconds!)} is ${side} than the ${seconds(expectedSeconds)} the earlier shots foretold. One odd shot is noise until it happens twice.`,
    );
    add('suspects', `If it repeats, suspect in this order: ${SUSPECTS}.`);
  }
  // Only right after the two shots that showed it.
  const before = problem.pours.at(-3)?.stale
    ? problem.pours.findLast((pour) => pour.stale && changesBetween(pour.planned, last.planned).length === 0)
    : undefined;
  if (before) {
    const side = (last.timeSeconds ?? 0) > (before.timeSeconds ?? 0) ? 'slower' : 'faster';
    add(
      'drifted',
      `Twice in a row ${side} than the shots before at these settings: that is drift, not noise. What was poured before counts little now.`,
    );
  }
  if (stage === 'no-effect') {
    const change = `${plainNumber(last.previousGrind)} → ${plainNumber(last.planned.grind)}`;
    const moved = `${seconds(Math.abs(evidence.missingSeconds!))} ${evidence.missingSeconds! > 0 ? 'slower' : 'faster'}`;
    add('no-effect', `${change} should have made the shot about ${moved} on this grinder and hardly did.`);
    add('suspects', `Suspect in this order: ${SUSPECTS}. Purge well and pull the same again.`);
  }
  if (last.timeSeconds !== null && stage !== 'surprise') addTimeReason(problem, decision, add);
  if (last.timeSeconds === null) addGlimpse(last, add);
  if (last.taste && stage !== 'spoilt' && stage !== 'tight') addTasteReason(problem, decision, add);
  if (stage === 'confirm') {
    add(
      'confirm',
      `One more at the same settings: so far it is ${oddsInWords(decision.here.goodShare)} that they are right, and ${n === 1 ? 'a second' : 'another'} taste tells more than a change would.`,
    );
  }
  if (stage === 'dialled') {
    add(
      'dialled',
      `${n === 1 ? 'This shot and what led to it say' : `${n} shots at these settings say`} that they keep giving the cup you want: ${oddsInWords(decision.here.goodShare)}. Write the card.`,
    );
  }
  if (decision.blocked === 'grind') {
    const why = evidence.circling.includes('grind')
      ? 'The grind has gone to and fro twice: that lever is done.'
      : problem.grindScale.step > 0 && !atLimit(problem, last.planned.grind)
        ? 'One step of the grinder jumps over the window.'
        : `The grinder stands at its ${decision.here.medianTimeSeconds < problem.request.target.timeSeconds.min ? 'finest' : 'coarsest'}, ${plainNumber(last.planned.grind)}.`;
    add('limit', `${why} The next lever takes over.`);
  } else if (decision.blocked !== null && evidence.circling.includes(decision.blocked)) {
    add('circling', `The ${decision.blocked} has gone to and fro twice: that lever is done.`);
  }
  const isTasteMove = decision.action === 'change' && (stage === 'taste' || stage === 'stuck');
  if (isTasteMove && decision.chosen.outlook.distance >= decision.here.distance) {
    add('first-of-two', 'No single move sets balance and body right at once: this is the first of two.');
  }
  if (decision.action === 'change') {
    const slope = slopeOf(decision.posterior);
    const grind = decision.chosen.move.lever === 'grind';
    if (grind) {
      const percent = plainNumber(100 * slope.mean, 1);
      add(
        'slope',
        `One unit finer is taken to add about ${percent} % to the time on this grinder (±${plainNumber(100 * slope.sd, 1)}).`,
      );
    }
    add(
      'odds',
      `${capital(oddsInWords(expect.inWindow))} that it lands in the window, ${oddsInWords(expect.asWanted)} that it is also the cup you want.`,
    );
  }
  return reasons;
}

function startReasons(problem: Problem, settings: Settings, expect: Expectation): Reason[] {
  const { request, start, method } = problem;
  const ratio = plainNumber(request.target.yieldGrams / request.target.doseGrams, 1);
  const felt = request.start?.handCheck ?? null;
  const moved = changesBetween(start, settings).find(({ variable }) => variable === 'grind');
  const where =
    felt !== null && felt !== 'near' && moved
      ? `Between the fingers it was ${felt === 'too-coarse' ? 'too coarse, like sand' : 'too fine, like flour'}: ${plainNumber(moved.from)} → ${plainNumber(moved.to)} before a shot is wasted.`
      : request.start?.grind != null
        ? `Grind stays where the grinder stands, ${plainNumber(start.grind)}: the first shot tells which way to go.`
        : `Nothing is known of this grinder yet; ${plainNumber(start.grind)} is a little to the fine side of its scale. Check a pinch between two fingers before you waste a shot.`;
  const heat =
    start.temperatureC === null
      ? ''
      : ` ${plainNumber(start.temperatureC)} °C suits a ${request.coffee.roast} roast here.`;
  const { min, max } = request.target.timeSeconds;
  return [
    {
      code: 'method',
      text: `${method.name}: ${plainNumber(start.doseGrams)} g in, ${plainNumber(start.yieldGrams)} g out is 1:${ratio}, in ${min}–${max} s.${heat}`,
    },
    { code: 'start', text: where },
    {
      code: 'odds',
      text: `A first guess: anything from ${plainNumber(expect.timeSeconds.p10, 0)} to ${plainNumber(expect.timeSeconds.p90, 0)} s would not surprise.`,
    },
  ];
}

function spoiltText(problem: Problem, decision: Decision): string {
  const { evidence } = decision;
  const { last, spoilt, spoiltInARow } = evidence!;
  if (spoilt === 'muddled') {
    const cup =
      last.taste!.balance! - problem.request.target.balance <= -1
        ? 'Sour and harsh in one cup points'
        : 'A harsh cup that is not bitter points';
    return `${cup} to a channel, not to the grind. Prepare the puck with care and pull the same again before you touch anything.`;
  }
  const seen = last.seen.map((sign) => SIGN_LABELS[sign]).join(', ');
  const again = spoiltInARow > 1 ? ' again' : '';
  return `Seen${again}: ${seen}. Water found a channel, so this shot says little about the grind. Distribute, tamp level, and pull the same again.`;
}

const SUSPECTS = 'too little purge, a channel, a dose off target, a group not yet settled';

function strayedText({ measured, planned }: Pour, variable: 'doseGrams' | 'yieldGrams'): string {
  const grams = `${plainNumber(measured[variable], 1)} g instead of ${plainNumber(planned[variable], 1)} g`;
  return variable === 'doseGrams'
    ? `The dose was ${grams}: that alone moves time and taste. Weigh it again and pull the same.`
    : `${grams} ran into the cup: that alone moves time and taste. Stop by the scale and pull the same.`;
}

const CAUSE_TEXTS: Record<Cause, string> = {
  'not-purged': 'Old grounds were still in the grinder.',
  channelled: 'Water found a channel.',
  'dose-off': 'The dose was off target.',
  'cold-group': 'The group had not settled.',
};

type Add = (code: string, text: string) => void;

function addTimeReason(problem: Problem, decision: Decision, add: Add): void {
  const { last } = decision.evidence!;
  const { min, max } = problem.request.target.timeSeconds;
  const t = last.timeSeconds!;
  const poured = `${seconds(t)} for ${plainNumber(last.measured.yieldGrams, 1)} g`;
  if (t < min) add('too-fast', `${poured} is ${seconds(min - t)} short of the window.`);
  else if (t > max) add('too-slow', `${poured} is ${seconds(t - max)} past the window.`);
  else add('in-window', `${poured} is in the window.`);
}

function addGlimpse({ seen }: Pour, add: Add): void {
  if (seen.includes('gushing')) add('too-fast', 'Nobody timed it, but it gushed: too coarse, or too little coffee.');
  else if (seen.includes('dripping'))
    add('too-slow', 'Nobody timed it, but it only dripped: too fine, or too much coffee.');
}

function addTasteReason(problem: Problem, decision: Decision, add: Add): void {
  const taste = decision.evidence!.last.taste!;
  const { balance, body } = taste;
  const { target } = problem.request;
  if (balance != null) {
    const off = balance - target.balance;
    const way = off < -0.5 ? ': it needs more extraction' : off > 0.5 ? ': it needs less extraction' : '';
    add(off < -0.5 ? 'sour' : off > 0.5 ? 'bitter' : 'balanced', `It tasted ${balanceWord(balance)}${way}.`);
  }
  if (body != null && Math.abs(body - target.body) > 0.5) {
    const thin = body < target.body;
    add(
      thin ? 'thin' : 'heavy',
      `The body was ${bodyWord(body)}: ${thin ? 'less' : 'more'} water for the same coffee sets that right.`,
    );
  }
}

function atLimit(problem: Problem, grind: number): boolean {
  const { min, max, step } = problem.grindScale;
  return grind - min < step / 2 || max - grind < step / 2;
}

/** The cautions of the step at hand; the maker's manual always comes first. */
export function cautionsFor(problem: Problem, decision: Decision): Reason[] {
  const cautions: Reason[] = [];
  const changed = changesBetween(decision.evidence?.last.planned ?? problem.start, decision.chosen.move.settings);
  const grind = changed.find((change) => change.variable === 'grind');
  if (grind && (grind.to - grind.from) * problem.finerSign > 0) {
    cautions.push({
      code: 'burrs-turning',
      text: 'Go finer only with the burrs turning or empty. If the motor hums and nothing turns, switch off at once and go coarser; unplug before reaching in. The maker’s manual comes first.',
    });
  }
  if (grind) cautions.push({ code: 'purge', text: 'Throw the old grounds out first, or you judge the old grind.' });
  if (changed.some((change) => change.variable === 'temperatureC')) {
    cautions.push({
      code: 'settle',
      text: 'Give the group some minutes to settle, then flush: steam and water burn, hands clear.',
    });
  }
  if (changed.some((change) => change.variable === 'doseGrams')) {
    cautions.push({
      code: 'basket',
      text: 'In a basket too full the puck touches the screen, and an automatic tamper can jam on a tapered one.',
    });
  }
  if (decision.action === 'prepare') {
    cautions.push({
      code: 'pressure',
      text: 'Never unlock the portafilter under pressure: wait until it has dropped.',
    });
  }
  const tasted = problem.pours.filter((pour) => pour.taste !== null).length;
  if (tasted >= 5) {
    cautions.push({
      code: 'caffeine',
      text: `${tasted} shots tasted. Caffeine adds up, about 60–80 mg for each one drunk: sip and spit, and follow local health advice.`,
    });
  }
  return cautions;
}

function seconds(value: number): string {
  return `${plainNumber(value, 1)} s`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
