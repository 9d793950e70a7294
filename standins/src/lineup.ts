import type { DeviceCommand, DeviceKind } from '@olvet/core';

export interface StandIn {
  bench: BenchName;
  kind: DeviceKind;
  name: string;
  unit: string;
  capabilities: DeviceCommand[];
  /** Ticks of the bench between two readings. */
  everyTicks: number;
}

/** The benches: one with everything, and the small one whose grinder may be turned by itself. */
export const BENCHES = ['whole', 'small'] as const;
export type BenchName = (typeof BENCHES)[number];

/** What stands on the simulated benches. */
export const STAND_INS: readonly StandIn[] = [
  {
    bench: 'whole',
    kind: 'scale',
    name: 'Bench scale',
    unit: 'g',
    capabilities: ['tare', 'cup', 'battery'],
    everyTicks: 1,
  },
  {
    bench: 'whole',
    kind: 'machine',
    name: 'Bench machine',
    unit: 'bar',
    capabilities: ['start', 'stop', 'end-soak', 'lever', 'preparation'],
    everyTicks: 2,
  },
  {
    bench: 'whole',
    kind: 'grinder',
    name: 'Bench grinder',
    unit: 'units',
    capabilities: ['set-grind', 'grind'],
    everyTicks: 40,
  },
  { bench: 'whole', kind: 'room', name: 'Wall sensor', unit: '°C', capabilities: [], everyTicks: 100 },
  {
    bench: 'whole',
    kind: 'refractometer',
    name: 'Bench refractometer',
    unit: '%',
    capabilities: ['measure'],
    everyTicks: 0,
  },
  {
    bench: 'small',
    kind: 'machine',
    name: 'Small machine',
    unit: 'bar',
    capabilities: ['start', 'stop'],
    everyTicks: 20,
  },
  {
    bench: 'small',
    kind: 'grinder',
    name: 'Small grinder',
    unit: 'units',
    capabilities: ['set-grind', 'grind'],
    everyTicks: 40,
  },
];
