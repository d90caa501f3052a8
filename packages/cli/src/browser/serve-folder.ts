import { statSync } from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';
import type { AddressInfo } from 'node:net';
import sirv from 'sirv';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';

/**
 * Serves a folder of pages to this machine alone.
 *
 * @param fallback the file that answers where there is none of the name, as for apps that make their pages themselves
 * @throws Failure where there is no such folder
 * @example
 * const { url, close } = await serveFolder('dist', 'index.html');
 * const report = await auditSite(url);
 * close();
 */
export async function serveFolder(
  folder: string,
  fallback?: string,
): Promise<{ readonly url: string; readonly close: () => void }> {
  if (!statSync(folder, { throwIfNoEntry: false })?.isDirectory()) {
    throw new Failure(
      'file-missing',
      `There is no folder "${printable(folder)}". Give a folder, or an address with http.`,
    );
  }
  if (fallback !== undefined && !statSync(path.join(folder, fallback), { throwIfNoEntry: false })?.isFile()) {
    throw new Failure(
      'file-missing',
      `There is no file "${printable(fallback)}" in that folder. Name the one that answers all addresses, such as index.html.`,
    );
  }
  const answer = sirv(folder, { dev: true, etag: false, ...(fallback !== undefined && { single: fallback }) });
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
