import {
  createContext,
  createElement,
  forwardRef,
  Suspense,
  useContext,
  useEffect,
  useImperativeHandle,
  useMemo,
  useReducer,
  useRef,
  useState,
  useSyncExternalStore,
  type ComponentType,
  type HTMLAttributes,
  type ReactNode,
} from 'react';
import type { Position } from '../core/site/locate.ts';
import { stageView } from '../core/view/stage-view.ts';
import { LazyPage } from '../parts/lazy-page.ts';
import { checkLayout, checkNames, namesIn, noteStage } from '../parts/name-checks.ts';
import { contentAt } from '../parts/stage-content.ts';
import { focusPage, isFocusLost, isOffline } from '../parts/stage.ts';
import { fixedLocation } from '../parts/surroundings.ts';
import type { FailedPageProps, Page, StageLayout } from './page.ts';
import { PageBoundary } from './page-boundary.tsx';
import { componentOf, type Content, type OuterStage, type StagePages, type StageSettings } from './stage-content.ts';
import { Denied, FailedPage, NotFound, Planned, Waiting } from './stage-pages.tsx';
import { PrintedView } from './printed-view.tsx';
import {
  LocationContext,
  PresenterContext,
  useBrowserLayoutEffect,
  useLocationSource,
  useTrail,
} from './trail-context.ts';
import { usePrinter } from './use-part.ts';

/**
 * The properties of a `Stage`.
 */
export interface StageProps extends Omit<HTMLAttributes<HTMLElement>, 'children'> {
  /** The page of each entry, by the entry's id. A stage within another one has the outer one's by default. */
  readonly pages?: StagePages;
  /** What all pages at and below an entry share, by the entry's id; each holds a stage for them. Default: nothing. */
  readonly layouts?: Readonly<Record<string, StageLayout>>;
  /** Shown at an address that is no page of the site. Default: a heading that says so. */
  readonly notFound?: Page;
  /** Shown instead of a page that the visitor's audiences do not open. Default: a heading that says so. */
  readonly denied?: Page;
  /** Shown for a page of the site that is not in `pages`, planned or not. Default: its label and a line that says so. */
  readonly planned?: Page;
  /** Shown instead of a page that could not be loaded or shown. Default: a heading, and a button to try again. */
  readonly failed?: ComponentType<FailedPageProps>;
}

const OuterContext = createContext<OuterStage | null>(null);

const basicSettings: StageSettings = {
  pages: {},
  layouts: {},
  notFound: NotFound,
  denied: Denied,
  planned: Planned,
  failed: FailedPage,
  waiting: Waiting,
};

/** Content that can be drawn, and the address that it belongs to. */
interface DrawnContent {
  readonly content: Content;
  readonly position: Position;
  readonly url: string;
}

/**
 * Shows the page of the current position, as the document's main content.
 *
 * @example
 * <Stage pages={{ tides: lazyPage(() => import('./tides.tsx')) }} />
 */
export const Stage = forwardRef<HTMLElement, StageProps>(function Stage(props, ref) {
  const { pages, layouts, notFound, denied, planned, failed, ...attributes } = props;
  const outer = useContext(OuterContext);
  const router = useContext(PresenterContext);
  const source = useLocationSource();
  const { site, position, url, audience, wording, warn } = useTrail();
  const element = useRef<HTMLElement>(null);
  useImperativeHandle<HTMLElement | null, HTMLElement | null>(ref, () => element.current, []);

  useEffect(() => {
    checkNames('Stage', { site, warn }, () => [
      ...namesIn('entry', 'pages', pages),
      ...namesIn('entry', 'layouts', layouts),
    ]);
    noteStage(pages, layouts);
  }, [site, warn, pages, layouts]);

  const from = outer?.settings ?? basicSettings;
  const settings = useMemo<StageSettings>(
    () => ({
      pages: pages ?? from.pages,
      layouts: layouts ?? from.layouts,
      notFound: notFound ?? from.notFound,
      denied: denied ?? from.denied,
      planned: planned ?? from.planned,
      failed: failed ?? from.failed,
      waiting: from.waiting,
    }),
    [from, pages, layouts, notFound, denied, planned, failed],
  );
  const wanted = contentAt(position, audience, settings, outer);
  const lazy = wanted.page instanceof LazyPage ? wanted.page : null;

  const [attempt, tryAgain] = useReducer((count: number) => count + 1, 0);
  const [, noteLoad] = useReducer((count: number) => count + 1, 0);
  const [failure, setFailure] = useState<{ readonly key: string; readonly error: unknown } | null>(null);
  const hasFailed = failure?.key === wanted.key;
  // Whoever comes back to the page wants it to be tried again.
  if (failure && !hasFailed) setFailure(null);
  const isWaiting = lazy !== null && lazy.page === null && !hasFailed;

  // Until the wanted page is there, the last one stays: a page is better than none, unless it says what is no longer so.
  const [last, setLast] = useState<DrawnContent | null>(null);
  const now: DrawnContent = { content: wanted, position, url };
  const before = last?.content.key === wanted.key ? null : last;
  const shown = isWaiting ? before : now;
  if (!isWaiting && !isSame(last, now)) setLast(now);

  useBrowserLayoutEffect(() => {
    if (!lazy || !isWaiting) return undefined;
    const waiting = new AbortController();
    const { signal } = waiting;
    lazy.load(signal).then(
      () => signal.aborted || change(noteLoad),
      (error: unknown) => {
        if (signal.aborted) return;
        router?.warn('page-failed', error);
        setFailure({ key: wanted.key, error });
      },
    );
    const change = (draw: () => void) => (router ? router.change(draw) : draw());
    return () => waiting.abort();
  }, [router, lazy, isWaiting, wanted.key]);
  useBrowserLayoutEffect(() => (isWaiting ? router?.expect() : undefined), [router, isWaiting, wanted.key]);

  const latest = useRef({ settings, outer, audience });
  useBrowserLayoutEffect(() => {
    latest.current = { settings, outer, audience };
  });
  useBrowserLayoutEffect(
    () =>
      router?.preparing((next) => {
        const { page } = contentAt(next, latest.current.audience, latest.current.settings, latest.current.outer);
        // A failure is reported once the page is asked for, and then it is tried again.
        if (page instanceof LazyPage) page.load().catch(() => undefined);
      }),
    [router],
  );
  const readLate = () => router?.state.page === 'late';
  const late = useSyncExternalStore(router?.subscribe ?? subscribeToNothing, readLate, () => false);

  // The button that was pressed is gone with the failure, and focus would be nowhere.
  const retried = useRef(false);
  const presented = useRef<DrawnContent | null>(null);
  const retry = () => {
    retried.current = true;
    setFailure(null);
    tryAgain();
  };
  const onPresent = () => {
    const before = presented.current;
    const drawn = shown ?? now;
    presented.current = drawn;
    // The first content is in the document before its stage is.
    if (!element.current) return;
    router?.present(element.current, shown?.content.arrival);
    if (retried.current || isFocusLost(element.current, before, drawn)) focusPage(element.current);
    retried.current = false;
  };
  const { key } = now.content;
  useEffect(() => {
    if (element.current) checkLayout(element.current, key, { site, warn });
  }, [site, warn, key]);
  const onError = (error: unknown) => router?.warn('page-failed', error);

  const drawPage = () => {
    if (!shown) return late ? <p>{wording.loading}</p> : <Waiting />;
    const { content, position: at } = shown;
    const page = hasFailed ? null : componentOf(content);
    const own = { position: at, params: at.params };
    const failedPage = (error: unknown, again: () => void) => {
      return createElement(settings.failed, { ...own, error, offline: isOffline(), retry: again });
    };
    const drawn = page ? createElement(page, own) : failedPage(failure?.error, retry);
    return (
      <PageBoundary key={`${content.key} ${attempt}`} failed={failedPage} retry={retry} onError={onError}>
        <Suspense fallback={<Expecting />}>
          {drawn}
          <Presented onPresent={onPresent} />
        </Suspense>
      </PageBoundary>
    );
  };
  // Of what is shown, and not of what is wanted: a layout may be there still for which there is no place any more.
  const { depth, arrival } = (shown ?? now).content;
  const within = useMemo<OuterStage>(() => ({ settings, depth, arrival }), [settings, depth, arrival]);
  const slots = {
    page: () => (
      // The page that is still shown while another is loaded is at its own address, and must not change beneath that.
      <LocationContext.Provider value={shown && shown !== now ? fixedLocation(shown) : source}>
        <OuterContext.Provider value={within}>{drawPage()}</OuterContext.Provider>
      </LocationContext.Provider>
    ),
  };
  const nested = outer !== null;
  const busy = late && isWaiting;
  const view = useMemo(() => stageView({ nested, busy }), [nested, busy]);
  const printer = usePrinter(noEvents, undefined);
  return <PrintedView view={view} printer={printer} slots={slots} attributes={attributes} elementRef={element} />;
});

const noEvents = () => undefined;

const subscribeToNothing = () => () => undefined;

function isSame(one: DrawnContent | null, other: DrawnContent): boolean {
  return one?.content.key === other.content.key && one.position === other.position && one.url === other.url;
}

/** Stands in for a page that waits for something of its own. */
function Expecting(): ReactNode {
  const router = useContext(PresenterContext);
  useBrowserLayoutEffect(() => router?.expect(), [router]);
  return null;
}

/** Tells when what stands before it is in the document. */
function Presented({ onPresent }: { readonly onPresent: () => void }): ReactNode {
  const latest = useRef(onPresent);
  useBrowserLayoutEffect(() => {
    latest.current = onPresent;
  });
  useBrowserLayoutEffect(() => latest.current(), []);
  return null;
}
