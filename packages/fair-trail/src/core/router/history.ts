/** One place in the visitor's way through the site. */
export interface HistoryEntry {
  /** Path, query and hash. */
  readonly url: string;
  /** Tells the entry from others with the same address. */
  readonly key: string;
}

/** Where the router keeps the visitor's way: the browser's own session history, or a list in memory. */
export interface SessionHistory {
  readonly current: HistoryEntry;
  push(entry: HistoryEntry): void;
  replace(entry: HistoryEntry): void;
  /** Goes back or forward by that many entries. What comes of it is told to the listeners. */
  traverse(delta: number): void;
  /** Tells of changes that others made: Back, Forward, a hash. Not of `push` and `replace`. */
  listen(listener: (entry: HistoryEntry) => void): () => void;
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
