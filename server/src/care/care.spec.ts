import dayjs from 'dayjs';
import { v7 } from 'uuid';
import type { CareItemView, CareView } from './care.dto';
import { furnish, shotBody, testHouse, type Furnished } from '../testing/testHouse';

const house = testHouse();
const ago = (days: number): string => dayjs().subtract(days, 'day').toISOString();
const pathsOf = ({ body }: { body: { errors: { path: string }[] } }) => body.errors.map(({ path }) => path);

async function item(task: string, where: { machineId?: string; grinderId?: string } = {}): Promise<CareItemView> {
  const { items } = await house.get<CareView>('care');
  return items.find(
    (each) =>
      each.task === task &&
      each.machineId === (where.machineId ?? null) &&
      each.grinderId === (where.grinderId ?? null),
  )!;
}
const done = (body: object, id = v7()) => house.put(`care-done/${id}`, { at: ago(0), ...body });
const shots = async (ids: Furnished, count: number, pulledAt: string): Promise<void> => {
  for (let i = 0; i < count; i += 1)
    await house.put(`shots/${v7()}`, shotBody(ids, { pulledAt, doseGrams: 20 })).expect(200);
};

describe('care', () => {
  it('is counted from when it was done last, in days, shots and coffee', async () => {
    const { machineId, grinderId, ...ids } = await furnish(house, ' counted');
    await shots({ machineId, grinderId, ...ids }, 3, ago(9));
    await shots({ machineId, grinderId, ...ids }, 2, ago(1));
    expect(await item('burrs', { grinderId })).toMatchObject({
      since: { shots: 5, kg: 0.1 },
      isDue: false,
      share: null,
    });
    await done({ task: 'burrs', grinderId, at: ago(3) }).expect(200);
    expect((await item('burrs', { grinderId })).since).toEqual({ days: 3, shots: 2, kg: 0.04 });
    await done({ task: 'backflush', machineId, at: ago(8) }).expect(200);
    expect(await item('backflush', { machineId })).toMatchObject({ isDue: true, since: { days: 8 } });
  });

  it('says by whom, and is taken back', async () => {
    const { machineId } = await furnish(house, ' said');
    const id = v7();
    const body = { task: 'soak', machineId, at: ago(0) };
    await done({ task: 'soak', machineId, at: ago(8) }).expect(200);
    await done(body, id).set('Olvet-Person', 'Oda').expect(200);
    expect(await item('soak', { machineId })).toMatchObject({ isDue: false, last: { id, changedBy: 'Oda' } });
    await house.put(`care-done/${id}`, { ...body, removedAt: ago(0), revision: 1 }).expect(200);
    expect(await item('soak', { machineId })).toMatchObject({ isDue: true, since: { days: 8 } });
    const { items } = await house.get<{ items: { id: string }[] }>('care-done');
    expect(items.map((row) => row.id)).not.toContain(id);
  });

  it('falls due by the shop’s own rule', async () => {
    const { machineId, ...ids } = await furnish(house, ' ruled');
    await shots({ machineId, ...ids }, 4, ago(1));
    await done({ task: 'descale', machineId, at: ago(2) }).expect(200);
    expect(await item('descale', { machineId })).toMatchObject({ isDue: false, dueOn: null });
    const id = v7();
    await house.put(`care-rules/${id}`, { task: 'descale', machineId, everyShots: 4 }).expect(200);
    expect(await item('descale', { machineId })).toMatchObject({ isDue: true, every: { shots: 4 } });
    await house.put(`care-rules/${id}`, { task: 'descale', machineId, everyDays: 90, revision: 1 }).expect(200);
    const dueOn = dayjs().add(88, 'day').format('YYYY-MM-DD');
    expect(await item('descale', { machineId })).toMatchObject({ isDue: false, dueOn });
  });

  it('is refused where it is not done', async () => {
    const { machineId, grinderId } = await furnish(house, ' elsewhere');
    expect(pathsOf(await done({ task: 'backflush' }).expect(422))).toEqual(['machineId']);
    expect(pathsOf(await done({ task: 'brush-out', machineId }).expect(422))).toEqual(['machineId', 'grinderId']);
    expect(pathsOf(await done({ task: 'water', grinderId }).expect(422))).toEqual(['grinderId']);
    expect(pathsOf(await done({ task: 'polish' }).expect(400))).toEqual(['task']);
    expect(pathsOf(await done({ task: 'soak', machineId: v7() }).expect(422))).toEqual(['machineId']);
    const rule = { task: 'backflush', machineId, everyDays: 0 };
    expect(pathsOf(await house.put(`care-rules/${v7()}`, rule).expect(400))).toEqual(['everyDays']);
  });

  it('stands in the calendar on the day it falls due', async () => {
    const { grinderId } = await furnish(house, ' dated');
    await done({ task: 'brush-out', grinderId, at: ago(2) }).expect(200);
    const { text } = await house.api.get('/api/calendar.ics').expect(200);
    const event = text
      .replaceAll('\r\n ', '')
      .split('BEGIN:VEVENT')
      .find((each) => each.includes(`care-brush-out-${grinderId}`));
    expect(event).toContain(`DTSTART;VALUE=DATE:${dayjs().add(5, 'day').format('YYYYMMDD')}`);
    expect(event).toContain('unplug');
  });
});
