import { contentStart, focusOnce } from '../dom/focus.ts';

/** Moves focus to where a reader begins in a page: what they had pressed is gone. */
export function focusPage(stage: HTMLElement): void {
  const start = contentStart(stage.ownerDocument, stage);
  if (start) focusOnce(start);
}

/** What a stage shows, as far as focus depends on it. */
interface PresentedContent {
  readonly url: string;
  readonly content: { readonly key: string; readonly denied: boolean | null };
}

/** Whether the audience, and no page change, has put other content on the page, and what had focus went with it. */
export function isFocusLost(stage: HTMLElement, before: PresentedContent | null, now: PresentedContent): boolean {
  const { activeElement, body } = stage.ownerDocument;
  const isOther = before?.url === now.url && before.content.key !== now.content.key;
  // While the visitor is not known nothing was shown, and nothing could have focus.
  return isOther && before.content.denied !== null && (activeElement === null || activeElement === body);
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
