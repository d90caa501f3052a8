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
