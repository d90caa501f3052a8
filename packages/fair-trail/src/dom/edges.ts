/** On what scrolls sideways: at which sides there is more to be seen. */
const attribute = 'data-ft-more';

/**
 * Says at which sides of something that scrolls sideways there is more of it.
 *
 * @returns a function that stops listening
 */
export function watchEdges(scroller: HTMLElement): () => void {
  const look = () => {
    const outer = scroller.getBoundingClientRect();
    const boxes = [...scroller.children].map((child) => child.getBoundingClientRect());
    // A hair's breadth is no more to be seen.
    const isMore = [
      boxes.some(({ left }) => left < outer.left - 1) ? 'left' : '',
      boxes.some(({ right }) => right > outer.right + 1) ? 'right' : '',
    ];
    const value = isMore.filter(Boolean).join(' ');
    if ((scroller.getAttribute(attribute) ?? '') === value) return;
    if (value === '') scroller.removeAttribute(attribute);
    else scroller.setAttribute(attribute, value);
  };
  // It tells of the first sizes too, before anything is drawn.
  const observer = new ResizeObserver(look);
  observer.observe(scroller);
  for (const child of scroller.children) observer.observe(child);
  scroller.addEventListener('scroll', look, { passive: true });
  return () => {
    observer.disconnect();
    scroller.removeEventListener('scroll', look);
  };
}
