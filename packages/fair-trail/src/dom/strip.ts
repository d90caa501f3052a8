/**
 * Keeps the marked item of a strip in view: at first, and whenever another one is marked. The reader's own scrolling is
 * left alone in between.
 *
 * @param list what scrolls
 * @returns ends it
 */
export function keepMarkedInView(list: HTMLElement): () => void {
  let last: Element | null = null;
  const look = () => {
    const marked = list.querySelector(':scope > * > [aria-current]');
    if (!marked || marked === last) return;
    last = marked;
    const outer = list.getBoundingClientRect();
    const inner = (marked.parentElement ?? marked).getBoundingClientRect();
    // By as much as is needed, and never the page: scrolling the element into view would do both.
    const before = inner.left - outer.left;
    const after = inner.right - outer.right;
    if (before < 0 || after > 0) list.scrollBy({ left: before < 0 ? before : after, behavior: 'instant' });
  };
  look();
  const marks = new MutationObserver(look);
  marks.observe(list, { attributes: true, attributeFilter: ['aria-current'], subtree: true });
  const room = new ResizeObserver(() => {
    last = null;
    look();
  });
  room.observe(list);
  return () => {
    marks.disconnect();
    room.disconnect();
  };
}
