import { contentStart, focusOnce } from './focus.ts';
import { isHtmlElement } from './nodes.ts';
import { hashTarget } from './scroll.ts';

/**
 * Moves focus to what the hash names, or else to where a reader begins in new content.
 *
 * @param content Default: the main content of the document
 */
export function focusContent(document: Document, hash: string, content: Element | null = null): void {
  const target = hashTarget(document, hash);
  const start = isHtmlElement(target) ? target : contentStart(document, content);
  if (start) focusOnce(start);
}
