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

const reactNames: Readonly<Record<string, string>> = { class: 'className', tabindex: 'tabIndex' };

export function shapeOf(element: Element): Shape {
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

/** Mounting by the library and by bare React, by turns, so that whatever the machine does meanwhile meets both. */
export async function compareMounts(byLibrary: () => ReactNode, selector: string) {
  const example = createRoot(container);
  flushSync(() => example.render(byLibrary()));
  const root = document.querySelector(selector);
  if (!root) throw new Error(`There is no ${selector}.`);
  const shape = shapeOf(root);
  flushSync(() => example.unmount());
  const [library, hand]: [number[], number[]] = [[], []];
  for (let round = 0; round < 60; round += 1) {
    library.push(mountTime(byLibrary()));
    await rest();
    hand.push(mountTime(<Bare shape={shape} />));
    await rest();
  }
  return { library: median(library.slice(10)), hand: median(hand.slice(10)) };
}

/** From something done to the end of the frame that shows what it did. */
export function frameTime(act: () => void): Promise<number> {
  return new Promise((resolve) => {
    const start = performance.now();
    act();
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => resolve(performance.now() - start);
      port2.postMessage(null);
    });
  });
}
