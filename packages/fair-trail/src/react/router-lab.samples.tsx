import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { afterEach, beforeEach } from 'vitest';
import type { SessionHistory } from '../core/router/history.ts';
import { defineSite } from '../core/site/define.ts';
import type { Warning } from '../core/warnings.ts';
import { hashHistory, navigationHistory, windowHistory } from '../dom/window-history.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { useHistoryState } from './history-state.ts';
import { useMayLeave } from './leaving.ts';
import { Navbar } from './navbar.tsx';
import { type LayoutProps, lazyPage, type Page } from './page.ts';
import { SkipLink } from './skip-link.tsx';
import type { StagePages } from './stage-content.ts';
import { Stage } from './stage.tsx';
import { useTrail } from './trail-context.ts';
import { Trail, type TrailProps } from './trail.tsx';

/** A site with a page for each thing that can happen on the way to one. */
export const labSite = defineSite({
  name: 'Lab',
  origin: 'https://lab.example',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    { id: 'hides', label: 'Hides', href: '/hides', movedFrom: ['/huts'] },
    { id: 'tides', label: 'Tides', href: '/tides' },
    { id: 'form', label: 'Form', href: '/form' },
    {
      id: 'guide',
      label: 'Guide',
      href: '/guide',
      entries: [
        { id: 'first', label: 'First', href: '/guide/first' },
        { id: 'second', label: 'Second', href: '/guide/second' },
      ],
    },
  ],
  menus: { main: ['today', 'hides', 'tides', 'form', 'guide'] },
});

/** A promise that the test settles. */
export function deferred<Value>(): {
  promise: Promise<Value>;
  resolve: (value: Value) => void;
  reject: (error: unknown) => void;
} {
  let resolve: (value: Value) => void = () => undefined;
  let reject: (error: unknown) => void = () => undefined;
  const promise = new Promise<Value>((yes, no) => {
    resolve = yes;
    reject = no;
  });
  return { promise, resolve, reject };
}

/** Says what it is and where, holds links to everywhere, and is long enough to be scrolled. */
export const LabPage: Page = ({ position }) => (
  <>
    <h1>{position.entry?.label}</h1>
    <p>
      <a href="/tides">Tides in text</a> <a href="/huts?from=text#map">Moved</a> <a href="#map">To the map</a>
    </p>
    <div data-testid="scroller" style={{ blockSize: '10rem', overflow: 'auto' }}>
      <div style={{ blockSize: '100rem' }}>Long list</div>
    </div>
    <p style={{ blockSize: '250vh' }}>Long</p>
    <h2 id="map">Map</h2>
    <a href="/hides">Hides below</a>
    <p style={{ blockSize: '100vh' }}>Long</p>
  </>
);

/** Its links and its length come after a moment. */
export const LatePage: Page = (props) => {
  const [isThere, setIsThere] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIsThere(true), 150);
    return () => clearTimeout(timer);
  }, []);
  return isThere ? <LabPage {...props} /> : <h1>Just a moment</h1>;
};

/** Asks in a dialog of its own before it is left, once something is written on it. */
export function FormPage(): ReactNode {
  const [text, setText] = useState('');
  const dialog = useRef<HTMLDialogElement>(null);
  const answer = useRef<(mayLeave: boolean) => void>(() => undefined);
  const ask = () => {
    dialog.current?.showModal();
    return new Promise<boolean>((resolve) => (answer.current = resolve));
  };
  useMayLeave(text === '' ? null : ask);
  const close = (mayLeave: boolean) => {
    dialog.current?.close();
    answer.current(mayLeave);
  };
  return (
    <>
      <h1>Form</h1>
      <label>
        Name <input value={text} onChange={(event) => setText(event.target.value)} />
      </label>
      <dialog ref={dialog} onCancel={() => answer.current(false)}>
        <button onClick={() => close(true)}>Leave</button>
        <button onClick={() => close(false)}>Stay</button>
      </dialog>
    </>
  );
}

/** Keeps something with the history entry. */
export function StatePage(): ReactNode {
  const [state, keepState] = useHistoryState();
  return (
    <>
      <h1>State</h1>
      <button onClick={() => keepState({ count: countIn(state) + 1 })}>Count {countIn(state)}</button>
    </>
  );
}

function countIn(state: unknown): number {
  return typeof state === 'object' && state !== null && 'count' in state ? Number(state.count) : 0;
}

export function GuideLayout({ position }: LayoutProps): ReactNode {
  return (
    <>
      <h1>Guide to {position.entry?.label}</h1>
      <input aria-label="Notes" />
      <a href="/guide/first">First</a> <a href="/guide/second">Second</a>
      <Stage />
    </>
  );
}

export const ChapterPage: Page = ({ position }) => <h2>Chapter {position.entry?.label}</h2>;

export const labPages: StagePages = {
  today: LabPage,
  hides: LabPage,
  tides: LabPage,
  form: FormPage,
  guide: ChapterPage,
  first: ChapterPage,
  second: ChapterPage,
};

/** What the last drawn lab was given and reported. */
export const lab: { navigate: (url: string) => void; back: () => void; warnings: Warning[] } = {
  navigate: () => undefined,
  back: () => undefined,
  warnings: [],
};

interface LabProps extends Partial<TrailProps> {
  readonly pages?: StagePages;
  readonly outside?: ReactNode;
}

export function Lab({ pages, outside, ...trail }: LabProps): ReactNode {
  return (
    <Trail site={labSite} onWarning={(warning) => lab.warnings.push(warning)} {...trail}>
      <SkipLink />
      <Navbar />
      <Breadcrumbs />
      <Remote />
      {outside}
      <Stage pages={{ ...labPages, ...pages }} layouts={{ guide: GuideLayout }} />
    </Trail>
  );
}

function Remote(): ReactNode {
  const { navigate, router } = useTrail();
  useLayoutEffect(() => {
    lab.navigate = navigate;
    lab.back = () => router?.back();
  });
  return null;
}

/** A page that the test lets load, or fail. Tells how often it was asked for, and whether it was given up. */
export function controlledPage(): {
  page: ReturnType<typeof lazyPage>;
  loads: ReturnType<typeof deferred<Page>>[];
  aborted: () => number;
} {
  const loads: ReturnType<typeof deferred<Page>>[] = [];
  const signals: AbortSignal[] = [];
  const page = lazyPage(({ signal }) => {
    const load = deferred<Page>();
    loads.push(load);
    signals.push(signal);
    return load.promise;
  });
  return { page, loads, aborted: () => signals.filter((signal) => signal.aborted).length };
}

/** The browser's histories under their names. In all of them, the page under test begins at `/`. */
export const histories: readonly (readonly [string, () => SessionHistory])[] = [
  ['the History API', () => windowHistory(window)],
  ['the Navigation API', () => navigationHistory(window)],
  ['addresses in the hash', () => hashHistory(window)],
];

/** Lends the test runner's own address to each test, and gives it back. */
export function borrowAddress(): void {
  let own = '';
  beforeEach(() => {
    own = location.href;
    history.pushState(null, '', '/');
    lab.warnings = [];
    sessionStorage.clear();
  });
  afterEach(() => history.pushState(null, '', own));
}

/** The address of the site that the browser shows. */
export function shownAddress(): string {
  if (location.hash.startsWith('#/')) return location.hash.slice(1);
  return location.pathname + location.search + location.hash;
}

/** What the bar marks. */
export function shownMarks(): string[] {
  return [...document.querySelectorAll('nav[aria-label="Main"] [aria-current]')].map((link) => link.textContent);
}
