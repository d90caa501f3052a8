/** Elements that listen for presses or for the pointer; set up before the page's own scripts, where that was possible. */
declare global {
  interface Window {
    fairTrailHeard?: WeakMap<EventTarget, Set<string>>;
  }
}

const presses = ['click', 'mousedown', 'mouseup', 'pointerdown', 'pointerup'];

export function hearsPresses(element: Element): boolean {
  const heard = window.fairTrailHeard?.get(element);
  return element.hasAttribute('onclick') || presses.some((type) => heard?.has(type));
}

/** The hand, which stylesheets draw over what can be pressed, where it begins. */
export function looksPressable(element: Element): boolean {
  const { parentElement } = element;
  const isHand = getComputedStyle(element).cursor === 'pointer';
  return isHand && parentElement !== null && getComputedStyle(parentElement).cursor !== 'pointer';
}
