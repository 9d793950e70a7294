import 'fake-indexeddb/auto';
import { fakeHouse } from '../../testing/house';
import type { ShotDto } from '../app/api';
import { makeStore } from '../app/store';
import { saveShot, sendKept, tryAgain } from './keptShots';
import { tabletDb } from './tabletDb';

const shotDto = {
  stationId: 'station',
  pulledAt: '2026-03-01T06:43:00.000Z',
  timer: 'pump-on',
  seen: [],
  purged: true,
};
const save = (id: string) => makeStore().dispatch(saveShot(id, shotDto as unknown as ShotDto));
const kept = async (): Promise<string[]> => (await tabletDb.shots.toArray()).map(({ id }) => id);

beforeEach(() => tabletDb.shots.clear());

describe('a shot that is saved', () => {
  it('leaves the tablet once the server has it', async () => {
    fakeHouse({});
    expect(await save('a')).toEqual({ is: 'saved' });
    expect(await kept()).toEqual([]);
  });

  it('stays on the tablet while nobody answers, and goes once by itself', async () => {
    global.fetch = jest.fn(() => Promise.reject(new TypeError('no line')));
    expect(await save('b')).toEqual({ is: 'kept' });
    expect(await kept()).toEqual(['b']);
    const { written } = fakeHouse({});
    await makeStore().dispatch(sendKept());
    await makeStore().dispatch(sendKept());
    expect(await kept()).toEqual([]);
    expect(written.map(({ path }) => path)).toEqual(['/api/shots/b']);
  });

  it('is sent once where what is kept is sent while it is on its way', async () => {
    const { written } = fakeHouse({});
    const saving = save('f');
    while (!(await kept()).includes('f')) await Promise.resolve();
    await Promise.all([makeStore().dispatch(sendKept()), saving]);
    expect(written.map(({ path }) => path)).toEqual(['/api/shots/f']);
  });

  it('is waited for only so long where a line hangs', async () => {
    global.fetch = jest.fn(() => new Promise<Response>(() => {}));
    const began = performance.now();
    expect(await save('c')).toEqual({ is: 'kept' });
    expect(performance.now() - began).toBeLessThan(4000);
    expect(await kept()).toEqual(['c']);
  });

  it('stays with its reason where the server refuses it later, until a person decides', async () => {
    global.fetch = jest.fn(() => Promise.reject(new TypeError('no line')));
    expect(await save('e')).toEqual({ is: 'kept' });
    global.fetch = jest.fn(() =>
      Promise.resolve(
        new Response(JSON.stringify({ detail: 'No.', errors: [{ path: 'doseGrams', message: 'is too much' }] }), {
          status: 400,
          headers: { 'content-type': 'application/json' },
        }),
      ),
    );
    await makeStore().dispatch(sendKept());
    expect(await tabletDb.shots.get('e')).toMatchObject({ refused: 'dose (g) is too much' });
    const { written } = fakeHouse({});
    await makeStore().dispatch(sendKept());
    expect(written).toHaveLength(0);
    await tryAgain('e');
    await makeStore().dispatch(sendKept());
    expect(written).toHaveLength(1);
    expect(await kept()).toEqual([]);
  });

  it('is corrected where it was entered, where the server refuses it at once', async () => {
    const refusal = { status: 400, detail: 'No.', errors: [] };
    global.fetch = jest.fn(() =>
      Promise.resolve(
        new Response(JSON.stringify(refusal), { status: 400, headers: { 'content-type': 'application/json' } }),
      ),
    );
    expect(await save('d')).toMatchObject({ is: 'refused' });
    expect(await kept()).toEqual([]);
  });
});
