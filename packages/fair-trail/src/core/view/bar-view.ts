import { closedDisclosures, type DisclosuresState } from '../interaction/disclosures.ts';
import { flexName } from '../layout/flex.ts';
import type { MenuItem } from '../site/menu-item.ts';
import type { Wording } from '../wording.ts';
import { itemKey, listView, menuItemView, type ActionEvent } from './menu-view.ts';
import { panelFormOf, panelItemView, type PanelForm, type PressEvent } from './panel-view.ts';
import { element, slot, type ViewElement, type ViewNode } from './view.ts';

/** What the elements of a bar report. */
export type BarViewEvent = ToggleEvent | PressEvent | ActionEvent;

/** The toggle of a menu was activated. */
export interface ToggleEvent {
  readonly type: 'toggle';
}

/**
 * What becomes of a bar's menu where room is short: a `panel` below the bar behind a toggle; the same over the whole
 * `screen`; a `strip` that scrolls sideways; or a row of those that fit, with the rest behind a toggle (`more`).
 */
export type NarrowForm = 'panel' | 'screen' | 'strip' | 'more';

export interface BarViewOptions {
  /** Default: `header`, which is the page's banner where it is in no article or section. */
  readonly element?: 'header' | 'div';
  readonly items: readonly MenuItem[];
  /** The name of the navigation landmark. */
  readonly label: string;
  /** The id that the toggle names as what it controls; the panels' ids begin with it. */
  readonly panelId: string;
  readonly expanded: boolean;
  /** Whether the menu is on its way out, and to be seen still. Default: false. */
  readonly closing?: boolean;
  /** Default: all panels are closed. */
  readonly panels?: DisclosuresState;
  /** The form of a panel, by the key of its item; without one, what suits its content. */
  readonly panelForms?: PanelForm | Readonly<Record<string, PanelForm>>;
  /** Default: `panel`. */
  readonly whenNarrow?: NarrowForm;
  /** Whether the end slot stays in the row, or is in the menu's panel where room is short. Default: `row`. */
  readonly endPlace?: 'row' | 'panel';
  /** Whether the room for the end slot beside the toggle has not been measured yet. Default: false. */
  readonly isEndToMeasure?: boolean;
  /** The keys of the items that do not fit (`more`); null while that has not been measured. Default: null. */
  readonly beyond?: readonly string[] | null;
  /** The least room, in em, in which the items stand in a row; null if no room is enough. */
  readonly room: number | null;
  /** Where the brand leads; null makes it plain text. */
  readonly brandHref: string | null;
  /** The brand's text where the app brings no brand of its own. Empty: there is no brand. */
  readonly brandText: string;
  /** The slots that the app fills. */
  readonly slots: { readonly brand: boolean; readonly start: boolean; readonly end: boolean; readonly icon: boolean };
  readonly wording: Wording;
  /** What is behind open panels, or the open menu, is dimmed. Default: neither. */
  readonly backdrop?: 'panels' | 'menu' | 'both';
  /** Whether the bar stays in view as the page scrolls. Default: it does not. */
  readonly pinned?: 'sticky' | 'fixed';
  /** How the bar has given way to the content now. Default: it has not. */
  readonly away?: 'shrink' | 'hide';
  /** Default: as wide as the content. */
  readonly extent?: 'content' | 'window';
  /** Default: as the stylesheet has it. */
  readonly justify?: 'start' | 'center' | 'end' | 'space-between' | 'stretch';
}

const toggled: ToggleEvent = { type: 'toggle' };

/**
 * A navigation bar: brand, start slot, the menu with its toggle, end slot. The order in the document is the order on
 * screen, so that focus never jumps; but a strip that is narrow stands below the end slot.
 */
export function barView(options: BarViewOptions): ViewElement<BarViewEvent> {
  const { slots, items, whenNarrow = 'panel' } = options;
  // A strip and a row of those that fit have no panel that more could stand in.
  const hasPanel = whenNarrow === 'panel' || whenNarrow === 'screen';
  const endInPanel = options.endPlace === 'panel' && hasPanel;
  const end = slots.end ? slotView('end') : null;
  const panelAttributes = { class: 'ft-bar-panel', id: options.panelId, inert: options.closing === true };
  const panel = element<BarViewEvent>(
    'div',
    panelAttributes,
    [listView(items.map((item, index) => barItemView(item, index, options))), endInPanel ? end : null],
    { key: 'menu' },
  );
  const parts: Readonly<Record<NarrowForm, readonly ViewNode<BarViewEvent>[]>> = {
    panel: [toggleView(options), panel],
    screen: [toggleView(options), panel],
    strip: [panel],
    // What is behind this toggle stands below it, and those that fit before it.
    more: [panel, toggleView(options)],
  };
  const navigation = element('nav', { class: 'ft-bar-navigation', 'aria-label': options.label }, parts[whenNarrow], {
    key: 'navigation',
  });
  const rowAttributes = {
    class: 'ft-bar-row',
    'data-ft-row': true,
    'data-ft-room': roomName(options.room),
    'data-ft-form': whenNarrow,
    'data-ft-fit': fitName(options),
    'data-ft-unmeasured': options.isEndToMeasure === true && hasPanel && slots.end && !options.expanded,
  };
  const row = element<BarViewEvent>('div', rowAttributes, [
    brandView(options),
    slots.start ? slotView('start') : null,
    items.length > 0 ? navigation : null,
    endInPanel && items.length > 0 ? null : end,
  ]);
  // The row's rules depend on the room around it, so that room is an element of its own for container queries to ask.
  const room = element('div', { class: 'ft-bar-room' }, [row]);
  const attributes = {
    class: 'ft-bar',
    'data-ft-backdrop': options.backdrop ?? null,
    'data-ft-pinned': options.pinned ?? null,
    'data-ft-away': options.away ?? null,
    'data-ft-extent': options.extent ?? null,
    'data-ft-justify': options.justify ?? null,
  };
  return element(options.element ?? 'header', attributes, [room]);
}

export function roomName(room: number | null): string {
  return room === null ? 'never' : String(room);
}

/** Once it has been measured which items fit, that is what counts, and no longer the estimate. */
function fitName({ whenNarrow, beyond = null }: BarViewOptions): string | null {
  if (whenNarrow !== 'more' || beyond === null) return null;
  return beyond.length > 0 ? 'some' : 'all';
}

function toggleView({ expanded, panelId, wording, whenNarrow }: BarViewOptions): ViewElement<ToggleEvent> {
  const attributes = {
    class: 'ft-toggle',
    type: 'button',
    'aria-expanded': String(expanded),
    'aria-controls': panelId,
  };
  const more = whenNarrow === 'more';
  const sign = element('span', { class: more ? 'ft-panel-sign' : 'ft-toggle-sign', 'aria-hidden': 'true' }, [], {
    key: 'sign',
  });
  // The word may change with the state, since a screen that is covered has nothing else to say how to get out.
  const word = more ? wording.more : whenNarrow === 'screen' && expanded ? wording.close : wording.menu;
  const label = element('span', { class: 'ft-label' }, [word]);
  return element('button', attributes, more ? [label, sign] : [sign, label], { key: 'toggle', click: toggled });
}

function brandView({ brandHref, brandText, slots }: BarViewOptions): ViewElement | null {
  if (!slots.brand && brandText === '') return null;
  const content: ViewNode = slots.brand ? slot('brand') : brandText;
  const attributes = { class: 'ft-brand', href: brandHref };
  return element(brandHref === null ? 'span' : 'a', attributes, [content], { key: 'brand' });
}

function slotView(name: 'start' | 'end'): ViewElement {
  return element('div', { class: `ft-bar-${name}` }, [slot(name)], { key: name });
}

function barItemView(item: MenuItem, index: number, options: BarViewOptions): ViewElement<PressEvent | ActionEvent> {
  const { panels = closedDisclosures, panelForms, beyond, wording, slots } = options;
  const key = itemKey(item);
  const shared = { wording, icons: slots.icon };
  const view =
    item.items.length === 0
      ? menuItemView(item, index, shared)
      : panelItemView(item, {
          ...shared,
          id: `${options.panelId}-${index}`,
          form: (typeof panelForms === 'object' ? panelForms[key] : panelForms) ?? panelFormOf(item),
          expanded: panels.open.includes(key),
          closing: panels.closing.includes(key),
        });
  const flex = flexName(item.entry?.flex ?? null);
  const isBeyond = beyond?.includes(key) === true;
  // A panel's trigger stands beside its link: what has one is as wide as it is.
  const keeps = item.items.length === 0 && item.longest !== null ? sortedLetters(item.longest) : null;
  if (flex === null && keeps === null && !isBeyond) return view;
  const added = {
    ...(flex !== null && { 'data-ft-flex': flex }),
    ...(keeps !== null && { 'data-ft-keeps': keeps }),
    ...(isBeyond && { 'data-ft-beyond': '' }),
  };
  return { ...view, attributes: { ...view.attributes, ...added } };
}

/** Text of the same width that does not give the label away: the document may go to visitors who must not see it. */
function sortedLetters(text: string): string {
  return Array.from(text).sort().join('');
}
