import { v7 } from 'uuid';
import { furnish, testHouse } from '../testing/testHouse';
import type { HappenedListView } from './handOver.dto';

let now = Date.parse('2026-03-02T09:00:00Z');
const house = testHouse({ now: () => now });
const iso = () => new Date(now).toISOString();
const happened = (since: string) => house.get<HappenedListView>('happened', { since });

describe('handing over', () => {
  it('tells what was done since then, in its order, and not what was taken back', async () => {
    const { stationId } = await furnish(house, ' over');
    const began = iso();
    const turn = { stationId, at: iso(), answer: 'turned', toGrind: 13.5, why: 'Three shots in a row.' };
    await house.put(`day-moves/${v7()}`, turn).expect(200);
    now += 60_000;
    const wrong = { stationId, kind: 'cleaned', at: iso() };
    const id = v7();
    await house.put(`station-events/${id}`, wrong).expect(200);
    await house.put(`station-events/${id}`, { ...wrong, removedAt: iso(), revision: 1 }).expect(200);
    await house.put(`station-events/${v7()}`, { ...wrong, kind: 'hopper-filled' }).expect(200);
    const { items, lastHandOver } = await happened(began);
    expect(lastHandOver).toBeNull();
    expect(items.map(({ kind }) => kind)).toEqual(['turned', 'hopper-filled']);
    expect(items[0]).toMatchObject({
      ...{ stationName: 'Left bar over', fromGrind: 14, toGrind: 13.5, why: 'Three shots in a row.', isKeeper: false },
    });
    now += 60_000;
    expect((await happened(iso())).items).toEqual([]);
  });

  it('keeps a note for whoever comes next, with who wrote it', async () => {
    const handOver = { since: iso(), at: iso(), note: 'The left one runs a little short.' };
    const named = house.put(`hand-overs/${v7()}`, handOver).set('Olvet-Person', 'Oda');
    await named.expect(200);
    expect((await happened(iso())).lastHandOver).toMatchObject({ note: handOver.note, changedBy: 'Oda' });
  });

  it('refuses a beginning that is none', async () => {
    await house.api.get('/api/happened').query({ since: 'breakfast' }).expect(400);
    await house.api.get('/api/happened').expect(400);
  });
});
