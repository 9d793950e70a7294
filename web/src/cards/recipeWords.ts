import { ML_PER_GRAM, plainNumber } from '@olvet/core';
import type { RecipeDto } from '../app/api';

/** What a recipe says beside its large figures, where it says it. */
export function recipeFacts(recipe: RecipeDto): string[] {
  const { grindSeconds, soakSeconds, groupName, cups, yieldGrams } = recipe;
  const ml = (perGram: number): string => plainNumber(yieldGrams * perGram, 0);
  return [
    grindSeconds == null ? null : `Grind for ${plainNumber(grindSeconds, 1)} s`,
    soakSeconds == null ? null : `Soak ${plainNumber(soakSeconds, 1)} s before full pressure`,
    groupName ? `On the ${groupName} group` : null,
    cups === 2 ? `In two cups, ${plainNumber(yieldGrams / 2, 1)} g each` : cups === 1 ? 'In one cup' : null,
    `Without a scale: ${ml(ML_PER_GRAM.usual)} ml with its crema (${ml(ML_PER_GRAM.least)}–${ml(ML_PER_GRAM.most)}, fresh beans read more)`,
  ].filter((each) => each !== null);
}
