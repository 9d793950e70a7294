import { movesInWords } from './alternativeText';
import type { Expectation, Reason } from '../../contract/answer';
import { costOf, type Choice, type Priced, type Prices } from '../lookahead/choice';
import { readsRight } from '../shots/cups';
import type { Decision } from '../decide/decision';
import type { Evidence } from '../shots/evidence';
import type { Problem } from '../../belief/problem';
import { oddsInWords, plainNumber } from './words';

/** A choice that stands among the alternatives, with what it would bring. */
export interface Offered {
  choice: Choice;
  expect: Pick<Expectation, 'asWanted'>;
}

/** A difference in price smaller than this, in shots, explains nothing. */
const WORTH_NAMING = 0.02;

/** Another move reads better, in the words that stand beside the alternatives, and is not taken: whoever reads them should know why. */
export function betterReasons(
  problem: Problem,
  { action, chosen, passedOver }: Pick<Decision, 'action' | 'chosen' | 'passedOver'>,
  { last }: Pick<Evidence, 'last'>,
  { asWanted }: Pick<Expectation, 'asWanted'>,
  others: readonly Offered[],
): Reason[] {
  const odds = oddsInWords(asWanted);
  const better = others.filter(({ expect }) => expect.asWanted > asWanted && oddsInWords(expect.asWanted) !== odds);
  const { lever } = chosen.move;
  const early = better.find(({ choice }) => choice.move.lever !== lever && passedOver.includes(choice));
  const other = early ?? better[0];
  if (!other) return [];
  const promise = `as wanted ${oddsInWords(other.expect.asWanted)} instead of ${odds}`;
  if (early) {
    const text = `The ${early.choice.move.lever} promises more, ${promise}, but ${problem.method.name} turns the ${lever} first.`;
    return [{ code: 'method-order', text }];
  }
  const but = priceInWords(problem, chosen, other.choice) ?? (action === 'repeat' ? ruleInWords(problem, last) : null);
  if (but === null) return [];
  const move = movesInWords(problem, other.choice, last.planned);
  return [{ code: 'reads-better', text: `“${move}” reads better for the next cup, ${promise}, but ${but}.` }];
}

/** What is pulled again although a move costs less: a rule of the craft. */
function ruleInWords(problem: Problem, last: Evidence['last']): string {
  return readsRight(problem, last)
    ? 'a cup that read right is pulled once more before anything is moved'
    : 'what was poured here does not say clearly enough that anything is wrong';
}

/** Of what the other choice costs more, what weighs most; null where it costs no more. */
function priceInWords(problem: Problem, chosen: Choice, other: Choice): string | null {
  if (!isPriced(chosen) || !isPriced(other) || costOf(other) <= costOf(chosen)) return null;
  const names = Object.keys(other.prices) as (keyof Prices)[];
  const more = (name: keyof Prices): number => other.prices[name] - chosen.prices[name];
  const dearest = names.reduce((most, name) => (more(name) > more(most) ? name : most));
  if (more(dearest) < WORTH_NAMING) return null;
  switch (dearest) {
    case 'toGo':
      return `the way there is expected to take more shots${insteadOf(other.prices.toGo, chosen.prices.toGo)}`;
    case 'leaving':
      return 'settings that may be right are not left for so little';
    case 'coffee':
      return 'it costs more coffee';
    case 'order':
      return `for a cup like this ${problem.method.name} turns other levers before the ${other.move.lever}`;
    case 'distance':
      return 'a miss there would be further from the cup you want';
  }
}

/** ": 3.4 instead of 3.1", where the tenths differ. */
function insteadOf(shots: number, fewer: number): string {
  const [a, b] = [plainNumber(shots, 1), plainNumber(fewer, 1)];
  return a === b ? '' : `: ${a} instead of ${b}`;
}

function isPriced(choice: Choice): choice is Priced {
  return choice.prices !== undefined;
}
