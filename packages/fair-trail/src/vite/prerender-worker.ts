import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { parentPort, workerData } from 'node:worker_threads';
import { breadcrumbJsonLd } from '../core/output/breadcrumb-data.ts';
import { escapeMarkup } from '../core/output/escape.ts';
import { absoluteAddress } from '../core/site/address.ts';
import { breadcrumbs } from '../core/site/breadcrumbs.ts';
import { defineSite } from '../core/site/define.ts';
import { locate, titleOf } from '../core/site/locate.ts';
import type { SiteRecords } from '../core/site/records.ts';
import { englishWording } from '../core/wording.ts';
import type { RenderedPage, ServerEntry } from './options.ts';
import { importsName } from './page-scripts.ts';
import { listPages } from './page-list.ts';
import { withRelativeAddresses } from './relative-pages.ts';
import type { PageTask, PrerenderAnswer, PrerenderJob, PrerenderRequest } from './prerender-messages.ts';
import { fillTemplate } from './written-page.ts';

/** Renders and writes pages, in a thread of its own: one that never ends can then be stopped. */

const job = workerData as PrerenderJob;
const site = defineSite(job.definition as unknown as Parameters<typeof defineSite>[0], {
  base: job.base,
  caseSensitive: job.caseSensitive,
});

const globals = globalThis as unknown as Record<string, Set<string> | undefined>;

const entry = await loadEntry();
const records = await loadRecords();
const stageTags = job.stageTags ?? (await loadStage());

async function loadEntry(): Promise<ServerEntry> {
  const module = (await import(pathToFileURL(job.module).href)) as Partial<ServerEntry>;
  if (typeof module.render !== 'function') {
    throw new TypeError(
      'The entry exports no function "render". Export one that takes an address and returns the page’s HTML.',
    );
  }
  return module as ServerEntry;
}

async function loadRecords(): Promise<SiteRecords> {
  if (job.records !== null) return job.records;
  return (typeof entry.records === 'function' ? await entry.records() : entry.records) ?? {};
}

/** What each page of the stage loads besides the app, by the id of its entry. Each lazy page is loaded once, to see. */
async function loadStage(): Promise<Readonly<Record<string, string>>> {
  const found: Record<string, string> = {};
  for (const [id, page] of Object.entries(entry.pages ?? {})) {
    if (!isLazy(page)) continue;
    const imports = (globals[importsName] = new Set<string>());
    // A page that cannot be loaded is reported where it is rendered.
    await page.load().catch(() => undefined);
    const texts = [...imports].map((imported) => job.tags[imported] ?? '');
    found[id] = [...new Set(texts)].join('');
  }
  globals[importsName] = undefined;
  return found;
}

function isLazy(page: unknown): page is { readonly load: () => Promise<unknown> } {
  return typeof page === 'object' && page !== null && 'load' in page && typeof page.load === 'function';
}

async function write({ address, file }: PageTask): Promise<void> {
  const position = locate(site, address);
  const rendered = await entry.render(address);
  const page: RenderedPage = typeof rendered === 'string' ? { html: rendered } : rendered;
  if (typeof (page as unknown) !== 'object' || typeof page.html !== 'string') {
    throw new TypeError('"render" returned no HTML. Return a text, or an object with the text "html".');
  }
  const head: string[] = [];
  if (site.origin !== null && position.entry) {
    const canonical = absoluteAddress(site.origin, address);
    head.push(`<link rel="canonical" href="${escapeMarkup(canonical)}" data-ft-of-page>`);
    // A page that prints it itself has said all.
    if (!page.html.includes('application/ld+json')) {
      const data = breadcrumbJsonLd(site, breadcrumbs(site, position, records));
      head.push(`<script type="application/ld+json" data-ft-of-page>${data}</script>`);
    }
  }
  head.push(stageTags[position.entry?.id ?? ''] ?? '', page.head ?? '');
  const text = fillTemplate(job.template, {
    html: page.html,
    title: page.title ?? titleOf(site, position, englishWording.notFound, records),
    language: position.language,
    head: head.join(''),
  });
  const place = path.join(job.outDir, file);
  mkdirSync(path.dirname(place), { recursive: true });
  writeFileSync(place, job.isRelative ? withRelativeAddresses(text, file) : text);
}

const answer = (message: PrerenderAnswer) => parentPort?.postMessage(message);

const reasonOf = (error: unknown) =>
  (error instanceof Error ? error.message : String(error)) || 'It threw nothing that says why.';

parentPort?.on('message', (request: PrerenderRequest) => {
  if (request.type === 'list') {
    const stage = entry.pages ? Object.keys(entry.pages) : null;
    answer({ type: 'list', list: { ...listPages(site, records, job.restricted), stage, stageTags, records } });
    return;
  }
  write(request.page).then(
    () => answer({ type: 'page', failure: null }),
    (error: unknown) => answer({ type: 'page', failure: reasonOf(error) }),
  );
});

answer({ type: 'ready' });
