import { to, type Transition } from '../interaction/machine.ts';
import { locate, samePosition, type Position } from '../site/locate.ts';
import type { Site } from '../site/site.ts';
import { addressOf, hashOf, type HistoryEntry, type Traversal } from './history.ts';
import { movedAddress } from './answer-request.ts';

/**
 * Where the visitor is. The address leads: position and marks follow it at once, and the page as soon as it is there.
 */
export interface RouterState {
  readonly current: HistoryEntry;
  readonly position: Position;
  /** Grows by one with each change of address, so that what waits for the new page knows when it is there. */
  readonly arrivals: number;
  /** Whether the page of the address is there; `late` once the visitor has been waiting for it. */
  readonly page: 'ready' | 'loading' | 'late';
  /** Whether the page must be asked before it is left. */
  readonly held: boolean;
  /** Where the visitor wants to go, while the page is being asked. */
  readonly wish: RequestedChange | null;
  /** Whether the next change of the history has been asked for already. */
  readonly passing: boolean;
}

/**
 * What becomes of the current history entry, in the words of the HTML standard's Navigation API: `auto` replaces it
 * where the address is the same and pushes a new one otherwise.
 */
export type HistoryBehavior = 'auto' | 'push' | 'replace';

/** A link was followed, or the app asked for an address. */
export interface NavigateEvent {
  readonly type: 'navigate';
  readonly url: string;
  /** For the new entry. */
  readonly key: string;
  readonly history: HistoryBehavior;
  readonly state?: unknown;
}

/** The history moved by itself, and has moved already. */
export interface TraverseEvent extends Traversal {
  readonly type: 'traverse';
}

export type RequestedChange = NavigateEvent | TraverseEvent;

export type RouterEvent =
  | NavigateEvent
  | TraverseEvent
  /** The history is about to move, and can still be stopped. It was stopped if there is a wish afterwards. */
  | (Traversal & { readonly type: 'will-traverse' })
  /** From now on the page must, or need not, be asked before it is left. */
  | { readonly type: 'hold'; readonly held: boolean }
  /** What the page said to being left. */
  | { readonly type: 'answer'; readonly mayLeave: boolean }
  /** The page is on its way. */
  | { readonly type: 'load' }
  /** The visitor has waited for a moment, for the page of this many arrivals. */
  | { readonly type: 'late'; readonly arrivals: number }
  /** The page is there, or what says that it is not available. */
  | { readonly type: 'loaded' };

export type RouterEffect =
  /** Remember how the page stands, before it goes: how far it is scrolled, and which link was activated. */
  | { readonly type: 'keep-place'; readonly key: string }
  | { readonly type: 'push' | 'replace'; readonly entry: HistoryEntry }
  /** Go through the history. The distance may be wrong beside other scripts, so the key says where that ends. */
  | { readonly type: 'traverse'; readonly delta: number; readonly key: string }
  /** Ask the page whether it may be left for this address. */
  | { readonly type: 'ask'; readonly url: string }
  /** Tell in so many milliseconds that the visitor has waited. */
  | { readonly type: 'wait'; readonly milliseconds: number; readonly arrivals: number }
  /** Show, or show no longer, on the activated link that the page is on its way. */
  | { readonly type: 'show-pending' | 'hide-pending' }
  /**
   * Take the reader to the new page: with focus or in words. This and what follows wait until the page is there.
   * `key` names an entry to which the reader comes back, and so to the link that they left it by.
   */
  | { readonly type: 'arrive'; readonly hash: string; readonly key: string | null }
  /** To the element that the hash names. Where it names none: on a new page to the top, and else nowhere. */
  | { readonly type: 'scroll-to-hash'; readonly hash: string; readonly isNew: boolean }
  /** To where the page was when its entry was left. */
  | { readonly type: 'restore-scroll'; readonly key: string };

/** Under this, no one feels that they wait, and a sign of waiting would only flicker. */
const lateAfter = 120;

const arrival: ReadonlySet<RouterEffect['type']> = new Set(['arrive', 'scroll-to-hash', 'restore-scroll']);

/** Whether an effect must wait until the new page is there. */
export function waitsForPage(effect: RouterEffect): boolean {
  return arrival.has(effect.type);
}

export function initialRouter(site: Site, current: HistoryEntry): RouterState {
  const position = positionOf(site, current.url);
  return { current, position, arrivals: 0, page: 'ready', held: false, wish: null, passing: false };
}

export function nextRouter(site: Site, state: RouterState, event: RouterEvent): Transition<RouterState, RouterEffect> {
  switch (event.type) {
    case 'navigate': {
      const wish = { ...event, url: movedAddress(positionOf(site, event.url), event.url) ?? event.url };
      return mustAsk(state, wish.url) ? ask(state, wish, []) : arriveBy(site, state, wish);
    }
    case 'will-traverse': {
      // What has no distance could not be gone to again once the page may be left.
      if (event.delta === null || !mustAsk(state, event.entry.url)) return to(state);
      return ask(state, { ...event, type: 'traverse' }, []);
    }
    case 'traverse': {
      const { entry, delta } = event;
      // The same entry again is what comes of having gone back to it, for the page to be asked.
      if (entry.key === state.current.key && entry.url === state.current.url) return to(state);
      // A distance of zero is of two entries that were taken for one: to go by it would reload the page.
      if (delta !== null && delta !== 0 && mustAsk(state, entry.url)) {
        return ask(state, event, [{ type: 'traverse', delta: -delta, key: state.current.key }]);
      }
      return arriveBy(site, state, event);
    }
    case 'hold':
      return to({ ...state, held: event.held });
    case 'answer': {
      const { wish } = state;
      const answered = { ...state, wish: null };
      if (!wish || !event.mayLeave) return to(answered);
      if (wish.type === 'navigate') return arriveBy(site, answered, wish);
      const { delta, entry } = wish;
      const effect: RouterEffect = { type: 'traverse', delta: delta ?? 0, key: entry.key };
      return { state: { ...answered, passing: true }, effects: [effect] };
    }
    case 'load': {
      if (state.page !== 'ready') return to(state);
      const wait = { type: 'wait', milliseconds: lateAfter, arrivals: state.arrivals } as const;
      return { state: { ...state, page: 'loading' }, effects: [wait] };
    }
    case 'late': {
      if (state.page !== 'loading' || event.arrivals !== state.arrivals) return to(state);
      return { state: { ...state, page: 'late' }, effects: [{ type: 'show-pending' }] };
    }
    case 'loaded': {
      if (state.page === 'ready') return to(state);
      return { state: { ...state, page: 'ready' }, effects: [{ type: 'hide-pending' }] };
    }
  }
}

/** A change of the query or the hash alone leaves the page where it is, with all that is written in it. */
function mustAsk(state: RouterState, url: string): boolean {
  return state.held && !state.passing && isOtherPage(state, url);
}

/** The newest wish is the one that is granted, and the page is asked once for all of them. */
function ask(
  state: RouterState,
  wish: RequestedChange,
  before: readonly RouterEffect[],
): Transition<RouterState, RouterEffect> {
  const url = wish.type === 'navigate' ? wish.url : wish.entry.url;
  return { state: { ...state, wish }, effects: state.wish ? before : [...before, { type: 'ask', url }] };
}

function arriveBy(site: Site, state: RouterState, event: RequestedChange): Transition<RouterState, RouterEffect> {
  const effects: RouterEffect[] = [];
  if (state.page === 'late') effects.push({ type: 'hide-pending' });
  effects.push({ type: 'keep-place', key: state.current.key });
  let entry: HistoryEntry;
  let arrives: boolean;
  if (event.type === 'navigate') {
    const { url, key, history } = event;
    const sameAddress = url === state.current.url;
    const replaces = history === 'replace' || (history === 'auto' && sameAddress);
    entry = { url, key, ...(event.state !== undefined && { state: event.state }) };
    effects.push({ type: replaces ? 'replace' : 'push', entry });
    // Following a link to where one already is begins the page again, as it does without a router. An address that
    // the app merely puts right, or a change of query, leaves the reader where they are.
    arrives = history !== 'replace' && (sameAddress || isOtherPage(state, url));
  } else {
    const moved = movedAddress(positionOf(site, event.entry.url), event.entry.url);
    entry = moved === null ? event.entry : { ...event.entry, url: moved };
    if (moved !== null) effects.push({ type: 'replace', entry });
    arrives = isOtherPage(state, entry.url);
  }
  const hash = hashOf(entry.url);
  const isBack = event.type === 'traverse';
  if (arrives) effects.push({ type: 'arrive', hash, key: isBack ? entry.key : null });
  if (isBack) effects.push({ type: 'restore-scroll', key: entry.key });
  else if (arrives || hash) effects.push({ type: 'scroll-to-hash', hash, isNew: arrives });

  const position = positionOf(site, entry.url);
  return {
    state: {
      current: entry,
      // The same place keeps its identity, so that nothing that depends on it alone renders again.
      position: samePosition(state.position, position) ? state.position : position,
      arrivals: state.arrivals + 1,
      page: 'ready',
      held: state.held,
      wish: null,
      passing: false,
    },
    effects,
  };
}

function isOtherPage(state: RouterState, url: string): boolean {
  return addressOf(url).pathname !== addressOf(state.current.url).pathname;
}

function positionOf(site: Site, url: string): Position {
  return locate(site, addressOf(url));
}
