import { LEVERS, METHODS, ROASTS, findMethod, methodSchema, recommendMethod, startTemperatureC } from '../index';

describe('methods', () => {
  it.each(METHODS.map((m) => [m.id, m] as const))('%s is valid data with a reachable lever order', (_, method) => {
    expect(methodSchema.parse(method)).toEqual(method);
    // A school may unlock dose for body (open light does), but never moves a locked lever for balance.
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
    ['light', 1600, false, 'balance-walk'],
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

  it('never recommends a method whose first lever the machine does not have', () => {
    for (const roast of ROASTS) {
      const { method } = recommended({ roast, canSetTemperature: false });
      expect(method.balanceOrder[0]).not.toBe('temperature');
    }
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
