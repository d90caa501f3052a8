/** Mounting a bar, and opening a panel of it: by the library, and by the least that gives the same document. */
import { createElement, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { defineSite, memoryHistory } from 'fair-trail';
import { Navbar, Trail } from 'fair-trail/react';
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

/** What a component has to hold to print one element. */
interface Shape {
  readonly tag: string;
  readonly props: Readonly<Record<string, unknown>>;
  readonly children: readonly (Shape | string)[];
}

const reactNames: Readonly<Record<string, string>> = { class: 'className', tabindex: 'tabIndex' };

function shapeOf(element: Element): Shape {
  const props = [...element.attributes].map(({ name, value }) => [reactNames[name] ?? name, value]);
  const children = [...element.childNodes].flatMap((child): (Shape | string)[] => {
    return child instanceof Element ? [shapeOf(child)] : [child.textContent ?? ''];
  });
  return { tag: element.localName, props: Object.fromEntries(props) as Shape['props'], children };
}

function print(shape: Shape | string, key?: number): ReactNode {
  if (typeof shape === 'string') return shape;
  return createElement(
    shape.tag,
    key === undefined ? shape.props : { ...shape.props, key },
    ...shape.children.map((child, index) => print(child, index)),
  );
}

/** The elements are made as the component renders, as anyone's are. */
function Bare({ shape }: { readonly shape: Shape }): ReactNode {
  return print(shape);
}

const found = document.getElementById('app');
if (!found) throw new Error('There is no element with the id "app".');
const container: HTMLElement = found;

/** Script time alone: what the browser lays out and paints is the same for both. */
function mountTime(app: ReactNode): number {
  const root = createRoot(container);
  const start = performance.now();
  flushSync(() => root.render(app));
  const time = performance.now() - start;
  flushSync(() => root.unmount());
  return time;
}

const median = (times: readonly number[]) =>
  times.toSorted((one, other) => one - other)[Math.floor(times.length / 2)] ?? 0;
const rest = (milliseconds = 0) => new Promise((resolve) => setTimeout(resolve, milliseconds));

async function measureMount() {
  const example = createRoot(container);
  flushSync(() => example.render(byLibrary()));
  const header = document.querySelector('.ft-bar');
  if (!header) throw new Error('no bar');
  const shape = shapeOf(header);
  flushSync(() => example.unmount());
  const [library, hand]: [number[], number[]] = [[], []];
  for (let round = 0; round < 60; round += 1) {
    // By turns, so that whatever the machine does meanwhile meets both.
    library.push(mountTime(byLibrary()));
    await rest();
    hand.push(mountTime(<Bare shape={shape} />));
    await rest();
  }
  return { library: median(library.slice(10)), hand: median(hand.slice(10)) };
}

/** From a click to the end of the frame that shows what it did. */
function clickTime(button: HTMLElement): Promise<number> {
  return new Promise((resolve) => {
    const start = performance.now();
    button.click();
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => resolve(performance.now() - start);
      port2.postMessage(null);
    });
  });
}

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
    times.library.push(await clickTime(trigger(container)));
    await rest(250);
    times.hand.push(await clickTime(trigger(copy)));
    await rest(250);
    times.empty.push(await clickTime(empty));
    await rest(20);
  }
  root.unmount();
  copy.remove();
  const nothing = median(times.empty);
  return { library: median(times.library) - nothing, hand: median(times.hand) - nothing, nothing };
}

Object.assign(window, { measureMount, measureClicks });
