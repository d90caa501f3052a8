import { mayAccess, type Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { labelOf, ownParams } from './labels.ts';
import { unknownPosition, type Position } from './locate.ts';
import { recordsOf, sameParams, type SiteRecords } from './records.ts';
import type { MenuNode, Site } from './site.ts';

/** What a menu item shows of the position: the page itself, a section that holds it, or nothing. */
export type Mark = 'page' | 'section' | null;

/** One item of a menu, with everything in it decided. */
export interface MenuItem {
  /** Null for a group that exists only in the menu. */
  readonly entry: Entry | null;
  readonly params: Readonly<Record<string, string>>;
  readonly label: string;
  /** Null for an unlinked group. */
  readonly href: string | null;
  readonly mark: Mark;
  readonly items: readonly MenuItem[];
}

/** What a menu depends on besides the site. */
export interface Visit {
  /** Default: nowhere, so that nothing is marked. */
  readonly position?: Position;
  /** The audiences that the visitor is in. Default: none. */
  readonly audience?: readonly string[];
  /** The records as they are known now. Default: none. */
  readonly records?: SiteRecords;
}

/**
 * The items of a menu for a visit. In each list at most one item is marked: the page, or else the nearest of its
 * ancestors that is listed, or else a group that holds a marked item.
 *
 * @returns an empty list for a menu that the site does not have
 */
export function menuItems(site: Site, menu: string, visit: Visit = {}): readonly MenuItem[] {
  const position = visit.position ?? unknownPosition;
  const context: Context = {
    site,
    position,
    depths: new Map(position.path.map((entry, index) => [entry, index])),
    audience: visit.audience ?? [],
    records: visit.records ?? {},
  };
  return marked(
    (site.menus.get(menu) ?? []).flatMap((node) => resolve(node, context)),
    context,
  );
}

interface Context {
  readonly site: Site;
  readonly position: Position;
  /** How deep each entry of the position's path lies. */
  readonly depths: ReadonlyMap<Entry, number>;
  readonly audience: readonly string[];
  readonly records: SiteRecords;
}

function resolve(node: MenuNode, context: Context): MenuItem[] {
  if (node.kind === 'entry') return resolveEntry(node.entry, node.depth, context);
  const items = marked(
    node.nodes.flatMap((child) => resolve(child, context)),
    context,
  );
  // A group that this visitor would find empty is not shown to them.
  return items.length > 0 ? [{ entry: null, params: {}, label: node.label, href: null, mark: null, items }] : [];
}

function resolveEntry(entry: Entry, depth: number, context: Context): MenuItem[] {
  if (!mayAccess(entry, context.audience)) return [];
  if (entry.records !== null) {
    return recordsOf(entry, context.records).flatMap(({ params }) => toItem(entry, params, [], context));
  }
  // A group without an address is nothing without what it groups, so it does not count as a level.
  const below = entry.href === null ? depth : depth - 1;
  const items = below > 0 ? entry.entries.flatMap((child) => resolveEntry(child, below, context)) : [];
  return toItem(entry, {}, marked(items, context), context);
}

function toItem(
  entry: Entry,
  params: Readonly<Record<string, string>>,
  items: readonly MenuItem[],
  { site, records }: Context,
): MenuItem[] {
  const href = hrefOf(site, entry, params);
  // What cannot be linked to is worth a place only for what it holds.
  if (href === null && items.length === 0) return [];
  return [{ entry, params, label: labelOf(entry, params, records), href, mark: null, items }];
}

/** The siblings, with the one that fits the position best marked. */
function marked(items: readonly MenuItem[], context: Context): readonly MenuItem[] {
  let best = 0;
  let bestIndex = -1;
  items.forEach((item, index) => {
    const rank = rankOf(item, context);
    if (rank > best) [best, bestIndex] = [rank, index];
  });
  if (bestIndex < 0) return items;
  const mark: Mark = best === Number.POSITIVE_INFINITY ? 'page' : 'section';
  return items.map((item, index) => (index === bestIndex ? { ...item, mark } : item));
}

/** How well an item fits the position: not at all (0), through what it holds, as an ancestor, or as the page itself. */
function rankOf(item: MenuItem, { position, depths }: Context): number {
  const { entry } = item;
  const depth = entry ? depths.get(entry) : undefined;
  const throughItems = item.items.some((below) => below.mark !== null) ? 1 : 0;
  if (entry === null || depth === undefined) return throughItems;

  // A param that stands for nothing, as a wildcard may, is the same as none.
  const given = Object.entries(ownParams(entry, position.params)).filter(([, value]) => value !== '');
  const isSamePlace = sameParams(item.params, Object.fromEntries(given));
  if (isSamePlace && entry === position.entry && position.status === 'exact') return Number.POSITIVE_INFINITY;
  // One record is no section of another; any other entry is the section of all that its address takes in.
  if (entry.records !== null && !isSamePlace) return throughItems;
  // The entry at "/" is nobody's section: it would be lit on every page.
  const isRoot = entry.paths.some((path) => path.length === 0);
  return isRoot ? throughItems : depth + 2;
}
