import { createHash } from 'node:crypto';

/** How often is looked, and how long a change is left alone, since a build may take several steps; in milliseconds. */
const [interval, settling] = [800, 400];

/** More of one site are not asked for again and again. */
const mostWatched = 150;

/** How many are asked for at the same time. */
const atOnce = 8;

/** What a site has answered for its pages, scripts and stylesheets, to see when that changes. */
export class WatchedSite {
  readonly #addresses: readonly string[];
  #known = new Map<string, string>();

  constructor(addresses: Iterable<string>) {
    this.#addresses = [...new Set(addresses)].slice(0, mostWatched);
  }

  /** Waits until something has changed, and changes no more; false once it is time to stop. */
  async untilChanged(isStopped: () => boolean): Promise<boolean> {
    this.#known = await this.#read();
    for (;;) {
      await sleep(interval);
      if (isStopped()) return false;
      let now = await this.#read();
      if (isAlike(now, this.#known)) continue;
      for (;;) {
        await sleep(settling);
        const next = await this.#read();
        // While a server starts again, it answers nothing.
        if (isAlike(next, now) && next.size > 0) return !isStopped();
        now = next;
        if (isStopped()) return false;
      }
    }
  }

  async #read(): Promise<Map<string, string>> {
    const found = new Map<string, string>();
    const queue = [...this.#addresses];
    const work = async () => {
      for (let address = queue.shift(); address !== undefined; address = queue.shift()) {
        const content = await contentAt(address);
        if (content !== null) found.set(address, content);
      }
    };
    await Promise.all(Array.from({ length: atOnce }, work));
    return found;
  }
}

/** A short form of what an address answers; null if it does not. */
async function contentAt(address: string): Promise<string | null> {
  try {
    const response = await fetch(address, { signal: AbortSignal.timeout(5000) });
    const body = Buffer.from(await response.arrayBuffer());
    return `${response.status} ${createHash('sha256').update(body).digest('hex')}`;
  } catch {
    return null;
  }
}

function isAlike(one: ReadonlyMap<string, string>, other: ReadonlyMap<string, string>): boolean {
  return one.size === other.size && [...one].every(([address, content]) => other.get(address) === content);
}

function sleep(milliseconds: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}
