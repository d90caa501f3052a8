import { announcerIn, type Announcer } from './announcer.ts';
import { focusContent } from './focus-content.ts';
import { focusOnReturn } from './focus-on-return.ts';
import { tryUntilDone } from './patience.ts';
import { placesOf, type SavedPageStates } from './saved-page-states.ts';
import { forgetLoadedPage, writePageHead, type PageHead } from './page-head.ts';
import { hashTarget, scrollToHash } from './scroll.ts';

/**
 * How a page change is announced: `focus` moves focus to the heading, `announce` announces the title and keeps focus,
 * `none` leaves both to the app.
 */
export type Arrival = 'focus' | 'announce' | 'none';

/** Takes the reader to each new page, and back to where they were on an earlier one. */
export class Arrivals {
  readonly #window: Window;
  readonly #usual: Arrival;
  readonly #places: SavedPageStates;
  #announcer: Announcer | null = null;
  #head: PageHead | null = null;
  /** The content that is new since the last settling; of two within each other, the outer. */
  #content: { readonly element: Element; readonly arrival: Arrival | undefined } | null = null;
  #endTrying: (() => void)[] = [];
  /** False until the first page has been shown; the reader came to that by themselves. */
  hasBegun = false;

  constructor(window: Window, usual: Arrival) {
    this.#window = window;
    this.#usual = usual;
    this.#places = placesOf(window);
    if (usual === 'announce') this.#announce();
  }

  /** What the document is to say of the page, once that is in it. */
  describe(head: PageHead): void {
    this.#head = head;
  }

  present(element: Element, arrival?: Arrival): void {
    if (arrival === 'announce') this.#announce();
    if (this.#content === null || element.contains(this.#content.element)) this.#content = { element, arrival };
  }

  /** A reload, or coming back from another site: the page is where the reader left it, or at the hash they came with. */
  begin(key: string, hash: string): void {
    if (this.#places.has(key)) this.restoreScroll(key);
    else if (hash) this.#try(() => this.#reachHash(hash));
  }

  keep(key: string, link: Element | null, shown: boolean): void {
    this.#places.keep(key, link, shown);
  }

  /** A new history entry came after that one, or took its place. */
  write(type: 'push' | 'replace', from: string, key: string): void {
    this.#places[type](from, key);
  }

  store(): void {
    this.#places.store();
  }

  /** The page is being left: what was still waited for on it is over. */
  leave(): void {
    for (const end of this.#endTrying.splice(0)) end();
    this.#content = null;
  }

  /** The page is in the document: it has its title now. */
  settle(): void {
    if (this.#head) writePageHead(this.#window.document, this.#head);
    this.hasBegun = true;
  }

  arrive(key: string | null, hash: string): void {
    forgetLoadedPage(this.#window.document);
    const content = this.#content?.element.isConnected === true ? this.#content : null;
    this.#content = null;
    const arrival = content?.arrival ?? this.#usual;
    if (arrival === 'none') return;
    if (arrival === 'announce') {
      this.#announce().say(this.#head?.title ?? '');
      return;
    }
    const begin = () => focusContent(this.#window.document, hash, content?.element);
    if (key === null || !this.#places.hasLink(key)) {
      begin();
      return;
    }
    this.#endTrying.push(focusOnReturn(this.#window, () => this.#places.link(key), begin));
  }

  /** @param isNew whether the page is another one, which begins at its top */
  scrollToHash(hash: string, isNew: boolean): void {
    scrollToHash(this.#window.document, hash, isNew);
    if (hash && !hashTarget(this.#window.document, hash)) this.#try(() => this.#reachHash(hash));
  }

  restoreScroll(key: string): void {
    this.#try(() => this.#places.scroll(key));
  }

  end(): void {
    this.leave();
    this.#places.end();
    this.#announcer?.end();
    this.#announcer = null;
  }

  /** The live region, which is in the document before anything is said in it. Who moves focus instead has none. */
  #announce(): Announcer {
    return (this.#announcer ??= announcerIn(this.#window.document));
  }

  #reachHash(hash: string): boolean {
    const target = hashTarget(this.#window.document, hash);
    target?.scrollIntoView();
    return target !== null;
  }

  #try(attempt: () => boolean, giveUp?: () => void): void {
    this.#endTrying.push(tryUntilDone(this.#window, attempt, giveUp));
  }
}
