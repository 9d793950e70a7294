import { roundTo } from '../brew/snap';
import { secondsForDose } from '../dose/timedDose';
import type { Advice, AdviceError, Expectation, Settings } from '../contract/answer';
import { decide } from './decide/decide';
import { slopeOf } from '../belief/infer';
import { TASTE_SD } from '../belief/readings';
import { believe } from '../belief/mixture';
import { changesBetween } from '../contract/changes';
import type { Choice } from './lookahead/choice';
import { drawParticles, expectationOf, lookAt } from '../belief/particles';
import { readProblem, type Problem } from '../belief/problem';
import { parseAdviceRequest, slopeToKeep, type ValidAdviceRequest } from '../contract/request';
import { alternativeText } from './words/alternativeText';
import { cautionsFor } from './words/cautions';
import { reasonsFor } from './words/reasons';

/**
 * Given everything poured so far: the next shot, with reasons, alternatives and cautions (`olvet.advice/1`).
 * Deterministic: random draws are seeded by what is certain in the request (`seedOf`).
 */
export function advise(request: ValidAdviceRequest): Advice {
  const problem = readProblem(request);
  const decision = decide(problem, seedOf(problem));
  const { particles, chosen, evidence } = decision;
  const from = evidence?.last.planned ?? problem.start;
  const expectOf = ({ outlook }: Choice): Expectation => expectationOf(problem, particles, outlook, TASTE_SD);
  const expect = expectOf(chosen);
  const others = decision.others.map((choice) => ({ choice, expect: expectOf(choice) }));
  const changed = changesBetween(from, chosen.move.settings);
  const slope = slopeOf(decision.posterior);
  const timed = problem.pours.filter((pour) => pour.timeSeconds !== null).length;
  return {
    schema: 'olvet.advice/1',
    id: request.id ?? null,
    action: decision.action,
    settings: chosen.move.settings,
    changed,
    purgeGrams: changed.some(({ variable }) => variable === 'grind') ? (request.grinder.purgeGrams ?? 0) : 0,
    grindSeconds: grindSecondsFor(request, chosen.move.settings),
    expect,
    why: reasonsFor(problem, decision, expect, others),
    alternatives: others.map(({ choice, expect: expected }) => ({
      settings: choice.move.settings,
      changed: changesBetween(from, choice.move.settings),
      expect: expected,
      text: alternativeText(problem, choice, from, expected),
    })),
    cautions: cautionsFor(problem, decision),
    learned: {
      logTimePerUnit: slopeToKeep({ ...slope, shots: (request.grinder.logTimePerUnit?.shots ?? 0) + timed }),
    },
  };
}

/** How long a timed grinder must run for these settings, to a tenth of a second. */
function grindSecondsFor({ grinder }: ValidAdviceRequest, { grind, doseGrams }: Settings): number | null {
  if (grinder.dosing !== 'timed' || !grinder.timedDose) return null;
  return roundTo(secondsForDose({ ...grinder.timedDose, finer: grinder.finer }, { doseGrams, grind }), 1);
}

/** What other settings than the advised ones would bring: the live what-if of the run sheet. */
export function whatIf(request: ValidAdviceRequest, settings: Settings): Expectation {
  const problem: Problem = readProblem(request);
  const mixture = believe(problem);
  const particles = drawParticles(mixture, seedOf(problem));
  return expectationOf(problem, particles, lookAt(problem, mixture.main, particles, settings), TASTE_SD);
}

/**
 * Method and number of shots only: the same draws for all requests that differ by a little, so that the seventh digit of a
 * learned figure cannot tip an answer.
 */
function seedOf({ method, pours }: Problem): string {
  return `${method.id}/${pours.length}`;
}

/** Answers anything: advice for a valid request, `olvet.error/1` with field paths for all else. */
export function answer(value: unknown): Advice | AdviceError {
  const parsed = parseAdviceRequest(value);
  if (parsed.ok) return advise(parsed.request);
  return { schema: 'olvet.error/1', id: idOf(value), errors: parsed.errors };
}

/** One line of the NDJSON stream in, one line out (without line ends). */
export function answerLine(line: string): string {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    const errors = [{ path: '', message: 'is not JSON: write one request on one line' }];
    return JSON.stringify({ schema: 'olvet.error/1', id: null, errors } satisfies AdviceError);
  }
  return JSON.stringify(answer(value));
}

/** The id of a would-be request, to be echoed; null where it has none. */
export function idOf(value: unknown): string | null {
  const id = typeof value === 'object' && value !== null && 'id' in value ? value.id : null;
  return typeof id === 'string' ? id : null;
}
