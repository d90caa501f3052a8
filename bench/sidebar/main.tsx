/** Mounting a sidebar of 2 000 entries, and a keystroke in its filter: by the library, and by the least that does it. */
import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { defineSite, memoryHistory } from 'fair-trail';
import { Sidebar, Trail } from 'fair-trail/react';
import { compareMounts, container, nextEventTime } from '../compare.tsx';
import 'fair-trail/styles.css';

const groups = 100;
const pages = 19;
const entries = Array.from({ length: groups }, (_, group) => ({
  id: `g${group}`,
  label: `Drawer ${group}`,
  href: `/g${group}`,
  entries: Array.from({ length: pages }, (__, page) => ({
    id: `g${group}-p${page}`,
    label: `Sheet ${group}.${page} ${page % 2 === 0 ? 'curlew' : 'avocet'}`,
    href: `/g${group}/p${page}`,
  })),
}));
/** Anew for each mounting: what the library remembers of a site that it has shown must not count. */
const newSite = () =>
  defineSite({ name: 'B', entries, menus: { main: entries.map(({ id }) => ({ entry: id, depth: 2 })) } });

const byLibrary = (site = newSite()) => (
  <Trail site={site} history={memoryHistory('/g1/p1')} eagerness={null} viewTransitions={false} arrival="none">
    <Sidebar search />
  </Trail>
);

const measureMount = () => compareMounts(byLibrary, 60);

const list = '.ft-section > .ft-menu > .ft-menu-item';

/** The same list, and a script that hides what does not match, marks what does, and counts. */
function filterByHand(copy: HTMLElement): void {
  const field = copy.querySelector('input');
  const status = copy.querySelector('[role=status]');
  const items = [...copy.querySelectorAll<HTMLElement>('.ft-panel .ft-menu-item')];
  const labels = items.map((item) => item.querySelector('.ft-label'));
  const texts = labels.map((label) => label?.textContent ?? '');
  const lower = texts.map((text) => text.toLowerCase());
  field?.addEventListener('input', () => {
    const query = field.value.toLowerCase();
    let count = 0;
    for (const [index, item] of items.entries()) {
      const at = (lower[index] ?? '').indexOf(query);
      item.hidden = at < 0;
      if (at < 0) continue;
      count += 1;
      const text = texts[index] ?? '';
      if (query === '') labels[index]?.replaceChildren(text);
      else {
        const match = document.createElement('mark');
        match.className = 'ft-match';
        match.textContent = text.slice(at, at + query.length);
        labels[index]?.replaceChildren(text.slice(0, at), match, text.slice(at + query.length));
      }
    }
    for (const group of copy.querySelectorAll<HTMLElement>(list)) {
      group.hidden = query !== '' && !group.querySelector('.ft-panel .ft-menu-item:not([hidden])');
      group.querySelector('.ft-panel-trigger')?.setAttribute('aria-expanded', String(query !== ''));
    }
    if (status) status.textContent = query === '' ? '' : `${count} matches`;
  });
}

const copies = new Map<string, Element>();

function prepare(): void {
  const root = createRoot(container);
  flushSync(() => root.render(byLibrary()));
  container.id = 'library';
  copies.set('library', container);
  for (const id of ['hand', 'again']) {
    const copy = document.createElement('div');
    copy.id = id;
    copy.innerHTML = container.innerHTML;
    filterByHand(copy);
    copies.set(id, copy);
  }
  const empty = document.createElement('div');
  empty.id = 'empty';
  empty.append(document.createElement('input'));
  copies.set('empty', empty);
}

/** One at a time in the document, so that neither lays the other out. */
function use(version: string): void {
  document.body.replaceChildren(copies.get(version) ?? container);
}

Object.assign(window, { measureMount, prepare, use, nextEventTime });
