import { movesInWords } from './alternativeText';
import type { Expectation, Reason, Settings } from '../../contract/answer';
import type { Offered } from './betterReasons';
import type { Decision } from '../decide/decision';
import type { Evidence } from '../shots/evidence';
import { slopeOf } from '../../belief/infer';
import { lackOf } from '../decide/levers';
import { endOfScale } from '../lookahead/moves';
import { rightBy } from '../../belief/particles';
import { readsRight, SMALLEST_WORD } from '../shots/cups';
import { sideOut } from '../shots/inTime';
import type { Problem } from '../../belief/problem';
import { isForTaste } from '../decide/plan';
import { offBeyondWindow, timedButOff } from '../decide/swings';
import { isWithin, TASTE_SCALES, tastedMiss, tastesRight } from '../shots/taste';
import { balanceWord, bodyWord, capital, oddsInWords, plainNumber, secondsInWords } from './words';

/** Why the lever that was due is not the one that is turned. */
export function blockedReasons(problem: Problem, decision: Decision, { circling, last }: Evidence): Reason[] {
  const { action, blocked, stage } = decision;
  if (action !== 'change' || blocked === null) return [];
  if (blocked !== 'grind') {
    if (!circling.includes(blocked)) return [];
    return [{ code: 'circling', text: `The ${blocked} has gone to and fro twice: that lever is done.` }];
  }
  const why = circling.includes('grind')
    ? 'The grind has gone to and fro twice: that lever is done.'
    : atEndOfScale(problem, last.planned.grind) ||
      (stage === 'window' ? triedForTime(problem, last.planned) : '') ||
      WITHOUT_GRIND[stage === 'stuck' ? 'stuck' : 'window'];
  return [{ code: 'limit', text: `${why} The next lever takes over.` }];
}

/** Fewer shots saved than this are not worth a word. */
const WORTH_SAYING_SHOTS = 0.2;

/** What else than the end of its scale may stand in the grind's way. */
const WITHOUT_GRIND = {
  stuck: 'Grind alone gets no nearer to this cup without losing the window.',
  window: 'One step of the grinder jumps over the window.',
};

/** Says at which end of its scale the grinder stands; nothing elsewhere. */
function atEndOfScale(problem: Problem, grind: number): string {
  const end = endOfScale(problem, grind);
  return end === null ? '' : `The grinder stands at its ${end}, ${plainNumber(grind)}.`;
}

/** Where the grind had the time right and the cup wrong: nobody goes back there. */
function triedForTime(problem: Problem, from: Settings): string {
  const pours = timedButOff(problem, from);
  if (pours === null) return '';
  const wordOf = { balance: balanceWord, body: bodyWord };
  const words = TASTE_SCALES.filter((scale) => !isWithin(problem, pours, scale)).map((scale) =>
    wordOf[scale](tastedMiss(problem, pours, scale)! + problem.request.target[scale]),
  );
  return `At ${plainNumber(pours[0]!.planned.grind)} the time was right, and the cup ${words.join(' and ')}.`;
}

/** Why a move that leads no nearer to the wanted cup is made all the same. */
function awayReason(problem: Problem, { chosen, here, evidence }: Decision): Reason {
  const lack = lackOf(problem, chosen.outlook);
  if (TASTE_SCALES.some((scale) => Math.abs(lack[scale]) > 1)) {
    const text = 'No single move sets balance and body right at once: this is the first of two.';
    return { code: 'first-of-two', text };
  }
  const { sound } = evidence!;
  if (!tastesRight(problem, sound)) {
    const text = 'By all that is known little is wrong here, but the cup says otherwise: the least that fixes it.';
    return { code: 'least', text };
  }
  const shots = sound.length === 1 ? 'One shot' : `${sound.length} shots`;
  const odds = oddsInWords(rightBy(problem, here));
  return {
    code: 'on-edge',
    text: `${shots} here, and still it is only ${odds} that these settings are right: something small is moved.`,
  };
}

/** From this share of a tolerance on what is believed has a name. */
const LEANS = 0.5;
const LEANS_TO = { balance: ['sour', 'bitter'], body: ['thin', 'heavy'] } as const;

/** Why a cup that read right is moved from: its words against all else that is known. Nothing where they ask for the move themselves. */
function doubtReasons(problem: Problem, { here, evidence }: Decision): Reason[] {
  const { last } = evidence!;
  const lack = lackOf(problem, here);
  const scale = Math.abs(lack.body) > Math.abs(lack.balance) ? 'body' : 'balance';
  const told = (tastedMiss(problem, [last], scale) ?? 0) * Math.sign(lack[scale]);
  if (told > SMALLEST_WORD) return [];
  const lean = LEANS_TO[scale][lack[scale] < 0 ? 0 : 1];
  const word = { balance: balanceWord, body: bodyWord }[scale](last.taste?.[scale] ?? 0);
  const isSaid = told === SMALLEST_WORD && word.endsWith(lean);
  const isBelieved = Math.abs(lack[scale]) >= LEANS;
  const start = isSaid ? `${capital(word)} is within tolerance` : 'It read right';
  const but = isSaid
    ? 'these settings lean that way'
    : `these settings ${isBelieved ? `lean to ${lean}` : 'are doubtful'}`;
  const text = `${start}, but by all that is known ${but}: ${oddsInWords(rightBy(problem, here))} that they are right.`;
  return [{ code: 'doubt', text }];
}

/** That the craft would do something else here, and what it is outweighed by. */
export function overruledReasons(
  problem: Problem,
  { craft, chosen }: Decision,
  { last }: Evidence,
  { asWanted }: Pick<Expectation, 'asWanted'>,
  others: readonly Offered[],
): Reason[] {
  if (craft === null) return [];
  const byRule = others.find(({ choice }) => choice === craft)?.expect.asWanted ?? asWanted;
  const [odds, less] = [oddsInWords(asWanted), oddsInWords(byRule)];
  const promise = odds === less ? '' : `as wanted ${odds} instead of ${less}`;
  const fewer = (craft.prices?.toGo ?? 0) - (chosen.prices?.toGo ?? 0);
  const saved = fewer < WORTH_SAYING_SHOTS ? '' : `about ${plainNumber(fewer, 1)} shots fewer to go`;
  const why = [promise, saved].filter((part) => part !== '').join(', ') || 'it ends nearer to the cup you want';
  const text = `By rule the next would be “${movesInWords(problem, craft, last.planned)}”. After ${problem.pours.length} shots what was seen of this coffee outweighs the rule: ${why}.`;
  return [{ code: 'overruled', text }];
}

/** Why a shot that ran a little out of the window is not brought back. */
function besideReason(problem: Problem, { last }: Evidence): Reason {
  const [fault, way] = sideOut(problem, last) > 0 ? ['sour', 'Coarser'] : ['bitter', 'Finer'];
  return {
    code: 'beside-window',
    text: `The time is no further out than shots of the same settings differ, and in the window it was ${fault}, too. ${way} would only lead back there: the temperature fixes the cup and leaves the time.`,
  };
}

/** Why the grind is passed by for a cup it did not fix on its way through the window. */
function beyondReasons(problem: Problem, evidence: Evidence): Reason[] {
  const pours = offBeyondWindow(problem, evidence);
  if (pours === null) return [];
  const { planned, timeSeconds } = pours.at(-1)!;
  const fault = tastedMiss(problem, pours, 'balance')! < 0 ? 'sour' : 'bitter';
  const text = `At ${plainNumber(planned.grind)} it ran ${secondsInWords(timeSeconds!)} and was ${fault}, too: the grind alone does not fix this cup.`;
  return [{ code: 'beyond-window', text }];
}

/** What the move is expected to bring. */
export function moveReasons(problem: Problem, decision: Decision, expect: Expectation): Reason[] {
  const { action, stage, chosen, here, posterior } = decision;
  if (action !== 'change') return [];
  const reasons: Reason[] = [];
  const isTasteMove = isForTaste(stage);
  if (isTasteMove && chosen.outlook.distance >= here.distance) {
    reasons.push(awayReason(problem, decision));
  } else if (isTasteMove && readsRight(problem, decision.evidence!.last)) {
    reasons.push(...doubtReasons(problem, decision));
  }
  if (isTasteMove && chosen.move.lever !== 'grind') reasons.push(...beyondReasons(problem, decision.evidence!));
  if (decision.leavesTime) reasons.push(besideReason(problem, decision.evidence!));
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
