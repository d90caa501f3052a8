import { toFinding } from 'fair-trail/internal/audit';
import { readFileSync } from 'node:fs';
import type { Browser } from 'playwright-core';
import { isWanted, type AuditSettings } from './audit-settings.ts';
import { AuditWindow, type Way, type WindowConditions } from './audit-window.ts';
import { Findings, type AuditReport } from './audit-report.ts';
import { openGate } from '../browser/gate.ts';
import { reasonOf } from '../printable.ts';
import { addressOf, KnownPages } from './known-pages.ts';
import { Layouts } from './layouts.ts';
import { LinkCheck } from './link-check.ts';
import { deadLinks, strayPages } from './site-wide-findings.ts';
import type { Probe } from './probe.ts';
import { Comparison, narrowMenuLacks, type Difference } from './probes/across.ts';
import { deadLink } from './probes/links.ts';
import { titleInSite } from './probes/site-map.ts';
import { isInShard } from './shard.ts';
import { Tried } from './tried.ts';
import { usePage, type SharedByPages } from './run-probes.ts';

/** Uses the navigation of a site, page by page and width by width, and reports what is wrong with it. */
export async function runAudit(browser: Browser, settings: AuditSettings): Promise<AuditReport> {
  return (await runIllustratedAudit(browser, settings)).report;
}

/** A report, with the pictures that were taken, and what the site has answered for: pages, scripts and stylesheets. */
export interface IllustratedAudit {
  readonly report: AuditReport;
  readonly findings: Findings;
  readonly resources: ReadonlySet<string>;
}

/** The same with what else is known once it has ended. */
export async function runIllustratedAudit(browser: Browser, settings: AuditSettings): Promise<IllustratedAudit> {
  return new Audit(browser, settings).run();
}

/** How long is waited for a title that would be reported, in milliseconds: at first, and once some have stayed. */
const [longWait, shortWait] = [2000, 200];

class Audit {
  readonly #browser: Browser;
  readonly #settings: AuditSettings;
  readonly #widths: readonly number[];
  readonly #findings = new Findings();
  readonly #comparison = new Comparison();
  readonly #known: KnownPages;
  readonly #pages: { url: string; title: string }[] = [];
  /** Addresses that are known from frames. */
  readonly #frames = new Set<string>();
  #visited = 0;
  /** How many titles stayed as they were. */
  #keptTitles = 0;
  readonly #tried = new Tried();
  readonly #windows = new Map<number, AuditWindow>();
  readonly #layouts: Layouts;
  /** Further windows of each width, by number. */
  readonly #lanes = new Map<string, Promise<AuditWindow>>();
  #links: LinkCheck | null = null;
  #way: Way = { origin: '', proxy: '', script: '', patience: 0, resources: new Set() };

  constructor(browser: Browser, settings: AuditSettings) {
    this.#browser = browser;
    this.#settings = settings;
    this.#widths = settings.widths;
    this.#known = new KnownPages(settings.start);
    this.#layouts = new Layouts(settings.widths);
  }

  async run(): Promise<IllustratedAudit> {
    const { pages, isStopped = () => false, onProgress, tool, target } = this.#settings;
    const { origin } = this.#known;
    const gate = await openGate(origin);
    const script = readFileSync(new URL('../../dist/audit-page/audit.js', import.meta.url), 'utf8');
    const early = readFileSync(new URL('../../dist/audit-page/early.js', import.meta.url), 'utf8');
    this.#way = {
      origin,
      proxy: gate.server,
      script: `${early}\n${script}`,
      patience: this.#settings.patience ?? 15_000,
      resources: new Set(),
    };
    this.#links = new LinkCheck(this.#browser, this.#way);
    try {
      while (this.#visited < pages && !isStopped()) {
        const url = this.#known.next();
        if (url === null) break;
        onProgress?.(this.#visited, this.#known.count);
        // One bad page must not cost the others.
        await this.#auditPage(url).catch((error: unknown) => this.#giveUp(url, error));
      }
      if (!isStopped()) await this.#lookBack();
    } finally {
      const windows = [...this.#windows.values(), ...(await Promise.all(this.#lanes.values()))];
      await Promise.all(windows.map((window) => window.close()));
      gate.close();
    }
    const { left } = this.#known;
    if (left > 0) {
      const why = isStopped() ? 'The audit was stopped.' : '--pages says how many are visited.';
      this.#findings.leaveOut('*', target, `${left} more ${left === 1 ? 'page is' : 'pages are'} linked. ${why}`);
    }
    const report = this.#findings.report({ tool, target, pages: this.#pages });
    return { report, findings: this.#findings, resources: this.#way.resources };
  }

  #giveUp(url: string, error: unknown): void {
    const reason = reasonOf(error);
    this.#findings.leaveOut('*', url, `The page could not be used: ${reason}`);
  }

  async #auditPage(url: string): Promise<void> {
    const isOwn = isInShard(url.slice(this.#known.origin.length), this.#settings.shard ?? null);
    // A page of another machine is read for the links that lead on from it.
    const widths = isOwn ? this.#widths : this.#widths.slice(0, 1);
    // Side by side: most of the time of each is spent waiting for the page.
    const outcomes = await Promise.allSettled(
      widths.map((width, index) => this.#atOneWidth(url, width, index === 0, isOwn)),
    );
    for (const outcome of outcomes) if (outcome.status === 'rejected') this.#giveUp(url, outcome.reason);
  }

  async #atOneWidth(url: string, width: number, isFirst: boolean, isOwn: boolean): Promise<void> {
    try {
      await this.#inWindowAt(url, width, isFirst, isOwn);
    } finally {
      // Whoever waits for the layout at this width waits no longer.
      this.#layouts.note(url, width, null);
    }
  }

  async #inWindowAt(url: string, width: number, isFirst: boolean, isOwn: boolean): Promise<void> {
    const window = await this.#windowAt(width);
    try {
      await this.#atWidth(window, url, isFirst, isOwn);
    } catch (error) {
      // Whatever it has got into, the next page gets another one.
      this.#windows.delete(width);
      await window.close();
      throw error;
    }
  }

  async #windowAt(width: number): Promise<AuditWindow> {
    const known = this.#windows.get(width);
    if (known && !known.isLost) return known;
    await known?.close();
    const window = await AuditWindow.open(this.#browser, this.#way, this.#conditionsAt(width));
    this.#windows.set(width, window);
    return window;
  }

  #conditionsAt(width: number): WindowConditions {
    return { width, height: 800, colorScheme: this.#settings.colorScheme ?? 'light' };
  }

  async #atWidth(window: AuditWindow, url: string, isFirst: boolean, isOwn: boolean): Promise<void> {
    const { width } = window.conditions;
    const loaded = await window.load(url, (fingerprints) => {
      return fingerprints.length > 0 && fingerprints.every((fingerprint) => this.#tried.has(width, fingerprint));
    });
    if (!loaded.type.includes('html')) return;
    this.#links?.answered(url, loaded.status);
    if (isFirst) this.#visited += 1;
    if (loaded.status >= 400) {
      if (isFirst) this.#findings.leaveOut('*', url, `The page answers with status ${loaded.status}.`);
      return;
    }
    const arrived = addressOf(new URL(loaded.url));
    // A redirect to a page that is known, or that will be, shows nothing new.
    if (arrived !== url && this.#pages.some((page) => page.url === arrived)) return;
    this.#known.add(arrived);
    const isFrame = this.#frames.has(url);
    if (!isFrame) await this.#waitForTitle(window, arrived);
    const report = await window.call('report', {});
    // A menu may be there at some widths alone.
    for (const link of report.menus.flatMap(({ links }) => links)) {
      const address = this.#known.follow(link);
      if (address !== null) this.#links?.add(address, url, link);
    }
    if (isFirst) for (const link of report.others) this.#known.follow(link);
    if (isFirst) this.#followFrames(window, arrived);
    if (!isOwn) return;
    if (isFirst) this.#pages.push({ url, title: report.title });
    await usePage({ shared: this.#shared(), window, url, report, loaded, isFrame });
  }

  /** What is in a frame of the same origin is opened by itself, as a page without what pages alone have. */
  #followFrames(window: AuditWindow, page: string): void {
    for (const frame of window.page.frames()) {
      const url = frame.url();
      if (frame === window.page.mainFrame() || !URL.canParse(url) || new URL(url).origin !== this.#known.origin)
        continue;
      const address = this.#known.follow({ href: url, label: '' });
      if (address !== null && address !== page && !this.#pages.some((one) => one.url === address))
        this.#frames.add(address);
    }
  }

  /**
   * A page that is drawn late has its title late. One that would be reported is waited for; once such titles have stayed as
   * they were, later pages get a shorter wait.
   */
  async #waitForTitle(window: AuditWindow, url: string): Promise<void> {
    const isSuspect = (title: string) => {
      const expected = this.#settings.site ? titleInSite(this.#settings.site, url) : null;
      if (expected !== null) return title !== expected;
      return title.trim() === '' || this.#pages.some((page) => page.title === title && page.url !== url);
    };
    const end = Date.now() + (this.#keptTitles > 2 ? shortWait : longWait);
    let waited = false;
    while (isSuspect(await window.page.title())) {
      if (Date.now() > end) {
        this.#keptTitles += 1;
        return;
      }
      waited = true;
      await window.page.waitForTimeout(50);
    }
    // The rest of the page comes with its title.
    if (waited) await window.settle();
  }

  #shared(): SharedByPages {
    return {
      browser: this.#browser,
      settings: this.#settings,
      way: this.#way,
      findings: this.#findings,
      comparison: this.#comparison,
      tried: this.#tried,
      layouts: this.#layouts,
      laneAt: (window, index) => this.#laneAt(window, index),
      onTrying: this.#settings.onTrying,
    };
  }

  async #laneAt({ conditions }: AuditWindow, index: number): Promise<AuditWindow> {
    const name = `${conditions.width} ${index}`;
    const known = await this.#lanes.get(name);
    if (known && !known.isLost) return known;
    await known?.close();
    const opened = AuditWindow.open(this.#browser, this.#way, conditions);
    this.#lanes.set(name, opened);
    return opened;
  }

  /** What is known only when all pages have been seen. */
  async #lookBack(): Promise<void> {
    const { site, target, isStopped = () => false } = this.#settings;
    const [narrow, wide] = [Math.min(...this.#widths), Math.max(...this.#widths)];
    for (const difference of this.#comparison.lacking(narrow, wide)) this.#add(narrowMenuLacks, difference);
    for (const difference of this.#comparison.drifted()) this.#add(difference.probe, difference);
    if (this.#known.left === 0) {
      for (const difference of this.#comparison.hardToFind(addressOf(new URL(this.#settings.start)))) {
        this.#add(difference.probe, difference);
      }
    }
    if (!this.#links) return;
    const width = this.#widths[0] ?? 0;
    const seen = { links: this.#links, known: this.#known, findings: this.#findings, target, width, isStopped };
    if (isWanted(this.#settings, deadLink.id))
      for await (const difference of deadLinks(seen)) this.#add(difference.probe, difference);
    if (site) for await (const difference of strayPages(site, seen)) this.#add(difference.probe, difference);
  }

  #add(probe: Probe, { page, width, place, message }: Omit<Difference, 'probe'>): void {
    if (!isWanted(this.#settings, probe.id)) return;
    this.#findings.add(toFinding(probe, place, message), { page, width, state: 'rest', steps: [] });
  }
}
