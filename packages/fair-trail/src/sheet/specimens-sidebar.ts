import { filterItems } from '../core/site/filter.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { itemKey } from '../core/view/menu-view.ts';
import { sidebarView, type SidebarViewOptions } from '../core/view/sidebar-view.ts';
import { type AnnexItem, annexItems } from '../core/view/tree-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import type { Wording } from '../core/wording.ts';
import { everyItem } from './every-item.ts';
import { itemIn, linkStates, prunedView, specimen, tableOf, type Specimen, type SpecimenTable } from './specimen.ts';

export interface SidebarSource {
  readonly wording: Wording;
  readonly icons: boolean;
  /** The ids of the entries whose items open in an annex. */
  readonly annex: readonly string[];
}

const nothing: ReadonlySet<string> = new Set();

/** A sidebar at rest, but for what is said. */
export function sidebarWith(
  items: readonly MenuItem[],
  { wording, icons }: Pick<SidebarSource, 'wording' | 'icons'>,
  id: string,
  more: Partial<SidebarViewOptions> = {},
): ViewElement<unknown> {
  return sidebarView({
    items,
    name: 'sheet',
    label: wording.sidebar,
    idPrefix: id,
    tree: { open: nothing, closing: nothing },
    expanded: false,
    closing: false,
    slots: { icon: icons, start: false, foot: false },
    wording,
    ...more,
  });
}

/** The list alone. */
function listWith(items: readonly MenuItem[], source: SidebarSource, id: string, more?: Partial<SidebarViewOptions>) {
  return prunedView(onlyPanel(sidebarWith(items, source, id, more)), 'ft-sidebar-panel', ['menu']);
}

/** One part of its head alone. */
function headWith(part: string, source: SidebarSource, id: string, more: Partial<SidebarViewOptions>) {
  const head = prunedView(onlyPanel(sidebarWith([], source, id, more)), 'ft-sidebar-panel', ['head']);
  return prunedView(head, 'ft-sidebar-head', [part]);
}

function onlyPanel(view: ViewElement<unknown>): ViewElement<unknown> {
  return prunedView(view, 'ft-sidebar', ['panel']);
}

export function sidebarTable(items: readonly MenuItem[], source: SidebarSource): SpecimenTable {
  const { wording } = source;
  const annexes = [...annexItems(items, source.annex).values()];
  const annexKeys = new Set(annexes.map(({ item }) => itemKey(item)));
  const rows = [...everyItem(items)]
    .filter((item) => isPart(item) && !annexKeys.has(itemKey(item)))
    .flatMap((item) => rowsOf(item, source));
  const fixed = [
    ...(annexes[0] ? annexSpecimens(annexes[0], source) : []),
    specimen('filter field', wording.filter, (_, id) => headWith('search', source, id, { search: { filtered: null } })),
    specimen('rail button', wording.narrow, (state, id) =>
      headWith('rail', source, id, { rail: state === 'narrow' ? 'narrow' : 'full' }),
    ),
    specimen('close button', wording.close, (_, id) => headWith('close', source, id, {})),
    specimen('toggle', wording.menu, (state, id) =>
      prunedView(sidebarWith([], source, id, { expanded: state === 'expanded', alwaysToggle: true }), 'ft-sidebar', [
        'toggle',
      ]),
    ),
  ];
  return tableOf({ name: 'sidebar', title: 'Sidebar', columnWidth: 13, icons: source.icons }, fixed, rows);
}

/** Titles of sections, and what is no item of its own, are no parts. */
function isPart({ kind, entry }: MenuItem): boolean {
  return kind === 'link' || (kind === 'group' && entry !== null);
}

/** What stands below an item is a row of its own, and closed here. */
function rowsOf(item: MenuItem, source: SidebarSource): readonly Specimen[] {
  const key = itemKey(item);
  const viewIn = (state: string, id: string) => {
    const shown = itemIn(item, state);
    // While a list is filtered, what is left is open and stays so.
    const filtered = state === 'disabled' ? filterItems([shown], item.label) : null;
    return listWith([shown], source, id, {
      tree: { open: state === 'expanded' ? new Set([key]) : nothing, closing: nothing },
      ...(filtered && { search: { filtered } }),
    });
  };
  if (item.items.length === 0) {
    return [specimen('link', item.label, viewIn, { key, states: linkStates(item), item })];
  }
  if (item.kind === 'group') {
    return [specimen('link', item.label, viewIn, { key, states: [...linkStates(item), 'disabled'], item })];
  }
  const pages = source.wording.pagesIn.replace('{label}', () => item.label);
  return [
    specimen('link', item.label, viewIn, { key, states: linkStates(item), item }),
    specimen('panel trigger', pages, viewIn, { key: `${key}/panel`, item }),
  ];
}

function annexSpecimens(annex: AnnexItem, source: SidebarSource): readonly Specimen[] {
  const { item } = annex;
  const key = itemKey(item);
  const open = { of: annex, chosen: key, leaving: false, hasSlot: false, open: nothing, closing: nothing };
  const trigger = specimen(
    'annex item',
    item.label,
    (state, id) => {
      const shown = itemIn(item, state);
      const isOpen = state === 'expanded' ? { annex: { ...open, of: { ...annex, item: shown } } } : {};
      return listWith([shown], source, id, { annexKeys: new Set([key]), ...isOpen });
    },
    { key, states: ['rest', 'hover', 'focus', 'pressed', 'expanded', 'current page', 'current section'], item },
  );
  const title = specimen('annex title', `The title of its annex`, (_, id) => {
    const view = sidebarWith([item], source, id, { annexKeys: new Set([key]), annex: open });
    const panels = view.children.flatMap((child) =>
      typeof child !== 'string' && 'attributes' in child && child.attributes['class'] === 'ft-annex' ? [child.key] : [],
    );
    return prunedView(prunedView(view, 'ft-sidebar', panels), 'ft-annex', ['div']);
  });
  return [trigger, title];
}
