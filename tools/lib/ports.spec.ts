import { createServer, type AddressInfo } from 'node:net';
import { holderOf } from './ports';

it('names the program that listens on a port, and nobody where nobody does', async () => {
  const server = createServer();
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  expect(holderOf(port)).toContain(`(process ${process.pid})`);
  await new Promise((done) => server.close(done));
  expect(holderOf(port)).toBeNull();
});
