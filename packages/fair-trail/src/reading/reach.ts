import { askedOnce } from './one-reading.ts';
import { isDrawn, isExposed, isOnPage, parentOf } from './visible.ts';

/**
 * Whether somebody can see and hear it: it is drawn, where scrolling gets, and there for assistive technology. In a document
 * without a layout only what hides it by attributes and plain styles is known.
 */
export function isInReach(element: Element): boolean {
  if (!isExposed(element)) return false;
  if (!hasLayout(element.ownerDocument.documentElement)) return !isHiddenByAttributes(element);
  return isOnPage(element) || isInSightByScrolling(element);
}

/** Whether it lies in a part of the page that scrolls by itself, where scrolling that part gets. */
function isInSightByScrolling(element: Element): boolean {
  if (!isDrawn(element)) return false;
  const around = parentOf(element);
  const scroller = around && scrollerAt(around);
  if (!scroller || !isOnPage(scroller)) return false;
  const [inner, outer] = [element.getBoundingClientRect(), scroller.getBoundingClientRect()];
  const left = inner.left - outer.left + Math.abs(scroller.scrollLeft);
  const top = inner.top - outer.top + scroller.scrollTop;
  const isAcross = left + inner.width > 0 && left < scroller.scrollWidth;
  return isAcross && top + inner.height > 0 && top < scroller.scrollHeight;
}

/** An element that scrolls by itself, or the next one around it that does. */
const scrollerAt = askedOnce((element): Element | null => {
  const { overflowX, overflowY } = getComputedStyle(element);
  const isTall = /auto|scroll/u.test(overflowY) && element.scrollHeight > element.clientHeight;
  const isWide = /auto|scroll/u.test(overflowX) && element.scrollWidth > element.clientWidth;
  if (isTall || isWide) return element;
  const around = parentOf(element);
  return around && scrollerAt(around);
});

/** Whether a document with this root element is laid out. */
export const hasLayout = askedOnce((root) => root.getClientRects().length > 0);

function isHiddenByAttributes(element: Element): boolean {
  for (let at: Element | null = element; at; at = parentOf(at)) {
    if (at.hasAttribute('hidden') || (at.hasAttribute('popover') && !isPopoverOpen(at))) return true;
    const around: Element | null = parentOf(at);
    const isInClosed = around?.localName === 'details' && !around.hasAttribute('open') && at.localName !== 'summary';
    if (isInClosed) return true;
  }
  return false;
}

/** A simulated document may not know of popovers: then they are taken for closed. */
export function isPopoverOpen(element: Element): boolean {
  try {
    return element.matches(':popover-open');
  } catch {
    return false;
  }
}
