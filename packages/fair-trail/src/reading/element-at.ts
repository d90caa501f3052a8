import { Elements } from './elements.ts';
import { shadowOf } from './shadow-roots.ts';

const elements = new Elements();

/** A number that an element keeps as long as the page is open, whatever is put before it. */
export function numberOf(element: Element): number {
  return elements.numberOf(element);
}

/** The element of a number of `numberOf`; null if it is gone. */
export function elementOf(number: number): HTMLElement | null {
  return elements.at(number);
}

/** The element that a selector of `selectorOf` finds, also in shadow roots; null if it is gone. */
export function elementAt(selector: string): HTMLElement | null {
  let root: Document | ShadowRoot | null = document;
  let found: Element | null = null;
  for (const part of selector.split(' >>> ')) {
    found = root?.querySelector(part) ?? null;
    root = found && shadowOf(found);
  }
  return found as HTMLElement | null;
}

/** Where focus is, also in shadow roots; null if it is nowhere, which is on the page itself. */
export function activeElement(of: Document = document): Element | null {
  let active: Element | null = of.activeElement;
  for (let inner = active && shadowOf(active)?.activeElement; inner; inner = shadowOf(inner)?.activeElement) {
    active = inner;
  }
  const isPage = active === of.body || active === of.documentElement;
  return isPage || active?.isConnected !== true ? null : active;
}

/** What is on top at a point of the window, also in shadow roots. */
export function elementOn(x: number, y: number): Element | null {
  let found: Element | null = document.elementFromPoint(x, y);
  let root = found && shadowOf(found);
  while (root) {
    const deeper: Element | null = root.elementFromPoint(x, y);
    if (deeper === null || deeper === found || deeper.getRootNode() !== root) break;
    found = deeper;
    root = shadowOf(deeper);
  }
  return found;
}
