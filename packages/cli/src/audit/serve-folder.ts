import { statSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import sirv from 'sirv';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';

/**
 * Serves a folder of pages to this machine alone.
 *
 * @throws Failure where there is no such folder
 */
export async function serveFolder(folder: string): Promise<{ readonly url: string; readonly close: () => void }> {
  if (!statSync(folder, { throwIfNoEntry: false })?.isDirectory()) {
    throw new Failure(
      'file-missing',
      `There is no folder "${printable(folder)}". Give a folder, or an address with http.`,
    );
  }
  const answer = sirv(folder, { dev: true, etag: false });
  const server = createServer((request, response) => {
    answer(request, response, () => {
      response.writeHead(404, { 'Content-Type': 'text/html' }).end('<title>None</title>');
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  const close = () => {
    server.closeAllConnections();
    server.close();
  };
  return { url: `http://127.0.0.1:${port}/`, close };
}
