import { createRandom, findMethod, type Settings } from '../../core/src/index';
import { firstSettings, LOST, MAX_SHOTS, oracle, play, type Policy } from './play';
import { rule, stepper } from './rules';
import { brewSettings, COMFORTABLE, findRight, isRight, scenarios, timeOf, type Game, type Physics } from './worlds';

const everyPhysics = describe.each(['held-out', 'curves'] as const);

/** The first worlds of a scenario. */
function gamesOf(physics: Physics, name: string, count: number): Game[] {
  const { draw } = scenarios(physics).find((scenario) => scenario.name === name)!;
  const games: Game[] = [];
  for (let i = 0; games.length < count; i += 1) {
    const game = draw(createRandom(`spec/${name}/${i}`));
    if (game) games.push(game);
  }
  return games;
}

/** Pulls these settings, one after the other, and claims after the last. */
const script = (...next: Settings[]): Policy => ({
  name: 'script',
  start: () => {
    const left = [...next];
    return () => {
      const settings = left.shift();
      return settings ? { claim: false, next: settings } : { claim: true };
    };
  },
});
const never: Policy = { name: 'never', start: () => (_shots, at) => ({ claim: false, next: at }) };
const hand = () => createRandom('hand');

/** The same recipe ground so coarse that it gushes. */
function gush(game: Game, at: Settings): Settings {
  return { ...at, grind: game.world.coarserSign === 1 ? game.grindScale.max : game.grindScale.min };
}

it('plays the asked-for method wherever a scenario has none of its own', () => {
  const methods = scenarios('curves', findMethod('one-lever')).map(({ name, draw }) => {
    for (let i = 0; ; i += 1) {
      const game = draw(createRandom(`method/${name}/${i}`));
      if (game) return [name, game.method.id];
    }
  });
  const own = { 'light, open light': 'open-light', 'total contact, slow soak': 'slow-soak' };
  expect(Object.fromEntries(methods)).toMatchObject({
    'unknown grinder': 'one-lever',
    'already right': 'one-lever',
    ...own,
  });
});

it('lets a strict taster mark lower, and say the same words', () => {
  const [game] = gamesOf('held-out', 'known grinder', 1) as [Game];
  const cupOf = (strictness: number) => {
    const seen: Parameters<ReturnType<Policy['start']>>[0] = [];
    const listen: Policy = {
      name: 'listen',
      start: () => (shots) => {
        seen.push(shots[0]!);
        return { claim: true };
      },
    };
    play({ ...game, strictness }, listen, hand());
    return seen[0]!.taste!;
  };
  const usual = cupOf(0);
  const lower = (mark: number | null | undefined) => Math.max(0, mark! - 2);
  expect(cupOf(2)).toEqual({ ...usual, overall: lower(usual.overall), sweetness: lower(usual.sweetness) });
  expect(cupOf(20)).toMatchObject({ overall: 0, sweetness: 0, balance: usual.balance });
});

everyPhysics('worlds of %s physics', (physics) => {
  const [game] = gamesOf(physics, 'known grinder', 1) as [Game];
  const right = findRight(game, COMFORTABLE)!;
  const { world } = game;
  const settings = { ...right, temperatureC: right.temperatureC ?? 93 };
  const at = (change: Partial<typeof settings>) => world.ideal({ ...settings, ...change }, 1);

  it('pour slower with finer grounds, more coffee, more yield and a tighter bed', () => {
    const plain = at({}).pumpOnSeconds;
    expect(at({ grind: right.grind - 1.5 * world.coarserSign }).pumpOnSeconds).toBeGreaterThan(plain);
    expect(at({ doseGrams: right.doseGrams + 1 }).pumpOnSeconds).toBeGreaterThan(plain);
    expect(at({ yieldGrams: right.yieldGrams + 4 }).pumpOnSeconds).toBeGreaterThan(plain);
    expect(world.ideal(settings, 1.2).pumpOnSeconds).toBeGreaterThan(plain);
  });

  it('taste more bitter finer, longer and hotter, and thinner longer', () => {
    const plain = at({}).taste;
    expect(at({ grind: right.grind - 1.5 * world.coarserSign }).taste.balance).toBeGreaterThan(plain.balance);
    expect(at({ yieldGrams: right.yieldGrams + 4 }).taste.balance).toBeGreaterThan(plain.balance);
    expect(at({ temperatureC: settings.temperatureC + 2 }).taste.balance).toBeGreaterThan(plain.balance);
    expect(at({ yieldGrams: right.yieldGrams + 4 }).taste.body).toBeLessThan(plain.body);
  });

  it('scatter around the noise-free shot without leaning to a side', () => {
    const random = createRandom('scatter');
    const barista = { ...game.barista, channelChance: 0 };
    const shots = Array.from({ length: 300 }, () =>
      world.pull({ settings, barista, previousGrind: null, drift: 1, random }),
    );
    const mean = (of: (shot: (typeof shots)[number]) => number) => shots.reduce((sum, shot) => sum + of(shot), 0) / 300;
    const ideal = at({});
    expect(Math.log(mean((shot) => shot.pumpOnSeconds) / ideal.pumpOnSeconds)).toBeCloseTo(0, 1);
    expect(Math.abs(mean((shot) => shot.taste.balance) - ideal.taste.balance)).toBeLessThan(0.12);
    expect(Math.abs(mean((shot) => shot.taste.body) - ideal.taste.body)).toBeLessThan(0.12);
  });

  it('pour a mixture of two grinds between the two', () => {
    const from = right.grind + 4 * world.coarserSign;
    const barista = {
      ...game.barista,
      channelChance: 0,
      unpurgedChance: 1,
      puckSd: 0,
      doseSdGrams: 0,
      yieldSdGrams: 0,
    };
    const mixed = world.pull({ settings, barista, previousGrind: from, drift: 1, random: hand() });
    expect(mixed.purged).toBe(false);
    expect(mixed.pumpOnSeconds).toBeLessThan(at({}).pumpOnSeconds);
    expect(mixed.pumpOnSeconds).toBeGreaterThan(at({ grind: from }).pumpOnSeconds);
  });
});

// Drawing mechanistic games takes seconds each under test; what a scenario makes of a world is the same for both.
describe('the scenarios', () => {
  const physics = 'curves';

  it('can all be dialled in, comfortably and within the limits', () => {
    for (const { name } of scenarios(physics)) {
      for (const one of gamesOf(physics, name, 5)) {
        const { grind, doseGrams } = findRight(one)!;
        expect(grind).toBeGreaterThanOrEqual(one.grindScale.min);
        expect(grind).toBeLessThanOrEqual(one.grindScale.max);
        expect(doseGrams).toBeGreaterThanOrEqual(one.basket.minGrams);
        expect(doseGrams).toBeLessThanOrEqual(one.basket.maxGrams);
      }
    }
  });

  it('count the same shot on every clock', () => {
    for (const { world: other, target } of gamesOf(physics, 'total contact, slow soak', 3)) {
      const shot = other.ideal({ ...target, grind: 15 }, 1);
      expect(shot.totalContactSeconds - shot.pumpOnSeconds).toBeCloseTo(20, 5);
      expect(shot.firstDripSeconds).toBeLessThan(shot.totalContactSeconds);
    }
  });

  it('begin right where nothing has changed, and wrong the morning after a drift', () => {
    for (const one of gamesOf(physics, 'already right', 8)) expect(isRight(one, firstSettings(one))).toBe(true);
    const drifted = gamesOf(physics, 'morning after drift', 8);
    expect(drifted.some((one) => !isRight(one, firstSettings(one)))).toBe(true);
  });
});

describe('the score of a game', () => {
  const [game] = gamesOf('curves', 'already right', 1) as [Game];
  const start = firstSettings(game);

  it('is the number of shots when the claim is right', () => {
    expect(play(game, script(), hand())).toMatchObject({ score: 1, claimed: true, falseClaim: false, firstGood: 1 });
    expect(play(game, script(start, start), hand())).toMatchObject({ score: 3, needlessMoves: 0 });
  });

  it('is lost when the claim is wrong or never comes', () => {
    const wrong = gush(game, start);
    expect(play(game, script(wrong), hand())).toMatchObject({ score: LOST, claimed: true, falseClaim: true });
    expect(play(game, never, hand())).toMatchObject({ score: LOST, claimed: false, falseClaim: false });
    expect(play(game, never, hand()).grams / MAX_SHOTS).toBeCloseTo(start.doseGrams, 0);
  });

  it('tells a claim that misses by a hair from one that misses by far', () => {
    const steady = { ...game, humiditySd: 0 };
    const seconds = timeOf(steady, steady.world.ideal(brewSettings(start), 1));
    const claimed = (missedBy: number) =>
      play({ ...steady, target: { ...steady.target, min: seconds + missedBy, max: seconds + 30 } }, script(), hand());
    expect(claimed(0.4)).toMatchObject({ falseClaim: false, farClaim: false });
    expect(claimed(1)).toMatchObject({ falseClaim: true, farClaim: false });
    expect(claimed(1.6)).toMatchObject({ falseClaim: true, farClaim: true });
    expect(play(steady, never, hand())).toMatchObject({ farClaim: false });
  });

  it('counts moves away from what was right, and the purge they cost', () => {
    const steady = { ...game, barista: { ...game.barista, unpurgedChance: 0, doseSdGrams: 0 } };
    const moved = play(steady, script(gush(game, start), start), hand());
    expect(moved).toMatchObject({ score: 3, needlessMoves: 1, firstGood: 1 });
    expect(moved.grams).toBeCloseTo(3 * start.doseGrams + 2 * 12, 5);
  });

  it('judges an interval by the time that came', () => {
    const predicting = (p10: number, p90: number): Policy => ({
      name: 'predicting',
      start: () => (_shots, at) => ({
        claim: false,
        next: at,
        expect: {
          timeSeconds: { mean: p10, p10, p90 },
          balance: { mean: 0, p10: 0, p90: 0 },
          body: { mean: 0, p10: 0, p90: 0 },
          inWindow: 0,
          asWanted: 0,
        },
      }),
    });
    expect(play(game, predicting(1, 300), hand())).toMatchObject({ predicted: MAX_SHOTS - 1, covered: MAX_SHOTS - 1 });
    expect(play(game, predicting(1, 2), hand())).toMatchObject({ predicted: MAX_SHOTS - 1, covered: 0 });
  });

  it('is the same every time', () => {
    expect(play(game, rule(true), hand())).toEqual({ ...play(game, rule(true), hand()), answerMs: expect.any(Array) });
  });
});

describe('the policies to compare with', () => {
  const games = (['held-out', 'curves'] as const).flatMap((physics) =>
    gamesOf(physics, 'known grinder', physics === 'curves' ? 40 : 2),
  );
  const mean = (policy: Policy) =>
    games.reduce((sum, game) => sum + play(game, policy, hand()).score, 0) / games.length;

  it('stand in the order of what they know', () => {
    const knowing = mean(oracle((game) => findRight(game, COMFORTABLE)!));
    expect(knowing).toBeLessThan(2.5);
    expect(mean(rule(false))).toBeGreaterThan(knowing);
    expect(mean(rule(false))).toBeLessThan(mean(stepper));
  });

  it('turn the grind the way the time asks for', () => {
    const [game] = games as [Game];
    const answer = (seconds: number) =>
      rule(false).start(game)([{ grind: 20, timeSeconds: seconds, taste: { balance: 0, body: 0 } }], {
        ...firstSettings(game),
        grind: 20,
      });
    const finerBy = (seconds: number) => {
      const said = answer(seconds);
      return said.claim ? 0 : -game.world.coarserSign * (said.next.grind - 20);
    };
    expect(finerBy(18)).toBeGreaterThan(0);
    expect(finerBy(45)).toBeLessThan(0);
    expect(answer(30)).toEqual({ claim: true });
  });
});
