import type { DefinedSite } from 'fair-trail';
import type { Browser } from 'playwright-core';
import { guard } from '../browser/guard.ts';
import { openGate } from '../browser/gate.ts';
import { reasonOf } from '../printable.ts';
import { settleBlame } from './blame.ts';
import { checkSurplus } from './check-surplus.ts';
import { VisitedPages } from './visited-pages.ts';
import { SiteMenus } from './site-menus.ts';
import type { Storage } from './storage-file.ts';
import { prefixOf, expectedPages, type ExpectedPage, type Visitor } from './expected-pages.ts';
import { WalkWindow } from './walk-window.ts';
import { Walker, type WalkInput } from './walker.ts';
import { WalkNotes, type WalkedSite, type WalkReport } from './walk-report.ts';

export interface WalkSettings extends Visitor {
  readonly site: DefinedSite;
  /** The address of any page of the site. */
  readonly address: string;
  /** Ids of the entries that are walked to; null for all. */
  readonly only: readonly string[] | null;
  readonly inputs: readonly WalkInput[];
  /** In CSS pixels. */
  readonly width: number;
  /** Cookies and what is kept in the browser, which make the visitor who they are. */
  readonly storage: Storage | null;
  /** How long is waited for what must come, in milliseconds. Default: 3000. */
  readonly patience?: number;
  /** How long a page may take to answer, in milliseconds. Default: 10 000. */
  readonly answersWithin?: number;
  readonly isStopped?: () => boolean;
  readonly onProgress?: (done: number, all: number) => void;
}

/** What a walk is made of, for those who write a test of it. */
export interface Walked {
  readonly stops: readonly ExpectedPage[];
  readonly notes: WalkNotes;
  readonly seen: VisitedPages;
  readonly report: (of: WalkedSite) => WalkReport;
}

/** So many windows walk side by side: most of the time of each is spent waiting for its page. */
const windows = 3;

/** Holds a running site against its site file, entry by entry. */
export async function runWalk(browser: Browser, settings: WalkSettings): Promise<Walked> {
  const { site, address, only, inputs, width, storage } = settings;
  const { language = site.language, isStopped = () => false, onProgress, patience = 3000 } = settings;
  const { origin } = new URL(address);
  const { stops: all, leftOut } = expectedPages(site, settings);
  const stops = all.filter(({ entry }) => only === null || only.includes(entry.id));
  const notes = new WalkNotes();
  const menus = new SiteMenus(site, settings);
  for (const { entry, reason } of leftOut) {
    if (only === null || only.includes(entry.id)) notes.notJudged({ entry }, null, reason);
  }
  const others = site.languages.filter((one) => one !== language);
  if (others.length > 0) {
    const reason = `Pages in other languages are not walked to: ${others.join(', ')}. Give --language for a walk in one of them.`;
    notes.notJudged(null, null, reason);
  }

  const gate = await openGate(origin);
  const context = await browser.newContext({
    viewport: { width, height: 800 },
    proxy: { server: gate.server },
    ignoreHTTPSErrors: true,
    acceptDownloads: false,
    serviceWorkers: 'block',
    reducedMotion: 'reduce',
    // A site may answer in the language that its visitor reads.
    locale: language,
    ...(storage !== null && { storageState: storage }),
  });
  try {
    await guard(context, origin);
    const held = { site, menus, notes, patience, staying: new Set<string>() };
    const open = async () =>
      new Walker(new WalkWindow(await context.newPage(), origin, held, settings.answersWithin), held);
    const seen = new VisitedPages(site, menus);
    const ways = stops.flatMap((stop) =>
      [...stop.ways.keys()].flatMap((menu) => inputs.map((input) => ({ stop, menu, input }))),
    );
    let done = 0;
    const next = () => onProgress?.((done += 1), stops.length + ways.length);
    const giveUp = ({ stop }: { readonly stop: ExpectedPage }, error: unknown) => {
      const reason = reasonOf(error);
      notes.notJudged(stop, null, `The page could not be used: ${reason}`);
    };

    const looks = stops.map((stop) => ({ stop }));
    await shareOut(open, looks, { isStopped, giveUp }, async (walker, { stop }) => {
      next();
      const reading = await walker.look(stop);
      if (reading) seen.add(stop, reading);
    });
    for (const name of menus.names) {
      const isAsked = stops.some((stop) => stop.ways.has(name));
      if (!isAsked || seen.menus.has(name) || isStopped()) continue;
      const message = `“${name}” has ${menus.keysOf(name).size} pages in the site file.`;
      notes.fault(null, { code: 'menu-missing', blame: 'unclear', menu: name, message });
    }
    await shareOut(open, ways, { isStopped, giveUp }, async (walker, { stop, menu, input }) => {
      next();
      const { shownOn = [] } = seen.menus.get(menu) ?? {};
      const from = shownOn.find(({ key }) => key !== stop.key) ?? shownOn[0];
      if (from && seen.page(stop.key)) await walker.reach(stop, menu, from, input);
    });
    for (const { reading } of seen.menus.values()) checkSurplus(held, settings, reading);
    if (!isStopped() && only === null) {
      const home = stops.find(({ entry }) => entry === site.home);
      const walker = await open();
      await walker.checkUnknown(
        prefixOf(site, language),
        (home && seen.page(home.key)?.heading) ?? null,
        leafOf(stops),
      );
    }
    if (isStopped()) notes.notJudged(null, null, 'The walk was stopped: what was not tried is not judged.');
    settleBlame(notes, stops, seen);
    return { stops, notes, seen, report: (of) => notes.report(of, stops) };
  } finally {
    await context.close();
    gate.close();
  }
}

/** A page with none below it: an address below it is unknown too. */
function leafOf(stops: readonly ExpectedPage[]): ExpectedPage | null {
  const isLeaf = ({ entry, address }: ExpectedPage) =>
    entry.entries.length === 0 && !address.includes('?') && address !== '/';
  return stops.find(isLeaf) ?? null;
}

interface Sharing<Work> {
  readonly isStopped: () => boolean;
  readonly giveUp: (one: Work, error: unknown) => void;
}

/** Several windows share the work. One that has got into something is closed, and another goes on: one page must not cost the others. */
async function shareOut<Work>(
  open: () => Promise<Walker>,
  work: readonly Work[],
  { isStopped, giveUp }: Sharing<Work>,
  act: (walker: Walker, one: Work) => Promise<void>,
): Promise<void> {
  let at = 0;
  const share = async () => {
    let walker: Walker | null = null;
    for (let one = work[at++]; one !== undefined && !isStopped(); one = work[at++]) {
      walker ??= await open();
      try {
        await act(walker, one);
      } catch (error) {
        giveUp(one, error);
        await walker.close();
        walker = null;
      }
    }
    await walker?.close();
  };
  await Promise.all(Array.from({ length: Math.min(windows, work.length) }, share));
}
