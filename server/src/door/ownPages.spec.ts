import { v7 } from 'uuid';
import { furnish, shotBody, testHouse } from '../testing/testHouse';

const house = testHouse();

describe('a request', () => {
  it.each(['localhost', 'LOCALHOST:4790', '127.0.0.1', '127.0.0.1:80', '[::1]:4790'])('to %s is answered', (host) =>
    house.api.get('/api/shop').set('Host', host).expect(200),
  );

  it.each(['rebound.example', 'localhost.rebound.example', '127.0.0.1.rebound.example:4790', '192.168.1.7', ''])(
    'to “%s” is refused, whatever it asks for',
    async (host) => {
      for (const path of ['/api/shop', '/api/openapi.json', '/']) {
        const { status, body } = await house.api.get(path).set('Host', host);
        expect(status).toBe(403);
        expect(body).toMatchObject({ errors: [{ path: 'host' }] });
      }
    },
  );

  it.each(['http://rebound.example', 'null', 'http://localhost:9', 'http://127.0.0.1:4790'])(
    'that a page of %s sent is refused, and writes nothing',
    async (origin) => {
      const ids = await furnish(house, ` ${origin}`);
      const id = v7();
      const { body } = await house
        .put(`shots/${id}`, shotBody(ids))
        .set('Host', 'localhost:4790')
        .set('Origin', origin);
      expect(body).toMatchObject({ status: 403, errors: [{ path: 'origin' }] });
      await house.api.get(`/api/shots/${id}`).expect(404);
    },
  );

  it('of our own page passes, also behind a proxy that serves HTTPS', async () => {
    const asked = (origin: string) => house.api.get('/api/shop').set('Host', 'localhost:4790').set('Origin', origin);
    await asked('http://localhost:4790').expect(200);
    await asked('https://localhost:4790').expect(200);
  });
});

describe('what is nested too deep', () => {
  const send = (body: string) => house.api.put(`/api/shots/${v7()}`).set('content-type', 'application/json').send(body);

  it.each([33, 1000, 100_000])('is refused before it is parsed: %i brackets', async (depth) => {
    for (const body of ['['.repeat(depth), `${'['.repeat(depth)}${']'.repeat(depth)}`, '{"a":'.repeat(depth)]) {
      const { status, body: problem } = await send(body);
      expect(status).toBe(400);
      expect(problem).toMatchObject({ errors: [{ message: expect.stringContaining('deep') as string }] });
    }
  });

  it('is not what only looks so, in a text', async () => {
    const ids = await furnish(house, ' brackets');
    const note = `${'['.repeat(200)} \\" {{`;
    await house.put(`shots/${v7()}`, shotBody(ids, { note })).expect(200);
  });
});

describe('an instant', () => {
  it.each(['2026-03-01T08:00.5Z', '2026-03-01T08:00:00+14', '2026-03-01T08:00:00', '2026-03-01T08:00:00+15:00'])(
    'is not %s',
    async (pulledAt) => {
      const ids = await furnish(house, ` ${pulledAt}`);
      const { body } = await house.put(`shots/${v7()}`, shotBody(ids, { pulledAt })).expect(400);
      expect(body).toMatchObject({ errors: [{ path: 'pulledAt' }] });
    },
  );

  it.each(['2026-03-01T08:00Z', '2026-03-01T08:00:00.5Z', '2026-03-01T08:00:00+14:00'])('is %s', async (pulledAt) => {
    const ids = await furnish(house, ` ok ${pulledAt}`);
    await house.put(`shots/${v7()}`, shotBody(ids, { pulledAt })).expect(200);
  });
});
