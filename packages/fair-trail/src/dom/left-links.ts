import { isPlainClick, linkAround } from './clicks.ts';
import { linkOfSign, signOf, type LinkSign } from './link-sign.ts';

/** The links that pages were left by, where another router has the history. */
export interface LeftLinks {
  /**
   * The page has changed, and the document shows it.
   *
   * @returns what finds the link that the new page was left by before; null unless Back or Forward led to it
   */
  follow(): (() => HTMLElement | null) | null;
  /** Ends it and leaves nothing behind. */
  end(): void;
}

/** As many as a reader may go back to in earnest. */
const mostEntries = 200;

/** Not every browser has the Navigation API, nor do the types have to. */
interface NavigationWindow {
  readonly navigation?: { readonly currentEntry?: { readonly key?: string } | null };
}

/** Notes down which link leads away from each entry of the history, and whether the reader comes back to one. */
export function followLeftLinks(window: Window): LeftLinks {
  const { document } = window;
  const left = new Map<string, LinkSign>();
  /** What was activated last, on which entry: only the next page says whether it was followed. */
  let activated: { readonly key: string; readonly sign: LinkSign | null } | null = null;
  let isTraversal = false;
  let lastKey = entryKey(window);
  const listening = new AbortController();
  const { signal } = listening;
  // First of all: by the time that others have heard it, the address may be another one.
  window.addEventListener(
    'click',
    (event) => {
      const link = isPlainClick(event) ? linkAround(event) : null;
      if (!link) return;
      isTraversal = false;
      activated = { key: entryKey(window), sign: signOf(link) };
    },
    { signal, capture: true },
  );
  window.addEventListener('popstate', () => (isTraversal = true), { signal });
  return {
    follow() {
      // A router may draw the page in its own listener, before ours is called: then the event is under way. Whoever goes on gets
      // an entry of a new key.
      // eslint-disable-next-line @typescript-eslint/no-deprecated -- Nothing else says which event is under way.
      const isBack = hasKeys(window) ? left.has(entryKey(window)) : isTraversal || isPopstate(window.event);
      // A router that keeps its own history, beside the browser's, goes on and back within one entry.
      const cameBack = isBack && entryKey(window) !== lastKey;
      lastKey = entryKey(window);
      isTraversal = false;
      if (cameBack) {
        const sign = left.get(entryKey(window));
        return sign ? () => linkOfSign(document, sign) : null;
      }
      if (activated?.sign) {
        left.delete(activated.key);
        left.set(activated.key, activated.sign);
        const [oldest] = left.keys();
        if (left.size > mostEntries && oldest !== undefined) left.delete(oldest);
      }
      activated = null;
      return null;
    },
    end: () => listening.abort(),
  };
}

function hasKeys(window: Window): boolean {
  return (window as NavigationWindow).navigation?.currentEntry?.key !== undefined;
}

function isPopstate(event: Event | undefined): boolean {
  return event?.type === 'popstate';
}

/** Distinguishes the current entry of the history; without the Navigation API, by its address. */
function entryKey(window: Window): string {
  const { navigation } = window as NavigationWindow;
  return navigation?.currentEntry?.key ?? window.location.href;
}
