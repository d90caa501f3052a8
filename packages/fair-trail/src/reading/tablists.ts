import { accessibleNameWhenShown } from './accessible-name.ts';
import { deepElements } from './deep-elements.ts';
import { roleOf } from './role.ts';
import type { Elements } from './elements.ts';
import type { TablistReading, TabpanelReading, TabReading } from './page-reading.ts';
import { isInReach } from './reach.ts';

export function tablistsOf(document: Document, elements: Elements): readonly TablistReading[] {
  return deepElements(document, '[role~="tablist"]')
    .filter((list) => roleOf(list) === 'tablist' && isInReach(list))
    .map((list) => ({
      element: elements.numberOf(list),
      name: accessibleNameWhenShown(list, 'tablist'),
      orientation: list.getAttribute('aria-orientation') === 'vertical' ? 'vertical' : 'horizontal',
      direction: list.ownerDocument.defaultView?.getComputedStyle(list).direction === 'rtl' ? 'rtl' : 'ltr',
      tabs: deepElements(list, '[role~="tab"]').map((tab) => readTab(tab, elements)),
    }));
}

function readTab(tab: Element, elements: Elements): TabReading {
  return {
    element: elements.numberOf(tab),
    name: accessibleNameWhenShown(tab, 'tab'),
    isSelected: tab.getAttribute('aria-selected') === 'true',
    isDisabled: tab.matches(':disabled, [aria-disabled="true"]'),
    panel: panelOf(tab),
  };
}

/** The panel that the tab says it controls, or that says it is named by the tab (ARIA Authoring Practices, tabs pattern). */
function panelOf(tab: Element): TabpanelReading | null {
  const scope = tab.getRootNode() as Document | ShadowRoot;
  const names = (element: Element, attribute: string, id: string) =>
    id !== '' && element.getAttribute(attribute)?.split(/\s+/u).includes(id) === true;
  const isOwn = (panel: Element) => names(tab, 'aria-controls', panel.id) || names(panel, 'aria-labelledby', tab.id);
  const panel = [...scope.querySelectorAll('[role~="tabpanel"]')].find(isOwn);
  return panel ? { name: accessibleNameWhenShown(panel, 'tabpanel'), isShown: isInReach(panel) } : null;
}
