import type { PageScript } from 'fair-trail/audit';
import type { Browser, BrowserContext, Page } from 'playwright-core';
import { guard } from './guard.ts';

/** How long a page may take to load, and to answer a question, in milliseconds. Longer than one that works takes. */
const patience = 15_000;

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
}

export interface Loaded {
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
  readonly page: Page;
  #missing = new Set<string>();
  #isCrashed = false;

  private constructor(context: BrowserContext, page: Page, conditions: WindowConditions) {
    this.#context = context;
    this.page = page;
    this.conditions = conditions;
    page.on('crash', () => (this.#isCrashed = true));
    page.on('requestfailed', (request) => this.#missing.add(request.resourceType()));
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
    return new AuditWindow(context, await context.newPage(), conditions);
  }

  get isLost(): boolean {
    return this.#isCrashed || this.page.isClosed();
  }

  /** Goes to an address, and waits until the page changes no more, or is one whose menus are known. */
  async load(url: string, isKnown: (fingerprints: readonly string[]) => boolean = () => false): Promise<Loaded> {
    this.#missing = new Set();
    // Else only what is behind the hash would change, and nothing be loaded.
    if (url.includes('#') && this.page.url().split('#')[0] === url.split('#')[0]) await this.page.goto('about:blank');
    const response = await this.page.goto(url, { timeout: patience, waitUntil: 'load' });
    const type = response?.headers()['content-type'] ?? '';
    const status = response?.status() ?? 200;
    if (type.includes('html') && status < 400 && !isKnown(await this.call('fingerprints'))) await this.call('settle');
    return { status, type, url: this.page.url(), missing: this.#missing };
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
    return (await within(patience, question, 'the page hangs')) as Awaited<ReturnType<PageScript[Name]>>;
  }

  async close(): Promise<void> {
    await within(patience, this.#context.close(), 'the window does not close').catch(() => undefined);
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
