import type { Method } from './Method';

export const balanceWalk: Method = {
  id: 'balance-walk',
  name: 'Balance walk',
  idea: 'Grind into the window, then yield for body, grind for balance, temperature last.',
  suits: 'Blends and medium roasts, at home and at the bar.',
  locks: ['dose'],
  balanceOrder: ['grind', 'yield', 'temperature'],
  bodyOrder: ['yield', 'grind'],
  start: { doseGrams: 18, ratio: 2 },
  windowSeconds: { min: 27, max: 33 },
  timer: 'pump-on',
  timeIs: 'target',
  temperatureC: { light: 94, 'medium-light': 93.5, medium: 93, 'medium-dark': 92.5, dark: 92 },
  leadSeconds: 6,
  confirmShots: 0,
  tolerance: { balance: 0.6, body: 0.9 },
};
