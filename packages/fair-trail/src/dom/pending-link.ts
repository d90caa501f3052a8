/** On the activated link, while the page that it leads to is on its way. */
const pendingAttribute = 'data-ft-pending';

/**
 * Shows on a link that it was activated and the page is on its way. Not by `aria-busy`, which some screen readers take
 * as a reason to leave out the label; and by hand, since a framework need not render a menu again for it.
 */
export class PendingLink {
  #link: Element | null = null;

  show(link: Element | null): void {
    this.#link = link;
    link?.setAttribute(pendingAttribute, '');
  }

  hide(): void {
    this.#link?.removeAttribute(pendingAttribute);
    this.#link = null;
  }
}
