import type { RecipeDto, SheetShotView, SheetView } from '../src/app/api';

const row = {
  revision: 1,
  changedBy: '',
  createdAt: '2026-03-01T06:00:00.000Z',
  updatedAt: '2026-03-01T06:00:00.000Z',
};

/** A shot of the run sheet at everyday settings. */
export function shotView(id: string, change: Partial<SheetShotView> = {}): SheetShotView {
  return {
    ...row,
    id,
    runId: 'run',
    kind: 'dial-in',
    stationId: 'station',
    pulledAt: '2026-03-01T06:43:00.000Z',
    grind: 14,
    doseGrams: 18,
    yieldGrams: 36,
    temperatureC: 93,
    planned: { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 },
    timeSeconds: 28,
    timer: 'pump-on',
    seen: [],
    purged: true,
    traced: null,
    tastings: [],
    ...change,
  };
}

/** A whole run sheet: everyday grinder, machine with a temperature, 18 g basket, medium roast. */
export function sheetView(shots: SheetShotView[] = [], change: Partial<SheetView> = {}): SheetView {
  const target = {
    doseGrams: 18,
    yieldGrams: 36,
    temperatureC: 93,
    timeSeconds: { min: 27, max: 33 },
    timer: 'pump-on' as const,
    balance: 0,
    body: 0,
  };
  const gear = {
    grinderId: 'grinder',
    machineId: 'machine',
    basketId: 'basket',
    coffeeId: 'coffee',
    methodId: 'balance-walk' as const,
    target,
  };
  return {
    run: {
      ...row,
      ...gear,
      id: 'run',
      stationId: 'station',
      lesson: null,
      suggestedStart: null,
      status: 'open',
      startGrind: 14,
      startedAt: row.createdAt,
    },
    station: { ...row, ...gear, id: 'station', name: 'Left bar' },
    grinder: {
      ...row,
      id: 'grinder',
      name: 'Lefty',
      min: 0,
      max: 40,
      step: 0.5,
      finer: 'lower',
      dosing: 'timed',
      purgeGrams: 12,
      learnedSlope: null,
    },
    machine: {
      ...row,
      id: 'machine',
      name: 'Twin',
      temperatureC: { min: 88, max: 97, step: 0.5 },
      temperatureOffset: null,
      firstDrip: null,
    },
    basket: { ...row, id: 'basket', name: '18 g', nominalGrams: 18, minGrams: 16, maxGrams: 20 },
    coffee: { ...row, id: 'coffee', name: 'Saltmarsh', roast: 'medium', learnedTaste: null },
    ageDays: 10,
    centsPerGram: 2.9,
    method: null,
    timedDose: null,
    foundDose: null,
    reference: null,
    hasScale: true,
    palates: [],
    shots,
    ...change,
  };
}

/** The recipe of a card, as kept from an everyday dial-in. */
export function recipeDto(change: Partial<RecipeDto> = {}): RecipeDto {
  return {
    grind: 12,
    doseGrams: 18,
    yieldGrams: 36,
    temperatureC: 93,
    timeSeconds: { min: 27, max: 33 },
    timer: 'pump-on',
    grinderName: 'Lefty',
    machineName: 'Twin',
    basketName: '18 g',
    ...change,
  };
}

/** What the board says of one station that nobody has worked at yet. */
export function standingView(change: object = {}) {
  return {
    station: { ...sheetView().station, grind: 14 },
    coffeeName: 'Saltmarsh',
    grinderName: 'Lefty',
    finer: 'lower' as const,
    machineName: 'Twin',
    basketName: '18 g',
    ageDays: 12,
    state: 'unknown',
    start: null,
    openRunId: null,
    cardId: null,
    cards: [],
    check: null,
    checkedAt: null,
    beforeCoffeeId: null,
    beforeCoffeeName: null,
    shots: [],
    ...change,
  };
}
