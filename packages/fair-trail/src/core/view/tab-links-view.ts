import { closedDisclosures, type DisclosuresState } from '../interaction/disclosures.ts';
import type { MenuItem } from '../site/menu-item.ts';
import type { Wording } from '../wording.ts';
import { itemKey, listView, menuItemView, type ActionEvent } from './menu-view.ts';
import { panelFormOf, panelItemView, type PressEvent } from './panel-view.ts';
import { element, type ViewElement } from './view.ts';

export interface TabLinksViewOptions {
  readonly items: readonly MenuItem[];
  /** The name of the navigation landmark. */
  readonly label: string;
  /** Begins the ids of panels. */
  readonly idPrefix: string;
  /** Whether the links share the whole room. */
  readonly fills: boolean;
  /** Default: all panels are closed. */
  readonly panels?: DisclosuresState;
  readonly icons: boolean;
  readonly wording: Wording;
}

/** A strip of links that looks like tabs. They are links: each leads to a page, and the current one says so. */
export function tabLinksView(options: TabLinksViewOptions): ViewElement<PressEvent | ActionEvent> {
  const { items, label, fills, idPrefix, panels = closedDisclosures, icons, wording } = options;
  const views = items.map((item, index): ViewElement<PressEvent | ActionEvent> => {
    if (item.items.length === 0) return menuItemView(item, index, { wording, icons });
    const key = itemKey(item);
    return panelItemView(item, {
      wording,
      icons,
      id: `${idPrefix}-${index}`,
      form: panelFormOf(item),
      expanded: panels.open.includes(key),
      closing: panels.closing.includes(key),
    });
  });
  const row = element('div', { class: 'ft-tab-row', 'data-ft-row': true }, [listView(views)]);
  const attributes = { class: 'ft-tab-links', 'aria-label': label, 'data-ft-widths': fills ? 'filling' : 'natural' };
  return element('nav', attributes, [row]);
}
