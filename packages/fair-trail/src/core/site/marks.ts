import type { Entry } from './entry.ts';
import { ownParams } from './labels.ts';
import type { Position } from './locate.ts';
import type { Mark, MenuItem } from './menu-item.ts';
import { sameParams } from './records.ts';

/** The marks of a menu by its items; an item that is not among them has none. */
export type Marks = ReadonlyMap<MenuItem, Mark>;

/**
 * What a position marks among the items of a menu, which are those without a position. In each list at most one item is
 * marked: the page, or else the nearest of its ancestors that is listed, or else one that holds a marked item.
 */
export function menuMarks(items: readonly MenuItem[], position: Position): Marks {
  const marks = new Map<MenuItem, Mark>();
  if (position.path.length > 0) markSiblings(items, position, marks);
  return marks;
}

/** Whether any of the items is marked now. */
function markSiblings(siblings: readonly MenuItem[], position: Position, marks: Map<MenuItem, Mark>): boolean {
  let best = 0;
  let bestItem: MenuItem | null = null;
  for (const item of candidates(siblings, position)) {
    const holdsMark = item.items.length > 0 && markSiblings(item.items, position, marks);
    const rank = rankOf(item, holdsMark, position);
    if (rank > best) [best, bestItem] = [rank, item];
  }
  if (bestItem) marks.set(bestItem, best === Number.POSITIVE_INFINITY ? 'page' : 'section');
  return bestItem !== null;
}

/** What a list of items holds: those of each entry, and those with items of their own; both in their order. */
interface ListIndex {
  readonly byEntry: ReadonlyMap<Entry, readonly MenuItem[]>;
  readonly holders: readonly MenuItem[];
}

/** A menu may have thousands of items and a path has few entries, so a list is gone through once and not at each change. */
const listIndexes = new WeakMap<readonly MenuItem[], ListIndex>();

/**
 * The items of a list that could be marked at the position. Of those that fit equally well, the first comes first, and
 * one that holds nothing before one that does.
 */
function* candidates(siblings: readonly MenuItem[], { path }: Position): Iterable<MenuItem> {
  const index = listIndexes.get(siblings) ?? indexOf(siblings);
  listIndexes.set(siblings, index);
  for (const entry of path) yield* index.byEntry.get(entry) ?? [];
  yield* index.holders;
}

function indexOf(siblings: readonly MenuItem[]): ListIndex {
  const byEntry = new Map<Entry, MenuItem[]>();
  for (const item of siblings) {
    // What has items of its own is looked at in any case.
    if (item.entry === null || item.items.length > 0) continue;
    const items = byEntry.get(item.entry);
    if (items) items.push(item);
    else byEntry.set(item.entry, [item]);
  }
  return { byEntry, holders: siblings.filter(({ items }) => items.length > 0) };
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
  // The entry at "/" is nobody's section: it would be lit on every page.
  return entry.isRoot ? throughItems : depth + 2;
}

interface MarkedItems {
  readonly position: Position;
  readonly marks: Marks;
  readonly items: readonly MenuItem[];
}

const lastMarked = new WeakMap<readonly MenuItem[], MarkedItems>();

/**
 * The items of a menu as a position marks them. They are the same objects for as long as nothing about them changes: a
 * page change replaces what was marked, what is marked now, and what holds either.
 *
 * @param atRest the items without a position
 */
export function markedItems(atRest: readonly MenuItem[], position: Position): readonly MenuItem[] {
  if (position.path.length === 0) return atRest;
  const last = lastMarked.get(atRest);
  if (last?.position === position) return last.items;
  const marks = menuMarks(atRest, position);
  const isSame = last?.marks.size === marks.size && [...marks].every(([item, mark]) => last.marks.get(item) === mark);
  const items = isSame ? last.items : withMarks(atRest, marks);
  lastMarked.set(atRest, { position, marks, items });
  return items;
}

/** The items with their marks. Those that neither are marked nor hold one that is are the same objects. */
function withMarks(items: readonly MenuItem[], marks: Marks): readonly MenuItem[] {
  if (marks.size === 0) return items;
  let changed: MenuItem[] | undefined;
  for (const [index, item] of items.entries()) {
    const below = item.items.length > 0 ? withMarks(item.items, marks) : item.items;
    const mark = marks.get(item) ?? null;
    if (mark === null && below === item.items) continue;
    const icon = mark === null ? item.icon : iconOf(item, mark);
    (changed ??= [...items])[index] = { ...item, mark, icon, items: below };
  }
  return changed ?? items;
}

/** The name of an item's icon: the entry's `currentIcon` while the item is marked. */
export function iconOf({ icon, entry }: MenuItem, mark: Mark): string | null {
  return mark === null ? icon : (entry?.currentIcon ?? icon);
}
