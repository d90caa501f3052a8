import type { Transition } from '../interaction/machine.ts';
import { locate, samePosition, type Position } from '../site/locate.ts';
import type { Site } from '../site/site.ts';
import { addressOf, type HistoryEntry } from './history.ts';

/** Where the visitor is, and how many pages they have come to since the start. */
export interface RouterState {
  readonly current: HistoryEntry;
  readonly position: Position;
  /** Grows by one with each change of address, so that what waits for the new page knows when it is there. */
  readonly arrivals: number;
}

/**
 * What becomes of the current history entry, in the words of the HTML standard's Navigation API: `auto` replaces it
 * where the address is the same and pushes a new one otherwise.
 */
export type HistoryBehavior = 'auto' | 'push' | 'replace';

export type RouterEvent =
  /** A link was followed, or the app asked for an address. `key` is for the new entry. */
  | { readonly type: 'navigate'; readonly url: string; readonly key: string; readonly history: HistoryBehavior }
  /** The history moved by itself: Back, Forward, or a hash. */
  | { readonly type: 'traverse'; readonly entry: HistoryEntry };

export type RouterEffect =
  /** Remember how far the page is scrolled, before it goes. */
  | { readonly type: 'keep-scroll'; readonly key: string }
  | { readonly type: 'push' | 'replace'; readonly entry: HistoryEntry }
  /** This and what follows wait until the new page has been rendered. */
  | { readonly type: 'focus-content' }
  /** To the element that the hash names, or else to the top. */
  | { readonly type: 'scroll-to-hash'; readonly hash: string }
  /** To where the page was when its entry was left. */
  | { readonly type: 'restore-scroll'; readonly key: string };

const immediate: ReadonlySet<RouterEffect['type']> = new Set(['keep-scroll', 'push', 'replace']);

/** Whether an effect must wait until the new page has been rendered. */
export function waitsForPage(effect: RouterEffect): boolean {
  return !immediate.has(effect.type);
}

export function initialRouter(site: Site, current: HistoryEntry): RouterState {
  return { current, position: positionOf(site, current.url), arrivals: 0 };
}

export function nextRouter(site: Site, state: RouterState, event: RouterEvent): Transition<RouterState, RouterEffect> {
  const entry = event.type === 'navigate' ? { url: event.url, key: event.key } : event.entry;
  const sameAddress = entry.url === state.current.url;
  const isNewPage = addressOf(entry.url).pathname !== addressOf(state.current.url).pathname;
  const position = positionOf(site, entry.url);
  const effects: RouterEffect[] = [{ type: 'keep-scroll', key: state.current.key }];
  let arrives = isNewPage;
  if (event.type === 'navigate') {
    const replaces = event.history === 'replace' || (event.history === 'auto' && sameAddress);
    effects.push({ type: replaces ? 'replace' : 'push', entry });
    // Following a link to where one already is begins the page again, as it does without a router. An address that
    // the app merely puts right, or a change of query, leaves the reader where they are.
    if (event.history === 'replace') arrives = false;
    else if (sameAddress) arrives = true;
  }
  if (arrives) effects.push({ type: 'focus-content' });
  if (event.type === 'traverse') effects.push({ type: 'restore-scroll', key: entry.key });
  else if (arrives || entry.url.includes('#')) effects.push({ type: 'scroll-to-hash', hash: hashOf(entry.url) });
  return {
    state: {
      current: entry,
      // The same place keeps its identity, so that nothing that depends on it alone renders again.
      position: samePosition(state.position, position) ? state.position : position,
      arrivals: state.arrivals + 1,
    },
    effects,
  };
}

function positionOf(site: Site, url: string): Position {
  return locate(site, addressOf(url));
}

function hashOf(url: string): string {
  const start = url.indexOf('#');
  return start < 0 ? '' : url.slice(start);
}
