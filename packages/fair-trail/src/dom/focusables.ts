/** Whether an element can be seen, as far as layout and `visibility` say it. */
export function isSeen(element: Element): boolean {
  return element.getClientRects().length > 0 && getComputedStyle(element).visibility === 'visible';
}

/**
 * The links and buttons in an element that can be seen, in the order of the document.
 *
 * @param besides selects what else counts. Default: nothing.
 */
export function seenControls(within: ParentNode, besides = ''): HTMLElement[] {
  const selector = `a[href], button:not([disabled])${besides === '' ? '' : `, ${besides}`}`;
  return [...within.querySelectorAll<HTMLElement>(selector)].filter(isSeen);
}
