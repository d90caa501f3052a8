import type { DisclosuresEffect, DisclosuresEvent } from '../core/index.ts';
import { whenAnimated } from './animations.ts';

/** The parts of a document that a panel is made of. */
export interface PanelParts {
  readonly item: HTMLElement;
  readonly trigger: HTMLElement;
  readonly panel: HTMLElement;
}

/** The panel of a bar's item, by the item's key. */
export function findPanel(root: ParentNode, id: string): PanelParts | null {
  const item = root.querySelector<HTMLElement>(`[data-ft-item="${CSS.escape(id)}"]`);
  const trigger = item?.querySelector<HTMLElement>(':scope > .ft-panel-trigger');
  const panel = item?.querySelector<HTMLElement>(':scope > .ft-panel');
  return item && trigger && panel ? { item, trigger, panel } : null;
}

/** Carries out what a set of panels asks for, once the document shows their new state. */
export function carryOutPanels(
  root: HTMLElement,
  effect: DisclosuresEffect,
  send: (event: DisclosuresEvent) => void,
): void {
  const parts = findPanel(root, effect.id);
  if (effect.type === 'focus-trigger') parts?.trigger.focus();
  else whenAnimated(parts?.panel ?? null, () => send({ type: 'closed', id: effect.id }));
}

/**
 * Tells the machine of a set of panels what happens around them: Escape, a press or focus elsewhere, a link chosen.
 *
 * @param isOutside whether an element is elsewhere for these panels
 * @returns ends it and leaves nothing behind
 */
export function listenWhileOpen(root: HTMLElement, send: (event: DisclosuresEvent) => void): () => void {
  const { ownerDocument: document } = root;
  const listening = new AbortController();
  const { signal } = listening;
  const holder = (target: EventTarget | null) => {
    const item = target instanceof Element ? target.closest('[data-ft-item]') : null;
    return item && root.contains(item) ? item : null;
  };

  // Before the bar's own menu hears it: of two things that are open, Escape closes the inner one.
  document.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Escape' || event.defaultPrevented || event.isComposing) return;
      const { activeElement } = document;
      event.preventDefault();
      send({ type: 'escape', focusWithin: holder(activeElement) !== null || activeElement === document.body });
    },
    { signal, capture: true },
  );
  document.addEventListener(
    'pointerdown',
    (event) => {
      if (holder(event.composedPath()[0] ?? null) === null) send({ type: 'outside' });
    },
    { signal },
  );
  root.addEventListener(
    'focusout',
    (event) => {
      // Without a next element, focus went to nothing or to another window: neither is leaving.
      const next = event.relatedTarget;
      if (next instanceof Element && holder(next) !== holder(event.target)) send({ type: 'focus-left' });
    },
    { signal },
  );
  root.addEventListener(
    'click',
    (event) => {
      if (event.button !== 0 || event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return;
      const isLink = event.composedPath().some((target) => target instanceof Element && target.matches('a[href]'));
      if (isLink) send({ type: 'chosen' });
    },
    { signal },
  );
  return () => listening.abort();
}
