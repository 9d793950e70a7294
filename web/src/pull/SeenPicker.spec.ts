import { NOTHING_SEEN, withSight } from './SeenPicker';

describe('what was seen', () => {
  it('is clean or has faults, never both', () => {
    const clean = withSight({ signs: ['spurts', 'gushing'], looks: ['crema-thin'] }, { sign: 'clean' }, true);
    expect(clean).toEqual({ signs: ['clean'], looks: ['crema-thin'] });
    expect(withSight(clean, { sign: 'spurts' }, true).signs).toEqual(['spurts']);
  });

  it('has one look of each thing, and any number of faults', () => {
    const both = withSight(withSight(NOTHING_SEEN, { sign: 'spurts' }, true), { sign: 'dead-spots' }, true);
    expect(both.signs).toEqual(['spurts', 'dead-spots']);
    const first = withSight(both, { look: 'tail-curling' }, true);
    const second = withSight(withSight(first, { look: 'crema-thin' }, true), { look: 'tail-wide' }, true);
    expect(second.looks).toEqual(['crema-thin', 'tail-wide']);
    expect(withSight(second, { look: 'tail-wide' }, false).looks).toEqual(['crema-thin']);
  });
});
