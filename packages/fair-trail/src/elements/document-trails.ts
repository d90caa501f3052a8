import { unknownPosition } from '../core/site/locate.ts';
import { surroundingsOf, type Surroundings, type TrailLocation } from '../parts/surroundings.ts';
import { listSite } from './list-site.ts';
import { addressOfWindow, followAddress, goTo } from './page-address.ts';

/** Where elements get their site from: a `trail-site`, or a list that the author has written. */
export interface TrailSource {
  /** Null while there is no site yet. */
  readonly surroundings: Surroundings | null;
  readonly location: TrailLocation | null;
  /** Calls back after each change. @returns a function that stops listening */
  subscribe(listener: () => void): () => void;
}

/** What is in a document: it is the site of all elements that stand in no `trail-site`. */
const sources = new WeakMap<Document, Set<TrailSource>>();
const waiting = new WeakMap<Document, Set<() => void>>();

function setOf<Value>(map: WeakMap<Document, Set<Value>>, document: Document): Set<Value> {
  const known = map.get(document) ?? new Set();
  map.set(document, known);
  return known;
}

/** Offers a source to the document. @returns a function that takes it back */
export function offerTrail(document: Document, source: TrailSource): () => void {
  const all = setOf(sources, document);
  all.add(source);
  const report = () => setOf(waiting, document).forEach((listener) => listener());
  report();
  return () => {
    if (all.delete(source)) report();
  };
}

/** The first source that was offered to the document, of those that an element accepts. */
export function offeredTrail(document: Document, accepts: (source: TrailSource) => boolean): TrailSource | null {
  return [...(sources.get(document) ?? [])].find(accepts) ?? null;
}

/** Calls back when sources come or go. @returns a function that stops listening */
export function whenOffered(document: Document, listener: () => void): () => void {
  const listeners = setOf(waiting, document);
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const noSite = /* #__PURE__ */ listSite([], 'en');

/** The address of a window, without a site. */
export function bareTrail(window: Window): TrailSource {
  const listeners = new Set<() => void>();
  const position = unknownPosition(noSite);
  return {
    surroundings: surroundingsOf({ site: noSite }, null, (url, options) => {
      goTo(window, url, options?.history === 'replace');
      for (const listener of listeners) listener();
    }),
    get location() {
      return { position, url: addressOfWindow(window) };
    },
    subscribe: (listener) => {
      listeners.add(listener);
      const stop = followAddress(window, listener);
      return () => {
        listeners.delete(listener);
        stop();
      };
    },
  };
}
