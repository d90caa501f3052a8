import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';
import { buildWhereChanged } from './fresh.mjs';
import { root, runTool } from './run.mjs';

/** The folder that the documentation is built into. */
export const documentationFolder = `${root}.build/documentation`;

/** What the pages of the documentation may load: their own files, and nothing else. */
export const documentationPolicy = [
  "default-src 'none'",
  "script-src 'self'",
  "style-src 'self'",
  "img-src 'self'",
  "connect-src 'self'",
  "frame-src 'self'",
  "form-action 'self'",
  "base-uri 'none'",
].join('; ');

/** Builds the documentation as static files that work below any base path. */
export function buildDocumentation() {
  return buildWhereChanged('documentation', () => {
    const args = ['build', `${root}docs/site`, '--outDir', documentationFolder, '--emptyOutDir', '--logLevel', 'warn'];
    runTool('vite/bin/vite.js', args, { env: { ...process.env, NODE_ENV: 'production' } });
  });
}

/**
 * Serves the documentation below a base path, under its policy.
 *
 * @param {{ port?: number, base?: string, folder?: string }} options
 * @returns {Promise<{ url: string, close: () => void }>}
 */
export async function serveDocumentation({ port = 0, base = '/', folder = documentationFolder } = {}) {
  const { default: sirv } = await import('sirv');
  const serve = sirv(folder, {
    dev: true,
    etag: false,
    setHeaders: (response) => response.setHeader('Content-Security-Policy', documentationPolicy),
  });
  const server = createServer((request, response) => {
    const missing = () => {
      response
        .writeHead(404, { 'Content-Type': 'text/plain; charset=utf-8' })
        .end('There is no page at this address.\n');
    };
    if (!request.url?.startsWith(base)) return missing();
    request.url = request.url.slice(base.length - 1);
    const { pathname, search } = new URL(request.url, 'http://localhost');
    // As servers of files do: what a page loads is relative to its folder.
    if (!pathname.endsWith('/') && existsSync(path.join(folder, decodeURIComponent(pathname), 'index.html'))) {
      response.writeHead(301, { Location: `${base.slice(0, -1)}${pathname}/${search}` }).end();
      return;
    }
    serve(request, response, missing);
  });
  await new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => resolve(undefined));
  });
  const address = server.address();
  const used = typeof address === 'object' && address ? address.port : port;
  const close = () => {
    server.closeAllConnections();
    server.close();
  };
  return { url: `http://127.0.0.1:${used}${base}`, close };
}
