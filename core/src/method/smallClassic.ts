import type { Method } from './Method';

export const smallClassic: Method = {
  id: 'small-classic',
  name: 'Small classic',
  idea: 'Seven grams a cup, nine bar, a firm tamp, a small cup. Grind does the rest.',
  suits: 'Traditional dark blends served in small cups, by volume with crema rather than by weight.',
  locks: ['dose', 'yield', 'temperature'],
  balanceOrder: ['grind'],
  bodyOrder: ['grind'],
  // Two cups of 25 ml with crema at 1.5 ml/g are about 33 g from a 15 g double.
  start: { doseGrams: 15, ratio: 2.2 },
  windowSeconds: { min: 20, max: 28 },
  timer: 'pump-on',
  timeIs: 'target',
  temperatureC: { light: 90, 'medium-light': 90, medium: 90, 'medium-dark': 89, dark: 88 },
  leadSeconds: 6,
  confirmShots: 0,
  tolerance: { balance: 0.6, body: 0.9 },
};
