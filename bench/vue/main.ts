/** Mounting a sidebar of 2 000 entries: by the library, and by bare Vue printing the same document. */
import { createApp, h, nextTick, type App, type VNode } from 'vue';
import { defineSite, memoryHistory } from 'fair-trail';
import { Sidebar, Trail } from 'fair-trail/vue';
import 'fair-trail/styles.css';

const entries = Array.from({ length: 100 }, (_, group) => ({
  id: `g${group}`,
  label: `Drawer ${group}`,
  href: `/g${group}`,
  entries: Array.from({ length: 19 }, (__, page) => ({
    id: `g${group}-p${page}`,
    label: `Sheet ${group}.${page} ${page % 2 === 0 ? 'curlew' : 'avocet'}`,
    href: `/g${group}/p${page}`,
  })),
}));
const definition = { name: 'B', entries, menus: { main: entries.map(({ id }) => ({ entry: id, depth: 2 })) } };

/** Anew for each mounting: what the library remembers of a site that it has shown must not count. */
const byLibrary = (): App => {
  const site = defineSite(definition);
  const settings = { site, history: memoryHistory('/g1/p1'), eagerness: null, viewTransitions: false };
  return createApp({ render: () => h(Trail, { ...settings, arrival: 'none' }, () => [h(Sidebar, { search: true })]) });
};

/** What a component has to hold to print one element. */
interface Printed {
  readonly tag: string;
  readonly props: Readonly<Record<string, string>>;
  readonly children: readonly (Printed | string)[];
}

function read(element: Element): Printed {
  const props = Object.fromEntries([...element.attributes].map(({ name, value }) => [name, value]));
  const children = [...element.childNodes].flatMap((child): (Printed | string)[] => {
    return child instanceof Element ? [read(child)] : [child.textContent ?? ''];
  });
  return { tag: element.localName, props, children };
}

function print({ tag, props, children }: Printed, key: number): VNode {
  const [only] = children;
  const content = children.length === 1 && typeof only === 'string' ? only : children.map(printNode);
  return h(tag, { ...props, key }, content);
}

const printNode = (node: Printed | string, index: number) => (typeof node === 'string' ? node : print(node, index));

const container = document.getElementById('app');
if (!container) throw new Error('There is no element with the id "app".');

/** Script time, to the end of what the mounting asks to be done at once. */
async function mountTime(app: App): Promise<number> {
  const place = container?.appendChild(document.createElement('div'));
  const start = performance.now();
  if (place) app.mount(place);
  await nextTick();
  const time = performance.now() - start;
  app.unmount();
  place?.remove();
  await new Promise((resolve) => setTimeout(resolve));
  return time;
}

const median = (times: readonly number[]) =>
  times.toSorted((one, other) => one - other)[Math.floor(times.length / 2)] ?? 0;

async function measureMount(rounds = 60) {
  const example = byLibrary();
  const place = document.createElement('div');
  example.mount(place);
  await nextTick();
  const shapes = [...place.children].map(read);
  example.unmount();
  const bare = () => createApp({ render: () => shapes.map(print) });
  const times = { library: [] as number[], hand: [] as number[], again: [] as number[] };
  for (let round = 0; round < rounds; round += 1) {
    times.library.push(await mountTime(byLibrary()));
    times.hand.push(await mountTime(bare()));
    times.again.push(await mountTime(bare()));
  }
  const of = (values: readonly number[]) => median(values.slice(Math.floor(rounds / 4)));
  return { library: of(times.library), hand: of(times.hand), again: of(times.again) };
}

Object.assign(window, { measureMount });
