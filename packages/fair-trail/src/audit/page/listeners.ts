/** What listens for which events; set up before the page's own scripts, where that was possible. */
declare global {
  interface Window {
    fairTrailListeners?: WeakMap<EventTarget, Set<string>>;
  }
}

const presses = ['click', 'mousedown', 'mouseup', 'pointerdown', 'pointerup', 'touchstart', 'touchend'];

/** Whether a target listens for any of some events, by a listener, an attribute or a property. */
export function hears(target: EventTarget, types: readonly string[]): boolean {
  const heard = window.fairTrailListeners?.get(target);
  const properties = target as unknown as Readonly<Record<string, unknown>>;
  return types.some((type) => heard?.has(type) === true || typeof properties[`on${type}`] === 'function');
}

export function hearsPresses(element: Element): boolean {
  return hears(element, presses);
}

/** The hand, which stylesheets draw over what can be pressed, where it begins. */
export function looksPressable(element: Element): boolean {
  const { parentElement } = element;
  const isHand = getComputedStyle(element).cursor === 'pointer';
  return isHand && parentElement !== null && getComputedStyle(parentElement).cursor !== 'pointer';
}
