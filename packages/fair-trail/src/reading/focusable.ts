import { deepElements } from './deep-elements.ts';
import { isInReach } from './reach.ts';

/** What may take focus (HTML, section 6.6.2), whether Tab leads to it or not. */
export const focusable = 'a[href], button, summary, input, select, textarea, [tabindex], iframe, [contenteditable]';

/** The last element of a document that Tab leads to; null if it leads to none. */
export function lastStop(document: Document): Element | null {
  return (
    deepElements(document, focusable).findLast(
      (element) => element.tabIndex >= 0 && !element.matches(':disabled') && isInReach(element),
    ) ?? null
  );
}
