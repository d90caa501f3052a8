import { iconOf } from '../site/marks.ts';
import type { MatchRange } from '../site/filter.ts';
import type { Mark, MenuItem } from '../site/menu-item.ts';
import type { Wording } from '../wording.ts';
import { element, slot, type ViewElement, type ViewNode } from './view.ts';

export interface MenuViewOptions {
  readonly wording: Wording;
  /** Whether the app draws icons: only then is there a slot for them. Default: false. */
  readonly icons?: boolean;
  /** Whether summaries are shown below their links. Default: false. */
  readonly summaries?: boolean;
  /** Colors of markers before labels, as CSS writes them, by the keys of the items. Default: none. */
  readonly markers?: Readonly<Record<string, string>>;
  /** Whether an item without an icon has the first letter of its label beside it, for where nothing else has room. */
  readonly monograms?: boolean;
  /** A query that the links carry on, without its question mark: what it says holds while they are followed. */
  readonly search?: string;
}

/** The button of an action was activated: what every view with a menu may send, whatever else it sends. */
export interface ActionEvent {
  readonly type: 'action';
  readonly action: string;
}

export function isActionEvent(event: unknown): event is ActionEvent {
  return typeof event === 'object' && event !== null && 'type' in event && event.type === 'action';
}

const noMarkers: Readonly<Record<string, string>> = {};

/** The value of `aria-current` (WAI-ARIA 1.2, section 6.6) that states a mark. */
export function ariaCurrent(mark: Mark): 'page' | 'true' | null {
  return mark === 'section' ? 'true' : mark;
}

/** The items of a menu as a list of links, with lists inside. */
export function menuView(items: readonly MenuItem[], options: MenuViewOptions): ViewElement {
  return listView(items.map((item, index) => menuItemView(item, index, options)));
}

export function listView(items: readonly ViewElement[]): ViewElement {
  // Some browsers take a list without bullets for no list; the role says that it is one.
  return element('ul', { class: 'ft-menu', role: 'list' }, items);
}

/** The views of items, as they were last made. An item that is the same object is printed as it was. */
const knownViews = new WeakMap<MenuItem, Required<MenuViewOptions> & { readonly view: ViewElement }>();

/** @param index the item's place in its list */
export function menuItemView(item: MenuItem, index: number, options: MenuViewOptions): ViewElement {
  // Many places of a menu share one object for what says nothing.
  if (item.kind !== 'link' && item.kind !== 'group' && item.kind !== 'action') return newItemView(item, index, options);
  const { wording, icons = false, summaries = false, markers = noMarkers, monograms = false, search = '' } = options;
  const known = knownViews.get(item);
  const isSame =
    known?.wording === wording &&
    known.icons === icons &&
    known.summaries === summaries &&
    known.markers === markers &&
    known.monograms === monograms &&
    known.search === search;
  if (isSame) return known.view;
  const view = newItemView(item, index, options);
  knownViews.set(item, { wording, icons, summaries, markers, monograms, search, view });
  return view;
}

function newItemView(item: MenuItem, index: number, options: MenuViewOptions): ViewElement {
  const { wording } = options;
  switch (item.kind) {
    case 'divider':
    case 'reserved':
      // Neither says anything: the one is a line, the other an empty cell.
      return element('li', { class: `ft-${item.kind}`, 'aria-hidden': 'true' }, [], { key: `${item.kind}/${index}` });
    case 'loading':
    case 'failed':
    case 'empty':
      return element('li', { class: 'ft-menu-note' }, [wording[item.kind]], { key: item.kind });
    case 'action':
      return element('li', { class: 'ft-menu-item' }, [actionView(item, options)], { key: itemKey(item) });
    case 'link':
    case 'group': {
      const lead = item.kind === 'group' ? groupLabelView(item) : linkView(item, options);
      const below = item.items.length > 0 ? menuView(item.items, options) : null;
      return element('li', { class: 'ft-menu-item' }, [lead, below], { key: itemKey(item) });
    }
  }
}

function groupLabelView(item: MenuItem): ViewElement {
  const attributes = { class: 'ft-group-label', 'aria-current': ariaCurrent(item.mark) };
  return element('span', attributes, [item.label], { item });
}

/**
 * The link of an item, with all that stands in it.
 *
 * @param ranges what of its label matches a query
 */
export function linkView(item: MenuItem, options: MenuViewOptions, ranges?: readonly MatchRange[]): ViewElement {
  const newTab = item.entry?.opens === 'new-tab';
  const attributes = {
    class: 'ft-link',
    href: carriedOn(item.href, options.search),
    'aria-current': ariaCurrent(item.mark),
    target: newTab ? '_blank' : null,
    rel: newTab ? 'noopener' : null,
  };
  return element('a', attributes, linkContent(item, options, ranges), { item });
}

/** The button of an action. It looks like the links beside it. */
export function actionView(item: MenuItem, options: MenuViewOptions, ranges?: readonly MatchRange[]): ViewElement {
  const action = item.action ?? '';
  const attributes = { class: 'ft-link ft-action', type: 'button', 'data-ft-action': action };
  const event: ActionEvent = { type: 'action', action };
  return element('button', attributes, linkContent(item, options, ranges), { on: { click: event } });
}

/** What stands in a link or in the button of a group: icon, label, badge, and a sign where it leads elsewhere. */
export function linkContent(
  item: MenuItem,
  { wording, icons = false, summaries = false, markers = noMarkers, monograms = false }: MenuViewOptions,
  ranges: readonly MatchRange[] = [],
): ViewNode[] {
  // Some icons are there only while their item is marked: their place always is.
  const hasIcon = icons && (item.icon ?? item.entry?.currentIcon ?? null) !== null;
  const marker = Object.hasOwn(markers, itemKey(item)) ? markers[itemKey(item)] : undefined;
  const label = element('span', { class: 'ft-label' }, labelPieces(item.label, ranges), { key: 'label' });
  const summary =
    summaries && item.summary !== null
      ? element('span', { class: 'ft-summary' }, [item.summary], { key: 'summary' })
      : null;
  // The space keeps the two apart in the accessible name.
  const texts = summary ? element('span', { class: 'ft-texts' }, [label, ' ', summary], { key: 'texts' }) : label;
  const content: (ViewNode | null)[] = [
    hasIcon ? slot('icon', item.icon ?? '') : null,
    monograms && !hasIcon
      ? element('span', { class: 'ft-monogram', 'aria-hidden': 'true' }, [firstLetter(item.label)], { key: 'monogram' })
      : null,
    marker === undefined ? null : markerView(marker),
    texts,
    item.badge === null ? null : badgeView(item.badge, item.spokenBadge),
    item.entry?.opens === 'new-tab' ? newTabView(wording) : null,
  ];
  return content.filter((node) => node !== null);
}

function carriedOn(href: string | null, search = ''): string | null {
  if (href === null || search === '' || !href.startsWith('/')) return href;
  const [path = '', hash] = href.split('#');
  return `${path}${path.includes('?') ? '&' : '?'}${search}${hash === undefined ? '' : `#${hash}`}`;
}

function labelPieces(label: string, ranges: readonly MatchRange[]): readonly ViewNode[] {
  if (ranges.length === 0) return [label];
  const pieces: ViewNode[] = [];
  let last = 0;
  for (const { start, end } of ranges) {
    if (start > last) pieces.push(label.slice(last, start));
    pieces.push(element('mark', { class: 'ft-match' }, [label.slice(start, end)], { key: `match/${start}` }));
    last = end;
  }
  if (last < label.length) pieces.push(label.slice(last));
  return pieces;
}

/** The first letter with its marks, as a reader counts letters. */
function firstLetter(label: string): string {
  return /^.\p{Mark}*/su.exec(label.trim())?.[0].toLocaleUpperCase() ?? '';
}

/** A drawing, since a strict policy refuses colors in a style attribute. It says nothing: the label does. */
function markerView(color: string): ViewElement {
  const board = element('path', { d: 'M2 0h6l2 2v6l-2 2H2L0 8V2z', fill: color });
  return element('svg', { class: 'ft-marker', viewBox: '0 0 10 10', 'aria-hidden': 'true' }, [board], {
    key: 'marker',
  });
}

/** A badge says what it shows, unless it has words of its own for ears. */
function badgeView(badge: string, spoken: string | null): ViewElement {
  if (spoken === null) return element('span', { class: 'ft-badge' }, [badge], { key: 'badge' });
  const shown = element('span', { class: 'ft-badge', 'aria-hidden': 'true' }, [badge], { key: 'shown' });
  const said = element('span', { class: 'ft-visually-hidden' }, [` ${spoken}`], { key: 'said' });
  return element('span', { class: 'ft-badge-place' }, [shown, said], { key: 'badge' });
}

/** The view of a menu item's link or label, as it is with a mark. */
export function markedView(view: ViewElement, mark: Mark): ViewElement {
  const { item } = view;
  if (!item || item.mark === mark) return view;
  const { 'aria-current': _, ...attributes } = view.attributes;
  const current = view.pageOnly === true && mark === 'section' ? null : ariaCurrent(mark);
  const icon = iconOf(item, mark) ?? '';
  return {
    ...view,
    attributes: current === null ? attributes : { ...attributes, 'aria-current': current },
    children: view.children.map((child) => (isIcon(child) ? slot('icon', icon) : child)),
  };
}

function isIcon(node: ViewNode): boolean {
  return typeof node !== 'string' && 'slot' in node && node.slot === 'icon';
}

/** The sign for eyes is drawn by the stylesheet; the words are for ears. */
function newTabView(wording: Wording): ViewElement {
  const words = element('span', { class: 'ft-visually-hidden' }, [` (${wording.opensNewTab})`]);
  return element('span', { class: 'ft-new-tab' }, [words], { key: 'new-tab' });
}

/** Tells an item from its siblings. */
export function itemKey({ entry, params, label, action, choice }: MenuItem): string {
  if (action !== null) return `action/${choice ?? action}`;
  return entry ? [entry.id, ...Object.values(params)].join('/') : `group/${label}`;
}
