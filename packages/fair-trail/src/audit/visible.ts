/** Whether an element is drawn at all, for anybody who sees. What is out of the window by scrolling is drawn. */
export function isDrawn(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window || element.getClientRects().length === 0 || isSkipped(element)) return false;
  const style = window.getComputedStyle(element);
  return style.visibility === 'visible' && Number(style.opacity) > 0 && !isClipped(element);
}

/** What closed details and `content-visibility: hidden` keep has a box, and is not drawn (CSS Containment 2, section 4). */
function isSkipped(element: Element): boolean {
  // A simulated document does not know of it.
  return 'checkVisibility' in element && !element.checkVisibility();
}

/** Cut down to nothing, which is how text for ears alone is usually hidden from eyes. */
function isClipped(element: Element): boolean {
  const { width, height } = element.getBoundingClientRect();
  return width <= 1 || height <= 1;
}

/** Whether an element is there for assistive technology (WAI-ARIA 1.2, section 7.1). */
export function isExposed(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window) return false;
  for (let at: Element | null = element; at; at = parentOf(at)) {
    if (at.getAttribute('aria-hidden') === 'true' || at.hasAttribute('inert')) return false;
    if (window.getComputedStyle(at).display === 'none') return false;
  }
  return window.getComputedStyle(element).visibility === 'visible' && (!isBoxed(element) || !isSkipped(element));
}

/** What has no box of its own, such as `display: contents`, may well be there. */
function isBoxed(element: Element): boolean {
  return element.getClientRects().length > 0;
}

/** The element around one, also through the border of a shadow root and into the slot that it is shown in. */
export function parentOf(element: Element): Element | null {
  if (element.assignedSlot) return element.assignedSlot;
  const { parentNode } = element;
  return parentNode ? (element.parentElement ?? hostOf(parentNode)) : null;
}

/** Whether somebody who looks at the window as it is now can see any of an element. */
export function isSeen(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window) return false;
  const isIn = ({ left, right, top, bottom }: Box) =>
    right > 0 && bottom > 0 && left < window.innerWidth && top < window.innerHeight;
  return isIn(element.getBoundingClientRect()) && isShown(element) && isIn(seenBox(element));
}

/** Whether an element stands on the page or in the window, where scrolling gets; and not beside them, as closed drawers do. */
export function isOnPage(element: Element): boolean {
  const { defaultView: window, scrollingElement } = element.ownerDocument;
  if (!window || !isShown(element)) return false;
  const { left, right, top, bottom } = seenBox(element);
  if (isPinned(element)) return right > 0 && bottom > 0 && left < window.innerWidth && top < window.innerHeight;
  const { scrollX, scrollY, innerWidth, innerHeight } = window;
  const width = Math.max(innerWidth, scrollingElement?.scrollWidth ?? 0);
  const height = Math.max(innerHeight, scrollingElement?.scrollHeight ?? 0);
  return right + scrollX > 0 && bottom + scrollY > 0 && left + scrollX < width && top + scrollY < height;
}

/** Whether it stays where it is in the window when the page scrolls. */
export function isPinned(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  for (let at: Element | null = element; at && window; at = parentOf(at)) {
    if (window.getComputedStyle(at).position === 'fixed') return true;
  }
  return false;
}

/** Whether somebody who scrolls there can see any of an element. */
export function isShown(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window || !isDrawn(element)) return false;
  for (let at: Element | null = element; at; at = parentOf(at)) {
    const { opacity } = window.getComputedStyle(at);
    if (opacity !== '1' && Number(opacity) < leastOpacity) return false;
  }
  const { left, right, top, bottom } = seenBox(element);
  return right - left > 1 && bottom - top > 1;
}

/** Paler than that, nobody sees it. */
const leastOpacity = 0.05;

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** What is left of an element's box where those around it cut off what overflows (CSS Overflow 3, section 3.1). */
export function seenBox(element: Element): Box {
  const { defaultView: window } = element.ownerDocument;
  let { left, top, right, bottom } = element.getBoundingClientRect();
  let position = window?.getComputedStyle(element).position;
  for (let at = parentOf(element); at && window && position !== 'fixed'; at = parentOf(at)) {
    const style = window.getComputedStyle(at);
    // What is placed absolutely is cut by no element between it and the one that it is placed in.
    const isBetween = position === 'absolute' && style.position === 'static' && style.transform === 'none';
    if (isBetween) continue;
    position = style.position;
    // Where nothing is cut off, the box need not be asked for.
    if (style.overflowX === 'visible' && style.overflowY === 'visible') continue;
    if (at.localName === 'body' || at.localName === 'html' || style.display === 'contents') continue;
    const box = at.getBoundingClientRect();
    if (style.overflowX !== 'visible') [left, right] = [Math.max(left, box.left), Math.min(right, box.right)];
    if (style.overflowY !== 'visible') [top, bottom] = [Math.max(top, box.top), Math.min(bottom, box.bottom)];
  }
  return { left, top, right, bottom };
}

/** The element whose shadow a node is; null for any other. Told by its kind: a link has a `host` too, of its address. */
export function hostOf(node: Node): Element | null {
  return node.nodeType === fragment && 'host' in node ? (node as ShadowRoot).host : null;
}

const fragment = 11;
