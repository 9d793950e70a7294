import { METHODS } from '@olvet/core';
import dayjs from 'dayjs';
import { v7 } from 'uuid';
import { dtoOf, furnish, GRINDER, testHouse, shotBody, type Furnished, type TestHouse } from '../testing/testHouse';

const house = testHouse();
let ids: Furnished;
beforeAll(async () => {
  ids = await furnish(house);
});

const put: TestHouse['put'] = (path, body) => house.put(path, body);
const get: TestHouse['get'] = (path) => house.get(path);
const daysAgo = (days: number): string => dayjs().subtract(days, 'day').format('YYYY-MM-DD');

describe('the shelf', () => {
  it('empties a bag with every shot and purge, and counts on from a weighing', async () => {
    const bagId = v7();
    const bag = { coffeeId: ids.coffeeId, weightGrams: 1000, roastedOn: daysAgo(12), openedOn: daysAgo(1) };
    await put(`bags/${bagId}`, bag).expect(200);
    const at = (minutesAgo: number) => dayjs().subtract(minutesAgo, 'minute').toISOString();
    await put(`shots/${v7()}`, shotBody(ids, { pulledAt: at(30), doseGrams: 18, grind: 14 })).expect(200);
    await put(`shots/${v7()}`, shotBody(ids, { pulledAt: at(20), doseGrams: 18, grind: 13 })).expect(200);
    const left = async () =>
      (await get<{ bags: { bagId: string; leftGrams: number }[] }>('stock')).bags.find((row) => row.bagId === bagId)!
        .leftGrams;
    // Two doses and one purge of 12 g after the grind was changed.
    expect(await left()).toBe(1000 - 36 - 12);
    await put(`bags/${bagId}`, { ...bag, revision: 1, weighedGrams: 700, weighedAt: at(25) }).expect(200);
    expect(await left()).toBe(700 - 18);
    const { pace } = await get<{ pace: { coffeeId: string; gramsPerDay: number }[] }>('stock');
    expect(pace.find(({ coffeeId }) => coffeeId === ids.coffeeId)!.gramsPerDay).toBeCloseTo(48 / 14, 5);
  });

  it('keeps frozen spells in order, and refuses those that cannot be', async () => {
    const bag = { coffeeId: ids.coffeeId, weightGrams: 250, roastedOn: daysAgo(30) };
    const spells = (frozen: object[]) => put(`bags/${v7()}`, { ...bag, frozen });
    await spells([{ from: daysAgo(20), to: daysAgo(10) }, { from: daysAgo(5) }]).expect(200);
    const refused = async (frozen: object[], path: string) => {
      const answer = await spells(frozen);
      expect([400, 422]).toContain(answer.status);
      expect((answer.body as { errors: { path: string }[] }).errors.map((error) => error.path)).toContain(path);
    };
    await refused([{ from: daysAgo(40), to: null }], 'frozen[0].from');
    await refused([{ from: daysAgo(10), to: daysAgo(12) }], 'frozen[0].to');
    await refused([{ from: daysAgo(20) }, { from: daysAgo(10) }], 'frozen[1].from');
    await refused([{ from: 'yesterday' }], 'frozen[0].from');
    await put(`bags/${v7()}`, { ...bag, weightGrams: -5 }).expect(400);
    await put(`bags/${v7()}`, { ...bag, weighedGrams: 260, weighedAt: new Date().toISOString() }).expect(422);
    await put(`bags/${v7()}`, { ...bag, weighedGrams: 200 }).expect(422);
  });

  it('counts what each has tasted today', async () => {
    const shotId = v7();
    await put(`shots/${shotId}`, shotBody(ids, { pulledAt: new Date().toISOString(), doseGrams: 18 })).expect(200);
    await put(`tastings/${v7()}`, { shotId, person: 'Ida', balance: 0, share: 1 }).expect(200);
    await put(`tastings/${v7()}`, { shotId, person: 'Ida', balance: 0.5 }).expect(200);
    const today = await get<{ person: string; cups: { share: number }[] }[]>('tasted-today');
    expect(today.find(({ person }) => person === 'Ida')!.cups.map(({ share }) => share)).toEqual([1, 0.25]);
  });
});

describe('the workshop', () => {
  it('keeps what a grinder has learned when it is edited', async () => {
    const { body } = await house.api.get(`/api/grinders/${ids.grinderId}`).expect(200);
    await house.sequelize.query(`UPDATE grinders SET "learnedSlope" = '{"mean":0.08,"sd":0.02,"shots":9}'`);
    const dto = dtoOf(body as object);
    const edited = await put(`grinders/${ids.grinderId}`, { ...dto, burrLifeKg: 600, groundKg: 40 }).expect(200);
    expect(edited.body.learnedSlope).toEqual({ mean: 0.08, sd: 0.02, shots: 9 });
    const wear = await get<{ grinderId: string; groundKg: number }[]>('wear');
    expect(wear.find(({ grinderId }) => grinderId === ids.grinderId)!.groundKg).toBeGreaterThan(40.03);
  });

  it('learns offset and first drip of a machine from its readings', async () => {
    const machine = { name: 'Calibrated', temperatureC: { min: 88, max: 97, step: 0.5 } };
    const readings = [1, 2, 3].map(() => ({ shownC: 93, measuredC: 91 }));
    const { body } = await put(`machines/${v7()}`, {
      ...machine,
      temperatureReadings: readings,
      firstDripReadings: [8, 8.4, 7.8],
    }).expect(200);
    expect(body.temperatureOffset).toMatchObject({ readings: 3, mean: expect.closeTo(-1.93, 2) });
    expect(body.firstDrip.mean).toBeGreaterThan(7.5);
    await put(`machines/${v7()}`, { ...machine, name: 'Wild', firstDripReadings: [8, -1] }).expect(400);
    await put(`machines/${v7()}`, { ...machine, name: 'Wild', valveReadings: [{ turns: 0 }] }).expect(400);
    await put(`machines/${v7()}`, { ...machine, name: 'Owned', firstDrip: { mean: 1 } }).expect(400);
  });

  it('fits a timed grinder from weighings and from doses logged with shots', async () => {
    const grinder = await furnish(house, ' timed');
    const { grinderId } = grinder;
    const desk = () =>
      get<{ model: { gramsPerSecond: number; weighings: number } | null }>(`weighings/of/${grinderId}`);
    expect((await desk()).model).toBeNull();
    const weighing = { grinderId, grind: 14, seconds: 4.5, grams: 18, weighedAt: new Date().toISOString() };
    const first = v7();
    await put(`weighings/${first}`, weighing).expect(200);
    const shot = shotBody(grinder, { pulledAt: new Date().toISOString(), grindSeconds: 4.6, doseGrams: 18.4 });
    await put(`shots/${v7()}`, shot).expect(200);
    expect((await desk()).model).toMatchObject({ weighings: 2, gramsPerSecond: expect.closeTo(4.35, 0) });
    await put(`weighings/${first}`, { ...weighing, revision: 1, removedAt: new Date().toISOString() }).expect(200);
    expect((await desk()).model!.weighings).toBe(1);
    await put(`weighings/${v7()}`, { ...weighing, seconds: 0 }).expect(400);
    await house.api.get(`/api/weighings/of/${v7()}`).expect(404);
  });

  it('hands the sheet what was measured: dose law, found dose, no scale', async () => {
    const station = await furnish(house, ' measured');
    type Sheet = { timedDose: object | null; foundDose: { grams: number } | null; hasScale: boolean };
    const sheet = () => get<Sheet>(`runs/${station.runId}/sheet`);
    expect(await sheet()).toMatchObject({ timedDose: null, foundDose: null, hasScale: true });
    const dose = { basketId: station.basketId, coffeeId: station.coffeeId, toleranceGrams: 0.3, how: 'coin' };
    await put(`doses/${v7()}`, { ...dose, grams: 17.2, foundAt: '2026-03-01T06:00:00Z' }).expect(200);
    await put(`doses/${v7()}`, { ...dose, grams: 17.6, foundAt: '2026-03-02T06:00:00Z' }).expect(200);
    const { body } = await house.api.get(`/api/stations/${station.stationId}`).expect(200);
    const dto = dtoOf(body as object);
    await put(`stations/${station.stationId}`, { ...dto, weighs: false }).expect(200);
    expect(await sheet()).toMatchObject({ foundDose: { grams: 17.6 }, hasScale: false });
  });
});

describe('own methods', () => {
  const clone = { ...METHODS[0]!, name: 'Harbour way' };

  it('are kept, named once, and serve a dial-in', async () => {
    const id = v7();
    const { body } = await put(`methods/${id}`, { basedOn: 'one-lever', method: clone }).expect(200);
    expect(body.method).toMatchObject({ id, name: 'Harbour way' });
    const taken = await put(`methods/${v7()}`, { basedOn: 'one-lever', method: clone }).expect(422);
    expect(taken.body.errors[0].path).toBe('name');
    const dto = dtoOf(await get<object>(`runs/${ids.runId}`));
    await put(`runs/${ids.runId}`, { ...dto, methodId: id }).expect(200);
    const sheet = await get<{ method: { name: string } }>(`runs/${ids.runId}/sheet`);
    expect(sheet.method.name).toBe('Harbour way');
    const unknown = await put(`runs/${ids.runId}`, { ...dto, revision: 2, methodId: v7() }).expect(422);
    expect(unknown.body.errors[0].path).toBe('methodId');
  });

  it('are completed with what the methods take for granted', async () => {
    const { confirmShots: _, tolerance: __, ...scant } = { ...clone, name: 'Scant way' };
    const { body } = await put(`methods/${v7()}`, { basedOn: 'one-lever', method: scant }).expect(200);
    expect(body.method).toMatchObject({ confirmShots: 0, tolerance: { balance: 0.6, body: 0.9 } });
  });

  it('are refused with the field that is wrong', async () => {
    const refused = async (change: object, words: RegExp) => {
      const answer = await put(`methods/${v7()}`, { basedOn: 'one-lever', method: { ...clone, ...change } }).expect(
        400,
      );
      expect(answer.body.errors[0]).toMatchObject({ path: 'method', message: expect.stringMatching(words) });
    };
    await refused({ windowSeconds: { min: 30, max: 20 } }, /windowSeconds\.max/);
    await refused({ balanceOrder: ['grind', 'grind'] }, /balanceOrder/);
    await refused({ balanceOrder: ['yield'] }, /locked/);
    await refused({ confirmShots: 1.5 }, /confirmShots/);
    await refused({ start: { doseGrams: 900, ratio: 2 } }, /start\.doseGrams/);
  });
});

describe('opening', () => {
  it('keeps one morning a station and day', async () => {
    const opening = { stationId: ids.stationId, day: daysAgo(0), switchedOnAt: new Date().toISOString() };
    const id = v7();
    await put(`openings/${id}`, { ...opening, done: ['switched-on'], roomC: 19, humidityPercent: 55 }).expect(200);
    const twice = await put(`openings/${v7()}`, opening).expect(422);
    expect(twice.body.errors).toHaveLength(1);
    await put(`openings/${v7()}`, { ...opening, day: '2099-01-01' }).expect(400);
    await put(`openings/${v7()}`, { ...opening, done: ['danced'] }).expect(400);
    const { items } = await get<{ items: object[] }>(`openings?stationId=${ids.stationId}`);
    expect(items).toHaveLength(1);
  });

  it('feeds a calendar that others can read', async () => {
    const answer = await house.api.get('/api/calendar.ics').expect(200);
    expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
    expect(answer.text).toMatch(/^BEGIN:VCALENDAR\r\n/);
    expect(answer.text).toContain('SUMMARY:Switch on Twin');
    expect(answer.text).toContain('RRULE:FREQ=DAILY');
    expect(answer.text).toContain('Last of the best days of Saltmarsh');
    expect(answer.text.match(/BEGIN:VEVENT/g)!.length).toBe(answer.text.match(/END:VEVENT/g)!.length);
  });

  it('refuses a step larger than the scale, as ever', async () => {
    await put(`grinders/${v7()}`, { ...GRINDER, name: 'Coarse', step: 50 }).expect(400);
  });
});
