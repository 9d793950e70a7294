import {
  LEVERS,
  METHODS,
  ROASTS,
  findMethod,
  methodSchema,
  proposeAim,
  recommendMethod,
  startTemperatureC,
} from '../index';

describe('methods', () => {
  it.each(METHODS.map((m) => [m.id, m] as const))('%s is valid data with a reachable lever order', (_, method) => {
    expect(methodSchema.parse(method)).toEqual(method);
    // A method may unlock dose for body (open light does), but never moves a locked lever for balance.
    for (const lever of method.balanceOrder) expect(method.locks).not.toContain(lever);
    expect(method.balanceOrder.every((lever) => LEVERS.includes(lever))).toBe(true);
  });

  it('never brews a darker roast hotter than a lighter one', () => {
    for (const { temperatureC } of METHODS) {
      const temperatures = ROASTS.map((roast) => temperatureC[roast]);
      expect(temperatures).toEqual([...temperatures].sort((a, b) => b - a));
    }
  });

  const recommended = (change: Partial<Parameters<typeof recommendMethod>[0]>) =>
    recommendMethod({ roast: 'medium', altitudeM: 1600, canSetTemperature: true, ...change });

  it.each([
    ['light', 1600, true, 'open-light'],
    ['light', 1600, false, 'open-light'],
    ['medium-light', 2100, true, 'open-light'],
    ['medium-light', 1600, true, 'balance-walk'],
    ['medium', 2100, true, 'balance-walk'],
    ['medium-dark', null, false, 'balance-walk'],
    ['dark', null, true, 'small-classic'],
  ] as const)('recommends for a %s roast grown at %s m, temperature settable %s: %s', (roast, altitudeM, can, id) => {
    const { method, reasons } = recommended({ roast, altitudeM, canSetTemperature: can });
    expect(method.id).toBe(id);
    expect(reasons.length).toBeGreaterThan(0);
  });

  it('says that the step of the heat falls away where the heat is fixed', () => {
    expect(recommended({ roast: 'light', canSetTemperature: false }).reasons.join(' ')).toMatch(/heat is fixed/);
  });

  it('may recommend every method: what the machine demands first, then the coffee, then who pulls', () => {
    const asked = [
      { preBrew: 'lever', roast: 'light' },
      { preBrew: 'valve', roast: 'dark' },
      { roast: 'light', people: 5 },
      { roast: 'dark', people: 5 },
      { people: 5 },
      { people: 1, preBrew: 'pre-infusion' },
    ] as const;
    const ids = asked.map((question) => recommended(question).method.id);
    expect(ids).toEqual(['hand-lever', 'slow-soak', 'open-light', 'small-classic', 'one-lever', 'balance-walk']);
    expect(new Set(ids).size).toBe(METHODS.length);
  });

  it('proposes what a method begins with', () => {
    const scale = { min: 88, max: 93 };
    expect(
      proposeAim(findMethod('open-light')!, { doseGrams: 17, roast: 'light', temperatureScale: scale }),
    ).toMatchObject({
      ...{ doseGrams: 17, yieldGrams: 43, temperatureC: 93 },
    });
    expect(
      proposeAim(findMethod('balance-walk')!, { doseGrams: null, roast: 'dark', temperatureScale: null }),
    ).toMatchObject({
      ...{ doseGrams: 18, yieldGrams: 36, temperatureC: null, timeSeconds: { min: 27, max: 33 } },
    });
  });

  it('confirms where the same cup from every hand comes first, and nowhere by more than the work allows', () => {
    expect(findMethod('one-lever')!.confirmShots).toBe(1);
    for (const { confirmShots } of METHODS) expect(confirmShots).toBeLessThanOrEqual(1);
  });

  it('holds the start temperature inside the machine, or says null where none can be set', () => {
    const method = findMethod('open-light')!;
    expect(startTemperatureC(method, 'light', { min: 85, max: 93 })).toBe(93);
    expect(startTemperatureC(method, 'light', null)).toBeNull();
  });

  it('names what is wrong with a window that ends before it begins', () => {
    const bad = { ...METHODS[0], windowSeconds: { min: 33, max: 27 } };
    expect(methodSchema.safeParse(bad).error?.issues[0]?.path).toEqual(['windowSeconds', 'max']);
  });
});
