import { METHODS, whenOff } from '../index';

describe('what to do when a card is off', () => {
  it('goes by the order of its method', () => {
    const lines = whenOff({ balanceOrder: ['yield', 'temperature'], timeIs: 'outcome' });
    expect(lines.map(({ act }) => act.split(';')[0])).toEqual([
      '2 g more yield',
      '2 g less yield',
      'look at the puck, level and tamp again, pull another',
    ]);
    expect(whenOff({ balanceOrder: ['grind'], timeIs: 'target' })[0].act).toBe('one step finer, purge');
  });

  it.each(METHODS.map((method) => [method.name, method] as const))('%s: brings time back by grind', (_name, method) => {
    const [fast, slow] = whenOff(method);
    if (method.timeIs !== 'target') return expect(fast.act).not.toBe(slow.act);
    expect([fast.act, slow.act].map((act) => /finer|coarser/.exec(act)?.[0])).toEqual(['finer', 'coarser']);
  });
});
