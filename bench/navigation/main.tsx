/** One page change on a page with a menu of 2000 links, by the library and by the fewest writes that it can be done with. */
import { useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { defineSite, memoryHistory } from 'fair-trail';
import { Navbar, Stage, Trail, useTrail } from 'fair-trail/react';

const count = 2000;
const entries = Array.from({ length: count }, (_, index) => ({
  id: `e${index}`,
  label: `Page ${index}`,
  href: `/page-${index}`,
  icon: 'dot',
}));
const site = defineSite({ name: 'Benchmark', entries, menus: { main: entries.map(({ id }) => id) } });

let navigate: (url: string) => void = () => undefined;
/** The icons that were drawn, one for each link that was. */
let drawn = 0;

function Remote() {
  const trail = useTrail();
  useEffect(() => {
    ({ navigate } = trail);
  });
  return null;
}

const icon = () => {
  drawn += 1;
  return <i />;
};
const pages = Object.fromEntries(entries.map(({ id, label }) => [id, () => <h1>{label}</h1>]));

const container = document.getElementById('app');
if (!container) throw new Error('There is no element with the id "app".');
const root = createRoot(container);
flushSync(() => {
  root.render(
    <Trail site={site} history={memoryHistory('/page-0')} viewTransitions={false} eagerness={null} arrival="none">
      <Remote />
      <Navbar icon={icon} />
      <Stage pages={pages} />
    </Trail>,
  );
});

const layout = () => document.body.offsetHeight;

/** Resolves once React has drawn: after its microtasks. */
async function byLibrary(index: number): Promise<void> {
  navigate(`/page-${index}`);
  for (let turn = 0; turn < 6; turn += 1) await Promise.resolve();
  layout();
}

const links = [...document.querySelectorAll('nav a')];
let current = 0;

/** Only what must be different afterwards: two marks, the heading and the title. */
async function byHand(index: number): Promise<void> {
  links[current]?.removeAttribute('aria-current');
  links[index]?.setAttribute('aria-current', 'page');
  current = index;
  const heading = document.querySelector('h1');
  if (heading) heading.textContent = `Page ${index}`;
  document.title = `Page ${index} · Benchmark`;
  for (let turn = 0; turn < 6; turn += 1) await Promise.resolve();
  layout();
}

async function median(change: (index: number) => Promise<void>): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < 120; round += 1) {
    const index = (round * 37 + 1) % count;
    const start = performance.now();
    await change(index);
    const time = performance.now() - start;
    if (links[index]?.getAttribute('aria-current') !== 'page') throw new Error('the mark has not moved');
    times.push(time);
    await new Promise((resolve) => setTimeout(resolve, 4));
  }
  return times.toSorted((one, other) => one - other)[60] ?? 0;
}

async function measure() {
  drawn = 0;
  const library = await median(byLibrary);
  const drawnLinks = drawn / 120;
  // The document must be as the library left it, or React would not know it again.
  const kept = links.findIndex((link) => link.hasAttribute('aria-current'));
  current = kept;
  const hand = await median(byHand);
  return { library, hand, drawnLinks };
}

Object.assign(window, { measure });
