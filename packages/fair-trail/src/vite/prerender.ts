import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Logger } from 'vite';
import { absoluteAddress } from '../core/site/address.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { DefinedSite } from '../core/site/site.ts';
import type { PrerenderOptions } from './options.ts';
import type { PageTags } from './page-scripts.ts';
import { fileOf } from './page-list.ts';
import type { PageList, PageTask, PrerenderAnswer, PrerenderJob, PrerenderRequest } from './prerender-messages.ts';
import { Progress } from './progress.ts';
import { relativeAddress, withRelativeAddresses } from './relative-pages.ts';
import { outlet, redirectPage } from './written-page.ts';

interface PrerenderSettings {
  readonly site: DefinedSite;
  readonly options: PrerenderOptions;
  /** The path of the module that renders the app. */
  readonly module: string;
  readonly root: string;
  readonly outDir: string;
  /** The folder of scripts and styles, within that. */
  readonly assetsDir: string;
  readonly logger: Logger;
  readonly tags: PageTags;
  /** Whether the addresses in the pages are relative to their files. */
  readonly isRelative: boolean;
}

/** What came of it. */
export interface Prerendered {
  /** A line for each page that could not be written. */
  readonly failures: readonly string[];
  /** The ids of the pages of the app's stage; null if they are not known. */
  readonly stage: readonly string[] | null;
}

/** How long the module that renders may take to load, with its records and the pages of its stage: in seconds. */
const startTime = 300;

/** Below so many pages, another thread costs more than it saves. */
const pagesPerThread = 200;

/**
 * Writes each page of the site into the folder of a build, and what belongs to them: the sitemap, the page for unknown addresses, and
 * redirects.
 *
 * @throws Error where nothing can be written: without a place for the app in `index.html`, or an entry that does not load
 */
export async function prerender(settings: PrerenderSettings): Promise<Prerendered> {
  const { site, options, outDir, logger } = settings;
  const template = readFileSync(path.join(outDir, 'index.html'), 'utf8');
  if (!template.includes(outlet)) {
    throw new Error(
      `fair-trail: index.html has no place for the app. Write ${outlet} where its markup belongs, without spaces.`,
    );
  }
  const job: PrerenderJob = {
    module: settings.module,
    definition: site.definition,
    base: `${site.base}/`,
    caseSensitive: site.caseSensitive,
    records: await recordsFrom(options.records, settings.root),
    template,
    outDir,
    isRelative: settings.isRelative,
    tags: settings.tags,
    stageTags: null,
    restricted: options.restricted === true,
  };
  const seconds = options.timeout ?? 30;
  const first = new PageWriter(job, seconds);
  const list = await first.list().catch((error: unknown) => {
    first.end();
    throw error;
  });
  if (options.fallback !== undefined) writeFileSync(path.join(outDir, options.fallback), template);
  const tasks = [...list.pages, { address: `${site.base}/404`, file: '404.html' }];
  const progress = new Progress(tasks.length, logger);
  const count = Math.max(1, Math.min(availableParallelism(), Math.floor(tasks.length / pagesPerThread)));
  // What the first thread has found out, the others are given.
  const known = { ...job, stageTags: list.stageTags, records: list.records };
  first.end();
  const writers = Array.from({ length: count }, () => new PageWriter(known, seconds));
  const failures: string[] = [...list.leftOut];
  let next = 0;
  try {
    await Promise.all(
      writers.map(async (writer) => {
        for (let task = tasks[next++]; task; task = tasks[next++]) {
          const failure = await writer.write(task);
          if (failure !== null) failures.push(`${task.address}: ${failure}`);
          progress.step();
        }
      }),
    );
  } finally {
    progress.end();
    for (const writer of writers) writer.end();
  }
  writeRest(list, settings);
  const pages = tasks.length - (failures.length - list.leftOut.length);
  const redirects = list.redirects.length === 0 ? '' : ` and ${list.redirects.length} redirects`;
  logger.info(`fair-trail: wrote ${pages} pages${redirects}.`);
  if (list.restricted.length > 0) logger.info(restrictedNote(list.restricted, options.fallback));
  if (site.origin === null) logger.info('fair-trail: for a sitemap, give the site file an "origin".');
  return { failures, stage: list.stage };
}

/** How many addresses a line names. */
const mostNamed = 5;

function restrictedNote(addresses: readonly string[], fallback: string | undefined): string {
  const rest = addresses.length - mostNamed;
  const named = addresses.slice(0, mostNamed).join(', ') + (rest > 0 ? ` and ${rest} more` : '');
  const how =
    fallback === undefined
      ? 'To draw them in the browser, give "prerender" a "fallback" and have the server send it for them; to write them, set "restricted" to true.'
      : `They are drawn in the browser from "${fallback}". To write them, set "restricted" of "prerender" to true.`;
  return `fair-trail: wrote no page that only an audience may see: ${named}. ${how}`;
}

async function recordsFrom(given: PrerenderOptions['records'], root: string): Promise<SiteRecords | null> {
  if (given === undefined) return null;
  if (typeof given === 'function') return given();
  const file = path.resolve(root, given);
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as SiteRecords;
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    throw new Error(
      `fair-trail: the records in "${given}" cannot be read (${reason}). Write { "name": [{ "params": { … } }] }.`,
      { cause: error },
    );
  }
}

function writeRest({ redirects, sitemap }: PageList, settings: PrerenderSettings): void {
  const { site, outDir, assetsDir, isRelative } = settings;
  const script = path.posix.join(assetsDir, 'moved.js');
  for (const { name, text } of sitemap) writeFileSync(path.join(outDir, name), text);
  for (const redirect of redirects) {
    const file = fileOf(site, redirect.from);
    if (file === null) continue;
    const place = path.join(outDir, file);
    const canonical = site.origin === null ? redirect.to : absoluteAddress(site.origin, redirect.to);
    mkdirSync(path.dirname(place), { recursive: true });
    const to = isRelative ? relativeAddress(redirect.to, file) : redirect.to;
    const page = redirectPage({ ...redirect, to }, canonical, `${site.base}/${script}`);
    writeFileSync(place, isRelative ? withRelativeAddresses(page, file) : page);
  }
  const place = path.join(outDir, 'redirects.json');
  if (redirects.length === 0) {
    rmSync(place, { force: true });
    return;
  }
  writeFileSync(place, `${JSON.stringify(redirects, null, 2)}\n`);
  mkdirSync(path.join(outDir, assetsDir), { recursive: true });
  // A script of its own, since a strict Content-Security-Policy allows none within a page.
  const source = readFileSync(path.join(import.meta.dirname, 'page/moved.js'), 'utf8');
  writeFileSync(
    path.join(outDir, script),
    source.replace(/^export \{\};\n/mu, '').replace(/^\/\/# sourceMappingURL.*\n?/mu, ''),
  );
}

function failureIn(answer: PrerenderAnswer): string | null {
  return 'failure' in answer ? answer.failure : null;
}

/** A thread that writes one page after the other. One that does not come to an end is stopped, and the next page has a new one. */
class PageWriter {
  readonly #job: PrerenderJob;
  readonly #seconds: number;
  #worker: Worker | null = null;
  #settle: (answer: PrerenderAnswer) => void = () => undefined;

  constructor(job: PrerenderJob, seconds: number) {
    this.#job = job;
    this.#seconds = seconds;
  }

  /** @throws Error where the entry cannot be loaded */
  async list(): Promise<PageList> {
    const answer = await this.#ask({ type: 'list' });
    if (answer.type === 'list') return answer.list;
    throw new Error(`fair-trail: the pages cannot be rendered. ${failureIn(answer) ?? ''}`);
  }

  /** @returns why the page could not be written; null if it was */
  async write(page: PageTask): Promise<string | null> {
    const answer = await this.#ask({ type: 'page', page });
    return failureIn(answer);
  }

  end(): void {
    void this.#worker?.terminate();
    this.#worker = null;
  }

  #ask(request: PrerenderRequest): Promise<PrerenderAnswer> {
    const isNew = this.#worker === null;
    const worker = (this.#worker ??= this.#start());
    return new Promise((resolve) => {
      let timer: NodeJS.Timeout | undefined;
      const limit = (seconds: number) => {
        clearTimeout(timer);
        const fail = () => this.#fail(`It did not end within ${seconds} seconds, and was stopped.`);
        timer = setTimeout(fail, 1000 * seconds);
      };
      limit(isNew ? startTime : this.#seconds);
      this.#settle = (answer) => {
        if (answer.type === 'ready') {
          limit(this.#seconds);
          return;
        }
        clearTimeout(timer);
        resolve(answer);
      };
      worker.postMessage(request);
    });
  }

  #start(): Worker {
    const worker = new Worker(new URL('./prerender-worker.js', import.meta.url), { workerData: this.#job });
    worker.on('message', (answer: PrerenderAnswer) => this.#settle(answer));
    worker.on('error', (error: unknown) => this.#fail(error instanceof Error ? error.message : String(error)));
    worker.on('exit', (code) => {
      if (this.#worker === worker) this.#fail(`It ended the thread that renders pages (exit code ${code}).`);
    });
    return worker;
  }

  /** What is asked for fails, and what comes next has a new thread. */
  #fail(failure: string): void {
    this.end();
    this.#settle({ type: 'failed', failure });
  }
}
