import type { MenuItem } from '../core/site/menu-item.ts';

/** All items of a menu, each before what is below it. */
export function* everyItem(items: readonly MenuItem[]): Generator<MenuItem, void, undefined> {
  for (const item of items) {
    yield item;
    yield* everyItem(item.items);
  }
}

/** The addresses of the site's own pages among them, each once, with the label that it is met under first. */
export function pagesOf(items: readonly MenuItem[]): ReadonlyMap<string, string> {
  const pages = new Map<string, string>();
  for (const { href, label } of everyItem(items)) {
    if (href?.startsWith('/') === true && !pages.has(href)) pages.set(href, label);
  }
  return pages;
}
