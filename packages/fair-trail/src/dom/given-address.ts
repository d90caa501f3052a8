import { addressOf, hashOf } from '../core/router/history.ts';
import { announcerIn } from './announcer.ts';
import type { Arrival } from './arrivals.ts';
import { focusContent } from './focus-content.ts';
import { focusOnReturn } from './focus-on-return.ts';
import { followLeftLinks } from './left-links.ts';
import { forgetLoadedPage, writePageHead, type PageHead } from './page-head.ts';

/** Takes the reader to each new page where another router decides what the address is. */
export interface GivenAddress {
  /** The document shows the page of this address now. The first is the one that the reader came to by themselves. */
  show(url: string, head: PageHead): void;
  /** Ends it and leaves nothing behind. */
  end(): void;
}

/** How far a page is scrolled is the other router's: this sets the title, and moves focus or announces. */
export function followGivenAddress(window: Window, arrival: Arrival): GivenAddress {
  const { document } = window;
  const announcer = arrival === 'announce' ? announcerIn(document) : null;
  const leftLinks = arrival === 'focus' ? followLeftLinks(window) : null;
  let shown: { readonly url: string; readonly pathname: string } | null = null;
  let endTrying: (() => void) | null = null;

  return {
    show(url, head) {
      writePageHead(document, head);
      const { pathname } = addressOf(url);
      if (shown?.url === url) return;
      const isNew = shown !== null && shown.pathname !== pathname;
      shown = { url, pathname };
      // A change of query or hash alone counts as well: the next page is not the one that Back led to.
      const find = leftLinks?.follow() ?? null;
      if (!isNew) return;
      // What was waited for on the page before is over.
      endTrying?.();
      endTrying = null;
      announcer?.say(head.title);
      forgetLoadedPage(document);
      if (arrival !== 'focus') return;
      const begin = () => focusContent(document, hashOf(url));
      if (find) endTrying = focusOnReturn(window, find, begin);
      else begin();
    },
    end() {
      endTrying?.();
      announcer?.end();
      leftLinks?.end();
    },
  };
}
