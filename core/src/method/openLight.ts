import type { Method } from './Method';

export const openLight: Method = {
  id: 'open-light',
  name: 'Open light',
  idea: 'Hotter once, then more yield, then coarser and faster; a little more dose for body. Time is an outcome.',
  suits: 'Light, dense, high-grown coffees that are hard to extract.',
  locks: ['dose'],
  balanceOrder: ['temperature', 'yield', 'grind'],
  bodyOrder: ['dose', 'yield'],
  start: { doseGrams: 18, ratio: 2.5 },
  windowSeconds: { min: 20, max: 38 },
  timer: 'pump-on',
  timeIs: 'outcome',
  temperatureC: { light: 95, 'medium-light': 94.5, medium: 94, 'medium-dark': 93, dark: 92 },
  leadSeconds: 6,
  confirmShots: 0,
  tolerance: { balance: 0.6, body: 0.9 },
};
