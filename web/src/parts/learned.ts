import { balanceWord, bodyWord, plainNumber } from '@olvet/core';
import type { LearnedSlopeView, LearnedTasteView, PalateView } from '../app/api';

/** A slope less sure than this share of itself is little more than the rule of thumb it began with. */
const MOSTLY_GUESSED = 0.5;

/** "one unit finer adds 8.8 % to the time (±1.2, from 41 shots)". */
export function slopeInWords({ mean, sd, shots }: LearnedSlopeView): string {
  const isGuess = sd > MOSTLY_GUESSED * mean;
  const percent = (share: number): string => plainNumber(100 * share, isGuess ? 0 : 1);
  const adds = `one unit finer adds ${isGuess ? 'perhaps ' : ''}${percent(mean)}\u00a0% to the time`;
  return `${adds} (±${percent(sd)}, from ${shots} shots)${isGuess ? ': still mostly a guess' : ''}`;
}

/** "At 1:2 in about 30 s it pours a bit bitter and full (+0.6 ±0.3, from 12 tasted shots)." */
export function learnedTasteInWords({ balance, body, ratio, middleSeconds, shots }: LearnedTasteView): string {
  const where = `At 1:${plainNumber(ratio, 1)} in about ${plainNumber(middleSeconds, 0)} s`;
  // What nobody has tasted yet is left unsaid.
  const cup = body.sd < 1 ? `${balanceWord(balance.mean)} and ${bodyWord(body.mean)}` : balanceWord(balance.mean);
  return `${where} it pours ${cup} (balance ${signed(balance.mean)} ±${plainNumber(balance.sd, 1)}, from ${shots} tasted shots).`;
}

/** "Likes it best a bit bitter (+0.4 ±0.2, from 31 cups)." */
export function palateInWords({ balance, balanceSd, tastings }: PalateView): string {
  const where =
    Math.abs(balance) < 0.15
      ? 'Likes it balanced, as the scale has it'
      : `Likes it ${Math.abs(balance) < 0.45 ? 'a touch' : 'clearly'} to the ${balance < 0 ? 'sour' : 'bitter'} side of balanced`;
  return `${where} (${signed(balance)} ±${plainNumber(balanceSd, 1)}, from ${tastings} cups).`;
}

/** "Marks such a cup about 8.4 of 10, and takes off 1.5 for a point away from it." */
export function marksInWords({ marks }: PalateView): string {
  const { best, loss } = marks?.overall ?? {};
  if (!best || !loss) return '';
  return `Marks such a cup about ${plainNumber(Math.min(10, best.mean), 1)} of 10, and takes off ${plainNumber(loss.mean, 1)} for a point away from it.`;
}

function signed(value: number): string {
  const text = plainNumber(Math.abs(value), 1);
  return text === '0' ? '0' : `${value < 0 ? '−' : '+'}${text}`;
}
