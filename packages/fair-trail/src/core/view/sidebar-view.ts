import type { Filtered } from '../site/filter.ts';
import type { MenuItem } from '../site/menu-item.ts';
import type { Wording } from '../wording.ts';
import { annexView, type AnnexViewEvent, type AnnexViewOptions } from './annex-view.ts';
import { closeView, type CloseEvent } from './close-view.ts';
import { filterView } from './filter-view.ts';
import { itemKey } from './menu-view.ts';
import type { ToggleEvent } from './bar-view.ts';
import { remembering } from './remember.ts';
import { treeValues, treeView, type TreeViewEvent, type TreeViewOptions } from './tree-view.ts';
import { element, slot, type ViewElement } from './view.ts';

/** What the elements of a sidebar report. */
export type SidebarViewEvent = ToggleEvent | CloseEvent | RailEvent | TreeViewEvent | AnnexViewEvent;

/** The button that narrows and widens a sidebar was activated. */
export interface RailEvent {
  readonly type: 'rail';
}

/** Where a sidebar stands when room is short: over the page behind a toggle, or in the flow above the content. */
export type SidebarNarrowForm = 'cover' | 'above';

export interface SidebarViewOptions {
  readonly items: readonly MenuItem[];
  /** Tells the sidebar from others in what is remembered. */
  readonly name: string;
  /** The name of the navigation landmark. */
  readonly label: string;
  /** On its toggle: a page with two has to say which is which. Default: "Menu", or what the trail's wording says. */
  readonly toggleLabel?: string;
  /** Begins every id in it. */
  readonly idPrefix: string;
  readonly tree: Omit<TreeViewOptions, 'annex' | 'filtered' | 'idPrefix' | 'wording' | 'icons' | 'monograms'>;
  /** The keys of the items that open in the annex. Default: none. */
  readonly annexKeys?: ReadonlySet<string>;
  /** The key of the query that says which annex is open. Default: `annex`. */
  readonly annexParameter?: string;
  /** The open annex; null for none. Default: null. */
  readonly annex?: Omit<AnnexViewOptions, 'id' | 'parameter' | 'wording' | 'icons' | 'headingLevel'> | null;
  /** The level of the titles of sections. Default: 2. */
  readonly headingLevel?: 2 | 3 | 4;
  /** Whether there is a field that filters, and what is left of the items; null for all. Default: no field. */
  readonly search?: { readonly filtered: Filtered | null } | null;
  /** Whether it can be narrowed to its icons, and is; `unknown` while a server cannot know. Default: it cannot. */
  readonly rail?: 'narrow' | 'full' | 'unknown' | null;
  /** Default: `cover`. */
  readonly whenNarrow?: SidebarNarrowForm;
  /** Whether it is behind its toggle at every width. Default: false. */
  readonly alwaysToggle?: boolean;
  readonly expanded: boolean;
  readonly closing: boolean;
  /** Whether it lies over the page: an annex lies over it then, and nothing beneath takes focus. Default: false. */
  readonly covers?: boolean;
  /** The slots that the app fills. */
  readonly slots: { readonly icon: boolean; readonly start: boolean; readonly foot: boolean };
  readonly wording: Wording;
}

/** A sidebar: its toggle where room is short, a head with what works on the list, the list in sections, and a foot. */
export function sidebarView(options: SidebarViewOptions): ViewElement<SidebarViewEvent> {
  const { name, rail = null, annex = null, slots, wording, closing, covers = false, headingLevel = 2 } = options;
  const { annexParameter: parameter = 'annex' } = options;
  const isBeneath = covers && annex !== null && !annex.leaving;
  const panelId = `${options.idPrefix}-panel`;
  const annexId = `${options.idPrefix}-annex`;
  const foot = slots.foot ? element('div', { class: 'ft-sidebar-foot' }, [slot('foot')], { key: 'foot' }) : null;
  const panel = element<SidebarViewEvent>(
    'div',
    { class: 'ft-sidebar-panel', id: panelId, inert: closing || isBeneath },
    [headView(options), navigationView(options, annexId), foot],
    { key: 'panel' },
  );
  const attributes = {
    class: 'ft-sidebar',
    'data-ft-sidebar': name,
    'data-ft-rail': rail === 'unknown' ? null : rail,
    'data-ft-narrow': options.whenNarrow ?? 'cover',
    'data-ft-always': options.alwaysToggle === true,
  };
  return element<SidebarViewEvent>('div', attributes, [
    toggleView(options, panelId),
    panel,
    annex && annexView({ ...annex, id: annexId, parameter, wording, icons: slots.icon, headingLevel }),
    rail === null ? null : element('div', { class: 'ft-tooltip', 'aria-hidden': 'true' }, [], { key: 'tooltip' }),
  ]);
}

function toggleView({ expanded, toggleLabel, wording }: SidebarViewOptions, panelId: string): ViewElement<ToggleEvent> {
  const attributes = {
    class: 'ft-toggle ft-sidebar-toggle',
    type: 'button',
    'aria-expanded': String(expanded),
    'aria-controls': panelId,
  };
  const sign = element('span', { class: 'ft-toggle-sign', 'aria-hidden': 'true' }, [], { key: 'sign' });
  const label = element('span', { class: 'ft-label' }, [toggleLabel ?? wording.menu]);
  return element('button', attributes, [sign, label], { key: 'toggle', click: { type: 'toggle' } });
}

function headView(options: SidebarViewOptions): ViewElement<SidebarViewEvent> | null {
  const { search = null, rail = null, slots, wording, whenNarrow = 'cover', idPrefix } = options;
  const start = slots.start ? element('div', { class: 'ft-sidebar-start' }, [slot('start')], { key: 'start' }) : null;
  const close =
    whenNarrow === 'cover'
      ? closeView<CloseEvent>('ft-sidebar-close', { type: 'close' }, options.label, wording)
      : null;
  const field = search && filterView({ id: `${idPrefix}-filter`, filtered: search.filtered, wording });
  const buttons = [rail === null ? null : railButtonView(rail === 'narrow', wording), close];
  const shown = [start, ...buttons, field].filter((part) => part !== null);
  return shown.length > 0
    ? element<SidebarViewEvent>('div', { class: 'ft-sidebar-head' }, shown, { key: 'head' })
    : null;
}

/** Says what it will do, since its state is to be seen and heard in everything around it. */
function railButtonView(isNarrow: boolean, wording: Wording): ViewElement<RailEvent> {
  const sign = element('span', { class: 'ft-rail-sign', 'aria-hidden': 'true' }, [], { key: 'sign' });
  const label = element('span', { class: 'ft-visually-hidden ft-label' }, [isNarrow ? wording.widen : wording.narrow]);
  const attributes = { class: 'ft-rail-button', type: 'button' };
  return element('button', attributes, [sign, label], { key: 'rail', click: { type: 'rail' } });
}

function navigationView(options: SidebarViewOptions, annexId: string): ViewElement<TreeViewEvent> {
  const {
    items,
    label,
    search = null,
    wording,
    slots,
    annex = null,
    annexKeys = new Set<string>(),
    annexParameter: parameter = 'annex',
  } = options;
  const tree: TreeViewOptions = {
    ...options.tree,
    idPrefix: options.idPrefix,
    wording,
    icons: slots.icon,
    monograms: options.rail !== undefined && options.rail !== null,
    filtered: search?.filtered ?? null,
    annex: { keys: annexKeys, id: annexId, chosen: annex?.chosen ?? null, parameter },
  };
  const sections = inSections(items).map((section, index) => sectionView(section, index, options, tree));
  const attributes = {
    class: 'ft-sidebar-navigation',
    'aria-label': label,
    'data-ft-filtered': tree.filtered !== null,
  };
  return element('nav', attributes, sections, { key: 'menu' });
}

/** A titled group of the menu, or a run of items in none. */
interface Section {
  readonly title: MenuItem | null;
  readonly items: readonly MenuItem[];
}

function inSections(items: readonly MenuItem[]): readonly Section[] {
  const sections: { readonly title: MenuItem | null; readonly items: MenuItem[] }[] = [];
  for (const item of items) {
    const last = sections.at(-1);
    if (item.kind === 'group' && item.entry === null) sections.push({ title: item, items: [] });
    else if (last?.title === null) last.items.push(item);
    else sections.push({ title: null, items: [item] });
  }
  // Sections have a line between them: a divider at the end of one would be a second.
  return sections
    .map(({ title, items }) => ({ title, items: sections.length > 1 ? withoutEndDividers(items) : items }))
    .filter(({ title, items }) => title !== null || items.length > 0);
}

function withoutEndDividers(items: readonly MenuItem[]): readonly MenuItem[] {
  const isOther = ({ kind }: MenuItem) => kind !== 'divider';
  return items.slice(items.findIndex(isOther), items.findLastIndex(isOther) + 1);
}

function sectionView(
  { title, items }: Section,
  index: number,
  options: SidebarViewOptions,
  tree: TreeViewOptions,
): ViewElement<TreeViewEvent> {
  if (title) return titledSection(title, index, options, tree);
  return element<TreeViewEvent>(
    'div',
    { class: 'ft-section', hidden: isGone(items, tree) },
    [treeView(items, '', tree)],
    {
      key: `section/${index}`,
    },
  );
}

/** A section is made again only when something changes in it. */
const titledSection = remembering(
  (
    title: MenuItem,
    index: number,
    { headingLevel = 2, idPrefix }: SidebarViewOptions,
    tree: TreeViewOptions,
  ): ViewElement<TreeViewEvent> => {
    const { items } = title;
    const id = `${idPrefix}-section-${index}`;
    const heading = element(`h${headingLevel}`, { class: 'ft-section-title', id }, [title.label], { key: 'title' });
    const list = treeView(items, '', tree);
    const named = { ...list, attributes: { ...list.attributes, 'aria-labelledby': id } };
    return element<TreeViewEvent>('div', { class: 'ft-section', hidden: isGone(items, tree) }, [heading, named], {
      key: `section/${itemKey(title)}`,
    });
  },
  (index, { headingLevel, idPrefix }, tree) => [index, headingLevel, idPrefix, ...treeValues(tree, '')],
);

function isGone(items: readonly MenuItem[], { filtered }: TreeViewOptions): boolean {
  return filtered !== null && !items.some((item) => filtered.left.has(item));
}
