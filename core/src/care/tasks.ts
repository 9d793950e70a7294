/** What a task is done to: every machine, every grinder, or the bar as a whole. */
export const CARE_PLACES = ['machine', 'grinder', 'bar'] as const;
export type CarePlace = (typeof CARE_PLACES)[number];

/** How often; whichever comes first. Nothing in it: never due by itself. */
export interface CareInterval {
  days?: number;
  /** Shots through the machine or grinder. */
  shots?: number;
  /** Coffee through the grinder. */
  kg?: number;
}

export interface CareTask {
  title: string;
  place: CarePlace;
  /** Of the house, until a shop or the maker says another. */
  every: CareInterval;
  /** Where nothing is due by itself: when it is done. */
  when?: string;
  steps: readonly string[];
  cautions: readonly string[];
}

const HOT = 'Water, steam and metal burn: cups and hands clear.';
const DETERGENT = 'Gloves on. Mark the machine out of service until it was rinsed twice.';
const BURRS = 'Switch off and unplug before you reach in.';

/** With every shot: nobody notes these down. */
export const CARE_HABITS = [
  {
    ...{ title: 'Flush the group', when: 'before each shot' },
    steps: ['Let water run for two seconds without the portafilter.', 'Dry the basket, then dose.'],
    cautions: [HOT],
  },
  {
    ...{ title: 'Wipe the basket and the screen', when: 'after each shot' },
    steps: ['Knock out the puck.', 'Wipe the basket dry, flush for a second.', 'Wipe the steam wand and let it blow.'],
    cautions: ['A spent puck is hot. Open the portafilter only once the pressure is gone.'],
  },
] as const satisfies readonly Pick<CareTask, 'title' | 'when' | 'steps' | 'cautions'>[];

/** What keeps a bar clean, in the order of a day, a week, a year. The maker’s manual wins where it differs (handbook §12, §13). */
export const CARE_TASKS = {
  water: {
    ...{ title: 'Fresh water', place: 'bar', every: { days: 1 } },
    steps: ['Fill the tank, or see that the supply is open.', 'Look at the filter’s date.'],
    cautions: ['Boiler, mains and gas are for a licensed technician.'],
  },
  waste: {
    ...{ title: 'Empty the waste', place: 'bar', every: { days: 1 } },
    steps: ['Empty knock box and drip tray, rinse both.', 'Pour a jug of hot water down the drain.'],
    cautions: ['Milk and nuts: keep jugs and cloths apart; your local rules on hygiene and allergens win.'],
  },
  rinse: {
    ...{ title: 'Rinse the groups', place: 'machine', every: { days: 1 } },
    steps: [
      'Put the blind basket in, run ten seconds, stop ten seconds, five times.',
      'Brush the gasket and the screen while a little water runs.',
      'Rinse portafilters and baskets, leave them out of the groups.',
    ],
    cautions: [HOT, 'Stop the pump and wait for the pressure to drop before you open.'],
  },
  soak: {
    ...{ title: 'Soak the baskets', place: 'machine', every: { days: 7 } },
    steps: [
      'Take the baskets out of the portafilters.',
      'Lay the metal in hot water with coffee detergent for 20 minutes, handles dry.',
      'Brush, then rinse each part twice.',
    ],
    cautions: ['Gloves on. Label the bowl; nothing that touches food goes in.'],
  },
  backflush: {
    ...{ title: 'Backflush', place: 'machine', every: { days: 7, shots: 500 } },
    steps: [
      'Put the maker’s measure of detergent into the blind basket.',
      'Run ten seconds, stop ten seconds, five times.',
      'Rinse the basket, then five times with water alone; do that rinse twice.',
      'Pull one shot and discard it.',
    ],
    cautions: [DETERGENT, 'Stop the pump and wait for the pressure to drop before you open.'],
  },
  'brush-out': {
    ...{ title: 'Brush-out', place: 'grinder', every: { days: 7 } },
    steps: [
      'Close the hopper, run the grinder empty, take the hopper off.',
      'Brush burrs, chamber and chute; note the setting first if the collar comes off.',
      'Wash and dry the hopper. Purge, then pull a check shot.',
    ],
    cautions: [BURRS, 'No water near the burrs.'],
  },
  burrs: {
    ...{ title: 'New burrs', place: 'grinder', every: {}, when: 'at the maker’s figure' },
    steps: [
      'Find the maker’s figure of kilograms and set it with the grinder.',
      'Have them changed as the manual says.',
      'Grind some old coffee through, then dial in: the scale has moved.',
    ],
    cautions: [BURRS, 'Burrs are sharp. Wiring is for a licensed technician.'],
  },
  descale: {
    ...{ title: 'Descale', place: 'machine', every: {}, when: 'by the maker’s rule' },
    steps: [
      'Measure the water’s hardness.',
      'Do it only how and how often the maker says: some machines must never be descaled by hand.',
      'Rinse until the water is neutral, then discard two shots.',
    ],
    cautions: [DETERGENT, 'A boiler is opened by a licensed technician only.'],
  },
} as const satisfies Record<string, CareTask>;

export type CareTaskCode = keyof typeof CARE_TASKS;
export const CARE_CODES = Object.keys(CARE_TASKS) as CareTaskCode[];

export function careTask(code: CareTaskCode): CareTask {
  return CARE_TASKS[code];
}
