import type { DisclosureEffect, DisclosureEvent } from '../core/index.ts';

/** The parts of a disclosure in a document. */
export interface DisclosureParts {
  /** Holds trigger and panel; what happens outside of it closes the panel. */
  readonly root: HTMLElement;
  readonly trigger: HTMLElement;
  readonly panel: HTMLElement;
}

/**
 * Tells an open disclosure's machine what happens around it: Escape, a press or focus elsewhere, a link chosen.
 *
 * @returns ends it and leaves nothing behind
 */
export function listenWhileExpanded(
  { root, panel }: DisclosureParts,
  send: (event: DisclosureEvent) => void,
): () => void {
  const { ownerDocument: document } = root;
  const listening = new AbortController();
  const { signal } = listening;
  const isInside = (target: EventTarget | null) => target instanceof Node && root.contains(target);

  document.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Escape' || event.defaultPrevented || event.isComposing) return;
      // With focus on nothing at all, the open panel is what Escape is meant for.
      const { activeElement } = document;
      send({ type: 'escape', focusWithin: isInside(activeElement) || activeElement === document.body });
    },
    { signal },
  );
  document.addEventListener(
    'pointerdown',
    (event) => {
      if (!event.composedPath().includes(root)) send({ type: 'outside' });
    },
    { signal },
  );
  root.addEventListener(
    'focusout',
    (event) => {
      // Without a next element, focus went to nothing or to another window: neither is leaving.
      if (event.relatedTarget && !isInside(event.relatedTarget)) send({ type: 'focus-left' });
    },
    { signal },
  );
  panel.addEventListener(
    'click',
    (event) => {
      if (event.button !== 0 || event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return;
      if (event.composedPath().some((target) => target instanceof Element && target.matches('a[href]'))) {
        send({ type: 'chosen' });
      }
    },
    { signal },
  );
  return () => listening.abort();
}

export function carryOutDisclosure({ trigger, panel }: DisclosureParts, effect: DisclosureEffect): void {
  const target = effect.target === 'trigger' ? trigger : panel.querySelector<HTMLElement>('a[href], button');
  target?.focus();
}
