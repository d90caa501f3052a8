import { nextCondense, notCondensed } from '../core/interaction/condense.ts';

/**
 * Tells whether a bar gives way to the content as the page is scrolled. It stays where focus is in it, and while
 * something in it is expanded.
 *
 * @returns a function that stops listening
 */
export function watchCondense(bar: HTMLElement, report: (away: boolean) => void): () => void {
  const { ownerDocument: document } = bar;
  const { defaultView: window } = document;
  if (!window) return () => undefined;
  let state = notCondensed;
  let frame = 0;
  const look = () => {
    frame = 0;
    const needed = bar.matches(':focus-within') || bar.querySelector('[aria-expanded="true"]') !== null;
    const next = nextCondense(state, { type: 'scroll', top: window.scrollY, needed });
    if (next.away !== state.away) report(next.away);
    state = next;
  };
  const soon = () => {
    if (frame === 0) frame = window.requestAnimationFrame(look);
  };
  const listening = new AbortController();
  const { signal } = listening;
  window.addEventListener('scroll', soon, { signal, passive: true });
  // At once: focus must not lie on what cannot be seen, not for a frame.
  bar.addEventListener('focusin', look, { signal });
  return () => {
    listening.abort();
    window.cancelAnimationFrame(frame);
  };
}
