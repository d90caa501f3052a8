import { existsSync, readFileSync, statSync } from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';
import type { AddressInfo } from 'node:net';
import sirv from 'sirv';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';

/**
 * Serves a folder of pages to this machine alone.
 *
 * @param fallback the file that answers if there is none of the name, as for apps that make their pages themselves
 * @throws Failure if there is no such folder
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
  // Pages whose addresses are relative are served as servers of files do: what they load is relative to their folder.
  const isRelative = isRelativeBuild(folder);
  const server = createServer((request, response) => {
    const moved = isRelative ? folderAddress(folder, request.url ?? '/') : null;
    if (moved !== null) {
      response.writeHead(301, { Location: moved }).end();
      return;
    }
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

/** Whether the pages of a build say that their addresses are relative. */
function isRelativeBuild(folder: string): boolean {
  const home = path.join(folder, 'index.html');
  return existsSync(home) && /<html\b[^<>]*\sdata-ft-root=/u.test(readFileSync(home, 'utf8'));
}

/** The address of the folder that a path names without its slash; null for any other path. */
function folderAddress(folder: string, url: string): string | null {
  const { pathname, search } = new URL(url, 'http://localhost');
  if (pathname.endsWith('/')) return null;
  try {
    // The path of a URL has no steps upwards, but an encoded one may come to light.
    const place = path.join(folder, path.posix.normalize(`/${decodeURIComponent(pathname)}`), 'index.html');
    return existsSync(place) ? `${pathname}/${search}` : null;
  } catch {
    return null;
  }
}
