/** What the benchmarks in a browser share: the same document by bare React, and times of script and of frames. */
import { createElement, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';

/** What a component has to hold to print one element. */
export interface Shape {
  readonly tag: string;
  readonly props: Readonly<Record<string, unknown>>;
  readonly children: readonly (Shape | string)[];
}

const reactNames: Readonly<Record<string, string>> = {
  class: 'className',
  tabindex: 'tabIndex',
  for: 'htmlFor',
  autocomplete: 'autoComplete',
  spellcheck: 'spellCheck',
};
const booleans = new Set(['inert', 'hidden']);

/** The element as it stands in the document, for React to print the same. */
export function shapeOf(element: Element): Shape {
  const props = [...element.attributes].map(({ name, value }) => [
    reactNames[name] ?? name,
    booleans.has(name) ? true : value,
  ]);
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
export function Bare({ shape }: { readonly shape: Shape }): ReactNode {
  return print(shape);
}

const found = document.getElementById('app');
if (!found) throw new Error('There is no element with the id "app".');
export const container: HTMLElement = found;

/** Script time alone: what the browser lays out and paints is the same for both. */
export function mountTime(app: ReactNode): number {
  const root = createRoot(container);
  const start = performance.now();
  flushSync(() => root.render(app));
  const time = performance.now() - start;
  flushSync(() => root.unmount());
  return time;
}

export const median = (times: readonly number[]) =>
  times.toSorted((one, other) => one - other)[Math.floor(times.length / 2)] ?? 0;
export const rest = (milliseconds = 0) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** The medians of something done by the library, by hand, and by hand once more, in turns. */
export interface Compared {
  readonly library: number;
  readonly hand: number;
  readonly again: number;
}

/** Mounting by the library and by bare React, in turns, so that whatever the machine does meanwhile meets both. */
export async function compareMounts(byLibrary: () => ReactNode, rounds = 80): Promise<Compared> {
  const example = createRoot(container);
  flushSync(() => example.render(byLibrary()));
  const shapes = [...container.children].map(shapeOf);
  flushSync(() => example.unmount());
  const bare = () => shapes.map((shape, index) => <Bare key={index} shape={shape} />);
  const times = { library: [] as number[], hand: [] as number[], again: [] as number[] };
  for (let round = 0; round < rounds; round += 1) {
    const app = byLibrary();
    times.library.push(mountTime(app));
    await rest();
    times.hand.push(mountTime(bare()));
    await rest();
    times.again.push(mountTime(bare()));
    await rest();
  }
  const of = (values: readonly number[]) => median(values.slice(Math.floor(rounds / 4)));
  return { library: of(times.library), hand: of(times.hand), again: of(times.again) };
}

/**
 * From something that the visitor does to the end of the scripts that answer it, and to the end of the frame that shows
 * it. What is measured is a real event: it is sent from outside, and the clock starts as it comes to the window.
 */
export function nextEventTime(type: 'click' | 'input'): Promise<{ readonly script: number; readonly frame: number }> {
  return new Promise((resolve) => {
    let start = 0;
    let script = 0;
    window.addEventListener(type, () => (start = performance.now()), { capture: true, once: true });
    // The last of all listeners: what others asked to be done at once has been done by then.
    window.addEventListener(
      type,
      () => {
        script = performance.now() - start;
        requestAnimationFrame(() => {
          const after = new MessageChannel();
          after.port1.onmessage = () => resolve({ script, frame: performance.now() - start });
          after.port2.postMessage(null);
        });
      },
      { once: true },
    );
  });
}
