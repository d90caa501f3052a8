import type { Entry } from './entry.ts';
import { ownParams } from './labels.ts';
import type { Position } from './locate.ts';
import type { Mark, MenuItem } from './menu-item.ts';
import { sameParams } from './records.ts';

interface MarkedItems {
  readonly position: Position;
  readonly items: readonly MenuItem[];
}

const lastMarked = new WeakMap<readonly MenuItem[], MarkedItems>();

/**
 * The items of a menu as a position marks them. In each list at most one item is marked: the page, or else the nearest of
 * its ancestors that is listed, or else one that holds a marked item. An item that neither is marked nor holds one that is
 * stays the same object, and so does a list without any.
 *
 * @param atRest the items without a position
 */
export function markedItems(atRest: readonly MenuItem[], position: Position): readonly MenuItem[] {
  if (position.path.length === 0) return atRest;
  const last = lastMarked.get(atRest);
  if (last?.position === position) return last.items;
  const items = markList(atRest, position);
  lastMarked.set(atRest, { position, items });
  return items;
}

function markList(items: readonly MenuItem[], position: Position): readonly MenuItem[] {
  let marked: MenuItem[] | null = null;
  let best = 0;
  let bestPlace = -1;
  for (const place of candidates(items, position)) {
    const item = items[place];
    if (!item) continue;
    const below = item.items.length > 0 ? markList(item.items, position) : item.items;
    const holdsMark = below !== item.items;
    if (holdsMark) (marked ??= [...items])[place] = { ...item, items: below };
    const rank = rankOf(item, holdsMark, position);
    if (rank > best) [best, bestPlace] = [rank, place];
  }
  const bestItem = (marked ?? items)[bestPlace];
  if (!bestItem) return items;
  const mark = best === Number.POSITIVE_INFINITY ? 'page' : 'section';
  (marked ??= [...items])[bestPlace] = { ...bestItem, mark, icon: iconOf(bestItem, mark) };
  return marked;
}

/** The places in a list of the items of each entry, and of those with items of their own; both in their order. */
interface ListIndex {
  readonly byEntry: ReadonlyMap<Entry, readonly number[]>;
  readonly holders: readonly number[];
}

/** A menu may have thousands of items and a path has few entries, so a list is gone through once and not at each change. */
const listIndexes = new WeakMap<readonly MenuItem[], ListIndex>();

/**
 * The places of the items that could be marked at the position. Of those that fit equally well, the first comes first, and
 * one that holds nothing before one that does.
 */
function* candidates(items: readonly MenuItem[], { path }: Position): Iterable<number> {
  const index = indexOf(items);
  for (const entry of path) yield* index.byEntry.get(entry) ?? [];
  yield* index.holders;
}

function indexOf(items: readonly MenuItem[]): ListIndex {
  const known = listIndexes.get(items);
  if (known) return known;
  const byEntry = new Map<Entry, number[]>();
  const holders: number[] = [];
  for (const [place, { entry, items: below }] of items.entries()) {
    // What has items of its own is looked at in any case.
    if (below.length > 0) holders.push(place);
    else if (entry !== null) {
      const places = byEntry.get(entry);
      if (places) places.push(place);
      else byEntry.set(entry, [place]);
    }
  }
  const index = { byEntry, holders };
  listIndexes.set(items, index);
  return index;
}

/**
 * The items of a list that hold what is marked, or are marked themselves, and have items of their own.
 *
 * @param atRest the list without marks
 * @param marked the same list with them
 */
export function markedHolders(atRest: readonly MenuItem[], marked: readonly MenuItem[]): readonly number[] {
  return indexOf(atRest).holders.filter((place) => atRest[place] !== marked[place]);
}

/** How well an item fits: not at all (0), through what it holds, as an ancestor, or as the page itself. */
function rankOf({ kind, entry, params }: MenuItem, holdsMark: boolean, position: Position): number {
  const throughItems = holdsMark ? 1 : 0;
  if (entry === null || (kind !== 'link' && kind !== 'group')) return throughItems;
  const depth = position.path.indexOf(entry);
  if (depth === -1) return throughItems;

  // A param that stands for nothing, as a wildcard may, is the same as none.
  const given = Object.entries(ownParams(entry, position.params)).filter(([, value]) => value !== '');
  const isSamePlace = sameParams(params, Object.fromEntries(given));
  if (isSamePlace && entry === position.entry && position.status === 'exact') return Number.POSITIVE_INFINITY;
  // An item for one place is no section of another; one for the whole entry is the section of all in it.
  if (Object.keys(params).length > 0 && !isSamePlace) return throughItems;
  // The entry at "/" is no one's section: it would be lit on every page.
  return entry.isRoot ? throughItems : depth + 2;
}

/** The name of an item's icon: the entry's `currentIcon` while the item is marked. */
export function iconOf({ icon, entry }: MenuItem, mark: Mark): string | null {
  return mark === null ? icon : (entry?.currentIcon ?? icon);
}
