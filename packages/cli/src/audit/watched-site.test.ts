import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { WatchedSite } from './watched-site.ts';

let content = 'one';
const server = createServer((_, response) => {
  response.end(content);
});
let address = '';
beforeAll(async () => {
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/`;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
});

test('waits until an address answers something else', async () => {
  const waiting = new WatchedSite([address]).untilChanged(() => false);
  setTimeout(() => (content = 'two'), 300);
  await expect(waiting).resolves.toBe(true);
});

test('ends where the command is stopped', async () => {
  let isStopped = false;
  const waiting = new WatchedSite([address]).untilChanged(() => isStopped);
  setTimeout(() => (isStopped = true), 100);
  await expect(waiting).resolves.toBe(false);
});
