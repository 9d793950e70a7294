import dayjs from 'dayjs';
import { v7 } from 'uuid';
import { furnish, shotBody, testHouse } from '../testing/testHouse';
import type { PreparedView } from './preparation.dto';

const house = testHouse();
const WAY = { distribution: 'by-hand', levelling: 'none', tamp: 'by-hand', mist: 'no', tap: 'no' };
const ago = (days: number, minutes = 0): string => dayjs().subtract(days, 'day').add(minutes, 'minute').toISOString();

describe('preparation', () => {
  it('is kept from when on, and compared by how evenly it poured', async () => {
    const ids = await furnish(house, ' compared');
    const way = (body: object) => house.put(`preparations/${v7()}`, { stationId: ids.stationId, ...body }).expect(200);
    await way({ ...WAY, at: ago(8) });
    await way({ ...WAY, distribution: 'needles', at: ago(4) });
    const pour = async (day: number, times: number[], seen: object[]): Promise<void> => {
      for (const [i, timeSeconds] of times.entries())
        await house.put(`shots/${v7()}`, shotBody(ids, { pulledAt: ago(day, i), timeSeconds, seen })).expect(200);
    };
    await pour(6, [24, 33, 27, 22, 35, 29, 25, 34], [{ sign: 'spurts', clock: 2 }]);
    await pour(2, [28, 28.4, 27.8, 28.2, 28.1, 27.9, 28.3, 28], [{ sign: 'clean' }]);
    const rows = await house.get<PreparedView[]>(`stations/${ids.stationId}/prepared`);
    expect(rows).toMatchObject([
      { changed: ['distribution'], shots: 8, looked: 8, uneven: 0, comparison: 'steadier' },
      { changed: [], shots: 8, looked: 8, uneven: 8, comparison: 'unknown' },
    ]);
    expect(rows[0]!.spread).toBeLessThan(0.02);
    expect(rows[1]!.spread).toBeGreaterThan(0.12);
  });

  it('said by mistake never was', async () => {
    const { stationId } = await furnish(house, ' mistaken');
    const [id, body] = [v7(), { ...WAY, stationId, at: ago(1) }];
    await house.put(`preparations/${id}`, body).expect(200);
    await house.put(`preparations/${id}`, { ...body, removedAt: ago(0), revision: 1 }).expect(200);
    expect(await house.get(`stations/${stationId}/prepared`)).toEqual([]);
  });

  it('is refused where it cannot be', async () => {
    const { stationId } = await furnish(house, ' refused');
    const body = { ...WAY, stationId, at: ago(1) };
    await house.put(`preparations/${v7()}`, { ...body, tamp: 'jump' }).expect(400);
    await house.put(`preparations/${v7()}`, { ...body, stationId: v7() }).expect(404);
    await house.api.get(`/api/stations/${v7()}/prepared`).expect(404);
  });
});
