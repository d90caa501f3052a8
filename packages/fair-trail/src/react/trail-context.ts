import { createContext, useContext, useEffect, useLayoutEffect } from 'react';
import type { Audience, Position, Site, SiteRecords, Wording } from '../core/index.ts';
import type { NavigateOptions, Presenter, Router } from '../dom/index.ts';

/** What every component of a trail knows. */
export interface TrailContext {
  readonly site: Site;
  readonly position: Position;
  /** The current address: path, query and hash. */
  readonly url: string;
  readonly audience: Audience;
  readonly records: SiteRecords;
  readonly wording: Wording;
  /** Null where the address is given from outside: there another router is in charge. */
  readonly router: Router | null;
  /** Goes to an address, whichever router is in charge. */
  readonly navigate: (url: string, options?: NavigateOptions) => void;
}

export const Context = createContext<TrailContext | null>(null);

/** Whom the parts that show content tell about it; null where another router is in charge. */
export const PresenterContext = createContext<(Router & Presenter) | null>(null);

/** A server has no layout to wait for, and says so in its log where one tries. */
export const useBrowserLayoutEffect = typeof document === 'undefined' ? useEffect : useLayoutEffect;

/** All that a trail's components know. @throws Error outside of a `Trail` */
export function useTrail(): TrailContext {
  const context = useContext(Context);
  if (!context) throw new Error('This component needs a Trail around it: <Trail site={site}>…</Trail>.');
  return context;
}

/** Where the visitor is in the site. Within a `Stage`, where the page that is shown is. */
export function usePosition(): Position {
  return useTrail().position;
}

export function useSite(): Site {
  return useTrail().site;
}
