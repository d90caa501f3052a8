import { askedOnce } from './one-reading.ts';
import { slotOf } from './shadow-roots.ts';

/** Whether an element is drawn at all, for anyone who sees. What is out of the window by scrolling is drawn. */
export function isDrawn(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  const drawing = drawnBy(element);
  if (!window || !isBoxed(element) || isSkipped(drawing)) return false;
  const style = window.getComputedStyle(drawing);
  return style.visibility === 'visible' && Number(style.opacity) > 0 && !isClipped(element);
}

/** What closed details and `content-visibility: hidden` keep has a box, and is not drawn (CSS Containment 2, section 4). */
const isSkipped = askedOnce(
  // A simulated document does not know of it.
  (element) => 'checkVisibility' in element && !element.checkVisibility(),
);

/** Clipped to nothing: the usual way to hide text visually and keep it for screen readers. */
function isClipped(element: Element): boolean {
  const { width, height } = boxOf(element);
  return width <= 1 || height <= 1;
}

/** Whether an element is there for assistive technology (WAI-ARIA 1.2, section 7.1). */
export function isExposed(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  const drawing = drawnBy(element);
  if (!window || isHiddenWhole(drawing)) return false;
  return window.getComputedStyle(drawing).visibility === 'visible' && (!isBoxed(element) || !isSkipped(drawing));
}

/** Whether all that is in an element is hidden with it. */
const isHiddenWhole = askedOnce((element): boolean => {
  if (element.getAttribute('aria-hidden') === 'true' || element.hasAttribute('inert')) return true;
  if (element.ownerDocument.defaultView?.getComputedStyle(element).display === 'none') return true;
  const around = parentOf(element);
  return around !== null && isHiddenWhole(around);
});

/** Whether nothing between an element and one around it hides it, whatever hides that one. */
export function isExposedWithin(element: Element, around: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window) return false;
  const isAroundHidden = window.getComputedStyle(around).visibility !== 'visible';
  for (let at: Element | null = element; at && at !== around; at = parentOf(at)) {
    const style = window.getComputedStyle(at);
    if (at.getAttribute('aria-hidden') === 'true' || at.hasAttribute('inert') || style.display === 'none') return false;
    // Visibility is inherited: where all around is hidden by it, it says nothing of what is in there.
    if (!isAroundHidden && style.visibility !== 'visible') return false;
  }
  return true;
}

/** What has no box of its own, such as `display: contents`, may well be there. */
const isBoxed = askedOnce((element) => drawnBy(element).getClientRects().length > 0);

/** Where an element stands in the window; an area of an image map where it lies on its picture. */
export const boxOf = askedOnce((element): DOMRect => {
  if (element.localName !== 'area') return element.getBoundingClientRect();
  const { left, top, width, height } = drawnBy(element).getBoundingClientRect();
  const numbers = (element.getAttribute('coords') ?? '').split(/[\s,;]+/u).map(Number);
  const [x = 0, y = 0, right = 0, bottom = 0] = numbers;
  const shape = (element.getAttribute('shape') ?? 'rect').toLowerCase();
  if (shape === 'default' || numbers.length < 3) return new DOMRect(left, top, width, height);
  if (shape.startsWith('circ')) return new DOMRect(left + x - right, top + y - right, 2 * right, 2 * right);
  if (shape.startsWith('rect')) return new DOMRect(left + x, top + y, right - x, bottom - y);
  const across = numbers.filter((_, index) => index % 2 === 0);
  const down = numbers.filter((_, index) => index % 2 === 1);
  const [from, above] = [Math.min(...across), Math.min(...down)];
  return new DOMRect(left + from, top + above, Math.max(...across) - from, Math.max(...down) - above);
});

/** The element that draws another one: the picture of an area (HTML standard, section 4.8.14). */
function drawnBy(element: Element): Element {
  if (element.localName !== 'area') return element;
  const name = element.closest('map')?.getAttribute('name') ?? '';
  const root = element.getRootNode() as Document | ShadowRoot;
  return root.querySelector(`[usemap="#${CSS.escape(name)}"]`) ?? element;
}

/** The element around one, also through the border of a shadow root and into the slot that it is shown in. */
export function parentOf(element: Element): Element | null {
  const slot = slotOf(element);
  if (slot) return slot;
  const { parentNode } = element;
  return parentNode ? (element.parentElement ?? hostOf(parentNode)) : null;
}

/** Whether somebody who looks at the window as it is now can see any of an element. */
export function isSeen(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window) return false;
  const isIn = ({ left, right, top, bottom }: ElementBox) =>
    right > 0 && bottom > 0 && left < window.innerWidth && top < window.innerHeight;
  return isIn(boxOf(element)) && isVisible(element) && isIn(seenBox(element));
}

/** Whether an element stands on the page or in the window, where scrolling gets; and not beside them, as closed drawers do. */
export function isOnPage(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window || !isVisible(element)) return false;
  const { left, right, top, bottom } = seenBox(element);
  if (isPinned(element)) return right > 0 && bottom > 0 && left < window.innerWidth && top < window.innerHeight;
  const { scrollX, scrollY } = window;
  const { width, height } = pageSize(element.ownerDocument.documentElement);
  return right + scrollX > 0 && bottom + scrollY > 0 && left + scrollX < width && top + scrollY < height;
}

const pageSize = askedOnce(({ ownerDocument: { defaultView: window, scrollingElement } }) => ({
  width: Math.max(window?.innerWidth ?? 0, scrollingElement?.scrollWidth ?? 0),
  height: Math.max(window?.innerHeight ?? 0, scrollingElement?.scrollHeight ?? 0),
}));

/** Whether it stays where it is in the window when the page scrolls. */
export const isPinned = askedOnce((element): boolean => {
  if (element.ownerDocument.defaultView?.getComputedStyle(element).position === 'fixed') return true;
  const around = parentOf(element);
  return around !== null && isPinned(around);
});

/** Whether somebody who scrolls there can see any of an element. */
export function isVisible(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  if (!window || !isDrawn(element) || isFaint(element)) return false;
  const { left, right, top, bottom } = seenBox(element);
  return right - left > 1 && bottom - top > 1;
}

/** Whether it, or what it is in, is too pale to be seen. */
const isFaint = askedOnce((element): boolean => {
  const opacity = element.ownerDocument.defaultView?.getComputedStyle(element).opacity ?? '1';
  if (opacity !== '1' && Number(opacity) < leastOpacity) return true;
  const around = parentOf(element);
  return around !== null && isFaint(around);
});

/** Paler than that, no one sees it. */
const leastOpacity = 0.05;

export interface ElementBox {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** What is left of an element's box where those around it cut off what overflows (CSS Overflow 3, section 3.1). */
export function seenBox(element: Element): ElementBox {
  const position = element.ownerDocument.defaultView?.getComputedStyle(element).position ?? 'static';
  const { left, right, top, bottom } = boxOf(element);
  return cut({ left, right, top, bottom }, leftAround(drawnBy(element), position));
}

/** What those around an element leave of what is placed so. */
function leftAround(element: Element, position: string): ElementBox {
  const around = position === 'fixed' ? null : parentOf(element);
  if (!around) return everywhere;
  return position === 'absolute' ? leftOfAbsolute(around) : leftOf(around);
}

/** What an element and those around it leave of what is in it. */
const leftOf = askedOnce((element): ElementBox => {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  if (!style) return everywhere;
  const around = leftAround(element, style.position);
  // Where nothing is cut off, the box need not be asked for.
  if (style.overflowX === 'visible' && style.overflowY === 'visible') return around;
  if (element.localName === 'body' || element.localName === 'html' || style.display === 'contents') return around;
  const { left, right, top, bottom } = boxOf(element);
  const isCutAcross = style.overflowX !== 'visible';
  const isCutDown = style.overflowY !== 'visible';
  return cut(around, {
    left: isCutAcross ? left : -Infinity,
    right: isCutAcross ? right : Infinity,
    top: isCutDown ? top : -Infinity,
    bottom: isCutDown ? bottom : Infinity,
  });
});

/** The same of what is placed absolutely: no element between it and the one that it is placed in cuts it. */
const leftOfAbsolute = askedOnce((element): ElementBox => {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  const isBetween = style?.position === 'static' && style.transform === 'none';
  return isBetween ? leftAround(element, 'absolute') : leftOf(element);
});

const everywhere: ElementBox = { left: -Infinity, right: Infinity, top: -Infinity, bottom: Infinity };

function cut(one: ElementBox, other: ElementBox): ElementBox {
  return {
    left: Math.max(one.left, other.left),
    right: Math.min(one.right, other.right),
    top: Math.max(one.top, other.top),
    bottom: Math.min(one.bottom, other.bottom),
  };
}

/** The element whose shadow a node is; null for any other. Told by its kind: a link has a `host` too, of its address. */
export function hostOf(node: Node): Element | null {
  return node.nodeType === fragment && 'host' in node ? (node as ShadowRoot).host : null;
}

const fragment = 11;
