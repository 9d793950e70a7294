import type { DeviceCommand, DeviceKind } from '@olvet/core';

export interface StandIn {
  kind: DeviceKind;
  name: string;
  unit: string;
  capabilities: DeviceCommand[];
  /** Ticks of the bench between two readings. */
  everyTicks: number;
}

/** What stands on the simulated bench. */
export const STAND_INS: readonly StandIn[] = [
  { kind: 'scale', name: 'Bench scale', unit: 'g', capabilities: ['tare', 'cup', 'battery'], everyTicks: 1 },
  {
    kind: 'machine',
    name: 'Bench machine',
    unit: 'bar',
    capabilities: ['start', 'stop', 'end-soak', 'lever', 'preparation'],
    everyTicks: 2,
  },
  { kind: 'grinder', name: 'Bench grinder', unit: 'units', capabilities: ['set-grind', 'grind'], everyTicks: 40 },
  { kind: 'room', name: 'Wall sensor', unit: '°C', capabilities: [], everyTicks: 100 },
  { kind: 'refractometer', name: 'Bench refractometer', unit: '%', capabilities: ['measure'], everyTicks: 0 },
];
