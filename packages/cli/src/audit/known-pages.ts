import { isHarmful } from '../browser/harmful.ts';

/** More addresses than that are not kept to be visited. */
const mostQueued = 10_000;

/** The pages of a site that are known so far, and those of them that are still to be visited, in the order they were found. */
export class KnownPages {
  readonly origin: string;
  readonly #queue: string[];
  readonly #known: Set<string>;
  #unkept = 0;

  /** @param start where it begins */
  constructor(start: string) {
    const url = new URL(start);
    this.origin = url.origin;
    this.#queue = [addressOf(url)];
    this.#known = new Set(this.#queue);
  }

  get count(): number {
    return this.#known.size;
  }

  /** How many have not been visited. */
  get left(): number {
    return this.#queue.length + this.#unkept;
  }

  has(address: string): boolean {
    return this.#known.has(address);
  }

  /** Takes note of a page that needs no visit. */
  add(address: string): void {
    this.#known.add(address);
  }

  /** The next one to be visited; null if there is none left. */
  next(): string | null {
    return this.#queue.shift() ?? null;
  }

  /** The address of the page that a link leads to, which is visited some time; null if it is not to be followed. */
  follow({ href, label }: { readonly href: string; readonly label: string }): string | null {
    if (!URL.canParse(href)) return null;
    const url = new URL(href);
    if (url.origin !== this.origin || isHarmful(url, label)) return null;
    const address = addressOf(url);
    if (this.#known.has(address)) return address;
    this.#known.add(address);
    if (this.#queue.length < mostQueued) this.#queue.push(address);
    else this.#unkept += 1;
    return address;
  }
}

/** The address of a page: what is behind the hash is on it, unless an app keeps its pages there. */
export function addressOf(url: URL): string {
  const address = new URL(url);
  if (!/^#!?\//u.test(address.hash)) address.hash = '';
  return address.href;
}
