/** Whether an element is drawn at all, for anybody who sees. What is out of the window by scrolling is drawn. */
export function isDrawn(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window || element.getClientRects().length === 0) return false;
  const style = window.getComputedStyle(element);
  return style.visibility === 'visible' && Number(style.opacity) > 0 && !isClipped(element);
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
  return window.getComputedStyle(element).visibility === 'visible';
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
  if (!window || !isDrawn(element)) return false;
  for (let at: Element | null = element; at; at = parentOf(at)) {
    if (Number(window.getComputedStyle(at).opacity) < leastOpacity) return false;
  }
  const { left, right, top, bottom } = element.getBoundingClientRect();
  return right > 0 && bottom > 0 && left < window.innerWidth && top < window.innerHeight;
}

/** Paler than that, nobody sees it. */
const leastOpacity = 0.05;

/** The element whose shadow a node is; null for any other. Told by its kind: a link has a `host` too, of its address. */
export function hostOf(node: Node): Element | null {
  return node.nodeType === fragment && 'host' in node ? (node as ShadowRoot).host : null;
}

const fragment = 11;
