import { api } from './api';
import { makeStore } from './store';

/** A server with so many coffees, that gives two hundred at most at a time. */
function shelfOf(count: number): { asked: string[] } {
  const asked: string[] = [];
  const rows = Array.from({ length: count }, (_, n) => ({ id: `coffee-${n}` }));
  globalThis.fetch = (input) => {
    const { searchParams, search } = new URL((input as Request).url);
    asked.push(search);
    const [page, pageSize] = [Number(searchParams.get('page') ?? 1), Number(searchParams.get('pageSize') ?? 50)];
    const items = rows.slice((page - 1) * pageSize, page * pageSize);
    const headers = { 'content-type': 'application/json' };
    return Promise.resolve(new Response(JSON.stringify({ items, total: count, page, pageSize }), { headers }));
  };
  return { asked };
}

const list = async (query: object) => {
  const { data } = await makeStore().dispatch(api.endpoints.listCoffees.initiate(query));
  return new Set(data!.items.map(({ id }) => id)).size;
};

describe('a list', () => {
  it.each([0, 50, 51, 200, 400, 405])('of %i rows that no page was asked of comes whole', async (count) => {
    shelfOf(count);
    expect(await list({ state: 'in-use' })).toBe(count);
  });

  it('that fits takes one request, and a page that was asked for stays a page', async () => {
    const short = shelfOf(50);
    await list({});
    expect(short.asked).toHaveLength(1);
    const long = shelfOf(405);
    expect(await list({ page: 2, pageSize: 20 })).toBe(20);
    expect(await list({ pageSize: 1 })).toBe(1);
    expect(long.asked).toHaveLength(2);
  });
});
