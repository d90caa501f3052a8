/** Mounting a bar, and opening a panel of it: by the library, and by the least that gives the same document. */
import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { defineSite, memoryHistory } from 'fair-trail';
import { Navbar, Trail } from 'fair-trail/react';
import { compareMounts, container, frameTime, median, rest } from '../compare.tsx';
import 'fair-trail/styles.css';

const sections = 40;
const pages = 10;
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
/** Anew for each mounting: what the library remembers of a site that it has shown must not count. */
const newSite = () =>
  defineSite({ name: 'B', entries, menus: { main: entries.map(({ id }) => ({ entry: id, depth: 2 })) } });

const byLibrary = (site = newSite()) => (
  <Trail site={site} history={memoryHistory('/s1/p1')} eagerness={null} viewTransitions={false} arrival="none">
    <Navbar />
  </Trail>
);

const measureMount = () => compareMounts(byLibrary, '.ft-bar');

async function measureClicks() {
  const root = createRoot(container);
  flushSync(() => root.render(byLibrary()));
  await rest(200);
  const copy = document.createElement('div');
  copy.innerHTML = container.innerHTML;
  document.body.append(copy);
  const empty = document.createElement('button');
  document.body.append(empty);
  for (const trigger of copy.querySelectorAll('.ft-panel-trigger')) {
    trigger.addEventListener('click', () => {
      const isOpen = trigger.getAttribute('aria-expanded') === 'true';
      for (const other of copy.querySelectorAll('[aria-expanded=true]')) other.setAttribute('aria-expanded', 'false');
      trigger.setAttribute('aria-expanded', String(!isOpen));
    });
  }
  const times = { library: [] as number[], hand: [] as number[], empty: [] as number[] };
  const trigger = (within: ParentNode | null) => within?.querySelector<HTMLElement>('.ft-panel-trigger') ?? empty;
  for (let round = 0; round < 30; round += 1) {
    times.library.push(await frameTime(() => trigger(container).click()));
    await rest(250);
    times.hand.push(await frameTime(() => trigger(copy).click()));
    await rest(250);
    times.empty.push(await frameTime(() => empty.click()));
    await rest(20);
  }
  root.unmount();
  copy.remove();
  const nothing = median(times.empty);
  return { library: median(times.library) - nothing, hand: median(times.hand) - nothing, nothing };
}

Object.assign(window, { measureMount, measureClicks });
