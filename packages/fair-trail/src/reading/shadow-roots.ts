/** Closed shadow roots by their hosts: noted by a script that runs before those of the page, if there is one. */
declare global {
  interface Window {
    fairTrailShadowRoots?: WeakMap<Element, ShadowRoot>;
  }
}

/** The shadow root of an element, also a closed one that was noted when it was attached; null if it has none. */
export function shadowOf(element: Element): ShadowRoot | null {
  return element.shadowRoot ?? element.ownerDocument.defaultView?.fairTrailShadowRoots?.get(element) ?? null;
}

/** The slot that shows an element, also one in a closed shadow root; null if none does. */
export function slotOf(element: Element): Element | null {
  if (element.assignedSlot) return element.assignedSlot;
  const { parentElement } = element;
  const shadow = parentElement && shadowOf(parentElement);
  if (shadow?.mode !== 'closed') return null;
  return [...shadow.querySelectorAll('slot')].find((slot) => slot.assignedElements().includes(element)) ?? null;
}
