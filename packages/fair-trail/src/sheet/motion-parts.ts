import { closedDisclosures } from '../core/interaction/disclosures.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { barView } from '../core/view/bar-view.ts';
import { itemKey } from '../core/view/menu-view.ts';
import type { SidebarViewOptions } from '../core/view/sidebar-view.ts';
import { annexItems } from '../core/view/tree-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import { everyItem } from './every-item.ts';
import { panelsWith, type SpecimenSource } from './specimens-bar.ts';
import { sidebarWith } from './specimens-sidebar.ts';

/** A part that opens and closes, as it is on its way in and on its way out. */
export interface MovingPart {
  readonly name: string;
  readonly title: string;
  readonly opening: ViewElement<unknown>;
  readonly closing: ViewElement<unknown>;
  /** Finds what moves, in either. */
  readonly find: string;
  /** Finds the control that opens it, on a page. */
  readonly control: string;
}

export interface MotionSource extends SpecimenSource {
  readonly barItems: readonly MenuItem[];
  readonly sidebarItems: readonly MenuItem[];
  readonly annex: readonly string[];
}

/** Every part of the site's own menus that opens and closes. */
export function movingParts(source: MotionSource): readonly MovingPart[] {
  return [...barParts(source), ...sidebarParts(source)];
}

function barParts({ barItems, wording, icons, site }: MotionSource): readonly MovingPart[] {
  const view = (items: readonly MenuItem[], more: Partial<Parameters<typeof barView>[0]>) =>
    barView({
      items,
      label: wording.mainNavigation,
      panelId: 'motion-bar',
      expanded: false,
      room: 0,
      brandHref: null,
      brandText: site.name,
      slots: { brand: false, start: false, end: false, icon: icons },
      wording,
      ...more,
    });
  const menu: MovingPart = {
    name: 'menu',
    title: 'The menu behind the bar’s toggle',
    opening: view(barItems.slice(0, 1), { room: null, expanded: true }),
    closing: view(barItems.slice(0, 1), { room: null, closing: true }),
    find: '.ft-bar-panel',
    control: '.ft-bar .ft-toggle',
  };
  const holder = barItems.find((item) => item.items.length > 0);
  if (!holder) return [menu];
  const key = itemKey(holder);
  const panel: MovingPart = {
    name: 'panel',
    title: 'A panel under an item of the bar',
    opening: view([holder], { panels: panelsWith(key) }),
    closing: view([holder], { panels: { ...closedDisclosures, closing: [key] } }),
    find: '.ft-panel',
    control: '.ft-bar .ft-panel-trigger',
  };
  const content: MovingPart = {
    ...panel,
    name: 'content',
    title: 'The content of a panel, after its frame',
    find: '.ft-panel-content',
  };
  return [panel, content, menu];
}

const nothing: ReadonlySet<string> = new Set();

function sidebarParts({ sidebarItems, wording, icons, annex }: MotionSource): readonly MovingPart[] {
  const view = (items: readonly MenuItem[], more: Partial<SidebarViewOptions>) =>
    sidebarWith(items, { wording, icons }, 'motion-sidebar', more);
  const parts: MovingPart[] = [
    {
      name: 'sidebar',
      title: 'The sidebar over the page',
      opening: view([], { alwaysToggle: true, expanded: true }),
      closing: view([], { alwaysToggle: true, closing: true }),
      find: '.ft-sidebar-panel',
      control: '.ft-sidebar-toggle',
    },
    {
      name: 'rail',
      title: 'The sidebar as a rail',
      opening: view([], { rail: 'full' }),
      closing: view([], { rail: 'narrow' }),
      find: '.ft-sidebar-panel',
      control: '.ft-rail-button',
    },
  ];
  const annexes = annexItems(sidebarItems, annex);
  const group = [...everyItem(sidebarItems)].find(
    (item) => item.items.length > 0 && item.entry !== null && !annexes.has(itemKey(item)),
  );
  if (group) {
    const id = new Set([itemKey(group)]);
    parts.push({
      name: 'group',
      title: 'A group of the sidebar',
      opening: view([group], { tree: { open: id, closing: nothing } }),
      closing: view([group], { tree: { open: nothing, closing: id } }),
      find: '.ft-panel',
      control: '.ft-sidebar .ft-panel-trigger',
    });
  }
  const [first] = annexes.values();
  if (first) {
    const open = { of: first, chosen: itemKey(first.item), hasSlot: false, open: nothing, closing: nothing };
    parts.push({
      name: 'annex',
      title: 'The annex of the sidebar',
      opening: view([], { annex: { ...open, leaving: false } }),
      closing: view([], { annex: { ...open, leaving: true } }),
      find: '.ft-annex',
      control: '.ft-annex-trigger',
    });
  }
  return parts;
}
