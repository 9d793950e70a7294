import { restAt } from '../../coffee/rest';
import type { Expectation, Reason, Settings } from '../../contract/answer';
import { beansInWords } from '../../belief/beans';
import { changesBetween } from '../../contract/changes';
import type { Problem } from '../../belief/problem';
import { plainNumber } from './words';

const FROM = {
  recipes: 'what the recipes kept on this grinder come to for this shot',
  'last-shots': 'where this coffee’s last shots point',
};
/** A temperature no further than this from the method's own is the method's, °C. */
const HEAT_ALIKE = 0.5;

/** What is known before the first shot: the recipe, the coffee, where the grind stands, and how little that is. */
export function startReasons(problem: Problem, settings: Settings, expect: Expectation): Reason[] {
  const { request, start, method } = problem;
  const ratio = plainNumber(start.yieldGrams / start.doseGrams, 1);
  const felt = request.start?.handCheck ?? null;
  const moved = changesBetween(start, settings).find(({ variable }) => variable === 'grind');
  const where =
    felt !== null && felt !== 'near' && moved
      ? `Between the fingers it was ${felt === 'too-coarse' ? 'too coarse, like sand' : 'too fine, like flour'}: ${plainNumber(moved.from)} → ${plainNumber(moved.to)} before a shot is wasted.`
      : request.start?.grindSd != null
        ? `${plainNumber(start.grind)} is ${FROM[request.start.from ?? 'recipes']} (±${plainNumber(request.start.grindSd, 1)}).`
        : request.start?.grind != null
          ? `Grind ${plainNumber(start.grind)} to begin with: the first shot tells which way to go.`
          : `${request.grinder.logTimePerUnit ? 'No setting is known for this coffee' : 'Nothing is known of this grinder'} yet; ${plainNumber(start.grind)} is a little to the fine side of its scale. Check a pinch between two fingers before you waste a shot.`;
  const heat = heatInWords(problem);
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

/** A temperature that somebody named is not passed off as the method's. */
function heatInWords({ request, start, method }: Problem): string {
  if (start.temperatureC === null) return '';
  const { roast } = request.coffee;
  const usual = method.temperatureC[roast];
  const isNamed = request.target.temperatureC != null && Math.abs(request.target.temperatureC - usual) > HEAT_ALIKE;
  return isNamed
    ? ` ${plainNumber(start.temperatureC)} °C as asked for; this method begins a ${roast} roast at ${plainNumber(usual)} °C.`
    : ` ${plainNumber(start.temperatureC)} °C suits a ${roast} roast here.`;
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
