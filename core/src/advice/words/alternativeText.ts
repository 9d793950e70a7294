import type { Change, Expectation, Settings } from '../../contract/answer';
import { changesBetween } from '../../contract/changes';
import type { Choice } from '../lookahead/choice';
import type { Problem } from '../../belief/problem';
import { balanceWord, bodyWord, oddsInWords, plainNumber } from './words';

/** One change as one would call it across the bar: "Finer, 14 → 12.5". */
function changeInWords(problem: Problem, change: Change): string {
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

/** What a choice changes against the last shot: "Finer, 14 → 12.5". */
export function movesInWords(problem: Problem, choice: Choice, from: Settings): string {
  const changed = changesBetween(from, choice.move.settings);
  if (changed.length === 0) return 'Pull the same again';
  const [first, ...rest] = changed.map((change) => changeInWords(problem, change));
  return [first!, ...rest.map((words) => words.charAt(0).toLowerCase() + words.slice(1))].join(' and ');
}

/** What a choice does, with its odds: the line of an alternative. */
export function alternativeText(problem: Problem, choice: Choice, from: Settings, expect: Expectation): string {
  const moves = movesInWords(problem, choice, from);
  if (choice.move.lever === null) return `${moves}: costs a shot, settles the doubt; ${oddsInWords(expect.asWanted)}.`;
  const purge = choice.move.lever === 'grind' ? '' : ', no purge';
  const taste = `${balanceWord(expect.balance.mean)}, ${bodyWord(expect.body.mean)}`;
  return `${moves}: about ${plainNumber(expect.timeSeconds.mean, 0)} s, ${taste}${purge}; ${oddsInWords(expect.asWanted)}.`;
}
