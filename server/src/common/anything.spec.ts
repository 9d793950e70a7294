import fc from 'fast-check';
import { v7 } from 'uuid';
import { furnish, testHouse, setupBody, shotBody, newIds, type Furnished } from '../testing/testHouse';

const house = testHouse();
let ids: Furnished;
beforeAll(async () => {
  ids = await furnish(house, ' anything');
});

/** What a client might send where something else was meant. */
const junk = fc.oneof(
  fc.constantFrom(
    null,
    true,
    '',
    'twelve',
    -1,
    0,
    1e9,
    -1e9,
    1e308,
    0.1 + 0.2,
    [],
    {},
    [[]],
    '\u0000',
    'a'.repeat(5000),
  ),
  fc.string({ maxLength: 30 }),
  fc.double(),
  fc.array(fc.integer(), { maxLength: 3 }),
  fc.dictionary(fc.string({ maxLength: 8 }), fc.integer(), { maxKeys: 3 }),
);

/** Every path into an object, nested ones too. */
function pathsOf(value: unknown, prefix: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [prefix];
  return [prefix, ...Object.entries(value).flatMap(([key, part]) => pathsOf(part, [...prefix, key]))].filter(
    (path) => path.length > 0,
  );
}

function withValue(body: object, [key, ...rest]: string[], value: unknown): object {
  const copy = (Array.isArray(body) ? [...(body as unknown[])] : { ...body }) as Record<string, unknown>;
  copy[key!] = rest.length === 0 ? value : withValue(copy[key!] as object, rest, value);
  return copy;
}

describe('whatever a client sends', () => {
  const templates: [string, () => { path: string; body: object }][] = [
    ['a shot', () => ({ path: `shots/${v7()}`, body: shotBody(ids, { tasting: { id: v7(), balance: 1, body: 0 } }) })],
    [
      'a set-up',
      () => {
        const fresh = newIds();
        return { path: `setup/${fresh.stationId}`, body: setupBody(fresh, ` ${v7()}`) };
      },
    ],
    [
      'a dial-in',
      () => {
        const { run } = setupBody(ids);
        return { path: `runs/${v7()}`, body: run };
      },
    ],
    [
      'a bag',
      () => ({
        path: `bags/${v7()}`,
        body: { coffeeId: ids.coffeeId, roastedOn: '2026-03-01', weightGrams: 1000, priceCents: 2900 },
      }),
    ],
    ['a grinder', () => ({ path: `grinders/${v7()}`, body: { ...setupBody(ids).grinder, name: `G ${v7()}` } })],
    [
      'a card',
      () => ({
        path: `runs/${v7()}/card`,
        body: { cardId: v7(), versionId: v7(), name: 'Card', purpose: 'black', recipe: { grind: 12, doseGrams: 18 } },
      }),
    ],
  ];

  it.each(templates)('as %s is answered, never with a 500, and a refusal names its field', async (_, template) => {
    await fc.assert(
      fc.asyncProperty(junk, fc.nat(), async (value, pick) => {
        const { path, body } = template();
        const paths = pathsOf(body);
        const at = paths[pick % paths.length]!;
        const answer = await house.api.put(`/api/${path}`).send(withValue(body, at, value));
        expect(answer.status).toBeLessThan(500);
        if (answer.status === 400 || answer.status === 422) {
          expect(answer.headers['content-type']).toContain('application/problem+json');
          expect((answer.body as { errors: object[] }).errors.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('as a question in the address is answered, never with a 500', async () => {
    const paths = ['grinders', 'coffees', 'bags', 'stations', 'runs', 'shots', 'tastings', 'cards', 'start', 'palates'];
    const names = ['page', 'pageSize', 'coffeeId', 'stationId', 'grinderId', 'doseGrams', 'middleSeconds'];
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...paths),
        fc.constantFrom(...names),
        fc.oneof(fc.string({ maxLength: 20 }), fc.constantFrom('0', '-1', '1e9', 'NaN', '%00', v7())),
        async (path, name, value) => {
          const { status } = await house.api.get(`/api/${path}`).query({ [name]: value });
          expect(status).toBeLessThan(500);
        },
      ),
      { numRuns: 120 },
    );
  });

  it('as an id is found or not found', async () => {
    for (const id of ['1', 'x', '%00', '../runs', v7()]) {
      for (const path of ['runs', 'shots', 'cards', 'grinders']) {
        const { status } = await house.api.get(`/api/${path}/${id}`);
        expect([400, 404]).toContain(status);
      }
    }
  });

  it.each([
    ['a list for an object', { planned: [] }, 'planned'],
    ['a list in a list', { seen: [[]] }, 'seen'],
    ['nothing in a list', { seen: [null] }, 'seen'],
  ])('%s is refused at its field', async (_, change, path) => {
    const answer = await house.api.put(`/api/shots/${v7()}`).send(shotBody(ids, change)).expect(400);
    const [error] = (answer.body as { errors: { path: string }[] }).errors;
    expect(error!.path.split('.')[0]).toBe(path);
  });

  it('nothing of a refused set-up is half-saved', async () => {
    const fresh = newIds();
    const body = setupBody(fresh, ' half');
    await house.api
      .put(`/api/setup/${fresh.stationId}`)
      .send({ ...body, run: { ...body.run, target: { ...body.run.target, doseGrams: -1 } } })
      .expect(400);
    for (const [path, id] of [
      ['grinders', fresh.grinderId],
      ['coffees', fresh.coffeeId],
      ['stations', fresh.stationId],
      ['runs', fresh.runId],
    ]) {
      await house.api.get(`/api/${path}/${id}`).expect(404);
    }
  });
});
