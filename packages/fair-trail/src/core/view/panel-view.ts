import type { MatchRange } from '../site/filter.ts';
import type { MenuItem } from '../site/menu-item.ts';
import {
  ariaCurrent,
  itemKey,
  linkContent,
  linkView,
  menuView,
  type ActionEvent,
  type MenuViewOptions,
} from './menu-view.ts';
import { remembering } from './remember.ts';
import { element, type ViewElement } from './view.ts';

/**
 * How a panel shows what is below its item: as a plain `list`; `rich`, with summaries beside icons; or in `columns`,
 * each item a heading over those below it.
 */
export type PanelForm = 'list' | 'rich' | 'columns';

export interface PanelViewOptions extends MenuViewOptions {
  /** Of the panel, for its trigger to name. */
  readonly id: string;
  readonly form: PanelForm;
  readonly expanded: boolean;
  /** Whether it is on its way out, and to be seen still. */
  readonly closing: boolean;
  /** Whether it stays open for now, whatever its trigger is asked for. Default: false. */
  readonly fixed?: boolean;
}

/** The form that suits what is below an item. */
export function panelFormOf({ items }: MenuItem): PanelForm {
  // One list within another reads well below its item; several want to stand beside each other.
  if (items.filter((item) => item.items.length > 0).length > 1) return 'columns';
  return items.some((item) => item.summary !== null) ? 'rich' : 'list';
}

/** The trigger of a panel was activated; `id` tells its item from all others. */
export interface PressEvent {
  readonly type: 'press';
  readonly id: string;
}

/**
 * What stands in a bar for an item with others below it, after the disclosure navigation of the ARIA Authoring
 * Practices: a button and its panel, and before them a link where the item is a page itself.
 */
export const panelItemView = remembering(
  newPanelItem,
  ({ wording, icons, id, form, expanded, closing }: PanelViewOptions) => [wording, icons, id, form, expanded, closing],
);

function newPanelItem(item: MenuItem, options: PanelViewOptions): ViewElement<PressEvent | ActionEvent> {
  const { form, id, closing } = options;
  const key = itemKey(item);
  const below = menuView(item.items, { ...options, summaries: form === 'rich' });
  const attributes = { class: 'ft-panel', id, 'data-ft-form': form, 'data-ft-label': item.label, inert: closing };
  const panel = element('div', attributes, [element('div', { class: 'ft-panel-content' }, [below])]);
  const press: PressEvent = { type: 'press', id: key };
  const lead =
    item.kind === 'link'
      ? [linkView(item, options), panelButtonView(item, options, press)]
      : [groupButtonView(item, options, press)];
  return element<PressEvent | ActionEvent>('li', { class: 'ft-menu-item', 'data-ft-item': key }, [...lead, panel], {
    key,
  });
}

function triggerAttributes({ expanded, id, fixed = false }: PanelViewOptions): Readonly<Record<string, string>> {
  const attributes = { type: 'button', 'aria-expanded': String(expanded), 'aria-controls': id };
  return fixed ? { ...attributes, 'aria-disabled': 'true' } : attributes;
}

export const panelSign = element('span', { class: 'ft-panel-sign', 'aria-hidden': 'true' }, [], { key: 'sign' });

/** Beside the link to the item's own page. */
export function panelButtonView(item: MenuItem, options: PanelViewOptions, press: PressEvent): ViewElement<PressEvent> {
  const attributes = {
    class: 'ft-panel-trigger',
    ...triggerAttributes(options),
    'aria-label': options.wording.pagesIn.replace('{label}', () => item.label),
  };
  return element('button', attributes, [panelSign], { click: press });
}

/** The whole item, if there is no page to link to. */
export function groupButtonView(
  item: MenuItem,
  options: PanelViewOptions,
  press: PressEvent,
  ranges?: readonly MatchRange[],
): ViewElement<PressEvent> {
  const attributes = {
    class: 'ft-link ft-panel-trigger',
    ...triggerAttributes(options),
    'aria-current': ariaCurrent(item.mark),
  };
  const content = [...linkContent(item, options, ranges), panelSign];
  return element('button', attributes, content, { click: press });
}
