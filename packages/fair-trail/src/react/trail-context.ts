import { errorText } from '../core/error-texts.ts';
import { createContext, useContext, useEffect, useLayoutEffect, useMemo, useSyncExternalStore } from 'react';
import type { Audience } from '../core/site/entry.ts';
import type { Position } from '../core/site/locate.ts';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import type { Warning } from '../core/warnings.ts';
import type { Wording } from '../core/wording.ts';
import type { NavigateOptions, Presenter, Router } from '../dom/router-interface.ts';

/** What stays as it is while the visitor goes from page to page. */
export interface Surroundings {
  readonly site: Site;
  readonly audience: Audience;
  readonly records: SiteRecords;
  readonly badges: Badges;
  readonly wording: Wording;
  /** Null where the address is given from outside: there another router is in charge. */
  readonly router: Router | null;
  /** Goes to an address, whichever router is in charge. */
  readonly navigate: (url: string, options?: NavigateOptions) => void;
  /** Reports the action of a menu to the app. */
  readonly act: (action: string) => void;
  /** Called with what went wrong without stopping anything. Undefined: it is logged to the console. */
  readonly warn: ((warning: Warning) => void) | undefined;
}

/** Where the visitor is. */
export interface TrailLocation {
  readonly position: Position;
  /** The current address: path, query and hash. */
  readonly url: string;
}

/** What every component of a trail knows. */
export interface TrailContext extends Surroundings, TrailLocation {}

/** Tells where the visitor is to those who ask, so that a page change draws nothing but what depends on it. */
export interface LocationSource {
  /** The same object while the place is the same. */
  readonly read: () => TrailLocation;
  readonly subscribe: (listener: () => void) => () => void;
}

export const SurroundingsContext = createContext<Surroundings | null>(null);

export const LocationContext = createContext<LocationSource | null>(null);

/** Whom the parts that show content tell about it; null where another router is in charge. */
export const PresenterContext = createContext<(Router & Presenter) | null>(null);

/** A server has no layout to wait for, and says so in its log where one tries. */
export const useBrowserLayoutEffect = typeof document === 'undefined' ? useEffect : useLayoutEffect;

/** A place that does not change: another one needs another source. */
export function fixedLocation(place: TrailLocation): LocationSource {
  return { read: () => place, subscribe: () => () => undefined };
}

function within<Value>(context: Value | null): Value {
  if (context === null) throw new Error(errorText('trail-missing'));
  return context;
}

export function useSurroundings(): Surroundings {
  return within(useContext(SurroundingsContext));
}

export function useLocationSource(): LocationSource {
  return within(useContext(LocationContext));
}

/**
 * Something about where the visitor is. The component renders again only when that is something else.
 *
 * @param select must give the same value for the same place
 */
export function useLocationPart<Value>(select: (place: TrailLocation) => Value): Value {
  const { subscribe, read } = useLocationSource();
  const readPart = () => select(read());
  return useSyncExternalStore(subscribe, readPart, readPart);
}

/**
 * All that a trail's components know.
 *
 * @throws Error outside of a `Trail`
 * @example
 * function LogOutButton() {
 *   const { navigate } = useTrail();
 *   return <button onClick={() => navigate('/')}>Log out</button>;
 * }
 */
export function useTrail(): TrailContext {
  const surroundings = useSurroundings();
  const place = useLocationPart((current) => current);
  return useMemo(() => ({ ...surroundings, ...place }), [surroundings, place]);
}

/**
 * Where the visitor is in the site. Within a `Stage`, where the page that is shown is.
 *
 * @example
 * function Section() {
 *   return <p>{usePosition().path[0]?.label}</p>;
 * }
 */
export function usePosition(): Position {
  return useLocationPart(({ position }) => position);
}

/**
 * The site of the `Trail` around the component.
 *
 * @example
 * function SiteName() {
 *   return <strong>{useSite().name}</strong>;
 * }
 */
export function useSite(): Site {
  return useSurroundings().site;
}
