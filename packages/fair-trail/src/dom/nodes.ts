/*
 * What an event's target is. `instanceof` would know only what was made in this window, and a part of an app may stand in
 * a frame or in a window that the app has opened.
 */

export function isNode(target: EventTarget | null | undefined): target is Node {
  return target !== null && target !== undefined && 'nodeType' in target;
}

export function isElement(target: EventTarget | null | undefined): target is Element {
  return isNode(target) && target.nodeType === 1;
}

export function isHtmlElement(target: EventTarget | null | undefined): target is HTMLElement {
  return isElement(target) && target.namespaceURI === 'http://www.w3.org/1999/xhtml';
}

/** The main content of a page (WAI-ARIA 1.2, main). */
export const contentSelector = 'main, [role="main"]';
