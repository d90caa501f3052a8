import type { Browser, BrowserContext } from 'playwright-core';
import type { Way } from './audit-window.ts';

/** How many addresses are asked for that are not visited. */
const mostLinks = 300;

/** Redirects that are followed, within the origin. */
const mostRedirects = 10;

const patience = 15_000;

export interface CheckedLink {
  readonly address: string;
  /** The page that it stands on. */
  readonly from: string;
  readonly link: { readonly selector: string; readonly html: string };
}

/** Asks for what navigation leads to, whether it was visited or not. */
export class LinkCheck {
  readonly #browser: Browser;
  readonly #way: Way;
  readonly #links = new Map<string, CheckedLink>();
  /** How pages that were visited have answered: they are not asked for again. */
  readonly #statuses = new Map<string, number | null>();

  constructor(browser: Browser, way: Way) {
    this.#browser = browser;
    this.#way = way;
  }

  add(address: string, from: string, link: CheckedLink['link']): void {
    if (!this.#links.has(address)) this.#links.set(address, { address, from, link });
  }

  answered(address: string, status: number): void {
    this.#statuses.set(address, status);
  }

  async ask(isStopped: () => boolean): Promise<{
    readonly dead: readonly (CheckedLink & { readonly status: number })[];
    readonly silent: readonly CheckedLink[];
    readonly left: number;
  }> {
    const dead: (CheckedLink & { readonly status: number })[] = [];
    const silent: CheckedLink[] = [];
    for (const link of [...this.#links.values()].slice(0, mostLinks)) {
      if (isStopped()) break;
      const status = await this.statusOf(link.address);
      if (status === 404 || status === 410) dead.push({ ...link, status });
      else if (status === null) silent.push(link);
    }
    return { dead, silent, left: Math.max(0, this.#links.size - mostLinks) };
  }

  /** Of the last answer within the origin; null if there is none in time. A redirect to elsewhere is not followed. */
  async statusOf(address: string): Promise<number | null> {
    const known = this.#statuses.get(address);
    if (known !== undefined) return known;
    const context = await this.#browser.newContext({ ignoreHTTPSErrors: true });
    try {
      const status = await ask(context, address, this.#way.origin);
      this.#statuses.set(address, status);
      return status;
    } finally {
      await context.close();
    }
  }
}

async function ask(context: BrowserContext, address: string, origin: string): Promise<number | null> {
  let at = address;
  try {
    for (let step = 0; step <= mostRedirects; step += 1) {
      const response = await context.request.get(at, { timeout: patience, maxRedirects: 0 });
      const { location } = response.headers();
      const next = location !== undefined && URL.canParse(location, at) ? new URL(location, at) : null;
      const isOnward = response.status() >= 300 && response.status() < 400 && next?.origin === origin;
      if (!isOnward) return response.status();
      at = next.href;
    }
  } catch {
    // Told as one that did not answer.
  }
  return null;
}
