/**
 * Keeps the page where it is while something opened lies over it: a wheel or a finger scrolls what is open, and nothing
 * behind it. Nothing is hidden for it, so nothing moves.
 *
 * @param isDimmed whether the whole page is behind what is open; else the page beside it may be scrolled
 * @returns a function that stops it
 */
export function holdPage(bar: HTMLElement, isDimmed: boolean): () => void {
  const stopping = new AbortController();
  const { ownerDocument: document } = bar;
  const hold = (event: WheelEvent | TouchEvent) => {
    const isZoom = 'touches' in event ? event.touches.length > 1 : event.ctrlKey;
    if (isZoom || !event.cancelable) return;
    const target = event.target instanceof Element && bar.contains(event.target) ? event.target : null;
    const opened = target?.closest<HTMLElement>('.ft-panel, .ft-bar-panel') ?? null;
    const delta = 'deltaY' in event ? event.deltaY : 0;
    if (target && opened ? !canScroll(target, bar, delta) : isDimmed) event.preventDefault();
  };
  // The browser takes listeners on the document for passive ones unless they say that they are not.
  const options = { passive: false, signal: stopping.signal };
  document.addEventListener('wheel', hold, options);
  document.addEventListener('touchmove', hold, options);
  return () => stopping.abort();
}

/** Whether something from the element up to the bar can scroll that way; by 0, either way. */
function canScroll(target: Element, bar: Element, delta: number): boolean {
  for (let element: Element | null = target; element && element !== bar; element = element.parentElement) {
    const { scrollTop, scrollHeight, clientHeight } = element;
    if (scrollHeight <= clientHeight || !/auto|scroll/u.test(getComputedStyle(element).overflowY)) continue;
    const isRoomAbove = scrollTop > 0 && delta <= 0;
    if (isRoomAbove || (delta >= 0 && scrollTop < scrollHeight - clientHeight - 1)) return true;
  }
  return false;
}
