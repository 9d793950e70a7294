import { v7 } from 'uuid';
import { furnish, shotBody, TARGET, testHouse, type Furnished } from '../testing/testHouse';
import { packTrace, unpackTrace } from '../shots/packTrace';

let now = Date.now();
const house = testHouse({ now: () => now });
let ids: Furnished;
beforeAll(async () => {
  ids = await furnish(house);
});

const { doseGrams, yieldGrams, timeSeconds, timer } = TARGET;
const plan = { grind: 14, doseGrams, yieldGrams, timeSeconds, timer };
const pullBody = (ownerId: string, change: object = {}) => ({
  ...{ stationId: ids.stationId, runId: ids.runId, kind: 'dial-in', ownerId, ownerName: 'Ines', plan },
  ...{ marks: [], deviceIds: [], ...change },
});

/** A minute at twenty readings a second: drops from 6 s on, a scale that shakes. */
function longTrace() {
  const rows = Array.from({ length: 1200 }, (_, i) => {
    const seconds = i / 20;
    // Nothing is never less than nothing.
    const grams = Math.round(10 * (Math.max(0, 1.3 * (seconds - 6)) + 0.2 * Math.sin(i * 7.3))) / 10 || 0;
    return [seconds, grams, Math.round(100 * (9 + 0.1 * Math.sin(i * 3.1))) / 100, 93 + ((i * 37) % 10) / 10];
  });
  return {
    columns: ['seconds', 'grams', 'bar', 'celsius'] as ('seconds' | 'grams' | 'bar' | 'celsius')[],
    rows,
    marks: [
      { kind: 'pump-on' as const, seconds: 0 },
      { kind: 'spurt' as const, seconds: 14, clock: 2 },
    ],
  };
}

describe('a shot being pulled', () => {
  it('is written by the tablet that holds it and by no other', async () => {
    const [id, mine, other] = [v7(), v7(), v7()];
    await house.put(`pulls/${id}`, pullBody(mine)).expect(200);
    const marks = [{ kind: 'covered', seconds: 5.2 }];
    await house.put(`pulls/${id}`, pullBody(mine, { startedAt: new Date(now).toISOString(), marks })).expect(200);
    expect(await house.get(`pulls/${id}`)).toMatchObject({ marks, ownerName: 'Ines' });
    const refused = await house.put(`pulls/${id}`, pullBody(other)).expect(409);
    expect(refused.body.errors[0].path).toBe('ownerId');
    expect(await house.get<object[]>('pulls')).toHaveLength(1);
    await house.put(`pulls/${id}`, pullBody(mine, { endedAt: new Date(now).toISOString() })).expect(200);
    expect(await house.get<object[]>('pulls')).toHaveLength(0);
  });

  it('is handed over after asking: given at once, kept by its holder, or taken where no answer comes', async () => {
    const [id, mine, other] = [v7(), v7(), v7()];
    await house.put(`pulls/${id}`, pullBody(mine)).expect(200);
    const ask = (tabletId: string) => house.api.post(`/api/pulls/${id}/asked`).send({ tabletId, name: 'Oda' });
    const give = (tabletId: string, toId: string) => house.api.post(`/api/pulls/${id}/holder`).send({ tabletId, toId });
    await give(other, other).expect(409);
    await ask(other).expect(200);
    await give(other, other).expect(409);
    expect((await give(mine, mine).expect(200)).body).toMatchObject({ ownerId: mine, askedById: null });
    await ask(other).expect(200);
    now += 11_000;
    expect((await give(other, other).expect(200)).body).toMatchObject({ ownerId: other, ownerName: 'Oda' });
    await house.put(`pulls/${id}`, pullBody(mine)).expect(409);
    await house.put(`pulls/${id}`, pullBody(other)).expect(200);
  });
});

describe('the trace of a shot', () => {
  it('is kept in less than 8 kB for a minute at 20 Hz, and read as it was written', () => {
    const trace = longTrace();
    const body = packTrace(trace);
    expect(body.length).toBeLessThan(8000);
    expect(unpackTrace(body)).toEqual(trace);
  });

  it('is saved with its shot, gives its figures, and stays when the shot is corrected', async () => {
    const id = v7();
    const trace = { ...longTrace(), marks: [...longTrace().marks, { kind: 'pump-off', seconds: 34 }] };
    await house.put(`shots/${id}`, shotBody(ids, { trace, soakSeconds: 0, coverSeconds: 5.2 })).expect(200);
    const stored = await house.get<{ traced: { line: number[]; summary: object } }>(`shots/${id}`);
    expect(stored.traced.line[30]).toBeGreaterThan(29);
    expect(await house.get(`shots/${id}/trace`)).toEqual(trace);
    await house.put(`shots/${id}`, shotBody(ids, { coverSeconds: 5.2, revision: 1, note: 'corrected' })).expect(200);
    expect(await house.get(`shots/${id}/trace`)).toEqual(trace);
    const sheet = await house.get<{ shots: { id: string; traced: object }[] }>(`runs/${ids.runId}/sheet`);
    expect(sheet.shots.find((shot) => shot.id === id)!.traced).toEqual(stored.traced);
    await house.api.get(`/api/shots/${v7()}/trace`).expect(404);
  });

  it.each([
    ['columns', { columns: ['grams', 'seconds'] }],
    [
      'rows[1]',
      {
        rows: [
          [0, 0, 9, 93],
          [1, 1],
        ],
      },
    ],
    [
      'rows[1]',
      {
        rows: [
          [1, 0, 9, 93],
          [0, 1, 9, 93],
        ],
      },
    ],
    ['rows[0]', { rows: [[0, 1e6, 9, 93]] }],
    ['marks[0].kind', { marks: [{ kind: 'cough', seconds: 1 }] }],
    ['more', { more: 1 }],
  ])('is refused in words where %s is wrong', async (field, change) => {
    const body = shotBody(ids, { trace: { ...longTrace(), ...change } });
    const refused = await house.put(`shots/${v7()}`, body).expect(400);
    expect(refused.body.errors[0]).toMatchObject({ path: 'trace', message: expect.stringContaining(field) });
  });
});
