import type { TabsEffect, TabsEvent } from '../core/interaction/tabs.ts';
import type { TabsOrientation } from '../core/view/tabs-view.ts';
import { isElement, isNode } from './nodes.ts';

const tabSelector = '[role="tab"]';

/** The tab of a set, by its id. */
function findTab(root: HTMLElement, id: string): HTMLElement | null {
  return root.querySelector<HTMLElement>(`[data-ft-tab="${CSS.escape(id)}"]`);
}

/** Moves focus to a tab. What is selected is the app's to hear of. */
export function carryOutTabs(root: HTMLElement, effect: TabsEffect & { readonly type: 'focus' }): void {
  findTab(root, effect.id)?.focus({ preventScroll: true });
}

/**
 * Tells the machine of a set of tabs of keys on them, and of focus that leaves them.
 *
 * @param tablist holds the tabs
 * @returns a function that stops listening
 */
export function listenForTabKeys(
  tablist: HTMLElement,
  orientation: TabsOrientation,
  send: (event: TabsEvent) => void,
): () => void {
  const listening = new AbortController();
  const { signal } = listening;
  tablist.addEventListener(
    'keydown',
    (event) => {
      if (event.defaultPrevented || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
      if (!isElement(event.target) || !event.target.closest(tabSelector)) return;
      const { key } = event;
      const direction = getComputedStyle(tablist).direction === 'rtl' ? 'rtl' : 'ltr';
      const arrows = orientation === 'vertical' ? ['ArrowUp', 'ArrowDown'] : ['ArrowLeft', 'ArrowRight'];
      if (!['Home', 'End', ...arrows].includes(key)) return;
      // The page must not scroll by what walks along the tabs.
      event.preventDefault();
      send({ type: 'key', key, orientation, direction });
    },
    { signal },
  );
  tablist.addEventListener(
    'focusout',
    ({ relatedTarget }) => {
      if (!isNode(relatedTarget) || !tablist.contains(relatedTarget)) send({ type: 'focus-left' });
    },
    { signal },
  );
  return () => listening.abort();
}
