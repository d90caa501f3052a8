import { readFileSync, watch, type FSWatcher } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import path from 'node:path';
import { escapeMarkup } from 'fair-trail/internal/core';
import { Failure } from '../../failure.ts';
import { contentOf, readText } from '../../input/read-file.ts';
import { readRecords } from '../../input/records-file.ts';
import { readSiteFile } from '../../input/site-file.ts';
import { printable, reasonOf } from '../../printable.ts';
import { writeReviewPictures } from '../../sheet/review-pictures.ts';
import { builtFile } from '../../sheet/sheet-data.ts';
import { sheetPolicy } from '../../sheet/sheet-page.ts';
import { newSessionToken, refusal, sessionHeader, sessionRefusal } from './guard.ts';
import type { WorkbenchInput } from './workbench-input.ts';
import { WorkbenchFiles } from './workbench-files.ts';
import type { SaveRequest, WorkbenchState, WorkbenchTexts } from './workbench-state.ts';

/** The page may ask its own server, and it stands in no other page. */
const policy = `${sheetPolicy}; connect-src 'self'; frame-ancestors 'self'`;

const shared = {
  'Cache-Control': 'no-store',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Referrer-Policy': 'no-referrer',
  'X-Content-Type-Options': 'nosniff',
};

/** More than the text of 50 000 entries, in bytes. */
const mostBytes = 64 * 1024 * 1024;

/** How long a file is left alone before it is read: an editor may write it in several steps. In milliseconds. */
const settlingTime = 100;

const files: Readonly<Record<string, { readonly type: string; readonly read: () => string }>> = {
  'workbench.js': { type: 'text/javascript', read: () => workbenchFile('workbench.js') },
  'workbench.css': { type: 'text/css', read: () => workbenchFile('workbench.css') },
  'sheet.css': { type: 'text/css', read: () => builtFile('sheet.css') },
  'specimens.css': { type: 'text/css', read: () => builtFile('specimens.css') },
};

function workbenchFile(name: string): string {
  return readFileSync(new URL(`../../../dist/workbench-page/${name}`, import.meta.url), 'utf8');
}

/** A session in which files are edited. */
export class Workbench {
  readonly #input: WorkbenchInput;
  readonly #files: WorkbenchFiles;
  readonly #token = newSessionToken();
  readonly #listeners = new Set<ServerResponse>();
  readonly #watchers: readonly FSWatcher[];
  #known: string;
  #timer: NodeJS.Timeout | undefined;

  constructor(input: WorkbenchInput) {
    this.#input = input;
    this.#files = new WorkbenchFiles(input.file, input.theme ?? null);
    this.#known = this.#contents();
    // The folders: editors replace files instead of changing them.
    const folders = new Set(this.#files.paths.map((file) => path.dirname(path.resolve(file))));
    this.#watchers = [...folders].flatMap((folder) => {
      try {
        return [watch(folder, { persistent: false }, () => this.#look()).on('error', () => undefined)];
      } catch {
        return [];
      }
    });
  }

  /** Stops watching, and ends the requests that wait. */
  close(): void {
    clearTimeout(this.#timer);
    for (const watcher of this.#watchers) watcher.close();
    for (const response of this.#listeners) response.end();
    this.#listeners.clear();
  }

  #contents(): string {
    return this.#files.paths.map((file) => contentOf(file) ?? '').join('\0');
  }

  #look(): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => {
      const contents = this.#contents();
      if (contents === this.#known) return;
      this.#known = contents;
      for (const response of this.#listeners) response.write('data: changed\n\n');
    }, settlingTime);
  }

  /**
   * Answers a request.
   *
   * @param name what is asked for, below the address of the workbench: `''` is the page itself
   */
  async respond(request: IncomingMessage, name: string, response: ServerResponse): Promise<void> {
    try {
      if (name.startsWith('session/')) await this.#respondToSession(request, name.slice('session/'.length), response);
      else this.#respondWithFile(request, name, response);
    } catch (error) {
      if (!(error instanceof Failure)) throw error;
      sendJson(response, 500, { message: error.message });
    }
  }

  #respondWithFile(request: IncomingMessage, name: string, response: ServerResponse): void {
    const refused = refusal(request);
    if (refused !== null) {
      sendText(response, 403, refused);
      return;
    }
    const file = files[name];
    if (file) {
      response.writeHead(200, { ...shared, 'Content-Type': `${file.type}; charset=utf-8` }).end(file.read());
      return;
    }
    if (name !== '' && name !== 'index.html') {
      sendText(response, 404, 'Nothing is here.');
      return;
    }
    const headers = { ...shared, 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': policy };
    response.writeHead(200, headers).end(pageHtml(path.basename(this.#input.file), this.#token));
  }

  async #respondToSession(request: IncomingMessage, name: string, response: ServerResponse): Promise<void> {
    const { searchParams } = new URL(request.url ?? '/', 'http://localhost');
    const given = request.headers[sessionHeader];
    // An event source can set no header.
    const isStream = name === 'changes';
    const token = isStream ? (searchParams.get('session') ?? undefined) : typeof given === 'string' ? given : undefined;
    const refused = sessionRefusal(request, this.#token, token);
    if (refused !== null) {
      sendJson(response, 403, { message: refused });
      return;
    }
    const asked = `${request.method ?? ''} ${name}`;
    switch (asked) {
      case 'GET state':
        sendJson(response, 200, await this.#state());
        return;
      case 'GET changes':
        this.#listen(response);
        return;
      case 'POST save':
        sendJson(response, 200, this.#files.save((await bodyOf(request)) as SaveRequest));
        this.#look();
        return;
      case 'POST draft':
        this.#input.showDraft?.((await bodyOf(request)) as WorkbenchTexts | null);
        sendJson(response, 200, {});
        return;
      case 'POST pictures':
        sendJson(response, 200, await this.#takePictures((await bodyOf(request)) as WorkbenchTexts));
        return;
      default:
        sendJson(response, 404, { message: 'Nothing is here.' });
    }
  }

  #listen(response: ServerResponse): void {
    response.writeHead(200, { ...shared, 'Content-Type': 'text/event-stream' });
    response.write('\n');
    this.#listeners.add(response);
    response.on('close', () => {
      this.#listeners.delete(response);
      // Nobody edits any more, so what is not saved is gone.
      if (this.#listeners.size === 0) this.#input.showDraft?.(null);
    });
  }

  async #state(): Promise<WorkbenchState> {
    const { records, icons, menus, pictures, showDraft, file } = this.#input;
    const site = this.#files.site();
    let definition: unknown = null;
    let failure: string | null = null;
    if (this.#files.isModule) {
      const checked = await readSiteFile(file);
      definition = checked.site?.definition ?? null;
      const [problem] = checked.problems;
      if (!checked.site && problem) failure = `${problem.message} ${problem.remedy}`;
    }
    return {
      site,
      tokens: this.#files.tokens(),
      definition,
      failure,
      records: records === undefined ? {} : readRecords(records),
      icons: icons === undefined ? null : readText(icons),
      menus,
      styles: [builtFile('specimens.css'), builtFile('sheet.css')],
      pictures: pictures === undefined ? null : printable(pictures),
      hasApp: showDraft !== undefined,
    };
  }

  async #takePictures(texts: WorkbenchTexts): Promise<object> {
    const { pictures } = this.#input;
    if (pictures === undefined) {
      throw new Failure('bad-usage', 'No folder for pictures was named. Start again with --png <folder>.');
    }
    try {
      const count = await writeReviewPictures(this.#input, texts, pictures);
      return { message: `Wrote ${count} pictures to ${printable(pictures)}.` };
    } catch (error) {
      if (error instanceof Failure) throw error;
      throw new Failure('no-browser', `The pictures could not be taken (${printable(reasonOf(error))}).`);
    }
  }
}

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  if (!/^application\/json\b/u.test(request.headers['content-type'] ?? '')) {
    throw new Failure('bad-usage', 'A request of the workbench is JSON.');
  }
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    size += chunk.length;
    if (size > mostBytes) throw new Failure('file-too-large', 'The files have more than 64 MiB.');
    chunks.push(chunk);
  }
  try {
    return JSON.parse(Buffer.concat(chunks).toString('utf8'));
  } catch {
    throw new Failure('bad-usage', 'A request of the workbench is JSON.');
  }
}

function sendJson(response: ServerResponse, status: number, value: object): void {
  response
    .writeHead(status, { ...shared, 'Content-Type': 'application/json; charset=utf-8' })
    .end(JSON.stringify(value));
}

function sendText(response: ServerResponse, status: number, text: string): void {
  response.writeHead(status, { ...shared, 'Content-Type': 'text/plain; charset=utf-8' }).end(`${text}\n`);
}

function pageHtml(name: string, token: string): string {
  return `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="fair-trail-session" content="${token}">
    <title>${escapeMarkup(printable(name))}: workbench</title>
    <link rel="stylesheet" href="specimens.css">
    <link rel="stylesheet" href="sheet.css">
    <link rel="stylesheet" href="workbench.css">
    <script src="workbench.js" defer></script>
  </head>
  <body class="ft-sheet-alone">
    <div id="workbench"></div>
    <noscript>The workbench draws the components themselves, which takes scripts.</noscript>
  </body>
</html>
`;
}
