/** What stands at a bar and can speak for itself. */
export const DEVICE_KINDS = ['scale', 'machine', 'grinder', 'room', 'refractometer'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** Every figure a device may send, each with its unit in its name. */
export const DEVICE_FIGURES = [
  'grams',
  'bar',
  'celsius',
  'mlPerSecond',
  'shotSeconds',
  'grind',
  'humidityPercent',
  'tdsPercent',
  'batteryPercent',
] as const;
export type DeviceFigure = (typeof DEVICE_FIGURES)[number];
export type DeviceValues = Partial<Record<DeviceFigure, number>>;

/** What happens at a device, beside what it measures. */
export const DEVICE_EVENTS = [
  'tared',
  'pump-on',
  'pump-off',
  'soak-ended',
  'ground',
  'burrs-locked',
  'battery-low',
] as const;
export type DeviceEvent = (typeof DEVICE_EVENTS)[number];

/** What a device may be asked to do; `cup`, `lever`, `preparation` and `battery` are hands on a simulated bench. */
export const DEVICE_COMMANDS = [
  'tare',
  'start',
  'stop',
  'end-soak',
  'set-grind',
  'grind',
  'measure',
  'cup',
  'lever',
  'preparation',
  'battery',
] as const;
export type DeviceCommand = (typeof DEVICE_COMMANDS)[number];

interface Range {
  min: number;
  max: number;
}

export interface KindOfDevice {
  /** The unit of its main figure: the only one it may name. */
  unit: string;
  /** What it may send, and between which figures that is possible at all. */
  figures: Partial<Record<DeviceFigure, Range>>;
  events: readonly DeviceEvent[];
  commands: readonly DeviceCommand[];
}

const CELSIUS = { min: -40, max: 160 };
const BATTERY = { min: 0, max: 100 };

/** One row a kind: what the gateway lets through and what the Workshop shows. */
export const KINDS_OF_DEVICE: Readonly<Record<DeviceKind, KindOfDevice>> = {
  scale: {
    unit: 'g',
    figures: { grams: { min: -5000, max: 20_000 }, batteryPercent: BATTERY },
    events: ['tared', 'battery-low'],
    commands: ['tare', 'cup', 'battery'],
  },
  machine: {
    unit: 'bar',
    figures: {
      bar: { min: -1, max: 25 },
      celsius: CELSIUS,
      mlPerSecond: { min: 0, max: 30 },
      shotSeconds: { min: 0, max: 3600 },
    },
    events: ['pump-on', 'pump-off', 'soak-ended'],
    commands: ['start', 'stop', 'end-soak', 'lever', 'preparation'],
  },
  grinder: {
    unit: 'units',
    figures: { grind: { min: -1000, max: 10_000 }, grams: { min: 0, max: 200 }, shotSeconds: { min: 0, max: 120 } },
    events: ['ground', 'burrs-locked'],
    commands: ['set-grind', 'grind'],
  },
  room: {
    unit: '°C',
    figures: { celsius: CELSIUS, humidityPercent: { min: 0, max: 100 } },
    events: [],
    commands: [],
  },
  refractometer: {
    unit: '%',
    figures: { tdsPercent: { min: 0, max: 40 }, celsius: CELSIUS },
    events: [],
    commands: ['measure'],
  },
};
