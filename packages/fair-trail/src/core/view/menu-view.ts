import type { MatchRange } from '../site/filter.ts';
import type { Mark, MenuItem } from '../site/menu-item.ts';
import type { Wording } from '../wording.ts';
import { remembering } from './remember.ts';
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

/** The button of an action was activated: what every view with a menu may report, whatever else it reports. */
export interface ActionEvent {
  readonly type: 'action';
  readonly action: string;
}

const noMarkers: Readonly<Record<string, string>> = {};

/** The value of `aria-current` (WAI-ARIA 1.2, section 6.6) that states a mark. */
export function ariaCurrent(mark: Mark): 'page' | 'true' | null {
  return mark === 'section' ? 'true' : mark;
}

/** The items of a menu as a list of links, with lists inside. */
export function menuView(items: readonly MenuItem[], options: MenuViewOptions): ViewElement<ActionEvent> {
  return listView(items.map((item, index) => menuItemView(item, index, options)));
}

export function listView<Event>(items: readonly ViewElement<Event>[]): ViewElement<Event> {
  // Some browsers take a list without bullets for no list; the role says that it is one.
  return element<Event>('ul', { class: 'ft-menu', role: 'list' }, items);
}

const rememberedItemView = remembering(
  (item: MenuItem, options: MenuViewOptions) => newItemView(item, 0, options),
  ({ wording, icons, summaries, markers, monograms, search }) => [
    wording,
    icons,
    summaries,
    markers,
    monograms,
    search,
  ],
);

/** @param index the item's place in its list */
export function menuItemView(item: MenuItem, index: number, options: MenuViewOptions): ViewElement<ActionEvent> {
  // Many places of a menu share one object for what says nothing: their places distinguish them.
  if (item.kind !== 'link' && item.kind !== 'group' && item.kind !== 'action') return newItemView(item, index, options);
  return rememberedItemView(item, options);
}

function newItemView(item: MenuItem, index: number, options: MenuViewOptions): ViewElement<ActionEvent> {
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
      return element<ActionEvent>('li', { class: 'ft-menu-item' }, [actionView(item, options)], { key: itemKey(item) });
    case 'link':
    case 'group': {
      const lead = item.kind === 'group' ? groupLabelView(item) : linkView(item, options);
      const below = item.items.length > 0 ? menuView(item.items, options) : null;
      return element<ActionEvent>('li', { class: 'ft-menu-item' }, [lead, below], { key: itemKey(item) });
    }
  }
}

function groupLabelView(item: MenuItem): ViewElement {
  return element('span', { class: 'ft-group-label', 'aria-current': ariaCurrent(item.mark) }, [item.label]);
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
    // As HTML has a link that cannot be followed (section 4.6.1): it is announced, and has no address.
    role: item.href === null ? 'link' : null,
    'aria-disabled': item.href === null ? 'true' : null,
    href: carriedOn(item.href, options.search),
    'aria-current': ariaCurrent(item.mark),
    target: newTab ? '_blank' : null,
    rel: newTab ? 'noopener' : null,
  };
  return element('a', attributes, linkContent(item, options, ranges));
}

/** The button of an action. It looks like the links beside it. */
export function actionView(
  item: MenuItem,
  options: MenuViewOptions,
  ranges?: readonly MatchRange[],
): ViewElement<ActionEvent> {
  const action = item.action ?? '';
  const attributes = { class: 'ft-link ft-action', type: 'button', 'data-ft-action': action };
  return element<ActionEvent>('button', attributes, linkContent(item, options, ranges), {
    click: { type: 'action', action },
  });
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

/** A badge says what it shows, unless the site gives other words to screen readers. */
function badgeView(badge: string, spoken: string | null): ViewElement {
  if (spoken === null) return element('span', { class: 'ft-badge' }, [badge], { key: 'badge' });
  const shown = element('span', { class: 'ft-badge', 'aria-hidden': 'true' }, [badge], { key: 'shown' });
  const said = element('span', { class: 'ft-visually-hidden' }, [` ${spoken}`], { key: 'said' });
  return element('span', { class: 'ft-badge-place' }, [shown, said], { key: 'badge' });
}

/** The stylesheet draws the sign; the words are for screen readers. */
function newTabView(wording: Wording): ViewElement {
  const words = element('span', { class: 'ft-visually-hidden' }, [` (${wording.opensNewTab})`]);
  return element('span', { class: 'ft-new-tab' }, [words], { key: 'new-tab' });
}

/** Tells an item from its siblings. */
export function itemKey({ entry, params, label, action, choice }: MenuItem): string {
  if (action !== null) return `action/${choice ?? action}`;
  if (!entry) return `group/${label}`;
  const values = Object.values(params);
  return values.length === 0 ? entry.id : [entry.id, ...values].join('/');
}
