/** One place in the visitor's way through the site. */
export interface HistoryEntry {
  /** Path, query and hash. */
  readonly url: string;
  /** Tells the entry from others with the same address. Of a change that can still be stopped, it is the browser's own. */
  readonly key: string;
  /** What the app keeps with the entry; anything that can be cloned (HTML standard, section 2.7). Default: none. */
  readonly state?: unknown;
}

/** The history moved by itself: Back, Forward, or another script. */
export interface Traversal {
  /** Where it moved to. */
  readonly entry: HistoryEntry;
  /** By how many entries, backwards if negative; null if that is not known. */
  readonly delta: number | null;
  /** Whether the browser has shown the change with a motion of its own, such as a swipe. Default: false. */
  readonly animated?: boolean;
}

/** The parts of a link's address that a history reads, as `URL` and `Location` have them. */
export interface LinkAddress {
  readonly origin: string;
  readonly pathname: string;
  readonly search: string;
  readonly hash: string;
}

/** Where the router keeps the history entries: the session history of the browser, or a list in memory. */
export interface SessionHistory {
  readonly current: HistoryEntry;
  /** Adds an entry after the current one. False where it is refused: then nothing has changed. */
  push(entry: HistoryEntry): boolean;
  /** Puts an entry instead of the current one. False where it is refused: then nothing has changed. */
  replace(entry: HistoryEntry): boolean;
  /**
   * Goes back or forward by that many entries, and calls the listeners once it is there.
   *
   * @param key that of the entry to arrive at: where other scripts have added entries that could not be counted, the
   *   history goes on in the same direction until it is there. Default: the distance alone counts
   */
  traverse(delta: number, key?: string | null): void;
  /**
   * Tells of changes that others made, and not of `push` and `replace`.
   *
   * @param mayTraverse asked before a change, by those histories that can still stop it; false stops it
   */
  listen(onTraverse: (traversal: Traversal) => void, mayTraverse?: (traversal: Traversal) => boolean): () => void;
  /** How a link writes an address of the site. */
  href(url: string): string;
  /**
   * The address of the site that a link means; null if the link is the browser's.
   *
   * @param document where the document is that the link is in
   */
  address(link: LinkAddress, document: LinkAddress): string | null;
}

/** A key that no other entry of this visit has. */
export function createKey(): string {
  return Math.random().toString(36).slice(2, 10);
}

/** The parts that a position depends on, of an address that is a path, a query and a hash. */
export function addressOf(url: string): { readonly pathname: string; readonly search: string } {
  const [withoutHash = ''] = url.split('#', 1);
  const start = withoutHash.indexOf('?');
  if (start < 0) return { pathname: withoutHash, search: '' };
  return { pathname: withoutHash.slice(0, start), search: withoutHash.slice(start) };
}

/** The hash of an address with its sign; empty if there is none. */
export function hashOf(url: string): string {
  const start = url.indexOf('#');
  return start < 0 ? '' : url.slice(start);
}

/**
 * The address that a link means, where paths are addresses; null for a place on the page that the document is at, which
 * the browser scrolls to and focuses by itself.
 */
export function pathAddress({ pathname, search, hash }: LinkAddress, document: LinkAddress): string | null {
  if (hash !== '' && pathname === document.pathname && search === document.search) return null;
  return pathname + search + hash;
}
