import type { TabsEffect, TabsEvent, TabsOrientation } from '../core/index.ts';

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
 * @returns ends it
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
      if (!(event.target instanceof Element) || !event.target.closest(tabSelector)) return;
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
      if (!(relatedTarget instanceof Node) || !tablist.contains(relatedTarget)) send({ type: 'focus-left' });
    },
    { signal },
  );
  return () => listening.abort();
}

/** Knows whether focus is within an element, also when what had it has just been taken away. */
export interface FocusWatch {
  readonly isWithin: () => boolean;
  readonly end: () => void;
}

/** What is taken away takes its focus along, and not every browser says so: it is then on nothing, and was here last. */
export function watchFocusWithin(root: HTMLElement): FocusWatch {
  const { ownerDocument: document } = root;
  let wasHere = root.matches(':focus-within');
  const listening = new AbortController();
  const { signal } = listening;
  document.addEventListener('focusin', ({ target }) => (wasHere = target instanceof Node && root.contains(target)), {
    signal,
  });
  // A press on nothing takes focus away from where it was.
  document.addEventListener(
    'pointerdown',
    ({ target }) => {
      if (!(target instanceof Node) || !root.contains(target)) wasHere = false;
    },
    { signal },
  );
  return {
    isWithin: () => root.matches(':focus-within') || (wasHere && document.activeElement === document.body),
    end: () => listening.abort(),
  };
}
