import { contentSelector, isHtmlElement } from './nodes.ts';

/**
 * A link that the reader left a page by: its address as written, whether it is in the content, and how many of the same come
 * before it there. Of those beside the content, which is there before it, none is to be taken for one within.
 */
export type LinkSign = readonly [href: string, isContent: boolean, index: number];

/** The sign of a link; null if it has no address. */
export function signOf(link: Element): LinkSign | null {
  const href = link.getAttribute('href') ?? link.getAttribute('xlink:href');
  if (href === null) return null;
  const within = isContent(link);
  const index = sameLinks(link.ownerDocument, href, within).indexOf(link);
  return index < 0 ? null : [href, within, index];
}

/** By what is written in the document: at the same address it means the same, and a page has thousands to resolve. */
function sameLinks(document: Document, href: string, within: boolean): Element[] {
  const links = document.querySelectorAll(`:is(a, area)[*|href="${CSS.escape(href)}"]`);
  return [...links].filter((link) => isContent(link) === within);
}

/** The link of a sign, if the document has it now. */
export function linkOfSign(document: Document, [href, within, index]: LinkSign): HTMLElement | null {
  const found = sameLinks(document, href, within)[index];
  return isHtmlElement(found) ? found : null;
}

/** Whether an element is in the main content of the page. */
export function isContent(element: Element): boolean {
  return element.closest(contentSelector) !== null;
}
