import { isHtmlElement } from './nodes.ts';

/**
 * Space activates what is a link for those without scripts and a button for all others, as it does any button.
 *
 * @returns ends it
 */
export function listenForSpace(root: HTMLElement): () => void {
  const listening = new AbortController();
  root.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== ' ' || event.defaultPrevented || !isHtmlElement(event.target)) return;
      if (!event.target.matches('a[role="button"]')) return;
      // The page must not scroll by it.
      event.preventDefault();
      event.target.click();
    },
    { signal: listening.signal },
  );
  return () => listening.abort();
}
