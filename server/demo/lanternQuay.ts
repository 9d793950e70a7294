import { PLAIN_WORLD, type PuckWorld, type Roast } from '@olvet/core';

/** Lantern Quay, a harbour café on an island that is on no map. Every name here is made up. */
export const SHOP_NAME = 'Lantern Quay';
export const PEOPLE = ['Ines', 'Tomas', 'Oda'] as const;
export const LEAD: (typeof PEOPLE)[number] = 'Oda';

export interface DemoStation {
  key: string;
  name: string;
  methodId: string;
  grinder: {
    name: string;
    min: number;
    max: number;
    step: number;
    finer: 'lower' | 'higher';
    dosing: 'timed' | 'weighed';
    purgeGrams: number;
  };
  machine: { name: string; temperatureC: { min: number; max: number; step: number } | null } & Record<string, unknown>;
  basket: { name: string; nominalGrams: number; minGrams: number; maxGrams: number } & Record<string, unknown>;
  coffees: DemoCoffee[];
  target: { doseGrams: number; yieldGrams: number; temperatureC: number | null; min: number; max: number };
  /** Where the grinder stood when the demo begins. */
  firstGrind: number;
  world: PuckWorld;
  shotsPerDay: number;
  /** How the last days end. */
  ending: 'dialling-in' | 'drifting' | 'at-peace';
  /** Olvet turns this grinder by itself. */
  isKept?: boolean;
}

export interface DemoCoffee {
  name: string;
  roaster: string;
  origin: string;
  process: string;
  altitudeM: number;
  roast: Roast;
  notes: string;
  goal: string;
  tastesLike: string;
  priceCents: number;
  /** What the house wants of it, as chosen on the shelf. */
  wanted: {
    flavourGoal?: string;
    bodyGoal?: string;
    drunkAs?: 'black' | 'milk' | 'long';
    arabicaPercent: number;
    decaf?: boolean;
  };
  /** How this coffee differs from the station's world. */
  coffee: Partial<PuckWorld['coffee']>;
}

const twin = {
  name: 'Harbour twin',
  temperatureC: { min: 88, max: 97, step: 0.5 },
  groups: 2,
  warmUpMinutes: 40,
  preBrew: 'pre-infusion',
  pumpBar: 9,
  firstDripReadings: [6.2, 6.8, 6.5, 7.1],
  temperatureReadings: [
    { shownC: 93, measuredC: 92.6 },
    { shownC: 93, measuredC: 92.9 },
  ],
};

export const STATIONS: DemoStation[] = [
  {
    key: 'left',
    name: 'Left bar',
    methodId: 'balance-walk',
    grinder: { name: 'Lefty', min: 0, max: 40, step: 0.5, finer: 'lower', dosing: 'timed', purgeGrams: 12 },
    machine: twin,
    basket: { name: '18 g straight', nominalGrams: 18, minGrams: 16, maxGrams: 20 },
    coffees: [
      {
        name: 'Fogbell',
        roaster: 'Gull & Lantern',
        origin: 'Ardua highlands',
        process: 'washed',
        altitudeM: 1500,
        roast: 'medium',
        notes: 'hazelnut, plum, brown sugar',
        goal: 'round and sweet, little acidity',
        tastesLike: 'plum, hazelnut, long',
        priceCents: 2600,
        wanted: { flavourGoal: 'even', bodyGoal: 'round', arabicaPercent: 100 },
        coffee: { sweetSpotPercent: 18.9 },
      },
      {
        name: 'Saltmarsh',
        roaster: 'Gull & Lantern',
        origin: 'Sera valley',
        process: 'washed',
        altitudeM: 1750,
        roast: 'medium',
        notes: 'apricot, caramel, cocoa',
        goal: 'sweet, clear acidity, full body',
        tastesLike: 'apricot, caramel, a little cocoa',
        priceCents: 2900,
        wanted: { flavourGoal: 'even', bodyGoal: 'round', arabicaPercent: 100 },
        coffee: { sweetSpotPercent: 19.3, resistance: 1.08, diffusion: 0.96 },
      },
    ],
    target: { doseGrams: 18, yieldGrams: 36, temperatureC: 93, min: 27, max: 33 },
    firstGrind: 14,
    world: PLAIN_WORLD,
    shotsPerDay: 5,
    ending: 'dialling-in',
  },
  {
    key: 'right',
    name: 'Right bar',
    methodId: 'balance-walk',
    grinder: { name: 'Tern', min: 0, max: 12, step: 0, finer: 'lower', dosing: 'weighed', purgeGrams: 8 },
    machine: twin,
    basket: { name: '18 g straight', nominalGrams: 18, minGrams: 16, maxGrams: 20 },
    coffees: [
      {
        name: 'Heron Bank',
        roaster: 'North Pier',
        origin: 'Old Mole plateau',
        process: 'natural',
        altitudeM: 1900,
        roast: 'medium-light',
        notes: 'strawberry, cream, black tea',
        goal: 'ripe fruit, silky, no harsh end',
        tastesLike: 'strawberry, cream',
        priceCents: 3400,
        wanted: { flavourGoal: 'fruit', bodyGoal: 'round', arabicaPercent: 100 },
        coffee: { sweetSpotPercent: 19, diffusion: 0.97 },
      },
    ],
    target: { doseGrams: 18, yieldGrams: 37, temperatureC: 93.5, min: 27, max: 33 },
    firstGrind: 6,
    world: {
      ...PLAIN_WORLD,
      grinder: { ...PLAIN_WORLD.grinder, micronsAtZero: 150, micronsPerUnit: 19 },
    },
    shotsPerDay: 4,
    ending: 'drifting',
  },
  {
    key: 'small',
    name: 'Small bar, decaf',
    methodId: 'one-lever',
    grinder: { name: 'Pebble', min: 1, max: 50, step: 1, finer: 'higher', dosing: 'timed', purgeGrams: 10 },
    machine: {
      name: 'Little cutter',
      temperatureC: null,
      groups: 1,
      warmUpMinutes: 15,
      preBrew: 'valve',
      valveReadings: [
        { turns: 0, grams: 78 },
        { turns: 1, grams: 61 },
      ],
    },
    basket: { name: '16 g tapered', nominalGrams: 16, minGrams: 14, maxGrams: 17, diameterMm: 54, shape: 'tapered' },
    coffees: [
      {
        name: 'Low Tide decaf',
        roaster: 'Gull & Lantern',
        origin: 'Sera valley',
        process: 'decaffeinated, washed',
        altitudeM: 1400,
        roast: 'medium-dark',
        notes: 'walnut, molasses',
        goal: 'heavy and sweet, good with milk',
        tastesLike: 'walnut, molasses, soft',
        priceCents: 2700,
        wanted: { flavourGoal: 'cocoa', bodyGoal: 'heavy', drunkAs: 'milk', arabicaPercent: 80, decaf: true },
        coffee: { sweetSpotPercent: 18.6 },
      },
    ],
    target: { doseGrams: 16, yieldGrams: 32, temperatureC: null, min: 25, max: 32 },
    firstGrind: 27,
    world: {
      ...PLAIN_WORLD,
      grinder: { ...PLAIN_WORLD.grinder, micronsAtZero: 450, micronsPerUnit: 6, coarserSign: -1 },
      basket: { nominalGrams: 16 },
    },
    shotsPerDay: 2,
    ending: 'at-peace',
    isKept: true,
  },
];
