import type { Expectation, Reason } from './answer';
import { betterReasons, type Offered } from './betterReasons';
import { CLAIM_AT_LEAST, isServed, isServedGladly, readsRight, rightBy, tastesBothWays } from './claim';
import type { Decision } from './decide';
import type { Evidence } from './evidence';
import { slopeOf } from './infer';
import { isInTime, type Pour, type Problem } from './problem';
import { shotReasons } from './shotReasons';
import { driftReasons, hasteReasons, stageReasons } from './stageReasons';
import { startReasons } from './startReasons';
import { capital, oddsInWords, plainNumber } from './words';

/** Why this and not one of the others, naming the evidence in the user's own units. */
export function reasonsFor(
  problem: Problem,
  decision: Decision,
  expect: Expectation,
  others: readonly Offered[],
): Reason[] {
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
    ...betterReasons(problem, decision, evidence, expect, others),
  ];
}

/** Marked like a cup that most people would mark higher. */
function isHighForTaster({ taste, marks }: Pour): boolean {
  return taste?.overall != null && (marks.overall ?? 0) > taste.overall;
}

/** Why these settings are pulled once more, or kept. */
function standingReasons(
  problem: Problem,
  { stage, here }: Decision,
  { sameSettings, sound, last }: Evidence,
): Reason[] {
  const n = sound.length;
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
        text: `Marked ${plainNumber(last.taste?.overall ?? 0, 1)} of 10${isHighForTaster(last) ? ', high for this tongue,' : ''} and yet called off by a little: the two disagree, and a cup one serves gladly is not moved on one word. The same again; so far it is ${odds} that these settings are right.`,
      },
    ];
  }
  if (stage === 'confirm' && tastesBothWays(problem, sound)) {
    return [
      {
        code: 'confirm',
        text: `The last two cups at these settings contradict each other, and only another can tell: the same again. So far it is ${odds} that they are right.`,
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
    const served = sound.filter((pour) => isServed(problem, pour)).length;
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
