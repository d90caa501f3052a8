import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Failure } from '../failure.ts';
import { kindOf } from '../input/read-file.ts';
import { printable, reasonOf } from '../printable.ts';
import type { WorkbenchInput } from '../workbench/server/workbench-input.ts';
import { Workbench } from '../workbench/server/workbench.ts';
import { builtFile, readSheetMaterial, type SheetInput } from './sheet-data.ts';
import { builtFiles, ownFiles, sheetPolicy } from './sheet-page.ts';
import type { OutputFile } from '../writers/write-files.ts';

const types: Readonly<Record<string, string>> = { html: 'text/html', js: 'text/javascript', css: 'text/css' };

/** A server that listens, and where it is reached. */
export interface StartedServer {
  readonly server: Server;
  readonly url: string;
}

/**
 * Serves a sheet to this machine alone. Each load of the page reads the files again, so that an editor and a reload are all
 * that it takes.
 *
 * @param port 0 for any that is free
 * @throws Failure where the port is taken
 */
export async function serveSheet(input: SheetInput, port: number): Promise<StartedServer> {
  return listen(
    createServer((request, response) => {
      void answer(input, new URL(request.url ?? '/', 'http://localhost').pathname, response);
    }),
    port,
  );
}

/**
 * Serves a workbench to this machine alone.
 *
 * @param port 0 for any that is free
 * @throws Failure where the port is taken, or a file cannot be read
 */
export async function serveWorkbench(input: WorkbenchInput, port: number): Promise<StartedServer> {
  // What cannot be read is reported before a page is opened.
  if (kindOf(input.file) === null) throw new Failure('file-missing', `There is no file "${printable(input.file)}".`);
  const workbench = new Workbench(input);
  const server = createServer((request, response) => {
    const name = new URL(request.url ?? '/', 'http://localhost').pathname.slice(1);
    workbench.respond(request, name, response).catch((error: unknown) => {
      if (!response.headersSent) response.writeHead(500, { 'Content-Type': 'text/plain; charset=utf-8' });
      response.end(`${reasonOf(error)}\n`);
    });
  });
  server.on('close', () => workbench.close());
  return listen(server, port);
}

async function listen(server: Server, port: number): Promise<StartedServer> {
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
  await listenBeside(server, given);
  return { server, url: `http://127.0.0.1:${given}/` };
}

/** Some systems take `localhost` for `::1`. One without IPv6, or where something else is there, has the first address alone. */
async function listenBeside(server: Server, port: number): Promise<void> {
  const beside = createServer((request, response) => server.emit('request', request, response));
  const isListening = await new Promise<boolean>((resolve) => {
    beside.once('error', () => resolve(false));
    beside.listen(port, '::1', () => resolve(true));
  });
  if (!isListening) return;
  server.once('close', () => {
    beside.close();
    beside.closeAllConnections();
  });
}

async function answer(input: SheetInput, pathname: string, response: ServerResponse): Promise<void> {
  const { status, headers, body } = await sheetResponse(input, pathname === '/' ? 'index.html' : pathname.slice(1));
  response.writeHead(status, headers).end(body);
}

/** What a server sends for a file of a sheet. */
interface SheetResponse {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: OutputFile['text'];
}

/**
 * The response to a request for a file of a sheet, of which the files are read again.
 *
 * @param name of the file: `index.html`, or what that loads
 */
async function sheetResponse(input: SheetInput, name: string): Promise<SheetResponse> {
  try {
    const text = await textOf(input, name);
    if (text === undefined) return plain(404, 'Nothing is here.\n');
    const type = types[name.split('.').at(-1) ?? ''] ?? 'text/plain';
    const headers = {
      'Content-Type': `${type}; charset=utf-8`,
      'Content-Security-Policy': sheetPolicy,
      'Cache-Control': 'no-store',
    };
    return { status: 200, headers, body: text };
  } catch (error) {
    if (error instanceof Failure) return plain(500, `${error.message}\n`);
    throw error;
  }
}

function plain(status: number, body: string): SheetResponse {
  return { status, headers: { 'Content-Type': 'text/plain; charset=utf-8' }, body };
}

/** Undefined for what is no file of a sheet: nothing is read for that, nor for what every sheet has. */
async function textOf(input: SheetInput, name: string): Promise<OutputFile['text'] | undefined> {
  const built = builtFiles.find((each) => each === name);
  if (built !== undefined) return builtFile(built);
  if (!/^(?:index\.html|theme\.css|data\.js)$/u.test(name)) return undefined;
  return ownFiles(await readSheetMaterial(input)).find(({ path }) => path === name)?.text;
}
