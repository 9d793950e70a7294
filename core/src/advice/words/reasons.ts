import type { Expectation, Reason } from '../../contract/answer';
import { betterReasons, type Offered } from './betterReasons';
import { CLAIM_AT_LEAST } from '../decide/claim';
import { isBright, isServed, isServedHappily, tastesBothWays } from '../shots/cups';
import type { Decision } from '../decide/decision';
import type { Evidence } from '../shots/evidence';
import { blockedReasons, moveReasons, overruledReasons } from './moveReasons';
import { rightBy } from '../../belief/particles';
import { isInTime } from '../shots/inTime';
import type { Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';
import { shotReasons } from './shotReasons';
import { driftReasons, hasteReasons, stageReasons } from './stageReasons';
import { startReasons } from './startReasons';
import { tastesRight } from '../shots/taste';
import { oddsInWords, plainNumber } from './words';

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
    ...overruledReasons(problem, decision, evidence, expect, others),
    ...moveReasons(problem, decision, expect),
    ...betterReasons(problem, decision, evidence, expect, others),
  ];
}

/** Marked like a cup that most people would mark higher. */
function isHighForTaster({ taste, marks }: Pour): boolean {
  return taste?.overall != null && (marks.overall ?? 0) > taste.overall;
}

/** Called off, and not for the acidity that suits a light roast. */
function readsOff(problem: Problem, pour: Pour): boolean {
  const isTasted = pour.taste?.balance != null;
  return isTasted && !tastesRight(problem, [pour]) && !isBright(problem, pour);
}

/** Why these settings are pulled once more, or kept. */
function standingReasons(problem: Problem, { stage, here }: Decision, { sound, last }: Evidence): Reason[] {
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
  if (stage === 'confirm' && isServedHappily(problem, last) && readsOff(problem, last)) {
    return [
      {
        code: 'confirm',
        text: `Marked ${plainNumber(last.taste?.overall ?? 0, 1)} of 10${isHighForTaster(last) ? ', high for this tongue,' : ''} and yet called off by a little: the two disagree, and a cup one serves happily is not moved on one word. The same again; so far it is ${odds} that these settings are right.`,
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
  const noise = readsOff(problem, last) ? ' The last word is no further off than a tongue strays.' : '';
  return [{ code: 'dialled', text: `${who} that they keep giving the cup you want: ${odds}.${noise} Write the card.` }];
}
