import {
  createContext,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import {
  englishWording,
  locate,
  samePosition,
  titleOf,
  type Audience,
  type Position,
  type SessionHistory,
  type Site,
  type SiteRecords,
  type Wording,
} from '../core/index.ts';
import { markScripted, openRouter, windowHistory, type Router } from '../dom/index.ts';

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
}

export interface TrailProps {
  readonly site: Site;
  /** The audiences that the visitor is in, or `unknown` while the app does not know yet. Default: none. */
  readonly audience?: Audience;
  /** The records as they are known now. Default: none. */
  readonly records?: SiteRecords;
  /** Words to say instead of the English ones. */
  readonly wording?: Partial<Wording>;
  /** Where the visitor's way is kept. Default: the browser's session history. */
  readonly history?: SessionHistory;
  /** The current address, where something else decides it: a server, or a router that the app has already. */
  readonly url?: string;
  readonly children?: ReactNode;
}

const Context = createContext<TrailContext | null>(null);

const noAudience: readonly string[] = [];
const noRecords: SiteRecords = {};

/** A server has no layout to wait for, and says so in its log where one tries. */
export const useBrowserLayoutEffect = typeof document === 'undefined' ? useEffect : useLayoutEffect;

/** Gives the components within it the site, the position in it, and who is looking. */
export function Trail({ url, history, ...props }: TrailProps): ReactNode {
  useBrowserLayoutEffect(() => markScripted(document), []);
  if (url !== undefined) return <GivenTrail url={url} {...props} />;
  if (typeof window === 'undefined' && !history) {
    throw new TypeError('Trail needs the property "url" where there is no window: give the address to render.');
  }
  return <RoutedTrail {...(history && { history })} {...props} />;
}

function GivenTrail({ url, ...props }: Omit<TrailProps, 'history'> & { readonly url: string }): ReactNode {
  const { site } = props;
  const found = useMemo(() => locate(site, url), [site, url]);
  const [position, setPosition] = useState(found);
  // The same place keeps its identity, so that a change of query renders nothing that depends on the place alone.
  if (!samePosition(position, found)) setPosition(found);
  return <Provide {...props} url={url} position={position} router={null} />;
}

function RoutedTrail({ history, ...props }: Omit<TrailProps, 'url'>): ReactNode {
  const { site, records, wording } = props;
  const router = useMemo(
    () => openRouter({ site, history: history ?? windowHistory(window), window }),
    [site, history],
  );
  const read = () => router.state;
  const state = useSyncExternalStore(router.subscribe, read, read);
  const title = titleOf(site, state.position, wording?.notFound ?? englishWording.notFound, records);
  useBrowserLayoutEffect(() => router.connect(), [router]);
  // By now the page of this state is in the document.
  useBrowserLayoutEffect(() => router.settle(title), [router, state.arrivals, title]);
  return <Provide {...props} url={state.current.url} position={state.position} router={router} />;
}

interface ProvideProps extends Omit<TrailProps, 'url' | 'history'> {
  readonly url: string;
  readonly position: Position;
  readonly router: Router | null;
}

function Provide(props: ProvideProps): ReactNode {
  const { site, url, position, router, children } = props;
  const { audience = noAudience, records = noRecords, wording: ownWording } = props;
  const wording = useMemo(() => ({ ...englishWording, ...ownWording }), [ownWording]);
  const value = useMemo(
    () => ({ site, position, url, audience, records, wording, router }),
    [site, position, url, audience, records, wording, router],
  );
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

/** All that a trail's components know. @throws Error outside of a `Trail` */
export function useTrail(): TrailContext {
  const context = useContext(Context);
  if (!context) throw new Error('This component needs a Trail around it: <Trail site={site}>…</Trail>.');
  return context;
}

/** Where the visitor is in the site. */
export function usePosition(): Position {
  return useTrail().position;
}

export function useSite(): Site {
  return useTrail().site;
}
