import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { SampleSite } from './site-twins.samples.ts';

export interface ServedSamples {
  readonly origin: string;
  readonly close: () => void;
}

/** Serves a site of samples to this machine alone; what it has not answers 404. */
export async function serveSamples(site: SampleSite): Promise<ServedSamples> {
  const server = createServer((request, response) => {
    const { pathname } = new URL(request.url ?? '/', 'http://localhost');
    const page = site[pathname];
    response.writeHead(page === undefined ? 404 : 200, { 'Content-Type': 'text/html; charset=utf-8' });
    response.end(page ?? '<title>None</title>');
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const close = () => {
    server.closeAllConnections();
    server.close();
  };
  return { origin: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, close };
}
