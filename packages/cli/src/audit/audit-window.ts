import type { PageScript } from 'fair-trail/internal/audit';
import type { Browser, BrowserContext, Page, Request } from 'playwright-core';
import { guard } from '../browser/guard.ts';
import { WindowNavigation } from '../browser/window-navigation.ts';

/** How long is waited at most for what a page goes on asking for, or for the one that a press leads to, in milliseconds. */
const mostSettling = 3000;

export interface WindowConditions {
  readonly width: number;
  readonly height: number;
  readonly hasTouch?: boolean;
  readonly colorScheme?: 'light' | 'dark';
  readonly reducedMotion?: 'reduce';
}

export interface Way {
  /** The one origin that is looked at. */
  readonly origin: string;
  /** The proxy that everything goes through. */
  readonly proxy: string;
  /** What is put into each page. */
  readonly script: string;
  /** How long a page may take to load, and to answer a question, in milliseconds. */
  readonly patience: number;
  /** Addresses of the origin that have answered with a page, a script or a stylesheet. */
  readonly resources: Set<string>;
}

export interface PageLoad {
  readonly status: number;
  readonly type: string;
  /** Where it ended, after redirects. */
  readonly url: string;
  /** Kinds of what the page asked for and did not get: `script`, `stylesheet`, … */
  readonly missing: ReadonlySet<string>;
}

/** One window of the browser, at one width, with a visitor's memory of its own. */
export class AuditWindow {
  readonly conditions: WindowConditions;
  readonly #context: BrowserContext;
  readonly #patience: number;
  readonly page: Page;
  readonly #navigation: WindowNavigation;
  #missing = new Set<string>();
  #isCrashed = false;
  readonly #waiting = new Set<Request>();

  private constructor(context: BrowserContext, page: Page, conditions: WindowConditions, patience: number) {
    this.#context = context;
    this.#patience = patience;
    this.page = page;
    this.#navigation = new WindowNavigation(page);
    this.conditions = conditions;
    page.on('crash', () => (this.#isCrashed = true));
    page.on('request', (request) => this.#waiting.add(request));
    page.on('requestfinished', (request) => this.#waiting.delete(request));
    page.on('requestfailed', (request) => {
      this.#waiting.delete(request);
      // What was given up because the page was left is nothing that it misses.
      if (request.failure()?.errorText !== 'net::ERR_ABORTED') this.#missing.add(request.resourceType());
    });
    page.on('response', (response) => {
      if (response.status() >= 400) this.#missing.add(response.request().resourceType());
    });
  }

  static async open(browser: Browser, way: Way, conditions: WindowConditions): Promise<AuditWindow> {
    const { width, height, ...wishes } = conditions;
    const context = await browser.newContext({
      ...wishes,
      viewport: { width, height },
      proxy: { server: way.proxy },
      ignoreHTTPSErrors: true,
      acceptDownloads: false,
      serviceWorkers: 'block',
    });
    await guard(context, way.origin);
    await context.addInitScript(way.script);
    context.on('response', (response) => {
      const kind = response.request().resourceType();
      const isOwn = URL.canParse(response.url()) && new URL(response.url()).origin === way.origin;
      if (isOwn && ['document', 'script', 'stylesheet'].includes(kind)) way.resources.add(response.url());
    });
    return new AuditWindow(context, await context.newPage(), conditions, way.patience);
  }

  get isLost(): boolean {
    return this.#isCrashed || this.page.isClosed();
  }

  /** Goes to an address, and waits until the page changes no more, or is one whose menus are known. */
  async load(url: string, isKnown: ((fingerprints: readonly string[]) => boolean) | null = null): Promise<PageLoad> {
    this.#missing = new Set();
    this.#waiting.clear();
    // Else only what is behind the hash would change, and nothing be loaded.
    if (url.includes('#') && this.page.url().split('#')[0] === url.split('#')[0]) await this.page.goto('about:blank');
    const response = await this.#navigation.goTo(url, this.#patience);
    const type = response?.headers()['content-type'] ?? '';
    const status = response?.status() ?? 200;
    if (type.includes('html') && status < 400) await this.settle(isKnown);
    return { status, type, url: this.page.url(), missing: this.#missing };
  }

  /** Until the page that a press leads to is there; false where it has not come in time. */
  untilArrived(): Promise<boolean> {
    return this.#navigation.untilArrived(mostSettling);
  }

  /**
   * Until nothing is asked for any more that a script may wait for, and the page changes no more: one whose menus are known
   * is watched for less long.
   */
  async settle(isKnown: ((fingerprints: readonly string[]) => boolean) | null = null): Promise<void> {
    const end = Date.now() + mostSettling;
    do {
      while (this.#isAsking() && Date.now() < end) await this.page.waitForTimeout(20);
      await this.call('settle', isKnown?.(await this.call('fingerprints')) === true ? 40 : 120);
    } while (this.#isAsking() && Date.now() < end);
  }

  /** What streams, or is drawn when it comes, is not waited for. */
  #isAsking(): boolean {
    return [...this.#waiting].some((request) =>
      ['script', 'fetch', 'xhr', 'stylesheet'].includes(request.resourceType()),
    );
  }

  /** Asks the script in the page. What takes too long is given up: a page may hang. */
  async call<Name extends keyof PageScript>(
    name: Name,
    ...given: Parameters<PageScript[Name]>
  ): Promise<Awaited<ReturnType<PageScript[Name]>>> {
    const question = this.page.evaluate(
      ([asked, list]) => {
        const script = window.fairTrailAudit as Readonly<Record<string, (...all: unknown[]) => unknown>> | undefined;
        if (!script) throw new Error('the page has taken the audit’s script away');
        return script[asked]?.(...list);
      },
      [name, given] as [string, unknown[]],
    );
    return (await within(this.#patience, question, 'the page hangs')) as Awaited<ReturnType<PageScript[Name]>>;
  }

  async close(): Promise<void> {
    await within(this.#patience, this.#context.close(), 'the window does not close').catch(() => undefined);
  }
}

export async function within<Answer>(milliseconds: number, promise: Promise<Answer>, reason: string): Promise<Answer> {
  let timer: NodeJS.Timeout | undefined;
  const limit = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error(reason)), milliseconds);
  });
  try {
    return await Promise.race([promise, limit]);
  } finally {
    clearTimeout(timer);
  }
}
