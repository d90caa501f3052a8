import type { DisclosureEvent } from '../interaction/disclosure.ts';
import type { MenuItem } from '../site/menus.ts';
import type { Wording } from '../wording.ts';
import { menuView } from './menu-view.ts';
import { element, slot, type ViewElement, type ViewNode } from './view.ts';

export interface BarViewOptions {
  /** Default: `header`, which is the page's banner where it is in no article or section. */
  readonly element?: 'header' | 'div';
  readonly items: readonly MenuItem[];
  /** The name of the navigation landmark. */
  readonly label: string;
  /** The id that the toggle names as what it controls. */
  readonly panelId: string;
  readonly expanded: boolean;
  /** The least room, in em, in which the items stand in a row; null where no room is enough. */
  readonly room: number | null;
  /** Where the brand leads; null makes it plain text. */
  readonly brandHref: string | null;
  /** The brand's text where the app brings no brand of its own. */
  readonly brandText: string;
  /** The slots that the app fills. */
  readonly slots: { readonly brand: boolean; readonly start: boolean; readonly end: boolean; readonly icon: boolean };
  readonly wording: Wording;
}

const toggled: DisclosureEvent = { type: 'toggle' };

/**
 * A navigation bar: brand, start slot, the menu with its toggle, end slot. The order in the document is the order on
 * screen at every width, so that focus never jumps.
 */
export function barView(options: BarViewOptions): ViewElement {
  const { slots, wording } = options;
  const toggle = element(
    'button',
    {
      class: 'ft-toggle',
      type: 'button',
      'aria-expanded': String(options.expanded),
      'aria-controls': options.panelId,
    },
    [
      element('span', { class: 'ft-toggle-sign', 'aria-hidden': 'true' }, [], { key: 'sign' }),
      element('span', { class: 'ft-label' }, [wording.menu]),
    ],
    { on: { click: toggled } },
  );
  const items = options.items.flatMap(inRow);
  const panel = element('div', { class: 'ft-bar-panel', id: options.panelId }, [
    menuView(items, { wording, icons: slots.icon, nested: false }),
  ]);
  const navigation = element('nav', { class: 'ft-bar-navigation', 'aria-label': options.label }, [toggle, panel]);
  const row = element('div', { class: 'ft-bar-row', 'data-ft-room': roomName(options.room) }, [
    brandView(options),
    slots.start ? slotView('start') : null,
    items.length > 0 ? navigation : null,
    slots.end ? slotView('end') : null,
  ]);
  // The row's rules depend on the room around it, so that room is an element of its own for container queries to ask.
  const room = element('div', { class: 'ft-bar-room' }, [row]);
  return element(options.element ?? 'header', { class: 'ft-bar' }, [room]);
}

export function roomName(room: number | null): string {
  return room === null ? 'never' : String(room);
}

function brandView({ brandHref, brandText, slots }: BarViewOptions): ViewElement {
  const content: ViewNode = slots.brand ? slot('brand') : brandText;
  const attributes = { class: 'ft-brand', href: brandHref };
  return element(brandHref === null ? 'span' : 'a', attributes, [content], { key: 'brand' });
}

function slotView(name: 'start' | 'end'): ViewElement {
  return element('div', { class: `ft-bar-${name}` }, [slot(name)], { key: name });
}

/** A bar is one row of links: an item's own link stands in it without those below, a group gives its items instead. */
function inRow(item: MenuItem): readonly MenuItem[] {
  return item.kind === 'group' ? item.items.flatMap(inRow) : [item];
}
