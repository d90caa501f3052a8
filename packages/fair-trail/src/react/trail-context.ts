import { errorText } from '../core/error-texts.ts';
import { createContext, useContext, useEffect, useLayoutEffect, useMemo, useSyncExternalStore } from 'react';
import type { Position } from '../core/site/locate.ts';
import type { Site } from '../core/site/site.ts';
import type { Presenter, Router } from '../dom/router-interface.ts';
import type { LocationSource, Surroundings, TrailLocation } from '../parts/surroundings.ts';

/** What the components of a `Trail` share. */
export interface TrailContext extends Surroundings, TrailLocation {}

export const SurroundingsContext = createContext<Surroundings | null>(null);

export const LocationContext = createContext<LocationSource | null>(null);

/** Whom the parts that show content tell about it; null if another router is in charge. */
export const PresenterContext = createContext<(Router & Presenter) | null>(null);

/** A server has no layout to wait for, and says so in its log where one tries. */
export const useBrowserLayoutEffect = typeof document === 'undefined' ? useEffect : useLayoutEffect;

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
 * @param select must give the same value for the same location
 */
export function useLocationPart<Value>(select: (location: TrailLocation) => Value): Value {
  const { subscribe, read } = useLocationSource();
  const readPart = () => select(read());
  return useSyncExternalStore(subscribe, readPart, readPart);
}

const whole = (location: TrailLocation) => location;

/** Where the visitor is. */
export function useLocation(): TrailLocation {
  return useLocationPart(whole);
}

/**
 * Returns everything that the components of a `Trail` share.
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
  const location = useLocation();
  return useMemo(() => ({ ...surroundings, ...location }), [surroundings, location]);
}

/**
 * Returns the current position. Within a `Stage`, the position of the page that is shown.
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
 * Returns the site of the surrounding `Trail`.
 *
 * @example
 * function SiteName() {
 *   return <strong>{useSite().name}</strong>;
 * }
 */
export function useSite(): Site {
  return useSurroundings().site;
}
