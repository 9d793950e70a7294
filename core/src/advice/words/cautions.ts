import type { Reason } from '../../contract/answer';
import { changesBetween } from '../../contract/changes';
import type { Decision } from '../decide/decision';
import type { Problem } from '../../belief/problem';

/** The cautions of the step at hand; the maker's manual always comes first. */
export function cautionsFor(problem: Problem, decision: Decision): Reason[] {
  const cautions: Reason[] = [];
  const changed = changesBetween(decision.evidence?.last.planned ?? problem.start, decision.chosen.move.settings);
  const grind = changed.find((change) => change.variable === 'grind');
  const isFiner = grind !== undefined && (grind.to - grind.from) * problem.finerSign > 0;
  if (isFiner) {
    cautions.push({
      code: 'burrs-turning',
      text: 'Go finer only with the burrs turning or empty. If the motor hums and nothing turns, switch off at once and go coarser; unplug before reaching in. The maker’s manual comes first.',
    });
  }
  if (grind) cautions.push({ code: 'purge', text: 'Purge first, or you judge the old grind.' });
  // Where its dose law is known the answer says how long to grind.
  const { dosing, timedDose } = problem.request.grinder;
  if (grind && dosing === 'timed' && !timedDose) {
    const given = isFiner ? 'less when finer' : 'more when coarser';
    cautions.push({ code: 'weigh-again', text: `A timed grinder gives ${given}: weigh the dose again.` });
  }
  if (changed.some((change) => change.variable === 'temperatureC')) {
    cautions.push({
      code: 'settle',
      text: 'Give the group some minutes to settle, then flush: steam and water burn, hands clear.',
    });
  }
  if (changed.some((change) => change.variable === 'doseGrams')) {
    cautions.push({
      code: 'basket',
      text: 'In a basket too full the puck touches the screen, and an automatic tamper can jam on a tapered one.',
    });
  }
  if (decision.action === 'prepare') {
    cautions.push({
      code: 'pressure',
      text: 'Never unlock the portafilter under pressure: wait until it has dropped.',
    });
  }
  const tasted = problem.pours.filter((pour) => pour.taste !== null).length;
  if (tasted >= 5) {
    cautions.push({
      code: 'caffeine',
      text: `${tasted} shots tasted. Caffeine adds up, about 60–80 mg for each one drunk: sip and spit, and follow local health advice.`,
    });
  }
  return cautions;
}
