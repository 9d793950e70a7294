import { restAt } from '../coffee/rest';
import type { Expectation, Reason, Settings } from './answer';
import { beansInWords } from './beans';
import { changesBetween } from './changes';
import { CLAIM_AT_LEAST, isServed, isServedGladly, readsRight, rightBy } from './claim';
import type { Decision } from './decide';
import type { Evidence } from './evidence';
import { slopeOf } from './infer';
import { isInTime, type Problem } from './problem';
import { shotReasons } from './shotReasons';
import { driftReasons, hasteReasons, stageReasons } from './stageReasons';
import { capital, oddsInWords, plainNumber } from './words';

/** Why this and not something else, naming the evidence in the user's own units. */
export function reasonsFor(problem: Problem, decision: Decision, expect: Expectation): Reason[] {
  const { evidence } = decision;
  if (evidence === null) return startReasons(problem, decision.chosen.move.settings, expect);
  return [
    ...stageReasons(problem, decision, evidence),
    ...driftReasons(problem, evidence),
    ...shotReasons(problem, decision, evidence),
    ...hasteReasons(problem),
    ...standingReasons(problem, decision, evidence),
    ...blockedReasons(problem, decision, evidence),
    ...moveReasons(decision, expect),
  ];
}

/** Why these settings are pulled once more, or kept. */
function standingReasons(problem: Problem, { stage, here }: Decision, { sameSettings, last }: Evidence): Reason[] {
  const n = sameSettings.filter(({ sound }) => sound).length;
  const odds = oddsInWords(rightBy(problem, here));
  if (
    stage === 'confirm' &&
    last.timeSeconds !== null &&
    problem.method.timeIs === 'target' &&
    !isInTime(problem, last)
  ) {
    return [
      {
        code: 'confirm',
        text: `One shot outside the window is noise until it happens twice: the same again. So far it is ${odds} that these settings are right.`,
      },
    ];
  }
  if (stage === 'confirm' && sameSettings.every(({ taste }) => taste === null)) {
    return [
      {
        code: 'confirm',
        text: 'One more at the same settings, and taste it: the clock alone cannot say that they are right.',
      },
    ];
  }
  if (stage === 'confirm' && isServedGladly(problem, last) && !readsRight(problem, last)) {
    return [
      {
        code: 'confirm',
        text: `Marked ${plainNumber(last.taste?.overall ?? 0, 1)} of 10 and yet called off by a little: the two disagree, and a cup one serves gladly is not moved on one word. The same again; so far it is ${odds} that these settings are right.`,
      },
    ];
  }
  if (stage === 'confirm') {
    const next = n === 1 ? 'a second' : 'another';
    return [
      {
        code: 'confirm',
        text: `One more at the same settings: so far it is ${odds} that they are right, and ${next} taste tells more than a change would.`,
      },
    ];
  }
  if (stage !== 'dialled') return [];
  if (rightBy(problem, here) < CLAIM_AT_LEAST) {
    const served = sameSettings.filter((pour) => pour.sound && isServed(problem, pour)).length;
    const text = `${n} cups at these settings, and ${served === n ? 'each one' : `${served} of them`} you would serve: good enough is enough, though it is only ${odds} that they are right to the last tenth. Write the card.`;
    return [{ code: 'dialled', text }];
  }
  const who = n === 1 ? 'This shot and what led to it say' : `${n} shots at these settings say`;
  return [{ code: 'dialled', text: `${who} that they keep giving the cup you want: ${odds}. Write the card.` }];
}

/** Why the lever that was due is not the one that is turned. */
function blockedReasons(problem: Problem, decision: Decision, { circling, last }: Evidence): Reason[] {
  const { action, blocked, stage } = decision;
  if (action !== 'change' || blocked === null) return [];
  if (blocked !== 'grind') {
    if (!circling.includes(blocked)) return [];
    return [{ code: 'circling', text: `The ${blocked} has gone to and fro twice: that lever is done.` }];
  }
  const why = circling.includes('grind')
    ? 'The grind has gone to and fro twice: that lever is done.'
    : endOfScale(problem, last.planned.grind) || WITHOUT_GRIND[stage === 'stuck' ? 'stuck' : 'window'];
  return [{ code: 'limit', text: `${why} The next lever takes over.` }];
}

/** What else than the end of its scale may stand in the grind's way. */
const WITHOUT_GRIND = {
  stuck: 'Grind alone gets no nearer to this cup without losing the window.',
  window: 'One step of the grinder jumps over the window.',
};

/** Says at which end of its scale the grinder stands; nothing elsewhere. */
function endOfScale({ grindScale, finerSign }: Problem, grind: number): string {
  const { min, max, step } = grindScale;
  const nearEnd = Math.max(step / 2, 1e-9);
  if (grind - min >= nearEnd && max - grind >= nearEnd) return '';
  const isAtLowEnd = grind - min < max - grind;
  const end = isAtLowEnd === (finerSign === -1) ? 'finest' : 'coarsest';
  return `The grinder stands at its ${end}, ${plainNumber(grind)}.`;
}

/** What the move is expected to bring. */
function moveReasons({ action, stage, chosen, here, posterior }: Decision, expect: Expectation): Reason[] {
  if (action !== 'change') return [];
  const reasons: Reason[] = [];
  const isTasteMove = stage === 'taste' || stage === 'stuck';
  if (isTasteMove && chosen.outlook.distance >= here.distance) {
    const text = 'No single move sets balance and body right at once: this is the first of two.';
    reasons.push({ code: 'first-of-two', text });
  }
  if (chosen.move.lever === 'grind') {
    const { mean, sd } = slopeOf(posterior);
    reasons.push({
      code: 'slope',
      text: `One unit finer is taken to add about ${plainNumber(100 * mean, 1)} % to the time on this grinder (±${plainNumber(100 * sd, 1)}).`,
    });
  }
  reasons.push({
    code: 'odds',
    text: `${capital(oddsInWords(expect.inWindow))} that it lands in the window, ${oddsInWords(expect.asWanted)} that it is also the cup you want.`,
  });
  return reasons;
}

function startReasons(problem: Problem, settings: Settings, expect: Expectation): Reason[] {
  const { request, start, method } = problem;
  const ratio = plainNumber(start.yieldGrams / start.doseGrams, 1);
  const felt = request.start?.handCheck ?? null;
  const moved = changesBetween(start, settings).find(({ variable }) => variable === 'grind');
  const where =
    felt !== null && felt !== 'near' && moved
      ? `Between the fingers it was ${felt === 'too-coarse' ? 'too coarse, like sand' : 'too fine, like flour'}: ${plainNumber(moved.from)} → ${plainNumber(moved.to)} before a shot is wasted.`
      : request.start?.grindSd != null
        ? `${plainNumber(start.grind)} is what the recipes kept on this grinder come to for this shot (±${plainNumber(request.start.grindSd, 1)}).`
        : request.start?.grind != null
          ? `Grind ${plainNumber(start.grind)} to begin with: the first shot tells which way to go.`
          : `${request.grinder.logTimePerUnit ? 'No setting is known for this coffee' : 'Nothing is known of this grinder'} yet; ${plainNumber(start.grind)} is a little to the fine side of its scale. Check a pinch between two fingers before you waste a shot.`;
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
    ...doseReason(problem),
    ...beansReason(problem),
    ...restReason(problem),
    { code: 'start', text: where },
    {
      code: 'odds',
      text: `A first guess: anything from ${plainNumber(expect.timeSeconds.p10, 0)} to ${plainNumber(expect.timeSeconds.p90, 0)} s would not surprise.`,
    },
  ];
}

/** The basket has the last word on the dose. */
function doseReason({ request, start }: Problem): Reason[] {
  const wanted = request.target.doseGrams;
  if (Math.abs(wanted - start.doseGrams) < 0.05) return [];
  const room = wanted > start.doseGrams ? 'holds no more than' : 'wants no less than';
  const text = `${plainNumber(wanted, 1)} g was asked for, and this basket ${room} ${plainNumber(start.doseGrams, 1)} g: the ratio stays.`;
  return [{ code: 'basket', text }];
}

/** What process and altitude let one expect, before anybody tasted it. */
function beansReason({ request }: Problem): Reason[] {
  const text = request.coffee.learned ? '' : beansInWords(request.coffee);
  return text === '' ? [] : [{ code: 'beans', text }];
}

/** Nothing is said of a coffee in its best days. */
function restReason({ request }: Problem): Reason[] {
  const { ageDays, roast } = request.coffee;
  if (ageDays == null) return [];
  const { phase, reason } = restAt(ageDays, roast);
  if (phase === 'best') return [];
  return [{ code: phase, text: `${plainNumber(ageDays, 0)} days after roasting. ${reason}` }];
}
