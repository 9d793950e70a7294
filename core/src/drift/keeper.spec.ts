import { keeperStep, type KeeperFacts, type KeeperLimits } from '../index';

const LIMITS: KeeperLimits = { shotsBetween: 3, fewestShots: 3, quietFrom: '12:00', quietUntil: '14:00' };
const shots = (...times: number[]) => times.map((timeSeconds) => ({ timeSeconds, isSpoilt: false }));
/** Drifting, all there, nothing against a turn. */
const FACTS: KeeperFacts = {
  judged: { action: 'move', move: { grind: { from: 12, to: 12.5 } }, codes: ['run'] },
  foundSeconds: 30,
  shots: shots(30, 34, 35, 34.5),
  shotsSinceMove: null,
  silentSeconds: { machine: 2, grinder: 1 },
  ...{ stands: 12, grind: 12, nearness: 0.25, unseen: null, isItsClock: true, isDiallingIn: false, clock: '10:30' },
};
const step = (change: Partial<KeeperFacts>, limits: Partial<KeeperLimits> = {}) =>
  keeperStep({ ...FACTS, ...change }, { ...LIMITS, ...limits });

describe('the closed loop', () => {
  it('turns where the day is judged to need it', () => {
    expect(step({})).toEqual({ do: 'turn', to: 12.5 });
  });

  it.each<[string, Partial<KeeperFacts>]>([
    ['nothing-to-keep', { judged: null }],
    ['another-clock', { isItsClock: false }],
    ['no-machine', { silentSeconds: { machine: null, grinder: 1 } }],
    ['no-machine', { silentSeconds: { machine: 40, grinder: 1 } }],
    ['no-grinder', { silentSeconds: { machine: 2, grinder: 40 } }],
    ['no-grinder', { stands: null }],
    ['grinder-elsewhere', { stands: 12.5 }],
    ['bag-opened', { unseen: 'bag-opened' }],
    ['hopper-filled', { unseen: 'hopper-filled' }],
    ['coffee-changed', { unseen: 'coffee-changed' }],
    ['spoilt-run', { shots: shots(30, 15, 35, 58) }],
    ['spoilt-run', { shots: FACTS.shots.map((shot, i) => ({ ...shot, isSpoilt: i > 1 })) }],
    ['did-not-help', { judged: { action: 'dial-in', move: null, codes: ['run', 'did-not-help'] } }],
  ])('holds itself: %s', (why, change) => {
    expect(step(change)).toEqual({ do: 'hold', why });
  });

  it.each<[string, Partial<KeeperFacts>]>([
    ['dialling-in', { isDiallingIn: true }],
    ['quiet-hours', { clock: '12:00' }],
    ['quiet-hours', { clock: '13:59' }],
    ['just-moved', { shotsSinceMove: 2 }],
    ['few-shots', { shots: shots(35, 36) }],
    ['day-used-up', { judged: { action: 'dial-in', move: null, codes: ['run', 'limit'] } }],
    ['steady', { judged: { action: 'none', move: null, codes: ['on-time'] } }],
  ])('waits: %s', (why, change) => {
    expect(step(change)).toEqual({ do: 'wait', why });
  });

  it('keeps quiet over midnight, and one spoilt shot is no run', () => {
    const night = { quietFrom: '22:00', quietUntil: '06:00' };
    expect(['21:59', '22:00', '05:59', '06:00'].map((clock) => step({ clock }, night).do)).toEqual([
      'turn',
      'wait',
      'wait',
      'turn',
    ]);
    expect(step({ clock: '14:00', shots: shots(30, 34, 14, 34.5) }).do).toBe('turn');
    expect(step({ shotsSinceMove: 3 }).do).toBe('turn');
  });
});
