import { readFileSync } from 'node:fs';
import type { Site } from 'fair-trail';
import type { PageReport } from 'fair-trail/audit';
import type { Browser } from 'playwright-core';
import { AuditWindow, type Loaded, type Way, type WindowConditions } from './audit-window.ts';
import { Findings, type AuditReport } from './audit-report.ts';
import { openGate } from './gate.ts';
import { isHarmful } from './harmful.ts';
import { LinkCheck } from './link-check.ts';
import { rulesLeftOut } from './missing-parts.ts';
import type { Probe } from './probe.ts';
import { Comparison, narrowMenuLacks, type Difference } from './probes/across.ts';
import { attempts } from './probes/index.ts';
import { deadLink } from './probes/links.ts';
import { againstSite, pagesOf, sitePageMissing, sitePageUnlinked } from './probes/site-map.ts';
import { isInShard, type Shard } from './shard.ts';
import { Tried } from './tried.ts';
import { UsedPage } from './used-page.ts';

export interface AuditSettings {
  /** Where the audit begins. */
  readonly start: string;
  /** As it was asked for. */
  readonly target: string;
  readonly widths: readonly number[];
  /** How many pages at most. */
  readonly pages: number;
  readonly only?: readonly string[] | null;
  readonly skip?: readonly string[];
  readonly tool: AuditReport['tool'];
  /** What the reader has set for all pages. Default: light. */
  readonly colorScheme?: 'light' | 'dark';
  /** The site file that the pages are held against. */
  readonly site?: Site | null;
  /** This machine's part of the pages: the first of three is `{ index: 1, count: 3 }`. */
  readonly shard?: Shard | null;
  /** How long a page may take to load, and to answer, in milliseconds. Default: 15 000, longer than one that works takes. */
  readonly patience?: number;
  /** Whether pictures are taken of what is found. */
  readonly hasPictures?: boolean;
  /** Asked before each page: what was found so far is told when it is time to stop. */
  readonly isStopped?: () => boolean;
  readonly onProgress?: (done: number, known: number) => void;
}

/** Menus of one page alone, such as breadcrumbs, are used on so many pages at each width. */
const mostAlike = 2;

/** More addresses than that are not kept to be visited. */
const mostQueued = 10_000;

/** Uses the navigation of a site, page by page and width by width, and tells what is wrong with it. */
export async function runAudit(browser: Browser, settings: AuditSettings): Promise<AuditReport> {
  return (await runIllustratedAudit(browser, settings)).report;
}

/** The same with the pictures that were taken. */
export async function runIllustratedAudit(
  browser: Browser,
  settings: AuditSettings,
): Promise<{ readonly report: AuditReport; readonly findings: Findings }> {
  return new Audit(browser, settings).run();
}

class Audit {
  readonly #browser: Browser;
  readonly #settings: AuditSettings;
  readonly #widths: readonly number[];
  readonly #findings = new Findings();
  readonly #comparison = new Comparison();
  readonly #origin: string;
  readonly #queue: string[];
  readonly #known: Set<string>;
  readonly #pages: { url: string; title: string }[] = [];
  #left = 0;
  #visited = 0;
  readonly #tried = new Tried();
  readonly #windows = new Map<number, AuditWindow>();
  #links: LinkCheck | null = null;
  #way: Way = { origin: '', proxy: '', script: '', patience: 0 };

  constructor(browser: Browser, settings: AuditSettings) {
    this.#browser = browser;
    this.#settings = settings;
    this.#widths = settings.widths;
    const start = addressOf(new URL(settings.start));
    this.#origin = new URL(start).origin;
    this.#queue = [start];
    this.#known = new Set(this.#queue);
  }

  async run(): Promise<{ readonly report: AuditReport; readonly findings: Findings }> {
    const { pages, isStopped = () => false, onProgress, tool, target } = this.#settings;
    const gate = await openGate(this.#origin);
    const script = readFileSync(new URL('../../dist/audit-page/audit.js', import.meta.url), 'utf8');
    const heard = readFileSync(new URL('../../dist/audit-page/heard.js', import.meta.url), 'utf8');
    this.#way = {
      origin: this.#origin,
      proxy: gate.server,
      script: `${heard}\n${script}`,
      patience: this.#settings.patience ?? 15_000,
    };
    this.#links = new LinkCheck(this.#browser, this.#way);
    try {
      for (let url = this.#queue.shift(); url !== undefined; url = this.#queue.shift()) {
        if (this.#visited >= pages || isStopped()) {
          this.#queue.unshift(url);
          break;
        }
        onProgress?.(this.#visited, this.#known.size);
        // One bad page must not cost the others.
        const address = url;
        await this.#auditPage(url).catch((error: unknown) => this.#giveUp(address, error));
      }
      if (!isStopped()) await this.#lookBack();
    } finally {
      await Promise.all([...this.#windows.values()].map((window) => window.close()));
      gate.close();
    }
    const left = this.#queue.length + this.#left;
    if (left > 0) {
      const why = isStopped() ? 'The audit was stopped.' : '--pages says how many are visited.';
      this.#findings.leaveOut('*', target, `${left} more ${left === 1 ? 'page is' : 'pages are'} linked. ${why}`);
    }
    const report = this.#findings.report({ tool, target, pages: this.#pages });
    return { report, findings: this.#findings };
  }

  #giveUp(url: string, error: unknown): void {
    const reason = error instanceof Error ? (error.message.split('\n', 1)[0] ?? '') : String(error);
    this.#findings.leaveOut('*', url, `The page could not be used: ${reason}`);
  }

  async #auditPage(url: string): Promise<void> {
    const isOwn = isInShard(url.slice(this.#origin.length), this.#settings.shard ?? null);
    // A page of another machine is read for the links that lead on from it.
    const widths = isOwn ? this.#widths : this.#widths.slice(0, 1);
    // Side by side: most of the time of each is spent waiting for the page.
    const outcomes = await Promise.allSettled(
      widths.map((width, index) => this.#atOneWidth(url, width, index === 0, isOwn)),
    );
    for (const outcome of outcomes) if (outcome.status === 'rejected') this.#giveUp(url, outcome.reason);
  }

  async #atOneWidth(url: string, width: number, isFirst: boolean, isOwn: boolean): Promise<void> {
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
    const report = await window.call('report', {});
    // A menu may be there at some widths alone.
    for (const link of report.menus.flatMap(({ links }) => links)) {
      const address = this.#follow(link);
      if (address !== null) this.#links?.add(address, url, link);
    }
    if (isFirst) for (const link of report.others) this.#follow(link);
    if (!isOwn) return;
    if (isFirst) this.#pages.push({ url, title: report.title });
    await this.#use(window, url, report, loaded);
  }

  async #use(window: AuditWindow, url: string, report: PageReport, loaded: Loaded): Promise<void> {
    const used = this.#usedPage(window, url, report, this.#leaveOutMissing(url, loaded));
    const { width } = window.conditions;
    for (const finding of report.findings) {
      // What is read is told in the words of its rule.
      const description = { ...finding, id: finding.rule, title: finding.message, hurts: '', standard: '' };
      await used.tell(description, finding, { state: 'rest' });
    }
    for (const { rule, reason } of report.notChecked) this.#findings.leaveOut(rule, url, reason);
    for (const difference of this.#comparison.add(report, url, width)) await this.#tellDifference(used, difference);
    const { site } = this.#settings;
    if (site) for (const one of againstSite(site, report, url, width)) await this.#tellDifference(used, one);
    await this.#readFrames(used);

    const other = report.menus.filter(({ fingerprint }) => this.#tried.isNew(width, fingerprint));
    const fresh = other.filter(({ likeness }) => this.#tried.isRare(width, likeness, mostAlike));
    if (other.length > fresh.length) {
      this.#findings.leaveOut(
        '*',
        url,
        `Menus that are made like those of ${mostAlike} other pages are read, and not used.`,
      );
    }
    // A page without any menu may still have what is to be tried; one of them.
    const isBare = report.menus.length === 0 && this.#tried.isNew(width, 'no menu');
    const isUsedUp = fresh.length === 0 && !isBare && !this.#hasFresh(report, width);
    if (isUsedUp) return;
    for (const { name, probes, attempt } of attempts) {
      // What toggles open is asked for by the comparison of widths too.
      const isAsked = used.isWanted(...probes) || (name === 'toggles' && used.isWanted(narrowMenuLacks));
      if (!isAsked) continue;
      // The whole page is walked where a menu of it is new; all else asks for itself what is.
      if (fresh.length === 0 && !isBare && ['focus', 'fit', 'page change', 'lists of choices'].includes(name)) continue;
      await this.#try(used, name, probes, attempt);
      if (window.isLost) throw new Error('the page has crashed');
    }
  }

  /** One attempt that fails must not cost the others. */
  async #try(
    used: UsedPage,
    name: string,
    probes: readonly Probe[],
    attempt: (used: UsedPage) => Promise<void>,
  ): Promise<void> {
    try {
      await attempt(used);
    } catch (error) {
      const reason = error instanceof Error ? (error.message.split('\n', 1)[0] ?? '') : String(error);
      for (const probe of probes) used.leaveOut(probe, `Trying the page (${name}) failed: ${reason}`);
      if (reason === 'the page hangs') throw error;
    }
  }

  #hasFresh({ toggles, tablists, skipLinks, hoverTriggers }: PageReport, width: number): boolean {
    const names = [
      ...[...toggles, ...tablists, ...hoverTriggers].map(({ fingerprint }) => fingerprint),
      ...skipLinks.map(({ html, target }) => `skip ${html} ${target}`),
    ];
    return names.some((name) => !this.#tried.has(width, name));
  }

  #usedPage(window: AuditWindow, url: string, report: PageReport, isHeld: (rule: string) => boolean): UsedPage {
    const { width } = window.conditions;
    return new UsedPage({
      window,
      url,
      report,
      findings: this.#findings,
      isWanted: (rule) => this.#isWanted(rule) && isHeld(rule),
      isNew: (name) => this.#tried.isNew(width, name),
      isRare: (likeness, most) => this.#tried.isRare(width, likeness, most),
      isNarrowest: width === Math.min(...this.#widths),
      isWidest: width === Math.max(...this.#widths),
      hasPictures: this.#settings.hasPictures ?? false,
      onOpened: (addresses) => this.#comparison.opened(addresses, width),
      openOther: async (conditions) => {
        const other = await AuditWindow.open(this.#browser, this.#way, { ...window.conditions, ...conditions });
        await other.load(url);
        return other;
      },
    });
  }

  /** Which rules a page can be held to, as far as what it asked for has come. */
  #leaveOutMissing(url: string, { missing }: Loaded): (rule: string) => boolean {
    const notAsItIs = rulesLeftOut(missing);
    for (const rule of notAsItIs) {
      if (!this.#isWanted(rule)) continue;
      const reason = 'A script or stylesheet of the page was not loaded: the audit asks no other origin for anything.';
      this.#findings.leaveOut(rule, url, reason);
    }
    return (rule) => !notAsItIs.has(rule);
  }

  /** What is in frames of the same origin is read, and not used. */
  async #readFrames(used: UsedPage): Promise<void> {
    const { page } = used.options.window;
    const frames = page.frames().filter((frame) => frame !== page.mainFrame());
    for (const frame of frames.slice(0, 10)) {
      if (!URL.canParse(frame.url()) || new URL(frame.url()).origin !== this.#origin) continue;
      const report = await frame.evaluate(() => window.fairTrailAudit?.report({}) ?? null).catch(() => null);
      for (const finding of report?.findings ?? []) {
        const description = { ...finding, id: finding.rule, title: finding.message, hurts: '', standard: '' };
        const selector = `iframe >>> ${finding.selector}`;
        await used.tell(description, { selector, html: finding.html }, { state: 'rest, in a frame' });
      }
      if ((report?.menus.length ?? 0) > 0) {
        this.#findings.leaveOut('*', frame.url(), 'What is in a frame is read, and not used.');
      }
    }
  }

  async #tellDifference(used: UsedPage, { probe, place, message }: Difference): Promise<void> {
    await used.tell(probe, place, { state: 'rest', message });
  }

  /** What is known only when all pages have been seen. */
  async #lookBack(): Promise<void> {
    const [narrow, wide] = [Math.min(...this.#widths), Math.max(...this.#widths)];
    for (const difference of this.#comparison.lacking(narrow, wide)) this.#add(narrowMenuLacks, difference);
    await this.#lookAtLinks();
  }

  async #lookAtLinks(): Promise<void> {
    const { site } = this.#settings;
    if (!this.#links) return;
    const isStopped = this.#settings.isStopped ?? (() => false);
    const width = this.#widths[0] ?? 0;
    const { dead, silent, left } = this.#isWanted(deadLink.id)
      ? await this.#links.ask(isStopped)
      : { dead: [], silent: [], left: 0 };
    for (const { address, status, from, link } of dead) {
      const message = `${new URL(address).pathname} answers with status ${status}.`;
      this.#add(deadLink, { page: from, width, place: link, message });
    }
    for (const { address, from } of silent)
      this.#findings.leaveOut(deadLink.id, from, `${address} did not answer in time.`);
    if (left > 0) this.#findings.leaveOut(deadLink.id, this.#settings.target, `${left} more links were not asked for.`);
    if (!site) return;
    for (const { id, path, isListed } of pagesOf(site)) {
      const address = new URL(path, this.#origin).href;
      const place = { selector: `entry ${id}`, html: path };
      const status = isHarmful(new URL(address)) ? null : await this.#links.statusOf(address);
      const isMissing = status === 404 || status === 410;
      const message = `“${id}” is ${path}${isMissing ? `, which answers with status ${status}` : ''}.`;
      if (isMissing) this.#add(sitePageMissing, { page: address, width, place, message });
      else if (isListed && !this.#known.has(address))
        this.#add(sitePageUnlinked, { page: address, width, place, message });
    }
  }

  #add(probe: Probe, { page, width, place, message }: Omit<Difference, 'probe'>): void {
    if (!this.#isWanted(probe.id)) return;
    const { id, severity, certainty, wcag, title, fix } = probe;
    const { selector, html } = place;
    const finding = { rule: id, severity, certainty, wcag, selector, html, message: `${title} ${message}`, fix };
    this.#findings.add(finding, { page, width, state: 'rest' });
  }

  #isWanted(rule: string): boolean {
    const { only, skip = [] } = this.#settings;
    return (!only || only.includes(rule)) && !skip.includes(rule);
  }

  /** The address of the page that a link leads to, which is visited some time; null where it is not to be followed. */
  #follow({ href, label }: { readonly href: string; readonly label: string }): string | null {
    if (!URL.canParse(href)) return null;
    const url = new URL(href);
    if (url.origin !== this.#origin || isHarmful(url, label)) return null;
    const address = addressOf(url);
    if (this.#known.has(address)) return address;
    this.#known.add(address);
    if (this.#queue.length < mostQueued) this.#queue.push(address);
    else this.#left += 1;
    return address;
  }
}

/** The address of a page: what is behind the hash is on it, unless an app keeps its pages there. */
function addressOf(url: URL): string {
  const address = new URL(url);
  if (!/^#!?\//u.test(address.hash)) address.hash = '';
  return address.href;
}
