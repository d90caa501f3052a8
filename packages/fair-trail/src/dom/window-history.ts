import { errorText } from '../core/error-texts.ts';
import {
  createKey,
  type HistoryEntry,
  type LinkAddress,
  pathAddress,
  type SessionHistory,
  type Traversal,
} from '../core/router/history.ts';

/** The field of `history.state` that is ours; whatever else the app keeps there stays. */
const field = 'fairTrail';

/** How the addresses of a site are written in the browser's. */
interface Addressing {
  /** The address of the site that the browser is at. */
  readonly read: (location: LinkAddress) => string;
  /** What stands before that, in the browser's address. */
  readonly before: (location: LinkAddress) => string;
  /** How a link writes an address of the site. */
  readonly href: (url: string) => string;
  /** The address of the site that a link means; null if the link is the browser's. */
  readonly address: (link: LinkAddress, document: LinkAddress, current: string) => string | null;
}

const paths: Addressing = {
  read: ({ pathname, search, hash }) => pathname + search + hash,
  before: () => '',
  href: (url) => url,
  address: pathAddress,
};

const hashes: Addressing = {
  read: ({ hash }) => (hash.startsWith('#/') ? hash.slice(1) : '/'),
  before: ({ pathname, search }) => pathname + search,
  href: (url) => `#${url}`,
  address: (link, document, current) => {
    // Written as a path, by someone who thought nothing of hashes.
    if (link.pathname !== document.pathname || link.search !== document.search) {
      return link.pathname + link.search + link.hash;
    }
    if (link.hash.startsWith('#/')) return link.hash.slice(1);
    // A place on the page: the browser would take its name for the address of a page.
    return link.hash.length > 1 ? current.replace(/#.*$/su, '') + link.hash : null;
  },
};

/**
 * Creates a history on the session history of the browser: by the Navigation API if the browser has it, otherwise by
 * the History API. Both behave alike.
 *
 * @example
 * const router = openRouter({ site, window, history: browserHistory(window) });
 */
export function browserHistory(window: Window): SessionHistory {
  return navigationOf(window) ? navigationHistory(window) : windowHistory(window);
}

/**
 * The browser's own session history, by the History API alone (HTML standard, section 7.2.5).
 *
 * @example
 * const router = openRouter({ site, window, history: windowHistory(window) });
 */
export function windowHistory(window: Window): SessionHistory {
  return new BrowserHistory(window, paths, null);
}

/**
 * The same with the Navigation API (HTML standard, section 7.2.6).
 *
 * @throws TypeError if there is none
 * @example
 * const history = 'navigation' in window ? navigationHistory(window) : windowHistory(window);
 */
export function navigationHistory(window: Window): SessionHistory {
  const navigation = navigationOf(window);
  if (!navigation) throw new TypeError(errorText('navigation-missing'));
  return new BrowserHistory(window, paths, navigation);
}

/**
 * Creates a history that keeps addresses in the hash (`#/hides`), for a server with only one file. Such addresses never
 * reach the server, so their pages cannot be rendered in advance.
 *
 * @example
 * const router = openRouter({ site, window, history: hashHistory(window) });
 */
export function hashHistory(window: Window): SessionHistory {
  return new BrowserHistory(window, hashes, navigationOf(window));
}

function navigationOf(window: Window): Navigation | null {
  return 'navigation' in window ? (window as { navigation: Navigation }).navigation : null;
}

interface Kept {
  readonly key: string;
  /** How many entries of this site come before it. */
  readonly index: number;
  readonly state?: unknown;
}

/** The entry that the history is on its way to. */
interface WantedEntry {
  readonly key: string;
  /** Where it should be, as far as the entries of other scripts were counted. */
  readonly index: number;
  /** The direction: 1 or -1. */
  readonly step: number;
  /** How many more steps are tried. */
  readonly steps: number;
}

class BrowserHistory implements SessionHistory {
  current: HistoryEntry;
  readonly #window: Window;
  readonly #addressing: Addressing;
  readonly #navigation: Navigation | null;
  #index: number;
  /** How many entries come after the current one; null if that cannot be known, as after a reload. */
  #after: number | null;
  /** How many entries the browser counted when this was last known. */
  #length: number;
  #wanted: WantedEntry | null = null;
  /** What is to be done once the wanted entry is there. */
  #next: (() => void) | null = null;
  #timer = 0;

  constructor(window: Window, addressing: Addressing, navigation: Navigation | null) {
    this.#window = window;
    this.#addressing = addressing;
    this.#navigation = navigation;
    const kept = keptIn(window.history.state);
    this.#index = kept?.index ?? 0;
    this.#after = kept ? null : 0;
    this.#length = window.history.length;
    this.current = toEntry(addressing.read(window.location), kept ?? { key: createKey() });
  }

  push(entry: HistoryEntry): boolean {
    this.#want(null);
    this.#next = null;
    this.#markForeign();
    if (!this.#write('pushState', entry, this.#index + 1)) return false;
    this.#count(this.#index);
    return true;
  }

  replace(entry: HistoryEntry): boolean {
    return this.#write('replaceState', entry, this.#index);
  }

  traverse(delta: number, key: string | null = null): void {
    // Of two distances that are asked for at once, browsers make one: the first must be gone before the next.
    if (this.#wanted) {
      this.#next = () => this.traverse(delta, key);
      return;
    }
    if (key !== null && this.#navigation?.entries().some((entry) => entry.key === key)) {
      this.#traverseTo(this.#navigation, key, mostTries);
      return;
    }
    this.#want(key === null ? null : { key, index: this.#index + delta, step: Math.sign(delta), steps: mostSteps });
    this.#window.history.go(delta);
  }

  /**
   * Goes to an entry by the browser's own key: a distance would be added to that of the change that was stopped just now.
   * While that is not over, the browser refuses, and is asked again.
   */
  #traverseTo(navigation: Navigation, key: string, tries: number): void {
    this.#window.clearTimeout(this.#timer);
    this.#timer = this.#window.setTimeout(() => {
      const { committed, finished } = navigation.traverseTo(key);
      finished?.catch(() => undefined);
      committed?.catch(() => {
        if (tries > 1) this.#traverseTo(navigation, key, tries - 1);
      });
    }, pause);
  }

  listen(onTraverse: (traversal: Traversal) => void, mayTraverse?: (traversal: Traversal) => boolean): () => void {
    const listening = new AbortController();
    const { signal } = listening;
    // The entry that the visit began with is marked only now: merely reading a history must not change it.
    this.#adopt(false);
    this.#window.addEventListener(
      'popstate',
      ({ hasUAVisualTransition }) => this.#onPopState(onTraverse, hasUAVisualTransition),
      { signal },
    );
    if (mayTraverse) {
      this.#navigation?.addEventListener('navigate', (event) => this.#onNavigate(event, mayTraverse), { signal });
    }
    return () => {
      this.#want(null);
      this.#next = null;
      listening.abort();
    };
  }

  href(url: string): string {
    return this.#addressing.href(url);
  }

  address(link: LinkAddress, document: LinkAddress): string | null {
    return this.#addressing.address(link, document, this.current.url);
  }

  #onPopState(onTraverse: (traversal: Traversal) => void, animated: boolean): void {
    const before = this.current;
    const delta = this.#adopt(true);
    if (this.#goOn()) return;
    // The same entry again is the answer to something that was already known here.
    const isSame = this.current.key === before.key && this.current.url === before.url;
    if (!isSame) onTraverse({ entry: this.current, delta, animated });
    this.#goNext();
  }

  #goNext(): void {
    const next = this.#next;
    this.#next = null;
    next?.();
  }

  /** Takes one step more where the entry is not the wanted one, unless that has been passed by. */
  #goOn(): boolean {
    const wanted = this.#wanted;
    const isPassed = wanted !== null && (this.#index - wanted.index) * wanted.step > 0;
    if (!wanted || wanted.key === this.current.key || isPassed || wanted.steps === 0) {
      this.#want(null);
      return false;
    }
    this.#want({ ...wanted, steps: wanted.steps - 1 });
    this.#window.history.go(wanted.step);
    return true;
  }

  /** A browser says nothing where there is nothing to go to, so that what is wanted is forgotten after a while. */
  #want(wanted: WantedEntry | null): void {
    this.#window.clearTimeout(this.#timer);
    this.#wanted = wanted;
    if (!wanted) return;
    this.#timer = this.#window.setTimeout(() => {
      this.#wanted = null;
      this.#goNext();
    }, longestStep);
  }

  #onNavigate(event: NavigateEvent, mayTraverse: (traversal: Traversal) => boolean): void {
    const { navigationType, cancelable, destination } = event;
    const index = this.#navigation?.currentEntry?.index;
    if (navigationType !== 'traverse' || !cancelable || !destination.sameDocument || index === undefined) return;
    const entry = { url: this.#addressing.read(new URL(destination.url)), key: destination.key };
    if (!mayTraverse({ entry, delta: destination.index - index })) event.preventDefault();
  }

  /**
   * Takes over what the browser is at; an entry that is not ours yet (a first load, a hash, another script's) is given a
   * key.
   *
   * @param moved whether the browser has moved there, and was not there before
   * @returns how far that is from the entry before; null if that is unknown
   */
  #adopt(moved: boolean): number | null {
    const kept = keptIn(this.#window.history.state);
    const url = this.#addressing.read(this.#window.location);
    const last = this.#last;
    if (kept) {
      const delta = kept.index - this.#index;
      // Back at the same entry, from one that another script has added after it, counted or not.
      const isReturn = moved && kept.key === this.current.key;
      this.#index = kept.index;
      this.current = toEntry(url, kept);
      this.#count(isReturn ? Math.max(last ?? 0, kept.index + 1) : last);
      return delta;
    }
    const before = this.current.url;
    if (url === before) {
      this.#mark({ url, key: this.current.key }, this.#index);
      return null;
    }
    // A hash that was followed makes an entry after the current one, and ends what came after that.
    if (withoutHash(url) === withoutHash(before)) {
      this.#mark({ url, key: createKey() }, this.#index + 1);
      this.#count(this.#index);
      return null;
    }
    // An entry of another script. Each that we came by is marked, so that an unmarked one that was there before comes
    // after the current one, if anything does.
    const delta = last === this.#index ? -1 : 1;
    this.#mark({ url, key: createKey() }, this.#index + delta);
    this.#count(last);
    return last === null ? null : delta;
  }

  /** Another script may have written entries since: the last of them is marked, so that Back to it can be measured. */
  #markForeign(): void {
    const { history, location } = this.#window;
    if (keptIn(history.state)?.key === this.current.key) return;
    const url = this.#addressing.read(location);
    const last = this.#last;
    const grown = last === null ? history.length - this.#length : last - this.#index;
    // Where it is not known what came after, and at the most that a browser keeps, the number of entries says nothing.
    const isUncounted = last === null || history.length >= mostEntries;
    const added = Math.max(grown, isUncounted && url !== this.current.url ? 1 : 0);
    this.#mark({ url, key: added === 0 ? this.current.key : createKey() }, this.#index + added);
    this.#count(this.#index);
  }

  /** Gives the browser's current entry its key; where its state cannot hold it, the key is known here alone. */
  #mark(entry: HistoryEntry, index: number): void {
    if (canHold(this.#window.history.state) && this.#write('replaceState', entry, index)) return;
    this.#index = index;
    this.current = entry;
  }

  /** The place of the last entry, those counted that other scripts have added since. */
  get #last(): number | null {
    return this.#after === null ? null : this.#index + this.#after + this.#window.history.length - this.#length;
  }

  #count(last: number | null): void {
    this.#after = last === null ? null : Math.max(0, last - this.#index);
    this.#length = this.#window.history.length;
  }

  /** A browser refuses in a sandboxed frame, or after too many calls. */
  #write(method: 'pushState' | 'replaceState', entry: HistoryEntry, index: number): boolean {
    const { history, location } = this.#window;
    const others: unknown = method === 'replaceState' ? history.state : null;
    const kept: Kept = { key: entry.key, index, ...(entry.state !== undefined && { state: entry.state }) };
    try {
      const state = Array.isArray(others)
        ? Object.assign(others.slice(), { [field]: kept })
        : { ...plain(others), [field]: kept };
      // Beginning with the origin, so that a path with a doubled slash is not taken for another host.
      const { before, href } = this.#addressing;
      history[method](state, '', location.origin + before(location) + href(entry.url));
    } catch {
      return false;
    }
    // After too many calls, some browsers throw, and others do nothing.
    if (keptIn(history.state)?.key !== entry.key) return false;
    this.#index = index;
    this.current = entry;
    return true;
  }
}

/** Browsers keep no more entries than this. */
const mostEntries = 50;

/** More entries than this, one after the other, no script adds between two of ours. */
const mostSteps = 10;

/** How often the browser is asked to go to an entry, and how long it is left alone before each time, in milliseconds. */
const mostTries = 5;
const pause = 10;

/** How long a browser may take to go one step through the history of one document, in milliseconds. */
const longestStep = 1000;

function withoutHash(url: string): string {
  return url.split('#', 1)[0] ?? '';
}

/** Another script's state that a field can be added to, without making something else of it. */
function canHold(state: unknown): boolean {
  return state === null || Array.isArray(state) || plain(state) !== null;
}

function plain(state: unknown): object | null {
  return Object.prototype.toString.call(state) === '[object Object]' ? (state as object) : null;
}

function toEntry(url: string, { key, state }: Pick<Kept, 'key' | 'state'>): HistoryEntry {
  return { url, key, ...(state !== undefined && { state }) };
}

/** What we kept in an entry's state; null for the state of another app, or of none. */
function keptIn(state: unknown): Kept | null {
  if (typeof state !== 'object' || state === null || !Object.hasOwn(state, field)) return null;
  const ours = (state as Record<string, unknown>)[field];
  if (typeof ours !== 'object' || ours === null) return null;
  const { key, index, state: own } = ours as { key?: unknown; index?: unknown; state?: unknown };
  if (typeof key !== 'string' || typeof index !== 'number') return null;
  return { key, index, ...(own !== undefined && { state: own }) };
}
