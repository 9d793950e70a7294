import { LEVERS, METHODS, ROASTS, findMethod, methodSchema, startTemperatureC, suggestMethod } from '../index';

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

  it('suggests time-as-outcome for light roasts only', () => {
    expect(ROASTS.filter((roast) => suggestMethod(roast).timeIs === 'outcome')).toEqual(['light']);
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
