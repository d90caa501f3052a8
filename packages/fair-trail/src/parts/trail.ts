import type { SessionHistory } from '../core/router/history.ts';
import { initialRouter, type RouterState } from '../core/router/router.ts';
import type { Site } from '../core/site/site.ts';
import type { Warning } from '../core/warnings.ts';
import type { Arrival } from '../dom/arrivals.ts';
import { logWarning } from '../dom/log-warning.ts';
import type { Presenter, Router } from '../dom/router-interface.ts';
import { openRouter } from '../dom/router.ts';
import type { Eagerness } from '../dom/speculation.ts';
import { browserHistory } from '../dom/window-history.ts';
import { fixedLocation, type LocationSource, type TrailLocation } from './surroundings.ts';

/** The settings of a trail with a router of its own. */
export interface TrailSettings {
  readonly site: Site;
  /** Default: the browser's session history. */
  readonly history?: SessionHistory | undefined;
  readonly arrival: Arrival;
  readonly eagerness: Eagerness | null;
  readonly viewTransitions: boolean;
  /** Asked at each warning, since an app may listen by another function later. */
  readonly onWarning: () => ((warning: Warning) => void) | undefined;
}

/** A site at work in a window: its router, and where the visitor is. */
export interface RoutedTrail {
  readonly router: Router & Presenter;
  readonly location: LocationSource;
}

/** Opens a site in this window. Nothing is done to the page before the router is connected. */
export function createTrail({ site, history, onWarning, ...others }: TrailSettings): RoutedTrail {
  const router = openRouter({
    ...others,
    site,
    window,
    history: history ?? browserHistory(window),
    onWarning: (warning) => (onWarning() ?? logWarning)(warning),
  });
  let last = locationOf(router.state);
  const read = (): TrailLocation => {
    const next = locationOf(router.state);
    if (last.position !== next.position || last.url !== next.url) last = next;
    return last;
  };
  return { router, location: { read, subscribe: router.subscribe } };
}

/** Where the visitor is at the address that a server rendered. */
export function renderedState(site: Site, url: string): RouterState {
  return initialRouter(site, { url, key: 'rendered' });
}

export function locationAt(state: RouterState): LocationSource {
  return fixedLocation(locationOf(state));
}

function locationOf({ position, current }: RouterState): TrailLocation {
  return { position, url: current.url };
}
