import { closedDisclosures, type DisclosuresState } from '../core/interaction/disclosures.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import type { DefinedSite } from '../core/site/site.ts';
import { barView } from '../core/view/bar-view.ts';
import { itemKey } from '../core/view/menu-view.ts';
import { panelFormOf } from '../core/view/panel-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import type { Wording } from '../core/wording.ts';
import { itemIn, linkStates, prunedView, specimen, tableOf, type Specimen, type SpecimenTable } from './specimen.ts';

/** What the specimens are made from. */
export interface SpecimenSource {
  readonly site: DefinedSite;
  readonly wording: Wording;
  /** Whether the app draws icons, and brings a brand of its own. */
  readonly icons: boolean;
  readonly brand: boolean;
  /** Whether the bar's menu stands behind its toggle at this width. */
  readonly narrow: boolean;
}

interface BarState {
  readonly id: string;
  readonly expanded?: boolean;
  /** The key of the item whose panel is open. */
  readonly open?: string | null;
  readonly leading?: 'brand' | 'navigation' | 'toggle';
}

/** With one panel open, or none. */
export function panelsWith(open: string | null): DisclosuresState {
  return open === null ? closedDisclosures : { ...closedDisclosures, open: [open] };
}

/** A bar with nothing in it but what is to be seen. */
function barWith(items: readonly MenuItem[], source: SpecimenSource, state: BarState): ViewElement<unknown> {
  const { site, wording, icons, brand, narrow } = source;
  const { id, expanded = false, open = null, leading = 'navigation' } = state;
  const view = barView({
    element: 'div',
    items,
    label: wording.mainNavigation,
    panelId: id,
    expanded,
    panels: panelsWith(open),
    // Without a rung there is room at every width, and with none there never is.
    room: narrow || leading === 'toggle' ? null : 0,
    brandHref: site.home ? hrefOf(site, site.home) : null,
    brandText: site.name,
    slots: { brand, start: false, end: false, icon: icons },
    wording,
  });
  const row = prunedView(view, 'ft-bar-row', [leading === 'brand' ? 'brand' : 'navigation']);
  return leading === 'toggle' ? prunedView(row, 'ft-bar-navigation', ['toggle']) : row;
}

/** The rows of a menu's item: its link, or the button that it is, and the button of its panel beside a link. */
function itemSpecimens(item: MenuItem, source: SpecimenSource): readonly Specimen[] {
  const key = itemKey(item);
  const viewIn = (state: string, id: string) =>
    barWith([itemIn(item, state)], source, { id, open: state === 'expanded' ? key : null });
  const link = specimen('link', item.label, viewIn, { key, states: linkStates(item), item });
  if (item.items.length === 0 || item.kind !== 'link') return [link];
  const trigger = specimen(
    'panel trigger',
    source.wording.pagesIn.replace('{label}', () => item.label),
    viewIn,
    {
      key: `${key}/panel`,
      states: ['rest', 'hover', 'focus', 'pressed', 'expanded'],
      item,
    },
  );
  return [link, trigger];
}

const isShown = ({ kind }: MenuItem) => kind === 'link' || kind === 'group';

export function barTable(items: readonly MenuItem[], source: SpecimenSource): SpecimenTable {
  const [first] = items.filter(isShown);
  const toggle = specimen('toggle', source.wording.menu, (state, id) =>
    barWith(first ? [first] : [], source, { id, leading: 'toggle', expanded: state === 'expanded' }),
  );
  const brand = specimen('brand', source.site.name, (_, id) => barWith([], source, { id, leading: 'brand' }));
  const kept = specimen(
    'link',
    'A place kept until the audience is known',
    (_, id) => barWith(first ? [itemIn(first, 'reserved')] : [], source, { id }),
    { key: 'reserved', states: ['reserved'], find: '.ft-reserved' },
  );
  return tableOf(
    { name: 'bar', title: 'Bar', columnWidth: 9, icons: source.icons },
    [brand, toggle, ...(first ? [kept] : [])],
    items.filter(isShown).flatMap((item) => itemSpecimens(item, source)),
  );
}

/** What stands in the panels under a bar's items, for one item of each form of panel that the menu has. */
export function panelTable(items: readonly MenuItem[], source: SpecimenSource): SpecimenTable | null {
  const holders = items.filter((item) => item.items.length > 0);
  const forms = [...new Map(holders.map((item) => [panelFormOf(item), item] as const)).values()];
  const rows = forms.flatMap((parent) =>
    parent.items.filter(isShown).map((child) => {
      const form = panelFormOf(parent);
      return specimen(
        'link',
        `${parent.label}: ${child.label}`,
        (state, id) => panelWith(parent, itemIn(child, state), { ...source, form }, id),
        {
          key: `${itemKey(parent)}/${itemKey(child)}`,
          // A group in a panel is a title, and its items stand below it.
          states: child.kind === 'group' ? ['rest', 'current section'] : linkStates(child),
          find: child.kind === 'group' ? '.ft-panel .ft-group-label' : '.ft-panel .ft-link',
          item: child,
        },
      );
    }),
  );
  return rows.length > 0
    ? tableOf({ name: 'panel', title: 'Panels of the bar', columnWidth: 12, icons: source.icons }, [], rows)
    : null;
}

function panelWith(
  parent: MenuItem,
  child: MenuItem,
  source: SpecimenSource & { readonly form: string },
  id: string,
): ViewElement<unknown> {
  return barWith([{ ...parent, items: [child] }], source, { id, open: itemKey(parent) });
}
