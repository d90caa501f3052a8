/**
 * A page change by a real click among 2 120 links: by the library, and by a script on the same document that does all of
 * what a reader notices: history entry, marks, title, heading, focus, scroll, and scroll again on Back.
 */
import { createRoot, type Root } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { defineSite } from 'fair-trail';
import { FooterNav, Layout, Navbar, Sidebar, Stage, Trail } from 'fair-trail/react';
import { container, nextEventTime, shapeOf, Bare } from '../compare.tsx';
import 'fair-trail/styles.css';

const pages = 2000;
const perSection = 50;
const entries = Array.from({ length: pages }, (_, index) => ({
  id: `e${index}`,
  label: `Page ${index}`,
  href: `/page-${index}`,
  icon: 'dot',
}));
const ids = entries.map(({ id }) => id);
const sections = Array.from({ length: pages / perSection }, (_, index) => ({
  label: `Section ${index}`,
  entries: ids.slice(index * perSection, (index + 1) * perSection),
}));
const site = defineSite({
  name: 'Benchmark',
  entries: [{ id: 'home', label: 'Home', href: '/' }, ...entries],
  menus: {
    main: sections
      .slice(0, 6)
      .map(({ label, entries: items }) => ({ label: `Bar ${label}`, entries: items.slice(0, 6) })),
    pages: sections,
    footer: sections.slice(0, 7).map(({ label, entries: items }) => ({ label, entries: items.slice(0, 12) })),
  },
});

/** The icons that were drawn, one for each link that was. */
let drawn = 0;
const icon = () => {
  drawn += 1;
  return <i />;
};
const stagePages = Object.fromEntries(entries.map(({ id, label }) => [id, () => <h1>{label}</h1>]));

const byLibrary = () => (
  <Trail site={site}>
    <Layout bar={<Navbar />} sidebar={<Sidebar menu="pages" icon={icon} />} footer={<FooterNav />}>
      <Stage pages={stagePages} />
    </Layout>
  </Trail>
);

let root: Root | null = null;
let end: () => void = () => undefined;

/** Takes what is in the document away, and puts one of the two there, at the first page. */
function use(version: 'library' | 'hand'): void {
  end();
  if (root) flushSync(() => root?.unmount());
  history.replaceState(null, '', '/page-0');
  document.title = 'Page 0 · Benchmark';
  root = createRoot(container);
  flushSync(() => root?.render(byLibrary()));
  if (version === 'library') {
    end = () => undefined;
    return;
  }
  const shapes = [...container.children].map(shapeOf);
  flushSync(() => root?.unmount());
  root = createRoot(container);
  flushSync(() => root?.render(shapes.map((shape, index) => <Bare key={index} shape={shape} />)));
  end = followByHand();
}

function followByHand(): () => void {
  const listening = new AbortController();
  const { signal } = listening;
  const scrolled = new Map<string, number>();
  let key = '0';
  const links = new Map<string, Element[]>();
  for (const link of document.querySelectorAll('a[href]')) {
    const href = link.getAttribute('href') ?? '';
    links.set(href, [...(links.get(href) ?? []), link]);
  }
  let marked = links.get(location.pathname) ?? [];
  const show = (path: string) => {
    for (const link of marked) link.removeAttribute('aria-current');
    for (const section of document.querySelectorAll('button[aria-current]')) section.removeAttribute('aria-current');
    marked = links.get(path) ?? [];
    for (const link of marked) {
      link.setAttribute('aria-current', 'page');
      const trigger = link.closest('.ft-bar .ft-panel')?.parentElement?.querySelector('.ft-panel-trigger');
      trigger?.setAttribute('aria-current', 'true');
    }
    const label = marked[0]?.textContent ?? '';
    const heading = document.querySelector('h1');
    if (heading) heading.textContent = label;
    document.title = `${label} · Benchmark`;
    heading?.setAttribute('tabindex', '-1');
    heading?.focus({ preventScroll: true });
  };
  window.addEventListener(
    'click',
    (event) => {
      const link = event.target instanceof Element ? event.target.closest('a[href]') : null;
      const path = link?.getAttribute('href') ?? '';
      if (event.defaultPrevented || event.button !== 0 || event.metaKey || event.ctrlKey || !path.startsWith('/'))
        return;
      event.preventDefault();
      scrolled.set(key, window.scrollY);
      key = String(Math.random());
      history.pushState({ key }, '', path);
      show(path);
      window.scrollTo(0, 0);
    },
    { signal },
  );
  window.addEventListener(
    'popstate',
    ({ state }) => {
      key = (state as { key?: string } | null)?.key ?? '0';
      show(location.pathname);
      window.scrollTo(0, scrolled.get(key) ?? 0);
    },
    { signal },
  );
  return () => listening.abort();
}

Object.assign(window, {
  use,
  nextEventTime,
  links: () => document.querySelectorAll('a[href]').length,
  drawn: () => {
    const count = drawn;
    drawn = 0;
    return count;
  },
});
