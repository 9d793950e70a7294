import request from 'supertest';
import { testHouse } from '../testing/testHouse';

const house = testHouse({ networkNames: ['bar.local'] });

interface Door {
  letIn: boolean;
  code: string | null;
}

/** Asked as a tablet of the shop's network does, by the name it has there; without what another answer set. */
const fromTablet = (method: 'get' | 'post' | 'put', path: string) =>
  request(house.app.getHttpServer())[method](`/api/${path}`).set('Host', 'bar.local:4790');
const code = async (): Promise<string> => (await house.get<Door>('door')).code!;

async function enter(name: string): Promise<string> {
  const answer = await fromTablet('post', 'door')
    .send({ code: await code(), name })
    .expect(200);
  return (answer.headers['set-cookie'] as unknown as string[])[0]!;
}
const shown = (cookie: string): string => cookie.split(';')[0]!;

describe('a tablet of the network', () => {
  it('is told nothing before it was let in, the code least of all', async () => {
    const { body } = await fromTablet('get', 'shop').expect(401);
    expect(body).toMatchObject({ status: 401 });
    expect((await fromTablet('get', 'door').expect(200)).body).toMatchObject({
      letIn: false,
      code: null,
      addresses: [],
    });
    await fromTablet('get', 'tablets').expect(401);
    await fromTablet('get', 'health/live').expect(200);
  });

  it('is let in once by the code, stays in by its cookie, and is out when it is let out', async () => {
    const cookie = await enter('Left bar');
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    await fromTablet('get', 'shop').set('Cookie', shown(cookie)).expect(200);
    const { body } = await fromTablet('get', 'tablets').set('Cookie', shown(cookie)).expect(200);
    const [tablet] = body as { id: string; name: string }[];
    expect(tablet).toMatchObject({ name: 'Left bar' });
    await house.put(`tablets/${tablet!.id}/out`, {}).expect(200);
    await fromTablet('get', 'shop').set('Cookie', shown(cookie)).expect(401);
    expect(await house.get('tablets')).toEqual([]);
  });

  it('is not in by a cookie it made itself, nor by a code that was used', async () => {
    const used = await code();
    const cookie = shown(await enter('Once'));
    const [name, value] = cookie.split('=');
    for (const forged of [`${value!.slice(0, -2)}xx`, value!.split('.')[0]!, '', 's:x']) {
      await fromTablet('get', 'shop').set('Cookie', `${name}=${forged}`).expect(401);
    }
    await fromTablet('post', 'door').send({ code: used, name: 'Twice' }).expect(422);
  });

  it('may try a few times in a minute', async () => {
    const statuses: number[] = [];
    for (let i = 0; i < 6; i += 1) {
      statuses.push((await fromTablet('post', 'door').send({ code: 'wrong', name: 'Guess' })).status);
    }
    expect(statuses.at(-1)).toBe(429);
    expect(new Set(statuses)).toEqual(new Set([422, 429]));
  });
});
