import type { Cause } from '../../brew/types';
import { SIGN_LABELS } from '../../formats/shotLine';
import { LEVER_OF, type Reason } from '../../contract/answer';
import { changesBetween } from '../../contract/changes';
import type { Decision } from '../decide/decision';
import { isSurprising, suspectsOf, type Evidence } from '../shots/evidence';
import type { Pour } from '../../belief/pour';
import type { Problem } from '../../belief/problem';
import { capital, plainNumber, secondsInWords as seconds } from './words';

/** What is odd about the last shot, where that alone decides. */
export function stageReasons(problem: Problem, decision: Decision, evidence: Evidence): Reason[] {
  const { last } = evidence;
  const change = `${plainNumber(last.previousGrind)} → ${plainNumber(last.planned.grind)}`;
  switch (decision.stage) {
    case 'limits':
      return [
        {
          code: 'limit',
          text: 'The last shot stood outside what grinder, basket or machine allow: first back inside.',
        },
      ];
    case 'spoilt':
      return [{ code: 'channel', text: spoiltText(problem, decision) }];
    case 'tight':
      return [
        {
          code: 'too-tight',
          text: 'Spoilt again in spite of care: water breaks through a bed that is too tight. Coarser, whatever the cup says of sourness.',
        },
      ];
    case 'unpurged':
      return [
        {
          code: 'not-purged',
          text: `Old grounds were still in the grinder after ${change}: this shot is part old grind and proves nothing.`,
        },
      ];
    case 'excused':
      return [{ code: 'cause', text: `${EXCUSES[last.cause!]} This shot counts for little: the same again.` }];
    case 'strayed':
      return [{ code: 'strayed', text: strayedText(last, evidence.strayed!) }];
    case 'blank':
      return [
        {
          code: 'nothing-measured',
          text: 'Nobody timed or tasted this shot, so it says nothing yet: the same again, with a clock and a spoon.',
        },
      ];
    case 'contradicted':
      return [
        {
          code: 'contradicted',
          text: 'So small a step cannot turn a cup round so: one of these two was odd, and only another can tell. The same again.',
        },
      ];
    case 'untasted':
      return [
        {
          code: 'untasted',
          text: 'Not tasted yet. If the cup is still warm, taste it; if not, the same again: the clock alone cannot say that these settings are right.',
        },
      ];
    case 'unnamed':
      return [
        {
          code: 'unnamed',
          text: `Marked ${plainNumber(last.taste!.overall!, 1)} of 10, and nobody said of what: the same again, and taste whether it is sour or bitter, thin or heavy.`,
        },
      ];
    case 'surprise': {
      const { expectedSeconds, sigmas } = evidence.surprise!;
      const side = sigmas > 0 ? 'slower' : 'faster';
      const what = isSurprising(evidence)
        ? `${seconds(last.clockSeconds!)} is ${side} than the ${seconds(expectedSeconds)} the earlier shots predicted.`
        : `${seconds(last.timeSeconds!)} is outside the window, after a series inside it.`;
      return [
        { code: 'surprise', text: `${what} One odd shot is noise until it happens twice.` },
        { code: 'suspects', text: `If it repeats, suspect in this order: ${suspectsInWords(last)}.` },
      ];
    }
    case 'no-effect': {
      const { expectedSeconds, seenSeconds } = evidence.missing!;
      const way = (by: number): string => `${seconds(Math.abs(by))} ${by > 0 ? 'slower' : 'faster'}`;
      const by = problem.request.grinder.logTimePerUnit ? 'on this grinder' : 'by rule of thumb';
      const isBackwards = expectedSeconds * seenSeconds < 0 && Math.abs(seenSeconds) >= 1;
      return [
        {
          code: 'no-effect',
          text: isBackwards
            ? `${change} is ${expectedSeconds > 0 ? 'finer' : 'coarser'}, and yet the shot ran ${way(seenSeconds)}.`
            : `${change} should have made the shot about ${way(expectedSeconds)} ${by} and hardly did.`,
        },
        {
          code: 'suspects',
          text: `Suspect in this order: ${suspectsInWords(last)}. Purge well and pull the same again.`,
        },
      ];
    }
    default:
      return [];
  }
}

/** ln of two ratios that a barista calls the same: half a gram in 36. */
const SAME_RATIO = 0.014;

/** A hand that turned two levers at once cannot tell which of them did it. */
export function hasteReasons({ pours }: Problem): Reason[] {
  const [before, last] = pours.slice(-2);
  if (!before || !last) return [];
  const changed = changesBetween(before.planned, last.planned).map(({ variable }) => variable);
  const isRecipe = !changed.some((variable) => variable !== 'doseGrams' && variable !== 'yieldGrams');
  const ratioOf = ({ planned }: Pour): number => planned.yieldGrams / planned.doseGrams;
  const isInRatio = isRecipe && Math.abs(Math.log(ratioOf(last) / ratioOf(before))) < SAME_RATIO;
  if (changed.length < 2 || isInRatio) return [];
  const names = changed.map((variable) => LEVER_OF[variable]);
  const list = `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
  return [
    {
      code: 'two-at-once',
      text: `${capital(list)} were changed at once: which of them did it, nobody can tell. One at a time teaches more.`,
    },
  ];
}

/** Only right after the two shots that showed it. */
export function driftReasons({ pours }: Problem, { last }: Evidence): Reason[] {
  if (!pours.at(-3)?.stale) return [];
  const before = pours.findLast((pour) => pour.stale && changesBetween(pour.planned, last.planned).length === 0);
  if (!before) return [];
  const side = (last.timeSeconds ?? 0) > (before.timeSeconds ?? 0) ? 'slower' : 'faster';
  return [
    {
      code: 'drifted',
      text: `Twice in a row ${side} than the shots before at these settings: that is drift, not noise. What was poured before counts little now.`,
    },
  ];
}

function spoiltText(problem: Problem, decision: Decision): string {
  const { evidence } = decision;
  const { last, spoilt, spoiltInARow } = evidence!;
  if (spoilt === 'muddled') {
    const off = last.taste!.balance! - problem.request.target.balance;
    const dry = last.taste!.dryness! >= 2 ? 'harsh' : 'dry';
    const cup =
      off > 0.5
        ? `A ${dry} cup from so short a shot points`
        : off > -1
          ? `A ${dry} cup that is not bitter points`
          : `Sour and ${dry} in one cup points`;
    return `${cup} to a channel, not to the grind. Prepare the puck with care and pull the same again before you touch anything.`;
  }
  const seen = last.seen.map((sign) => SIGN_LABELS[sign]).join(', ');
  const again = spoiltInARow > 1 ? ' again' : '';
  const sight = seen === '' ? '' : `Seen${again}: ${seen}. `;
  return `${sight}Water found a channel, so this shot says little about the grind. Distribute, tamp level, and pull the same again.`;
}

const SUSPECT_WORDS: Record<Cause, string> = {
  'not-purged': 'too little purge',
  channelled: 'a channel',
  'dose-off': 'a dose off target',
  'cold-group': 'a group not yet settled',
};

function suspectsInWords(pour: Pour): string {
  return suspectsOf(pour)
    .map((cause) => SUSPECT_WORDS[cause])
    .join(', ');
}

function strayedText({ measured, planned }: Pour, variable: 'doseGrams' | 'yieldGrams'): string {
  const grams = `${plainNumber(measured[variable], 1)} g instead of ${plainNumber(planned[variable], 1)} g`;
  return variable === 'doseGrams'
    ? `The dose was ${grams}: that alone moves time and taste. Weigh it again and pull the same.`
    : `${grams} ran into the cup: that alone moves time and taste. Stop by the scale and pull the same.`;
}

/** What a barista may say spoilt a shot without a channel and without a change of grind. */
const EXCUSES: Partial<Record<Cause, string>> = {
  'dose-off': 'The dose was off target.',
  'cold-group': 'The group had not settled.',
};
