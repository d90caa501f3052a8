import { pathSeparator } from '../interaction/groups.ts';
import type { Filtered } from '../site/filter.ts';
import { markedHolders } from '../site/marks.ts';
import type { MenuItem } from '../site/menu-item.ts';
import { queryPair } from '../site/encoding.ts';
import {
  actionView,
  itemKey,
  linkView,
  listView,
  menuItemView,
  type ActionEvent,
  type MenuViewOptions,
} from './menu-view.ts';
import { groupButtonView, panelButtonView, type PressEvent } from './panel-view.ts';
import { partsOf, type ListPart, type MoreEvent, type ShownPieces } from './pieces.ts';
import { remembering } from './remember.ts';
import { documentId, element, type ViewElement } from './view.ts';

/** An item was activated that opens in an annex. */
export interface ChooseEvent {
  readonly type: 'choose';
  readonly id: string;
}

export type TreeViewEvent = PressEvent | ChooseEvent | ActionEvent | MoreEvent;

export interface TreeViewOptions extends MenuViewOptions {
  /** Begins the ids of the groups' panels. */
  readonly idPrefix: string;
  /** The ids of the groups that are open. */
  readonly open: ReadonlySet<string>;
  /** The ids of those on their way out. */
  readonly closing: ReadonlySet<string>;
  /** What a query leaves; null if there is none. */
  readonly filtered: Filtered | null;
  /** What is drawn of a menu that is too large to be drawn as a whole; null if all of it is. Default: all. */
  readonly pieces?: ShownPieces | null;
  /** The keys of items that open in an annex, the id of that, and which one is chosen there. */
  readonly annex: {
    readonly keys: ReadonlySet<string>;
    readonly id: string;
    readonly chosen: string | null;
    /** The key of the query that says which is open. */
    readonly parameter: string;
  };
}

/** What tells a group from all others of its menu: the keys on the way down to it. */
export function groupId(parent: string, item: MenuItem): string {
  const key = itemKey(item).replaceAll('%', '%25').replaceAll(pathSeparator, '%3E');
  return parent === '' ? key : `${parent}${pathSeparator}${key}`;
}

/** The items of a menu as a list, in which what has others below it opens in place. */
export function treeView(
  items: readonly MenuItem[],
  parent: string,
  options: TreeViewOptions,
): ViewElement<TreeViewEvent> {
  const { pieces = null, filtered } = options;
  if (pieces === null) return listView(items.map((item, index) => treeItemView(item, index, parent, options)));
  // What a query leaves out is not drawn at all.
  const left = filtered ? items.filter((item) => filtered.left.has(item)) : items;
  return listView(
    partsOf(left, parent, pieces).map((part) =>
      'gap' in part ? gapView(part.gap, parent, options) : treeItemView(part.item, part.index, parent, options),
    ),
  );
}

/** The button that stands for what is left out of a list. */
function gapView(
  { piece, count }: Extract<ListPart, { readonly gap: unknown }>['gap'],
  list: string,
  { wording }: TreeViewOptions,
): ViewElement<MoreEvent> {
  const label = element('span', { class: 'ft-label' }, [wording.showMore.replace('{count}', () => String(count))]);
  const attributes = { class: 'ft-link ft-action ft-list-more', type: 'button', 'data-ft-more': `${list}/${piece}` };
  const button = element<MoreEvent>('button', attributes, [label], { click: { type: 'more', list, piece } });
  return element<MoreEvent>('li', { class: 'ft-menu-item' }, [button], { key: `more/${piece}` });
}

function treeItemView(
  item: MenuItem,
  index: number,
  parent: string,
  options: TreeViewOptions,
): ViewElement<TreeViewEvent> {
  const { filtered } = options;
  const view = newItemView(item, index, parent, options);
  return filtered !== null && !filtered.left.has(item) ? hiddenView(view) : view;
}

const hiddenView = remembering(
  (view: ViewElement<TreeViewEvent>): ViewElement<TreeViewEvent> => ({
    ...view,
    attributes: { ...view.attributes, hidden: '' },
  }),
  () => [],
);

function newItemView(
  item: MenuItem,
  index: number,
  parent: string,
  options: TreeViewOptions,
): ViewElement<TreeViewEvent> {
  const { filtered, annex } = options;
  if (annex.keys.size > 0 && annex.keys.has(itemKey(item))) return annexItemView(item, options);
  if (item.items.length > 0) return groupView(item, groupId(parent, item), options);
  const ranges = filtered?.ranges.get(item);
  if (!ranges || (item.kind !== 'link' && item.kind !== 'action')) return menuItemView(item, index, options);
  const lead = item.kind === 'action' ? actionView(item, options, ranges) : linkView(item, options, ranges);
  return element<TreeViewEvent>('li', { class: 'ft-menu-item' }, [lead], { key: itemKey(item) });
}

/** A group is made again only when something changes in it, or below it. */
const groupView = remembering(newGroupView, (id: string, options: TreeViewOptions) => [id, ...treeValues(options, id)]);

/**
 * What the views of items in a tree depend on.
 *
 * @param within the id of the group that they are in; empty for all of the menu
 */
export function treeValues(options: TreeViewOptions, within: string): readonly unknown[] {
  const { open, closing, filtered, annex, wording, icons, monograms, markers, search, idPrefix } = options;
  const { keys, id, chosen, parameter } = annex;
  const { pieces = null } = options;
  const state = [open, closing].map((ids) => [...ids].filter((one) => one.startsWith(within)).join('\n'));
  return [
    ...state,
    pieces,
    filtered,
    keys,
    id,
    chosen,
    parameter,
    wording,
    icons,
    monograms,
    markers,
    search,
    idPrefix,
  ];
}

/** After the disclosure navigation of the ARIA Authoring Practices, as under a bar's items. */
function newGroupView(item: MenuItem, id: string, options: TreeViewOptions): ViewElement<TreeViewEvent> {
  const { filtered, open, closing } = options;
  const ranges = filtered?.ranges.get(item);
  const panelId = documentId(options.idPrefix, id);
  // What a query leaves is to be seen, whatever was open before and will be after.
  const expanded = open.has(id) || filtered?.left.has(item) === true;
  const panel = {
    ...options,
    id: panelId,
    form: 'list' as const,
    expanded,
    closing: closing.has(id) && !expanded,
    fixed: filtered !== null,
  };
  const pressed: PressEvent = { type: 'press', id };
  const lead =
    item.kind === 'link'
      ? [linkView(item, options, ranges), panelButtonView(item, panel, pressed)]
      : [groupButtonView(item, panel, pressed, ranges)];
  const attributes = { class: 'ft-panel', id: panelId, 'data-ft-label': item.label, inert: panel.closing };
  // Of a large menu, nothing is drawn that no one can see.
  const isDrawn = (options.pieces ?? null) === null || expanded || panel.closing;
  const list = isDrawn ? treeView(item.items, id, options) : null;
  const content = element<TreeViewEvent>('div', { class: 'ft-panel-content' }, [list]);
  const below = element('div', attributes, [content], { key: 'panel' });
  return element<TreeViewEvent>('li', { class: 'ft-menu-item', 'data-ft-item': id }, [...lead, below], {
    key: itemKey(item),
  });
}

/**
 * A button, also where the item is a page: that heads the annex. It has the page's address, with what opens the annex
 * there, for those without scripts and for a new tab.
 */
function annexItemView(item: MenuItem, options: TreeViewOptions): ViewElement<ChooseEvent> {
  const { annex, filtered } = options;
  const key = itemKey(item);
  const link = linkView(item, { ...options, search: queryPair(annex.parameter, key) }, filtered?.ranges.get(item));
  const attributes = {
    ...link.attributes,
    class: 'ft-link ft-annex-trigger',
    role: 'button',
    'aria-expanded': String(annex.chosen === key),
    ...(annex.chosen === key && { 'aria-controls': annex.id }),
  };
  const sign = element('span', { class: 'ft-annex-sign', 'aria-hidden': 'true' }, [], { key: 'sign' });
  const trigger: ViewElement<ChooseEvent> = {
    ...link,
    attributes,
    children: [...link.children, sign],
    click: { type: 'choose', id: key },
  };
  return element('li', { class: 'ft-menu-item', 'data-ft-item': key }, [trigger], { key });
}

/**
 * The ids of the groups that hold what is marked, or are marked themselves, outermost first.
 *
 * @param atRest the items without marks
 * @param marked the same with them
 */
export function markedGroups(atRest: readonly MenuItem[], marked: readonly MenuItem[], parent = ''): readonly string[] {
  return markedHolders(atRest, marked).flatMap((place) => {
    const [item, shown] = [atRest[place], marked[place]];
    if (!item || !shown) return [];
    const { id, ids } = idsOf(item, parent);
    return [...ids, ...markedGroups(item.items, shown.items, id)];
  });
}

/** The ids of all groups of a menu. */
export function allGroups(items: readonly MenuItem[], parent = ''): readonly string[] {
  return items.flatMap((item) => {
    if (item.items.length === 0) return [];
    const { id, ids } = idsOf(item, parent);
    return [...ids, ...allGroups(item.items, id)];
  });
}

/** An item that opens in an annex, and what tells it from all others of its menu: the groups in it go on from that. */
export interface AnnexItem {
  readonly item: MenuItem;
  readonly id: string;
}

/** The items of a menu that open in an annex, by their keys: pages of these entries that hold others. */
export function annexItems(
  items: readonly MenuItem[],
  entryIds: readonly string[],
  parent = '',
): ReadonlyMap<string, AnnexItem> {
  const found = new Map<string, AnnexItem>();
  for (const item of items) {
    if (item.items.length === 0) continue;
    const { id } = idsOf(item, parent);
    if (item.kind === 'link' && entryIds.includes(item.entry?.id ?? '')) found.set(itemKey(item), { item, id });
    else for (const [key, below] of annexItems(item.items, entryIds, id)) found.set(key, below);
  }
  return found;
}

/** A group that exists only in the menu, on the first level, is a section: it is always open, and has no id. */
function idsOf(item: MenuItem, parent: string): { readonly id: string; readonly ids: readonly string[] } {
  if (parent === '' && item.kind === 'group' && item.entry === null) return { id: '', ids: [] };
  const id = groupId(parent, item);
  return { id, ids: [id] };
}
