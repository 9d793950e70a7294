import { glassOfGrams, plainNumber } from '@olvet/core';
import type { RecipeDto } from '../app/api';

/** What a recipe says beside its large figures, where it says it. */
export function recipeFacts(recipe: RecipeDto): string[] {
  const { grindSeconds, soakSeconds, groupName, cups, yieldGrams } = recipe;
  const glass = glassOfGrams(yieldGrams);
  const ml = (part: keyof typeof glass): string => plainNumber(glass[part], 0);
  return [
    grindSeconds == null ? null : `Grind for ${plainNumber(grindSeconds, 1)} s`,
    soakSeconds == null ? null : `Soak ${plainNumber(soakSeconds, 1)} s before full pressure`,
    groupName ? `On the ${groupName} group` : null,
    cups === 2 ? `In two cups, ${plainNumber(yieldGrams / 2, 1)} g each` : cups === 1 ? 'In one cup' : null,
    `Without a scale: ${ml('value')} ml with its crema (${ml('least')}–${ml('most')}, fresh beans read more)`,
  ].filter((each) => each !== null);
}
