import { createReadStream, existsSync, statSync } from 'node:fs';
import path from 'node:path';
import type { Plugin } from 'vite';
import type { BrowserCommand } from 'vitest/node';

/** Taps the middle of what a selector finds, with a finger. Runs beside the browser, which alone can make real touches. */
export const tap: BrowserCommand<[selector: string]> = async (context, selector) => {
  await (await context.frame()).locator(selector).tap();
};

/** As `tap`, in the frame that the test itself has made. */
export const tapInFrame: BrowserCommand<[selector: string]> = async (context, selector) => {
  await (await context.frame()).frameLocator('iframe').locator(selector).tap();
};

const types: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
};

/**
 * Serves the built example at `/observatory/`, as a host for one-page apps does: a file where there is one, and
 * otherwise the page.
 */
export function serveExample(): Plugin {
  const folder = path.resolve(import.meta.dirname, '../.build/observatory');
  return {
    name: 'serve-example',
    configureServer(server) {
      server.middlewares.use('/observatory', (request, response) => {
        const { pathname } = new URL(request.url ?? '/', 'http://localhost');
        const wanted = path.join(folder, decodeURIComponent(pathname));
        const isFile = wanted.startsWith(folder) && existsSync(wanted) && statSync(wanted).isFile();
        const file = isFile ? wanted : path.join(folder, 'index.html');
        response.setHeader('Content-Type', types[path.extname(file)] ?? 'application/octet-stream');
        createReadStream(file).pipe(response);
      });
    },
  };
}
