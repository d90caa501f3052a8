import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Failure } from '../failure.ts';
import { builtFile, readSheetMaterial, type SheetInput } from './sheet-data.ts';
import { builtFiles, ownFiles, sheetPolicy } from './sheet-page.ts';
import type { OutputFile } from '../writers/write-files.ts';

const types: Readonly<Record<string, string>> = { html: 'text/html', js: 'text/javascript', css: 'text/css' };

/**
 * Serves a sheet to this machine alone. Each load of the page reads the files anew, so that an editor and a reload are all
 * that it takes.
 *
 * @param port 0 for any that is free
 * @throws Failure where the port is taken
 */
export async function serveSheet(
  input: SheetInput,
  port: number,
): Promise<{ readonly server: Server; readonly url: string }> {
  const server = createServer((request, response) => {
    void answer(input, new URL(request.url ?? '/', 'http://localhost').pathname, response);
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      reject(
        new Failure(
          'port-taken',
          `Port ${port} cannot be used (${error.code ?? 'unknown error'}). Give another with --port.`,
        ),
      );
    });
    server.listen(port, '127.0.0.1', resolve);
  });
  const { port: given } = server.address() as AddressInfo;
  return { server, url: `http://127.0.0.1:${given}/` };
}

async function answer(input: SheetInput, pathname: string, response: ServerResponse): Promise<void> {
  const name = pathname === '/' ? 'index.html' : pathname.slice(1);
  try {
    const text = await textOf(input, name);
    if (text === undefined) {
      response.writeHead(404, { 'Content-Type': 'text/plain; charset=utf-8' }).end('Nothing is here.\n');
      return;
    }
    const type = types[name.split('.').at(-1) ?? ''] ?? 'text/plain';
    response
      .writeHead(200, {
        'Content-Type': `${type}; charset=utf-8`,
        'Content-Security-Policy': sheetPolicy,
        'Cache-Control': 'no-store',
      })
      .end(text);
  } catch (error) {
    const message = error instanceof Failure ? error.message : 'The sheet could not be made.';
    response.writeHead(500, { 'Content-Type': 'text/plain; charset=utf-8' }).end(`${message}\n`);
    if (!(error instanceof Failure)) throw error;
  }
}

/** Undefined for what is no file of a sheet: nothing is read for that, nor for what every sheet has. */
async function textOf(input: SheetInput, name: string): Promise<OutputFile['text'] | undefined> {
  const built = builtFiles.find((each) => each === name);
  if (built !== undefined) return builtFile(built);
  if (!/^(?:index\.html|theme\.css|data\.js)$/u.test(name)) return undefined;
  return ownFiles(await readSheetMaterial(input)).find(({ path }) => path === name)?.text;
}
