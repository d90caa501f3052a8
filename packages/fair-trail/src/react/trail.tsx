import { errorText } from '../core/error-texts.ts';
import { useCallback, useMemo, useRef, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { SessionHistory } from '../core/router/history.ts';
import { initialRouter, type RouterState } from '../core/router/router.ts';
import type { CompiledSite } from '../core/site/compiled.ts';
import { siteOf } from '../core/site/load.ts';
import { locate, samePosition, titleOf } from '../core/site/locate.ts';
import type { Site } from '../core/site/site.ts';
import { englishWording } from '../core/wording.ts';
import type { Arrival } from '../dom/arrivals.ts';
import { followGivenAddress, type GivenAddress } from '../dom/given-address.ts';
import { logWarning } from '../dom/log-warning.ts';
import type { NavigateOptions, Router } from '../dom/router-interface.ts';
import { openRouter } from '../dom/router.ts';
import { markScripted } from '../dom/scripted.ts';
import type { Eagerness } from '../dom/speculation.ts';
import { browserHistory } from '../dom/window-history.ts';
import { Provide, type SharedProps } from './provide.tsx';
import { fixedLocation, useBrowserLayoutEffect, type TrailLocation, type LocationSource } from './trail-context.ts';

/**
 * The properties of a `Trail`.
 */
export interface TrailProps extends Omit<SharedProps, 'site'> {
  /** What `defineSite` or `loadSite` returns, or a site that is compiled and not loaded yet. */
  readonly site: Site | CompiledSite;
  /** How the reader is taken to a new page. Default: `focus`. */
  readonly arrival?: Arrival;
  /** Where the visitor's way is kept. Default: the browser's session history. */
  readonly history?: SessionHistory;
  /** The address that the server rendered, for the first drawing to equal it. Default: the current one. */
  readonly renderedUrl?: string;
  /** How early pages are loaded ahead; null for never. Default: `moderate`. */
  readonly eagerness?: Eagerness | null;
  /** Whether a page change is a view transition where the browser has them and motion is wanted. Default: true. */
  readonly viewTransitions?: boolean;
  /** The current address, where something else decides it: a server, or a router that the app has already. */
  readonly url?: string;
  /** With `url`: goes to an address, by the router that the app has. Default: loads it. */
  readonly onNavigate?: (url: string, options: NavigateOptions) => void;
}

type LoadedProps = Omit<TrailProps, 'site' | 'url' | 'history'> & Pick<SharedProps, 'site'>;

/**
 * Gives the components within it the site, the position in it, and who is looking.
 *
 * @example
 * createRoot(container).render(
 *   <Trail site={site}>
 *     <Navbar />
 *     <Stage pages={pages} />
 *   </Trail>,
 * );
 */
export function Trail({ url, history, site, ...others }: TrailProps): ReactNode {
  const props = { ...others, site: siteOf(site) };
  useBrowserLayoutEffect(() => markScripted(document), []);
  const isBrowser = typeof window !== 'undefined';
  const given = url ?? (isBrowser ? undefined : history?.current.url);
  if (given !== undefined) return <GivenTrail url={given} {...props} />;
  if (!isBrowser) {
    throw new TypeError(errorText('url-missing'));
  }
  return <RoutedTrail {...(history && { history })} {...props} />;
}

function GivenTrail({ url, ...props }: LoadedProps & { readonly url: string }): ReactNode {
  const { site, records, wording, arrival = 'focus', onNavigate } = props;
  const found = useMemo(() => locate(site, url), [site, url]);
  const [position, setPosition] = useState(found);
  // The same place keeps its identity, so that a change of query renders nothing that depends on the place alone.
  if (!samePosition(position, found)) setPosition(found);

  const title = titleOf(site, position, wording?.notFound ?? englishWording.notFound, records);
  const address = useRef<GivenAddress | null>(null);
  useBrowserLayoutEffect(() => {
    const given = (address.current = followGivenAddress(window, arrival));
    return () => {
      address.current = null;
      given.end();
    };
  }, [arrival]);
  useBrowserLayoutEffect(() => address.current?.show(url, title), [url, title]);

  const navigate = useCallback(
    (to: string, options: NavigateOptions = {}) => (onNavigate ?? loadAddress)(to, options),
    [onNavigate],
  );
  // A new source for each place: whatever else the other router draws for it knows of the place in the same breath.
  const place = useMemo(() => fixedLocation({ position, url }), [position, url]);
  return <Provide {...props} location={place} router={null} navigate={navigate} />;
}

/** Without a router that was told of, the browser goes there. */
function loadAddress(url: string, { history }: NavigateOptions): void {
  if (history === 'replace') window.location.replace(url);
  else window.location.assign(url);
}

function RoutedTrail({ history, renderedUrl, ...props }: LoadedProps & Pick<TrailProps, 'history'>): ReactNode {
  const { site, records, wording, arrival = 'focus', eagerness = 'moderate', viewTransitions = true } = props;
  const onWarning = useLatest(props.onWarning);
  const router = useMemo(
    () =>
      openRouter({
        site,
        history: history ?? browserHistory(window),
        window,
        arrival,
        eagerness,
        viewTransitions,
        onWarning: (warning) => (onWarning.current ?? logWarning)(warning),
      }),
    [site, history, arrival, eagerness, viewTransitions, onWarning],
  );
  const rendered = useMemo(
    () => (renderedUrl === undefined ? null : initialRouter(site, { url: renderedUrl, key: 'rendered' })),
    [site, renderedUrl],
  );
  const read = () => router.state;
  const state = useSyncExternalStore(router.subscribe, read, () => rendered ?? router.state);
  const livePlace = useMemo(() => followLocation(router), [router]);
  const renderedPlace = useMemo(
    () => (rendered ? fixedLocation(locationOf(rendered)) : livePlace),
    [rendered, livePlace],
  );
  // Changes once, when what the server rendered has been taken over: from then on each part follows by itself.
  const place = useSyncExternalStore(
    neverChanges,
    () => livePlace,
    () => renderedPlace,
  );
  const title = titleOf(site, state.position, wording?.notFound ?? englishWording.notFound, records);
  useBrowserLayoutEffect(() => router.connect(), [router]);
  // By now the document shows this state, or as much of it as there is.
  useBrowserLayoutEffect(() => {
    router.describe(title);
    router.drawn();
  }, [router, state.arrivals, title]);
  const navigate = useMemo(() => router.navigate.bind(router), [router]);
  return <Provide {...props} location={place} router={router} navigate={navigate} />;
}

const neverChanges = () => () => undefined;

function locationOf({ position, current }: RouterState): TrailLocation {
  return { position, url: current.url };
}

function followLocation(router: Router): LocationSource {
  let last = locationOf(router.state);
  const read = (): TrailLocation => {
    const next = locationOf(router.state);
    if (last.position !== next.position || last.url !== next.url) last = next;
    return last;
  };
  return { read, subscribe: router.subscribe };
}

/** Holds the value of the last drawing, for what is called later than that. */
function useLatest<Value>(value: Value): { readonly current: Value } {
  const latest = useRef(value);
  useBrowserLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
