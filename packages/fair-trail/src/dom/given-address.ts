import { addressOf, hashOf } from '../core/router/history.ts';
import { announcerIn, type Announcer } from './announcer.ts';
import type { Arrival } from './arrivals.ts';
import { contentStart, focusOnce } from './focus.ts';
import { isHtmlElement } from './nodes.ts';
import { hashTarget } from './scroll.ts';

/** Takes the reader to each new page where another router decides what the address is. */
export interface GivenAddress {
  /** The document shows the page of this address now. The first is the one that the reader came to by themselves. */
  show(url: string, title: string): void;
  /** Ends it and leaves nothing behind. */
  end(): void;
}

/** Back, and how far a page is scrolled, are the other router's: this sets the title, and moves focus or announces. */
export function followGivenAddress(window: Window, arrival: Arrival): GivenAddress {
  const { document } = window;
  const announcer = arrival === 'announce' ? announcerIn(document) : null;
  let shown: string | null = null;
  return {
    show(url, title) {
      if (document.title !== title) document.title = title;
      const { pathname } = addressOf(url);
      if (shown !== null && shown !== pathname) arrive(document, announcer, { arrival, title, hash: hashOf(url) });
      shown = pathname;
    },
    end: () => announcer?.end(),
  };
}

interface NewPage {
  readonly arrival: Arrival;
  readonly title: string;
  readonly hash: string;
}

function arrive(document: Document, announcer: Announcer | null, { arrival, title, hash }: NewPage): void {
  announcer?.say(title);
  if (arrival !== 'focus') return;
  const target = hashTarget(document, hash);
  const start = isHtmlElement(target) ? target : contentStart(document);
  if (start) focusOnce(start);
}
