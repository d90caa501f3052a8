import { afterEach } from 'vitest';
import { page } from 'vitest/browser';
import '../styles/index.css';
import './index.ts';

const mounted = new Set<HTMLElement>();

/** Writes HTML into a new element at the top of the page, which is taken away after the test. */
export function write(html: string): HTMLElement {
  const container = document.createElement('div');
  container.innerHTML = html;
  document.body.prepend(container);
  mounted.add(container);
  return container;
}

/** An element with these properties, attributes and children. What is undefined is left out. */
export function make(
  name: string,
  properties: Readonly<Record<string, unknown>> = {},
  ...children: readonly (Node | string)[]
): HTMLElement {
  const element = document.createElement(name);
  set(element, properties);
  element.append(...children);
  return element;
}

/** Sets properties, or attributes where the element has no such property. */
export function set(element: HTMLElement, properties: Readonly<Record<string, unknown>>): void {
  for (const [name, value] of Object.entries(properties)) {
    if (name in element) (element as unknown as Record<string, unknown>)[name] = value;
    else if (value !== undefined) element.setAttribute(name, value as string);
  }
}

/** Shows elements at the top of the page; they are taken away after the test. */
export function show(...nodes: readonly Node[]): HTMLElement {
  const container = document.createElement('div');
  container.append(...nodes);
  document.body.prepend(container);
  mounted.add(container);
  return container;
}

afterEach(async () => {
  for (const container of mounted) container.remove();
  mounted.clear();
  document.documentElement.removeAttribute('style');
  document.documentElement.removeAttribute('dir');
  await page.viewport(1280, 800);
});
