import { markedSelector } from '../core/view/marked.ts';

/**
 * Keeps the marked item of a list in view: at first, and whenever another one is marked. The reader's own scrolling is
 * left alone in between.
 *
 * @param scroller what scrolls, sideways or down
 * @param marked finds the marked item in it. Default: the list's own item that says that it is current.
 * @returns a function that stops listening
 */
export function keepMarkedInView(scroller: HTMLElement, marked = `:scope > * > ${markedSelector}`): () => void {
  let last: Element | null = null;
  // Where the edge fades, or something lies over it.
  const padding = (side: 'Left' | 'Right' | 'Top' | 'Bottom') =>
    Number.parseFloat(getComputedStyle(scroller)[`scrollPadding${side}`]) || 0;
  const look = () => {
    // Of several, one within another, the innermost is meant.
    const found = [...scroller.querySelectorAll(marked)].findLast((element) => element.getClientRects().length > 0);
    if (!found || found === last) return;
    last = found;
    const outer = scroller.getBoundingClientRect();
    // What stands beside it in its item belongs to it.
    const item = found.parentElement && found.parentElement !== scroller ? found.parentElement : found;
    const inner = item.getBoundingClientRect();
    const lead = found.getBoundingClientRect();
    // By as much as is needed, and never the page: scrolling the element into view would do both.
    const left = needed(inner.left - outer.left - padding('Left'), inner.right - outer.right + padding('Right'));
    const top = needed(lead.top - outer.top - padding('Top'), lead.bottom - outer.bottom + padding('Bottom'));
    if (left !== 0 || top !== 0) scroller.scrollBy({ left, top, behavior: 'instant' });
  };
  const { defaultView: window } = scroller.ownerDocument;
  let frame = 0;
  // With the frame, which lays the page out in any case: to ask at once would lay it out once more.
  const marks = new MutationObserver(() => {
    window?.cancelAnimationFrame(frame);
    frame = window?.requestAnimationFrame(look) ?? 0;
  });
  marks.observe(scroller, { attributes: true, attributeFilter: ['aria-current', 'aria-selected'], subtree: true });
  // It tells of the first size too, before anything is drawn.
  const room = new ResizeObserver(() => {
    last = null;
    look();
  });
  room.observe(scroller);
  return () => {
    marks.disconnect();
    room.disconnect();
    window?.cancelAnimationFrame(frame);
  };
}

/** How far to scroll so that what sticks out on either side is in view. */
function needed(before: number, after: number): number {
  // Browsers scroll by whole pixels: a part of one would stay out of view.
  if (before < 0) return Math.floor(before);
  return after > 0 ? Math.ceil(after) : 0;
}
