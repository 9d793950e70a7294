import { CALENDAR } from '../../testing/house';
import { api, type ShopDto } from './api';
import { makeStore } from './store';

const SHOP: ShopDto = {
  ...{ name: 'Kelp Street', currency: 'EUR', temperatureUnit: 'C', revision: 1 },
  ...CALENDAR,
};

type Answer = (signal: AbortSignal) => Promise<Response>;

/** The net was gone before the request got anywhere. */
const dropped: Answer = () => Promise.reject(new TypeError('Failed to fetch'));
/** Sent, and nothing ever comes back. */
const silent: Answer = (signal) =>
  new Promise((_, reject) => signal.addEventListener('abort', () => reject(signal.reason as Error)));
const answered =
  (status: number): Answer =>
  () =>
    Promise.resolve(new Response(JSON.stringify(SHOP), { status, headers: { 'content-type': 'application/json' } }));

/** A net that answers the requests in turn so, the last way for ever; tells what was sent. */
function net(...answers: Answer[]): { sent: unknown[] } {
  const sent: unknown[] = [];
  globalThis.fetch = async (input) => {
    const request = input as Request;
    const answer = answers[Math.min(sent.length, answers.length - 1)]!;
    sent.push(await request.clone().json());
    return answer(request.signal);
  };
  return { sent };
}

/** Saves the shop; waits however long the page would. */
async function save(): Promise<{ data?: unknown; error?: unknown }> {
  const done = makeStore().dispatch(api.endpoints.putShop.initiate({ shopDto: SHOP }));
  let settled = false;
  void done.finally(() => (settled = true));
  for (let i = 0; i < 400 && !settled; i += 1) await jest.advanceTimersByTimeAsync(100);
  return done;
}

describe('what goes to the server', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('is sent again, the same, when the net dropped it', async () => {
    const { sent } = net(dropped, dropped, answered(200));
    expect(await save()).toMatchObject({ data: SHOP });
    expect(sent).toEqual([SHOP, SHOP, SHOP]);
  });

  it('is sent again when nothing comes back', async () => {
    const { sent } = net(silent, answered(200));
    expect(await save()).toMatchObject({ data: SHOP });
    expect(sent).toHaveLength(2);
  });

  it('is given up soon, and said, when the server stays out of reach', async () => {
    const { sent } = net(dropped);
    expect(await save()).toMatchObject({ error: { status: 'FETCH_ERROR' } });
    expect(sent).toHaveLength(3);
    const hanging = net(silent);
    expect(await save()).toMatchObject({ error: { status: 'TIMEOUT_ERROR' } });
    expect(hanging.sent).toHaveLength(2);
  });

  it.each([400, 409, 500])('is not sent again when it was answered with %i', async (status) => {
    const { sent } = net(answered(status));
    expect(await save()).toMatchObject({ error: { status } });
    expect(sent).toHaveLength(1);
  });
});
