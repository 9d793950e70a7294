import type { Method } from './Method';

export const slowSoak: Method = {
  id: 'slow-soak',
  name: 'Slow soak',
  idea: 'A long low-flow soak, about half of the contact time; grind for total contact, yield for body, grind for balance.',
  suits: 'Machines with a low-flow pre-brew valve.',
  locks: ['dose'],
  balanceOrder: ['grind', 'yield', 'temperature'],
  bodyOrder: ['yield', 'grind'],
  start: { doseGrams: 19, ratio: 2 },
  windowSeconds: { min: 45, max: 55 },
  timer: 'total-contact',
  timeIs: 'target',
  temperatureC: { light: 94, 'medium-light': 93.5, medium: 93, 'medium-dark': 92.5, dark: 92 },
  leadSeconds: 22,
  confirmShots: 0,
  tolerance: { balance: 0.6, body: 0.9 },
};
