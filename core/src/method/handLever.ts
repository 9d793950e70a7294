import type { Method } from './Method';

export const handLever: Method = {
  id: 'hand-lever',
  name: 'Hand lever',
  idea: 'Dose and ratio stay; water at the boil, chamber preheated. Grind and the hand on the lever do the work.',
  suits: 'Manual levers, where pressure is yours to feel.',
  locks: ['dose', 'yield', 'temperature'],
  balanceOrder: ['grind'],
  bodyOrder: ['grind'],
  start: { doseGrams: 16, ratio: 2 },
  windowSeconds: { min: 30, max: 55 },
  timer: 'pump-on',
  timeIs: 'target',
  temperatureC: { light: 96, 'medium-light': 95, medium: 94, 'medium-dark': 93, dark: 92 },
  leadSeconds: 9,
  confirmShots: 1,
  tolerance: { balance: 0.6, body: 0.9 },
};
