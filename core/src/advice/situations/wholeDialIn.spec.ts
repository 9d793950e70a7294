import { createRandom, idealShot, PLAIN_WORLD, pullShot, STEADY_BARISTA, type Barista } from '../../puck';
import { advise, type Advice, type AdviceRequest, type Settings } from '..';
import { everydayRequest, measuredShot } from '../advice.fixture';
import { adviceRequestSchema } from '../../contract/request';

const MOST_SHOTS = 14;
const WINDOW = { min: 25, max: 32 };

interface Played {
  said: Advice[];
  /** What stood on the machine at every shot. */
  stood: Settings[];
  last: Advice;
}

/** Plays one dial-in against the simulated puck until it is dialled or the bag is nearly gone. */
function dialIn(seed: string, change: Partial<AdviceRequest> = {}, barista: Barista = STEADY_BARISTA): Played {
  const random = createRandom(seed);
  const ask = (shots: AdviceRequest['shots']): Advice =>
    advise(adviceRequestSchema.parse(everydayRequest({ ...change, shots })));
  const shots: AdviceRequest['shots'] = [];
  const said = [ask(shots)];
  const stood: Settings[] = [];
  while (said.at(-1)!.action !== 'dialled' && shots.length < MOST_SHOTS) {
    const { settings } = said.at(-1)!;
    const pulled = pullShot({
      world: PLAIN_WORLD,
      settings: { ...settings, temperatureC: settings.temperatureC ?? 93 },
      barista,
      previousGrind: stood.at(-1)?.grind ?? null,
      random,
    });
    stood.push(settings);
    shots.push(measuredShot(settings, pulled));
    said.push(ask(shots));
  }
  return { said, stood, last: said.at(-1)! };
}

/** The longest run of shots at the same settings. */
function longestStay(stood: readonly Settings[]): number {
  let longest = 0;
  let stay = 0;
  stood.forEach((settings, i) => {
    stay = JSON.stringify(settings) === JSON.stringify(stood[i - 1]) ? stay + 1 : 1;
    longest = Math.max(longest, stay);
  });
  return longest;
}

const SEEDS = ['a', 'b', 'c', 'd', 'e', 'f'];
const target = { ...everydayRequest().target, timeSeconds: WINDOW };

describe('a whole dial-in', () => {
  it.each([18, 14, 9])('started at grind %s ends at settings that pour and taste right, nearly always', (grind) => {
    const ends = SEEDS.map((seed) => dialIn(`${seed}${grind}`, { start: { grind }, target }));
    const right = ends.filter(({ stood, last }) => {
      const settings = stood.at(-1)!;
      const { puck, taste } = idealShot(PLAIN_WORLD, { ...settings, temperatureC: settings.temperatureC ?? 93 });
      const inTime = puck.pumpOnSeconds > WINDOW.min - 1.5 && puck.pumpOnSeconds < WINDOW.max + 1.5;
      return last.action === 'dialled' && inTime && Math.abs(taste.balance) < 0.9 && Math.abs(taste.body) < 1.2;
    });
    expect(right.length).toBeGreaterThanOrEqual(SEEDS.length - 1);
    const shots = ends.map(({ stood }) => stood.length);
    expect(shots.reduce((a, b) => a + b, 0) / shots.length).toBeLessThan(8);
  });

  it('does not ask for a better puck for ever: where every puck breaks open, the bed is loosened', () => {
    const hopeless = { ...STEADY_BARISTA, channelChance: 1 };
    for (const seed of SEEDS) {
      const { stood } = dialIn(seed, { start: { grind: 3 }, target }, hopeless);
      expect(longestStay(stood)).toBeLessThanOrEqual(3);
      expect(stood[5]!.grind).toBeGreaterThan(3);
    }
  });
});
