import type { TabsState } from '../interaction/tabs.ts';
import type { PressEvent } from './panel-view.ts';
import { documentId, element, slot, type ViewElement } from './view.ts';

/** One tab, as the app describes it. */
export interface TabDescription {
  readonly id: string;
  readonly label: string;
  /** The name of its icon. */
  readonly icon?: string;
  /** Shown beside its label. */
  readonly badge?: string;
  /** Default: false. */
  readonly disabled?: boolean;
}

export type TabsOrientation = 'horizontal' | 'vertical';

export interface TablistViewOptions {
  readonly tabs: readonly TabDescription[];
  readonly state: TabsState;
  /** The name of the tablist. */
  readonly label: string;
  /** Begins the ids of tabs and panels. */
  readonly idPrefix: string;
  readonly orientation: TabsOrientation;
  /** Whether the tabs share the whole room. */
  readonly fills: boolean;
  /** Whether the app draws icons. */
  readonly icons: boolean;
  /** The ids of the panels that are in the document: a tab names no other. */
  readonly panels: readonly string[];
}

/** Tabs with their panels, which the app arranges: a tablist, and a panel for each tab. */
export function tabsView(orientation: TabsOrientation): ViewElement {
  return element('div', { class: 'ft-tabs', 'data-ft-orientation': orientation }, [slot('children')]);
}

/** The row of tabs, after the tabs pattern of the ARIA Authoring Practices. */
export function tablistView(options: TablistViewOptions): ViewElement<PressEvent> {
  const { tabs, label, orientation, fills } = options;
  const attributes = {
    class: 'ft-tablist',
    role: 'tablist',
    'aria-label': label,
    'aria-orientation': orientation === 'vertical' ? 'vertical' : null,
    'data-ft-widths': fills ? 'filling' : 'natural',
  };
  const list = tabs.map((tab) => tabView(tab, options));
  return element('div', attributes, list);
}

export function tabView(tab: TabDescription, options: TablistViewOptions): ViewElement<PressEvent> {
  const { state, idPrefix, icons, panels } = options;
  const { id, label, icon, badge, disabled = false } = tab;
  const attributes = {
    class: 'ft-tab',
    type: 'button',
    role: 'tab',
    id: tabId(idPrefix, id),
    'aria-selected': String(state.selected === id),
    'aria-controls': panels.includes(id) ? panelId(idPrefix, id) : null,
    // Disabled tabs can be read about, and so they are not taken out of the document's order by the browser.
    'aria-disabled': disabled ? 'true' : null,
    tabindex: state.reachable === id ? '0' : '-1',
    'data-ft-tab': id,
  };
  const content = [
    icons && icon !== undefined ? slot('icon', icon) : null,
    element('span', { class: 'ft-label' }, [label]),
    badge === undefined ? null : element('span', { class: 'ft-badge' }, [badge], { key: 'badge' }),
  ];
  return element<PressEvent>('button', attributes, content, { key: `tab/${id}`, click: { type: 'press', id } });
}

export interface TabpanelViewOptions {
  readonly id: string;
  readonly label: string;
  readonly selected: boolean;
  readonly idPrefix: string;
}

/**
 * What a tab shows. One that is not selected is hidden by the stylesheet, and only where scripts are at work: without them
 * all panels stand below each other, each below its label.
 */
export function tabpanelView({ id, label, selected, idPrefix }: TabpanelViewOptions): ViewElement {
  const attributes = {
    class: 'ft-tabpanel',
    role: 'tabpanel',
    id: panelId(idPrefix, id),
    'aria-labelledby': tabId(idPrefix, id),
    tabindex: '0',
    'data-ft-label': label,
    'data-ft-unselected': !selected,
  };
  return element('div', attributes, [slot('content')]);
}

function tabId(prefix: string, id: string): string {
  return documentId(`${prefix}-tab`, id);
}

function panelId(prefix: string, id: string): string {
  return documentId(`${prefix}-panel`, id);
}
