import { isPlainClick, linkAround } from './clicks.ts';
import { focusedAround } from './focus.ts';
import { isElement } from './nodes.ts';

/** What may close something that is open. Focus that is on nothing at all counts as within. */
export type LeavingEvent =
  | { readonly type: 'escape'; readonly focusWithin: boolean }
  | { readonly type: 'outside' }
  | { readonly type: 'focus-left' }
  | { readonly type: 'chosen' };

export interface Leaving {
  /** Holds all that is open, with its triggers. */
  readonly root: HTMLElement;
  /** The part of it that a target lies in, null for elsewhere: to go from one part to another is to leave the first. */
  readonly partOf: (target: EventTarget | null) => Element | null;
  /** Whether it lies within something else that may be open: of two, Escape closes the inner one. */
  readonly inner: boolean;
}

/**
 * Tells what happens around something open: Escape, a press or focus elsewhere, a link or an action chosen.
 *
 * @returns a function that stops listening and leaves nothing behind
 */
export function listenForLeaving({ root, partOf, inner }: Leaving, send: (event: LeavingEvent) => void): () => void {
  const { ownerDocument: document } = root;
  const listening = new AbortController();
  const { signal } = listening;
  document.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Escape' || event.defaultPrevented || event.isComposing) return;
      if (inner) event.preventDefault();
      const isNowhere = document.activeElement === document.body;
      send({ type: 'escape', focusWithin: isNowhere || partOf(focusedAround(root)) !== null });
    },
    { signal, capture: inner },
  );
  document.addEventListener(
    'pointerdown',
    (event) => {
      // The composed path sees what is pressed inside of shadow roots.
      if (!event.composedPath().some((target) => partOf(target) !== null)) send({ type: 'outside' });
    },
    { signal },
  );
  root.addEventListener(
    'focusout',
    (event) => {
      // Without a next element, focus went to nothing or to another window: neither is leaving.
      if (event.relatedTarget && partOf(event.relatedTarget) !== partOf(event.target)) send({ type: 'focus-left' });
    },
    { signal },
  );
  root.addEventListener(
    'click',
    (event) => {
      // With an action no one goes elsewhere: the reader is back at what opened it.
      if (isElement(event.target) && event.target.closest('[data-ft-action]') && partOf(event.target) !== null) {
        send({ type: 'escape', focusWithin: true });
        return;
      }
      const link = isPlainClick(event) ? linkAround(event) : null;
      // What is a link only for those without scripts leads nowhere else.
      if (link && link.getAttribute('role') !== 'button') send({ type: 'chosen' });
    },
    { signal },
  );
  return () => listening.abort();
}
