import { fakeHouse, pageOf } from '../../testing/house';
import { sheetView, shotView } from '../../testing/sheet.fixture';
import { api, type ShotDto } from './api';
import { makeStore } from './store';

/** Two sheets and the board on one page; tells what was read again after a write. */
async function readAgainAfter(write: (store: ReturnType<typeof makeStore>) => Promise<unknown>): Promise<string[]> {
  const read: string[] = [];
  const counted = (path: string, reply: object) => () => {
    read.push(path);
    return reply;
  };
  const other = { ...sheetView([shotView('other')]), run: { ...sheetView().run, id: 'other' } };
  const answers = {
    '/api/runs/run/sheet': sheetView([shotView('own')]),
    '/api/runs/other/sheet': other,
    '/api/board': { stations: [] },
    '/api/grinders': pageOf([]),
  };
  fakeHouse(Object.fromEntries(Object.entries(answers).map(([path, reply]) => [path, counted(path, reply)])));
  const store = makeStore();
  await store.dispatch(api.endpoints.getSheet.initiate({ id: 'run' }));
  await store.dispatch(api.endpoints.getSheet.initiate({ id: 'other' }));
  await store.dispatch(api.endpoints.getBoard.initiate());
  await store.dispatch(api.endpoints.listGrinders.initiate({}));
  read.length = 0;
  await write(store);
  await new Promise((resolve) => setTimeout(resolve, 50));
  return read.map((path) => path.replace('/api/', '')).sort();
}

describe('after a write', () => {
  it('of a shot its own sheet and what shows a bit of everything are read again, no other sheet', async () => {
    const shotDto = { runId: 'run' } as ShotDto;
    expect(
      await readAgainAfter((store) => store.dispatch(api.endpoints.putShot.initiate({ id: 'new', shotDto }))),
    ).toEqual(['board', 'grinders', 'runs/run/sheet']);
  });

  it('of a tasting the sheet of its shot is', async () => {
    const tastingDto = { shotId: 'other' } as never;
    const read = await readAgainAfter((store) =>
      store.dispatch(api.endpoints.putTasting.initiate({ id: 't', tastingDto })),
    );
    expect(read).toEqual(['board', 'grinders', 'runs/other/sheet']);
  });

  it('that closes a dial-in everything its lesson may reach is', async () => {
    const runDto = {} as never;
    const read = await readAgainAfter((store) => store.dispatch(api.endpoints.putRun.initiate({ id: 'run', runDto })));
    expect(read).toEqual(['board', 'grinders', 'runs/other/sheet', 'runs/run/sheet']);
  });
});
