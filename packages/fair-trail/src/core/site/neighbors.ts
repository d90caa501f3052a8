import type { Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { labelOf } from './labels.ts';
import type { Position } from './locate.ts';
import type { MenuItem } from './menu-item.ts';
import { menuItems, type Visit } from './menus.ts';
import type { Site } from './site.ts';

/** A page to go on to. */
export interface Neighbor {
  readonly entry: Entry;
  readonly label: string;
  readonly href: string;
}

/** The pages before, after and above one, for reading in order. Null if there is none. */
export interface Neighbors {
  readonly previous: Neighbor | null;
  readonly next: Neighbor | null;
  readonly parent: Neighbor | null;
}

/**
 * Returns the previous and next page of a position in the order of a menu, including nested items, and the nearest
 * linked ancestor. Entries that the visitor may not see are skipped.
 *
 * @example
 * const { previous, next } = neighbors(site, 'main', locate(site, '/hides/causeway'));
 */
export function neighbors(
  site: Site,
  menu: string,
  position: Position,
  visit: Omit<Visit, 'position'> = {},
): Neighbors {
  const pages = [...pagesIn(menuItems(site, menu, { ...visit, position }))];
  const index = pages.findIndex(({ mark }) => mark === 'page');
  const { params, language } = position;
  const above = position.path.slice(0, -1).findLast((entry) => entry.href !== null && !entry.outside);
  const href = above && hrefOf(site, above, params, language);
  return {
    previous: index > 0 ? toNeighbor(pages[index - 1]) : null,
    next: index >= 0 ? toNeighbor(pages[index + 1]) : null,
    parent: above && href ? { entry: above, label: labelOf(site, above, { params, language, ...visit }), href } : null,
  };
}

/** The links of this site, in reading order. */
function* pagesIn(items: readonly MenuItem[]): Generator<MenuItem, void, undefined> {
  for (const item of items) {
    if (item.href !== null && item.entry?.outside === false) yield item;
    yield* pagesIn(item.items);
  }
}

function toNeighbor(item: MenuItem | undefined): Neighbor | null {
  return item?.entry && item.href !== null ? { entry: item.entry, label: item.label, href: item.href } : null;
}
