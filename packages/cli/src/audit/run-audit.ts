import { readFileSync } from 'node:fs';
import type { AuditFinding, PageReport } from 'fair-trail/audit';
import type { Browser, BrowserContext } from 'playwright-core';
import { Findings, type AuditReport } from './audit-report.ts';
import { guard } from './guard.ts';
import { isHarmful } from './harmful.ts';
import { deadLink, focusOnUnseen, toggleDoesNothing, toggleMouseOnly, toggleStateFrozen } from './probes.ts';
import { pressToggle, walkByTab, type UsedPage } from './use-page.ts';

export interface AuditSettings {
  /** Where the audit begins. */
  readonly start: string;
  /** As it was asked for. */
  readonly target: string;
  readonly widths: readonly number[];
  /** How many pages at most. */
  readonly pages: number;
  readonly only: readonly string[] | null;
  readonly skip: readonly string[];
  readonly tool: AuditReport['tool'];
  /** Asked before each page: what was found so far is told when it is time to stop. */
  readonly isStopped: () => boolean;
  readonly onProgress: (done: number, known: number) => void;
}

/** Longer than a page that works takes, in milliseconds. */
const patience = 15_000;

/** How many toggles of one page are tried. */
const mostToggles = 6;

/** How many addresses are asked for that are not visited. */
const mostLinks = 300;

/** Rules that a page is not held to where a stylesheet or a script of it could not be loaded: it is not as visitors have it. */
const ofLooks = ['small-target', 'low-contrast', focusOnUnseen.id];
const ofToggles = [toggleDoesNothing, toggleStateFrozen, toggleMouseOnly].map(({ id }) => id);
const ofScripts = [...ofToggles, 'placeholder-link'];

/** Uses the navigation of a site, page by page and width by width, and tells what is wrong with it. */
export async function runAudit(browser: Browser, settings: AuditSettings): Promise<AuditReport> {
  return new Audit(browser, settings).run();
}

class Audit {
  readonly #browser: Browser;
  readonly #settings: AuditSettings;
  readonly #findings = new Findings();
  readonly #origin: string;
  readonly #queue: string[];
  readonly #known: Set<string>;
  readonly #pages: { url: string; title: string }[] = [];
  /** How pages that were visited have answered: they are not asked for again. */
  readonly #statuses = new Map<string, number>();
  /** The navigations that have been used, by width and fingerprint. */
  readonly #used = new Set<string>();
  readonly #links = new Map<string, { readonly from: string; readonly link: PageReport['links'][number] }>();
  readonly #script = readFileSync(new URL('../../dist/audit-page/audit.js', import.meta.url), 'utf8');

  constructor(browser: Browser, settings: AuditSettings) {
    this.#browser = browser;
    this.#settings = settings;
    const start = addressOf(new URL(settings.start));
    this.#origin = new URL(start).origin;
    this.#queue = [start];
    this.#known = new Set(this.#queue);
  }

  async run(): Promise<AuditReport> {
    const { pages, isStopped, onProgress, tool, target } = this.#settings;
    for (let url = this.#queue.shift(); url !== undefined; url = this.#queue.shift()) {
      if (this.#pages.length >= pages || isStopped()) break;
      onProgress(this.#pages.length, this.#known.size);
      // One bad page must not cost the others.
      await this.#auditPage(url).catch((error: unknown) => this.#giveUp(url, error));
    }
    if (!isStopped()) await this.#checkLinks();
    const left = this.#queue.length;
    if (left > 0)
      this.#findings.leaveOut('*', target, `${left} more pages are linked; --pages says how many are visited.`);
    return this.#findings.report({ tool, target, pages: this.#pages });
  }

  #giveUp(url: string, error: unknown): void {
    const reason = error instanceof Error ? (error.message.split('\n', 1)[0] ?? '') : String(error);
    this.#findings.leaveOut('*', url, `The page could not be used: ${reason}`);
  }

  async #auditPage(url: string): Promise<void> {
    const { widths } = this.#settings;
    for (const [index, width] of widths.entries()) {
      const context = await this.#browser.newContext({
        viewport: { width, height: 800 },
        acceptDownloads: false,
        serviceWorkers: 'block',
      });
      try {
        const isFirst = index === 0;
        const go = await this.#atWidth(context, url, width, isFirst);
        if (!go) return;
      } finally {
        await context.close();
      }
    }
  }

  /** Whether the page is one to be audited: not an error, and not another site's by now. */
  async #atWidth(context: BrowserContext, url: string, width: number, isFirst: boolean): Promise<boolean> {
    await guard(context, this.#origin);
    const page = await context.newPage();
    const missing = new Set<string>();
    page.on('requestfailed', (request) => {
      if (['script', 'stylesheet'].includes(request.resourceType())) missing.add(request.resourceType());
    });
    const load = async () => {
      const response = await page.goto(url, { timeout: patience, waitUntil: 'load' });
      await page.waitForTimeout(200);
      await page.evaluate(this.#script);
      return response;
    };
    const response = await load();
    const type = response?.headers()['content-type'] ?? '';
    if (!type.includes('html')) return false;
    if (response) this.#statuses.set(url, response.status());
    if (response && response.status() >= 400) {
      if (isFirst) this.#findings.leaveOut('*', url, `The page answers with status ${response.status()}.`);
      return false;
    }
    const notAsItIs = [
      ...(missing.has('stylesheet') ? ofLooks : []),
      ...(missing.has('script') ? [...ofScripts, ...ofLooks] : []),
    ];
    for (const rule of new Set(notAsItIs)) {
      if (this.#isWanted(rule)) {
        this.#findings.leaveOut(
          rule,
          url,
          'A script or stylesheet was not loaded: the audit asks no other origin for anything.',
        );
      }
    }
    const isWanted = (rule: string) => this.#isWanted(rule) && !notAsItIs.includes(rule);
    const report = await page.evaluate(() => window.fairTrailAudit?.report({}));
    if (!report) throw new Error('the page has taken the audit’s script away');
    if (isFirst) this.#pages.push({ url, title: report.title });
    for (const finding of report.findings) {
      if (isWanted(finding.rule)) this.#findings.add(finding, { page: url, width, state: 'rest' });
    }
    for (const { rule, reason } of report.notChecked) this.#findings.leaveOut(rule, url, reason);
    for (const link of report.links) this.#follow(url, link);

    const reload = async () => {
      await load();
    };
    await this.#use({ page, url, width, findings: this.#findings, isWanted, reload }, report);
    return true;
  }

  /** What many pages share is used once. */
  async #use(used: UsedPage, { fingerprint, toggles }: PageReport): Promise<void> {
    if (this.#isNew(used.width, fingerprint)) await walkByTab(used);
    if (!ofToggles.some(used.isWanted)) return;
    const fresh = toggles.filter((toggle) => this.#isNew(used.width, toggle.fingerprint));
    for (const { selector } of fresh.slice(0, mostToggles)) {
      if (used.page.isClosed()) return;
      await used.reload();
      await pressToggle(used, selector);
    }
    const left = fresh.length - mostToggles;
    if (left > 0) {
      this.#findings.leaveOut(toggleDoesNothing.id, used.url, `${left} more toggles of this page are not tried.`);
    }
  }

  /** Whether this has not been used at this width yet; from now on it has. */
  #isNew(width: number, fingerprint: string): boolean {
    const key = `${width}\n${fingerprint}`;
    const isNew = !this.#used.has(key);
    this.#used.add(key);
    return isNew;
  }

  #isWanted(rule: string): boolean {
    const { only, skip } = this.#settings;
    return (only === null || only.includes(rule)) && !skip.includes(rule);
  }

  #follow(from: string, link: PageReport['links'][number]): void {
    if (!URL.canParse(link.href)) return;
    const url = new URL(link.href);
    if (url.origin !== this.#origin || isHarmful(url, link.label)) return;
    const address = addressOf(url);
    if (!this.#links.has(address)) this.#links.set(address, { from, link });
    if (this.#known.has(address)) return;
    this.#known.add(address);
    this.#queue.push(address);
  }

  /** Asks for what navigation leads to, whether it was visited or not. */
  async #checkLinks(): Promise<void> {
    if (!this.#isWanted(deadLink.id)) return;
    const context = await this.#browser.newContext();
    try {
      for (const [address, { from, link }] of [...this.#links].slice(0, mostLinks)) {
        if (this.#settings.isStopped()) return;
        const status = this.#statuses.get(address) ?? (await statusOf(context, address));
        if (status === 404 || status === 410) {
          const { id, severity, certainty, wcag, title, fix } = deadLink;
          const message = `${title} ${new URL(address).pathname} answers with status ${status}.`;
          const { selector, html } = link;
          const finding: AuditFinding = { rule: id, severity, certainty, wcag, selector, html, message, fix };
          this.#findings.add(finding, { page: from, width: this.#settings.widths[0] ?? 0, state: 'rest' });
        } else if (status === null) {
          this.#findings.leaveOut(deadLink.id, from, `${address} did not answer in time.`);
        }
      }
      const left = this.#links.size - mostLinks;
      if (left > 0)
        this.#findings.leaveOut(deadLink.id, this.#settings.target, `${left} more links were not asked for.`);
    } finally {
      await context.close();
    }
  }
}

/** Of the final answer within the origin; a redirect to elsewhere is not followed. */
async function statusOf(context: BrowserContext, address: string): Promise<number | null> {
  try {
    const response = await context.request.get(address, { timeout: patience, maxRedirects: 0 });
    return response.status();
  } catch {
    return null;
  }
}

/** The address of a page: what is behind the hash is on it, unless an app keeps its pages there. */
function addressOf(url: URL): string {
  const address = new URL(url);
  if (!/^#!?\//u.test(address.hash)) address.hash = '';
  return address.href;
}
