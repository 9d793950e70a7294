import { GRINDER, TARGET, testHouse } from '../testing/testHouse';

const house = testHouse();
const request = (id: number) => ({
  ...{ schema: 'olvet.advice-request/1', id: String(id), method: 'balance-walk', target: TARGET },
  grinder: { ...GRINDER, name: undefined },
  basket: { nominalGrams: 18, minGrams: 16, maxGrams: 20 },
  machine: { temperatureC: null },
  coffee: { roast: 'medium' },
  shots: [22, 24].map((timeSeconds) => ({ grind: 14, doseGrams: 18, yieldGrams: 36, timeSeconds })),
});
const ask = (id: number) => house.api.post('/api/advice').send(request(id));

describe('advice asked by many at once', () => {
  it('is answered as by one alone, or asked to come again, and never keeps the board waiting', async () => {
    const alone = await ask(0).expect(200);
    const many = Array.from({ length: 60 }, (_, n) => ask(n + 1).then((answer) => answer));
    const board = await house.api.get('/api/board');
    const answers = await Promise.all(many);
    expect(board.status).toBe(200);
    const [given, refused] = [200, 503].map((status) => answers.filter((answer) => answer.status === status));
    expect(given!.length).toBeGreaterThan(10);
    expect(refused!.length).toBeGreaterThan(0);
    expect(given!.length + refused!.length).toBe(many.length);
    for (const { headers } of refused!) expect(headers['retry-after']).toBe('1');
    const expected = { ...(alone.body as object), id: null };
    for (const { body } of given!) expect({ ...(body as object), id: null }).toEqual(expected);
  });
});
