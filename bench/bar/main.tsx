/** Mounting a bar of 6 panels with 6 pages each, alone and with what else a page has, and opening a panel of it. */
import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { defineSite, memoryHistory } from 'fair-trail';
import { Breadcrumbs, FooterNav, Navbar, SkipLink, Trail } from 'fair-trail/react';
import { Bare, compareMounts, container, mountTime, nextEventTime, shapeOf } from '../compare.tsx';
import 'fair-trail/styles.css';

const sections = 6;
const pages = 6;
const entries = Array.from({ length: sections }, (_, section) => ({
  id: `s${section}`,
  label: `Section ${section}`,
  href: `/s${section}`,
  entries: Array.from({ length: pages }, (__, page) => ({
    id: `s${section}-p${page}`,
    label: `Page ${section}.${page}`,
    href: `/s${section}/p${page}`,
  })),
}));
const menu = entries.map(({ id }) => ({ entry: id, depth: 2 }));
/** Anew for each mounting: what the library remembers of a site that it has shown must not count. */
const newSite = () => defineSite({ name: 'B', entries, menus: { main: menu, footer: menu } });

const within = (content: React.ReactNode, site = newSite()) => (
  <Trail site={site} history={memoryHistory('/s1/p1')} eagerness={null} viewTransitions={false} arrival="none">
    {content}
  </Trail>
);

const measureMount = () => compareMounts(() => within(<Navbar />), 200);
const measurePage = () =>
  compareMounts(
    () =>
      within(
        <>
          <SkipLink />
          <Navbar />
          <Breadcrumbs />
          <FooterNav />
        </>,
      ),
    200,
  );

/** Mounts and unmounts a bar that many times, to see what is left of it. */
function mountOften(version: 'library' | 'hand', times: number): void {
  const site = newSite();
  const example = createRoot(container);
  flushSync(() => example.render(within(<Navbar />, site)));
  const shapes = [...container.children].map(shapeOf);
  flushSync(() => example.unmount());
  for (let time = 0; time < times; time += 1) {
    mountTime(
      version === 'library'
        ? within(<Navbar />, site)
        : shapes.map((shape, index) => <Bare key={index} shape={shape} />),
    );
  }
}

/** Two bars below each other: the library's, and the same markup with a script by hand. A button that does nothing beside. */
function showBars(): void {
  const root = createRoot(container);
  flushSync(() => root.render(within(<Navbar />)));
  container.id = 'library';
  for (const id of ['hand', 'again']) {
    const copy = document.createElement('div');
    copy.id = id;
    copy.innerHTML = container.innerHTML;
    for (const panel of copy.querySelectorAll('[id]')) panel.id += id;
    for (const trigger of copy.querySelectorAll('[aria-controls]')) {
      trigger.setAttribute('aria-controls', `${trigger.getAttribute('aria-controls') ?? ''}${id}`);
    }
    document.body.append(copy);
    openByHand(copy);
  }
  const empty = document.createElement('button');
  empty.id = 'empty';
  empty.textContent = 'Nothing';
  document.body.append(empty);
}

/** One panel at a time, in view, closed by Escape and by a press elsewhere: what a hand-written bar does as well. */
function openByHand(bar: HTMLElement): void {
  const close = (except: Element | null) => {
    for (const other of bar.querySelectorAll('.ft-panel-trigger[aria-expanded=true]')) {
      if (other === except) continue;
      other.setAttribute('aria-expanded', 'false');
      document.getElementById(other.getAttribute('aria-controls') ?? '')?.setAttribute('inert', '');
    }
  };
  bar.addEventListener('click', ({ target }) => {
    const trigger = target instanceof Element ? target.closest('.ft-panel-trigger') : null;
    if (!trigger) return;
    close(trigger);
    const isOpen = trigger.getAttribute('aria-expanded') !== 'true';
    trigger.setAttribute('aria-expanded', String(isOpen));
    const panel = document.getElementById(trigger.getAttribute('aria-controls') ?? '');
    panel?.toggleAttribute('inert', !isOpen);
    const item = trigger.parentElement;
    const row = bar.querySelector('[data-ft-row]');
    if (!isOpen || !panel || !item || !row) return;
    const [itemBox, rowBox] = [item.getBoundingClientRect(), row.getBoundingClientRect()];
    const last = document.documentElement.clientWidth - 8 - panel.offsetWidth - rowBox.left;
    panel.style.setProperty('--ft-panel-start', `${Math.min(itemBox.left - rowBox.left, last)}px`);
    panel.style.setProperty('--ft-panel-room', `${document.documentElement.clientHeight - 8 - rowBox.bottom}px`);
  });
  document.addEventListener('keydown', ({ key }) => {
    if (key === 'Escape') close(null);
  });
  document.addEventListener('pointerdown', ({ target }) => {
    if (target instanceof Node && !bar.contains(target)) close(null);
  });
}

Object.assign(window, { measureMount, measurePage, mountOften, showBars, nextEventTime });
