/** Mounting a sidebar of 2 000 entries, and a keystroke in its filter: by the library, and by the least that does it. */
import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { defineSite, memoryHistory } from 'fair-trail';
import { Sidebar, Trail } from 'fair-trail/react';
import { compareMounts, container, frameTime, median, rest } from '../compare.tsx';
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

const measureMount = () => compareMounts(byLibrary, '.ft-sidebar');

function type(field: HTMLInputElement, text: string): void {
  field.value = text;
  field.dispatchEvent(new InputEvent('input', { bubbles: true }));
}

/** The same list, and a script that hides what does not match: no marks, no count, no letters without their accents. */
function filterByHand(copy: HTMLElement): void {
  const field = copy.querySelector('input');
  const items = [...copy.querySelectorAll<HTMLElement>('.ft-panel .ft-menu-item')];
  const labels = items.map(({ textContent }) => textContent.toLowerCase());
  field?.addEventListener('input', () => {
    const query = field.value.toLowerCase();
    for (const [index, item] of items.entries()) item.hidden = !(labels[index] ?? '').includes(query);
    for (const group of copy.querySelectorAll<HTMLElement>('.ft-section > .ft-menu > .ft-menu-item')) {
      group.hidden = query !== '' && !group.querySelector('.ft-panel .ft-menu-item:not([hidden])');
      group.querySelector('.ft-panel-trigger')?.setAttribute('aria-expanded', String(query !== ''));
    }
  });
}

async function measureKeys() {
  const root = createRoot(container);
  flushSync(() => root.render(byLibrary()));
  await rest(200);
  const copy = document.createElement('div');
  copy.innerHTML = container.innerHTML;
  const times = { library: [] as number[], hand: [] as number[], empty: [] as number[] };
  filterByHand(copy);
  const words = ['c', 'cu', 'cur', 'curl', 'curle', 'curlew', 'curlew 7', ''];
  const own = container.querySelector('input');
  const others = copy.querySelector('input');
  const empty = document.createElement('input');
  for (let round = 0; round < 24; round += 1) {
    const word = words[round % words.length] ?? '';
    // One at a time in the document, so that neither lays the other out.
    if (own) times.library.push(await frameTime(() => type(own, word)));
    await rest(400);
    container.replaceWith(copy);
    await rest(50);
    if (others) times.hand.push(await frameTime(() => type(others, word)));
    await rest(400);
    copy.replaceWith(container);
    await rest(50);
    times.empty.push(await frameTime(() => type(empty, word)));
  }
  root.unmount();
  const nothing = median(times.empty);
  return { library: median(times.library) - nothing, hand: median(times.hand) - nothing, nothing };
}

Object.assign(window, { measureMount, measureKeys });
