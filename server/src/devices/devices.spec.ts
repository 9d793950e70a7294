import type { DeviceReport, LiveEvent } from '@olvet/core';
import { once } from 'node:events';
import { get, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Readable } from 'node:stream';
import { setTimeout as sleep } from 'node:timers/promises';
import { WebSocket } from 'ws';
import { connectBalance } from '../../../standins/src/adapters/balance';
import { DeviceLink, type LinkOptions } from '../../../standins/src/link';
import { furnish, testHouse } from '../testing/testHouse';
import type { DeviceView } from './device.dto';

const house = testHouse();
let port: number;
let address: string;
const links: DeviceLink[] = [];

beforeAll(async () => {
  await house.app.listen(0, '127.0.0.1');
  port = (house.app.getHttpServer().address() as AddressInfo).port;
  address = `ws://127.0.0.1:${port}/api/devices/socket`;
});
afterEach(() => {
  for (const link of links.splice(0)) link.end();
});

let keys = 0;
function link(change: Partial<LinkOptions> = {}): { link: DeviceLink; said: { type: string; message?: string }[] } {
  const said: { type: string; message?: string }[] = [];
  const made = new DeviceLink({
    ...{ kind: 'scale', name: `Scale ${++keys}`, unit: 'g', capabilities: ['tare'], address },
    key: `key number ${keys} of a test`,
    onWord: (word) => said.push(word),
    ...change,
  });
  links.push(made);
  return { link: made, said };
}

async function until<T>(look: () => Promise<T | null | undefined | false> | T | null | undefined | false): Promise<T> {
  for (let i = 0; i < 200; i += 1) {
    const found = await look();
    if (found) return found;
    await sleep(25);
  }
  throw new Error('waited five seconds for nothing');
}

const deviceOf = async (name: string): Promise<DeviceView | undefined> =>
  (await house.get<{ items: DeviceView[] }>('devices')).items.find((each) => each.name === name);

const letIn = async (name: string, change: object = {}): Promise<DeviceView> => {
  const found = await until(() => deviceOf(name));
  const body = { name, letInAt: new Date().toISOString(), revision: found.revision, ...change };
  await house.put(`devices/${found.id}`, body).expect(200);
  return found;
};

const reportsOf = async (id: string): Promise<DeviceReport[]> =>
  (await house.get<{ reports: DeviceReport[] }>(`devices/${id}/reports`)).reports;

/** Opens the event stream; `close` ends it. */
async function listen(): Promise<{ events: LiveEvent[]; close: () => void }> {
  const request = get(`http://127.0.0.1:${port}/api/live`);
  const [response] = (await once(request, 'response')) as [IncomingMessage];
  const events: LiveEvent[] = [];
  response.on('data', (chunk: Buffer) => {
    for (const [, data] of chunk.toString().matchAll(/^data: (.*)$/gm)) events.push(JSON.parse(data!) as LiveEvent);
  });
  response.on('error', () => {});
  return { events, close: () => request.destroy() };
}

describe('a device', () => {
  it('waits with a code until a person lets it in; then its readings reach the stream, each once', async () => {
    const stream = await listen();
    const { link: scale, said } = link({ name: 'New scale' });
    const found = await until(() => deviceOf('New scale'));
    expect(found).toMatchObject({ kind: 'scale', letInAt: null, isConnected: true, isSimulated: false });
    await until(() => said.some((word) => word.type === 'welcome' && (word as { code?: string }).code === found.code));
    scale.report({ grams: 1 });
    const { stationId } = await furnish(house, ' of devices');
    await letIn('New scale', { stationId });
    await until(async () => (await reportsOf(found.id)).length > 0);
    for (let grams = 2; grams <= 20; grams += 1) scale.report({ grams });
    scale.interrupt();
    for (let grams = 21; grams <= 40; grams += 1) scale.report({ grams });
    await until(async () => (await reportsOf(found.id)).length === 40);
    const seen = stream.events.flatMap((event) => (event.kind === 'reports' ? event.reports : []));
    expect(seen.map((report) => report.values?.grams)).toEqual(Array.from({ length: 40 }, (_, i) => i + 1));
    expect(await deviceOf('New scale')).toMatchObject({ code: expect.any(String), stationId });
    const part = await house.get<{ session: string }>(`devices/${found.id}/reports`, { after: 38 });
    const after = await house.get<{ reports: unknown[] }>(`devices/${found.id}/reports`, {
      session: part.session,
      after: 38,
    });
    expect(after.reports).toHaveLength(2);
    stream.close();
  });

  it('does as it is told, says why not, and is missed when it does not answer', async () => {
    const acted: unknown[] = [];
    link({
      name: 'Obedient',
      capabilities: ['tare', 'cup'],
      onCommand: async (command, value) => {
        acted.push([command, value]);
        return command === 'cup' ? 'the cup is hot' : null;
      },
    });
    const { id } = await letIn('Obedient');
    await sleep(100);
    const command = (body: object) => house.api.post(`/api/devices/${id}/commands`).send(body);
    expect((await command({ command: 'tare' }).expect(200)).body).toEqual({ ok: true, message: null });
    expect((await command({ command: 'cup', value: 1 }).expect(200)).body).toEqual({
      ok: false,
      message: 'the cup is hot',
    });
    expect(acted).toEqual([
      ['tare', undefined],
      ['cup', 1],
    ]);
    const refused = await command({ command: 'grind', value: 4 }).expect(422);
    expect(refused.body.errors[0].path).toBe('command');
  });

  it('keeps its name apart from a second one of the same name, and is not let in again once put away', async () => {
    link({ name: 'Twin scale' });
    await until(() => deviceOf('Twin scale'));
    link({ name: 'Twin scale' });
    const second = await until(() => deviceOf('Twin scale (2)'));
    const { said, link: third } = link({ name: 'Lost scale', key: 'the key of a lost scale' });
    const lost = await letIn('Lost scale');
    const now = await until(() => deviceOf('Lost scale'));
    const away = { name: 'Lost scale', retiredAt: new Date().toISOString(), revision: now.revision };
    await house.put(`devices/${lost.id}`, away).expect(200);
    await until(() => said.some(({ type }) => type === 'refused'));
    third.end();
    expect(second.code).toMatch(/^\d{4}$/);
    await house.put(`devices/${crypto.randomUUID()}`, { name: 'Nobody' }).expect(404);
  });

  it('is a real balance by an adapter of thirty lines', async () => {
    const printed = '+   0.00 g\r\n+  18.32 g\r\nOVERLOAD\r\n+  20,15 g\r\n';
    const balance = connectBalance(Readable.from([printed]), {
      address,
      name: 'Printing balance',
      key: 'the key of the balance',
    });
    links.push(balance);
    const { id } = await letIn('Printing balance');
    const reports = await until(async () => {
      const found = await reportsOf(id);
      return found.length >= 3 && found;
    });
    expect(reports.map(({ values }) => values?.grams)).toEqual([0, 18.32, 20.15]);
  });
});

describe('a hostile device', () => {
  const open = async (options: object = {}): Promise<{ socket: WebSocket; lines: string[] }> => {
    const socket = new WebSocket(address, options);
    const lines: string[] = [];
    socket.on('message', (data: Buffer) => lines.push(data.toString()));
    await once(socket, 'open');
    return { socket, lines };
  };
  const hello = (name: string, change: object = {}): string =>
    `${JSON.stringify({
      ...{ type: 'hello', protocol: 'olvet.device/1', key: `${name} has a long key`, kind: 'scale', name, unit: 'g' },
      ...{ capabilities: [], session: name, oldest: 1, ...change },
    })}\n`;

  it('sends garbage: told so, then cut', async () => {
    const { socket, lines } = await open();
    for (let i = 0; i < 30; i += 1) socket.send(`garbage ${i}\n`);
    await once(socket, 'close');
    expect(lines[0]).toContain('not JSON');
    expect(lines.at(-1)).toContain('refused');
  });

  it.each([
    ['wrong units', { unit: 'oz' }, 'unit'],
    ['something no scale can do', { capabilities: ['grind'] }, 'capabilities'],
    ['another protocol', { protocol: 'other/1' }, 'protocol'],
  ])('says hello with %s: the field is named', async (_what, change, field) => {
    const { socket, lines } = await open();
    socket.send(hello('Odd', change));
    await until(() => lines.length > 0);
    expect(lines[0]).toContain(field);
    socket.close();
  });

  it('sends ten thousand readings a second: contained, and the house goes on answering', async () => {
    const { socket, lines } = await open();
    socket.send(hello('Flood'));
    const { id } = await letIn('Flood');
    await until(() => lines.some((line) => line.includes('"in"')));
    for (let i = 1; i <= 20_000 && socket.readyState === socket.OPEN; i += 1) {
      socket.send(`{"type":"reading","seq":${i},"ms":${i},"values":{"grams":1}}\n`);
      if (i % 1000 === 0) await sleep(100);
    }
    await until(() => lines.some((line) => line.includes('refused')));
    const began = performance.now();
    await house.get('devices');
    expect(performance.now() - began).toBeLessThan(2000);
    expect((await reportsOf(id)).length).toBeLessThanOrEqual(2400);
  });

  it('has a clock that runs backwards: what goes back is left out', async () => {
    const { socket, lines } = await open();
    socket.send(hello('Backwards'));
    const { id } = await letIn('Backwards');
    await until(() => lines.some((line) => line.includes('"in"')));
    const at = (seq: number, ms: number) => `{"type":"reading","seq":${seq},"ms":${ms},"values":{"grams":${seq}}}\n`;
    socket.send(at(1, 1000) + at(2, 500) + at(3, 1100) + 'null\n' + at(4, 1200).replace('4}', '1e9}'));
    await until(() => lines.some((line) => line.includes('backwards')));
    await until(async () => (await reportsOf(id)).length === 2);
    socket.close();
  });

  it('is a page of another address: its socket is refused', async () => {
    const socket = new WebSocket(address, { origin: 'http://elsewhere.example' });
    const [error] = (await once(socket, 'error')) as [Error];
    expect(error.message).toContain('403');
  });
});
