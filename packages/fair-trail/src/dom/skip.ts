import { isPlainClick, linkAround } from './clicks.ts';

/**
 * Keeps links to places of this page on it. An address that is a hash alone is read from the document's base URL (HTML
 * standard, section 2.4.1): where a `base` element names another, the browser would load that.
 *
 * @returns a function that stops listening
 */
export function stayOnPage(root: HTMLElement): () => void {
  const listening = new AbortController();
  root.addEventListener(
    'click',
    (event) => {
      const { ownerDocument: document } = root;
      const hash = linkAround(event)?.getAttribute('href') ?? '';
      if (!isPlainClick(event) || !hash.startsWith('#') || withoutHash(document.baseURI) === withoutHash(document.URL))
        return;
      event.preventDefault();
      if (document.defaultView) document.defaultView.location.hash = hash;
      document.getElementById(hash.slice(1))?.focus();
    },
    { signal: listening.signal },
  );
  return () => listening.abort();
}

function withoutHash(url: string): string {
  return url.split('#', 1)[0] ?? '';
}
