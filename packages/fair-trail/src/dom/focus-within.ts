import { isNode } from './nodes.ts';

/** Knows whether focus is within an element, also when what had it has just been taken away or hidden. */
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
  document.addEventListener('focusin', ({ target }) => (wasHere = isNode(target) && root.contains(target)), {
    signal,
  });
  // A press on nothing takes focus away from where it was.
  document.addEventListener(
    'pointerdown',
    ({ target }) => {
      if (!isNode(target) || !root.contains(target)) wasHere = false;
    },
    { signal },
  );
  return {
    isWithin: () => root.matches(':focus-within') || (wasHere && document.activeElement === document.body),
    end: () => listening.abort(),
  };
}
