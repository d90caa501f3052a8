const numbers = new WeakMap<Element, number>();
let next = 1;

/** A number that an element keeps as long as the page is open, whatever is put before it. */
export function numberOf(element: Element): number {
  const known = numbers.get(element);
  if (known !== undefined) return known;
  numbers.set(element, next);
  next += 1;
  return next - 1;
}

/** The element that a selector of `selectorOf` finds, also in shadow roots; null where it is gone. */
export function elementAt(selector: string): HTMLElement | null {
  let root: Document | ShadowRoot | null = document;
  let found: Element | null = null;
  for (const part of selector.split(' >>> ')) {
    found = root?.querySelector(part) ?? null;
    root = found?.shadowRoot ?? null;
  }
  return found as HTMLElement | null;
}

/** Where focus is, also in shadow roots; null where it is nowhere. */
export function activeElement(): Element | null {
  let active = document.activeElement;
  while (active?.shadowRoot?.activeElement) active = active.shadowRoot.activeElement;
  return active === null || active === document.body || active === document.documentElement ? null : active;
}

/** What is on top at a point of the window, also in shadow roots. */
export function elementOn(x: number, y: number): Element | null {
  let found = document.elementFromPoint(x, y);
  for (let inner = found; inner?.shadowRoot; found = inner) {
    const deeper: Element | null = inner.shadowRoot.elementFromPoint(x, y);
    if (deeper === null || deeper === inner) break;
    inner = deeper;
  }
  return found;
}
