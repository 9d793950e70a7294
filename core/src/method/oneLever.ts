import type { Method } from './Method';

export const oneLever: Method = {
  id: 'one-lever',
  name: 'One lever',
  idea: 'Dose, ratio, tamp and temperature stay put. Grind alone brings the time in; taste confirms.',
  suits: 'Cafés with several baristas, where the same cup from every hand comes first.',
  locks: ['dose', 'yield', 'temperature'],
  balanceOrder: ['grind'],
  bodyOrder: ['grind'],
  start: { doseGrams: 18, ratio: 2 },
  windowSeconds: { min: 25, max: 32 },
  timer: 'pump-on',
  timeIs: 'target',
  temperatureC: { light: 93, 'medium-light': 93, medium: 93, 'medium-dark': 93, dark: 93 },
  leadSeconds: 6,
  confirmShots: 1,
  tolerance: { balance: 0.6, body: 0.9 },
};
