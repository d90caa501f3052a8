/**
 * Keeps the marked item of a list in view: at first, and whenever another one is marked. The reader's own scrolling is
 * left alone in between.
 *
 * @param scroller what scrolls, sideways or down
 * @param marked finds the marked item in it. Default: the list's own item that says that it is current.
 * @returns ends it
 */
export function keepMarkedInView(scroller: HTMLElement, marked = ':scope > * > [aria-current]'): () => void {
  let last: Element | null = null;
  const look = () => {
    // Of several, one within another, the innermost is meant.
    const found = [...scroller.querySelectorAll(marked)].findLast((element) => element.getClientRects().length > 0);
    if (!found || found === last) return;
    last = found;
    const outer = scroller.getBoundingClientRect();
    const inner = (found.parentElement ?? found).getBoundingClientRect();
    const lead = found.getBoundingClientRect();
    // By as much as is needed, and never the page: scrolling the element into view would do both.
    const left = needed(inner.left - outer.left, inner.right - outer.right);
    const top = needed(lead.top - outer.top, lead.bottom - outer.bottom);
    if (left !== 0 || top !== 0) scroller.scrollBy({ left, top, behavior: 'instant' });
  };
  look();
  const marks = new MutationObserver(look);
  marks.observe(scroller, { attributes: true, attributeFilter: ['aria-current', 'aria-selected'], subtree: true });
  const room = new ResizeObserver(() => {
    last = null;
    look();
  });
  room.observe(scroller);
  return () => {
    marks.disconnect();
    room.disconnect();
  };
}

/** How far to scroll so that what sticks out on either side is in view. */
function needed(before: number, after: number): number {
  if (before < 0) return before;
  return after > 0 ? after : 0;
}
