import type { SheetView } from '../app/api';
import { plannedOf } from './settings';

/** Every gram counts: doses, as planned where nobody weighed, and a purge for each change of grind. */
export function gramsUsed(sheet: SheetView): number {
  return sheet.shots.reduce((sum, shot, i) => {
    const before = sheet.shots[i - 1];
    const changed = before !== undefined && plannedOf(before).grind !== plannedOf(shot).grind;
    return (
      sum + (shot.doseGrams ?? plannedOf(shot).doseGrams) + (changed && shot.purged ? sheet.grinder.purgeGrams : 0)
    );
  }, 0);
}
