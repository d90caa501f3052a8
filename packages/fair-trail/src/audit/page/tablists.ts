import { deepElements } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isDrawn, isExposed } from '../../reading/visible.ts';

/** A list of tabs, as it is to be used. */
export interface FoundTablist {
  readonly selector: string;
  readonly html: string;
  readonly fingerprint: string;
  readonly isVertical: boolean;
  readonly tabs: readonly FoundTab[];
}

export interface FoundTab {
  readonly selector: string;
  readonly html: string;
  readonly isSelected: boolean;
  /** Whether Tab stops at it. */
  readonly isStop: boolean;
}

export function tablistsOf(document: Document): readonly FoundTablist[] {
  return deepElements(document, '[role~="tablist"]')
    .filter((list) => roleOf(list) === 'tablist' && isExposed(list) && isDrawn(list))
    .map((list) => ({
      selector: selectorOf(list),
      html: tagOf(list),
      fingerprint: `tablist ${list.id} ${list.className} ${list.textContent}`.replaceAll(/\s+/gu, ' '),
      isVertical: list.getAttribute('aria-orientation') === 'vertical',
      tabs: deepElements(list, '[role~="tab"]')
        .filter((tab) => isExposed(tab) && isDrawn(tab) && !tab.matches(':disabled, [aria-disabled="true"]'))
        .map((tab) => ({
          selector: selectorOf(tab),
          html: tagOf(tab),
          isSelected: tab.getAttribute('aria-selected') === 'true',
          isStop: tab.tabIndex >= 0,
        })),
    }))
    .filter(({ tabs }) => tabs.length > 1);
}
