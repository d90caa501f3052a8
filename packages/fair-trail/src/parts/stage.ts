import { contentStart, focusOnce } from '../dom/focus.ts';

/** Moves focus to where a reader begins in a page: what they had pressed is gone. */
export function focusPage(stage: HTMLElement): void {
  const start = contentStart(stage.ownerDocument, stage);
  if (start) focusOnce(start);
}

/** Whether the browser says that it is offline. */
export function isOffline(): boolean {
  return typeof navigator !== 'undefined' && !navigator.onLine;
}

/**
 * Calls back once the browser is online again.
 *
 * @returns a function that stops listening
 */
export function whenOnline(act: () => void): () => void {
  window.addEventListener('online', act, { once: true });
  return () => window.removeEventListener('online', act);
}
