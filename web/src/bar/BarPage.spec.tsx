import { fireEvent, screen, waitFor } from '@testing-library/react';
import { fakeHouse, pageOf, Refusal, renderPage } from '../../testing/house';
import { sheetView, standingView } from '../../testing/sheet.fixture';
import { BarPage } from './BarPage';

const { coffee, grinder } = sheetView();
const shots = [22, 21, 22.5].map((timeSeconds, i) => ({
  id: `s${i}`,
  pulledAt: '2026-03-01T06:41:00Z',
  grind: 14,
  timeSeconds,
}));
const standing = standingView({ state: 'drifting-fast', cardId: 'card', shots });
/** What opening a dial-in looks up. */
const known = { '/api/coffees/coffee': coffee, '/api/grinders/grinder': grinder, '/api/doses': pageOf([]) };
const board = (change: object = {}) => ({ stations: [{ ...standing, ...change }], gramsToday: 126, shotsToday: 7 });

describe('the bar', () => {
  it('says how each station stands and opens a dial-in on it as it stands', async () => {
    const { written } = fakeHouse({ ...known, '/api/board': board() });
    renderPage(<BarPage />);
    expect(await screen.findByText(/Drifting fast/)).toBeInTheDocument();
    expect(screen.getByText('The last three ran about 5 s short.')).toBeInTheDocument();
    expect(screen.getByText('126 g')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Dial in' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({
      stationId: 'station',
      startGrind: 14,
      status: 'open',
      coffeeId: 'coffee',
    });
    expect(await screen.findByText(`gone to ${written[0]!.path.replace('/api/runs', '/dial-in')}`)).toBeInTheDocument();
  });

  it('begins a dial-in at the tap, however long the page has stood on the bar', async () => {
    const { written } = fakeHouse({ ...known, '/api/board': board() });
    jest.useFakeTimers({ doNotFake: TIMERS, now: new Date('2026-03-01T06:00:00Z') });
    try {
      renderPage(<BarPage />);
      const button = await screen.findByRole('button', { name: 'Dial in' });
      jest.setSystemTime(new Date('2026-03-01T14:00:00Z'));
      fireEvent.click(button);
      await waitFor(() => expect(written).toHaveLength(1));
      expect(written[0]!.body.startedAt).toMatch(/^2026-03-01T14:00/);
    } finally {
      jest.useRealTimers();
    }
  });

  it('begins a drifted station where its last shots point', async () => {
    const { written } = fakeHouse({ ...known, '/api/board': board({ start: { grind: 11.5, sd: 0.7 } }) });
    renderPage(<BarPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Dial in at 11.5' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ startGrind: 11.5, startSd: 0.7 });
  });

  it('goes on with an open dial-in instead of beginning another', async () => {
    fakeHouse({ '/api/board': board({ openRunId: 'run7', state: 'dialling-in' }) });
    renderPage(<BarPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Go on' }));
    expect(await screen.findByText('gone to /dial-in/run7')).toBeInTheDocument();
  });

  it('sends the same dial-in again after a failure, never a second one', async () => {
    const { written, replies } = fakeHouse({ ...known, '/api/board': board() });
    const refuse = new Refusal(500, { detail: 'Out of order.', errors: [] });
    renderPage(<BarPage />);
    const button = await screen.findByRole('button', { name: 'Dial in' });
    globalThis.fetch = refusing(globalThis.fetch, refuse);
    fireEvent.click(button);
    expect(await screen.findByText('Out of order.')).toBeInTheDocument();
    globalThis.fetch = restored!;
    fireEvent.click(screen.getByRole('button', { name: /Dial in/ }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.path).toBe(new URL(refused[0]!).pathname);
    expect(replies).toBeDefined();
  });

  it('invites a newcomer to set up', async () => {
    fakeHouse({ '/api/board': { stations: [], gramsToday: 0, shotsToday: 0 } });
    renderPage(<BarPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Set up the first station' }));
    expect(await screen.findByText('gone to /setup')).toBeInTheDocument();
  });
});

/** Only the clock on the wall is set; everything else goes on. */
const TIMERS: FakeableAPI[] = [
  'setTimeout',
  'clearTimeout',
  'setInterval',
  'clearInterval',
  'setImmediate',
  'clearImmediate',
  'queueMicrotask',
  'nextTick',
  'performance',
  'requestAnimationFrame',
  'cancelAnimationFrame',
];

let restored: typeof fetch | undefined;
const refused: string[] = [];

/** Refuses writes until it is taken off again. */
function refusing(house: typeof fetch, refusal: Refusal): typeof fetch {
  restored = house;
  return (input, init) => {
    const request = input as Request;
    if (request.method === 'GET') return house(input, init);
    refused.push(request.url);
    const headers = { 'content-type': 'application/json' };
    return Promise.resolve(new Response(JSON.stringify(refusal.body), { status: refusal.status, headers }));
  };
}
