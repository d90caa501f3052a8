import { useMemo, useRef, useSyncExternalStore, type ReactNode } from 'react';
import { errorText } from '../core/error-texts.ts';
import type { SessionHistory } from '../core/router/history.ts';
import type { RouterState } from '../core/router/router.ts';
import type { Presenter, Router } from '../dom/router-interface.ts';
import type { Eagerness } from '../dom/speculation.ts';
import { pageHead } from '../parts/given-trail.ts';
import { createTrail, locationAt, renderedState } from '../parts/trail.ts';
import { useGivenSite } from './given-site.ts';
import { Provide } from './provide.tsx';
import { TrailAt, useScripted, type TrailAtOptions } from './trail-at.tsx';
import { useBrowserLayoutEffect, useSurroundings } from './trail-context.ts';

/**
 * The properties of a `Trail`.
 */
export interface TrailProps extends TrailAtOptions {
  /** Where the visitor's way is kept. Default: the browser's session history. */
  readonly history?: SessionHistory;
  /** The address that the server rendered, for the first drawing to equal it. Default: the current one. */
  readonly renderedUrl?: string;
  /** How early pages are loaded ahead; null for never. Default: `moderate`. */
  readonly eagerness?: Eagerness | null;
  /** Whether a page change is a view transition where the browser has them and motion is wanted. Default: true. */
  readonly viewTransitions?: boolean;
  /** The current address, where something else decides it, such as a server. */
  readonly url?: string;
}

/**
 * Provides the site, the position and the audience to the components within it, and changes pages with its own router.
 *
 * If the app has a router, use `TrailAt`: it loads no router of ours.
 *
 * @example
 * createRoot(container).render(
 *   <Trail site={site}>
 *     <Navbar />
 *     <Stage pages={pages} />
 *   </Trail>,
 * );
 */
export function Trail({ url, ...props }: TrailProps): ReactNode {
  const isBrowser = typeof window !== 'undefined';
  const given = url ?? (isBrowser ? undefined : props.history?.current.url);
  if (given !== undefined) return <TrailAt {...props} url={given} />;
  if (!isBrowser) throw new TypeError(errorText('url-missing'));
  return <RoutedTrail {...props} />;
}

function RoutedTrail({ history, renderedUrl, site: given, ...props }: Omit<TrailProps, 'url'>): ReactNode {
  const { arrival = 'focus', eagerness = 'moderate', viewTransitions = true } = props;
  const site = useGivenSite(given);
  useScripted();
  const onWarning = useLatest(props.onWarning);
  const trail = useMemo(
    () => createTrail({ site, history, arrival, eagerness, viewTransitions, onWarning: () => onWarning.current }),
    [site, history, arrival, eagerness, viewTransitions, onWarning],
  );
  const { router } = trail;
  const rendered = useMemo(
    () => (renderedUrl === undefined ? null : renderedState(site, renderedUrl)),
    [site, renderedUrl],
  );
  const renderedLocation = useMemo(() => (rendered ? locationAt(rendered) : trail.location), [rendered, trail]);
  // Changes once, when what the server rendered has been taken over: from then on each part follows by itself.
  const location = useSyncExternalStore(
    neverChanges,
    () => trail.location,
    () => renderedLocation,
  );
  const navigate = useMemo(() => router.navigate.bind(router), [router]);
  return (
    <Provide
      {...props}
      site={site}
      location={location}
      router={router}
      navigate={navigate}
      last={<Drawn router={router} rendered={rendered} />}
    />
  );
}

interface DrawnProps {
  readonly router: Router & Presenter;
  readonly rendered: RouterState | null;
}

/**
 * Stands after all else: by the time it is drawn, the document shows the new page. So the trail itself need not be drawn
 * again at a page change.
 */
function Drawn({ router, rendered }: DrawnProps): ReactNode {
  const { site, records, wording } = useSurroundings();
  const read = () => router.state;
  const state = useSyncExternalStore(router.subscribe, read, () => rendered ?? router.state);
  const { title, language } = pageHead({ site, records, wording }, state);
  useBrowserLayoutEffect(() => router.connect(), [router]);
  useBrowserLayoutEffect(() => {
    router.describe({ title, language });
    router.drawn();
  }, [router, state.arrivals, title, language]);
  return null;
}

const neverChanges = () => () => undefined;

/** Holds the value of the last drawing, for what is called later than that. */
function useLatest<Value>(value: Value): { readonly current: Value } {
  const latest = useRef(value);
  useBrowserLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
