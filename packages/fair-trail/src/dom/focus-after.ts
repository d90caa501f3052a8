const focusables = 'a[href], button:not([disabled]), input, select, textarea, [tabindex]:not([tabindex="-1"])';

/** Moves focus to the first thing after an element that takes it, or to the page's main content. */
export function focusAfter(element: Element): void {
  const { ownerDocument: document } = element;
  const after = [...document.querySelectorAll<HTMLElement>(focusables)].find((other) => {
    const isAfter = element.compareDocumentPosition(other) & Node.DOCUMENT_POSITION_FOLLOWING;
    return isAfter && !element.contains(other) && other.getClientRects().length > 0;
  });
  (after ?? document.querySelector<HTMLElement>('main'))?.focus();
}
