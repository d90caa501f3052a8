/** Longer than any sensible animation: what has not ended by then does not end. In milliseconds. */
const longest = 3000;

/**
 * Calls back when whatever moves in the element has come to rest. The stylesheet says how long that takes: none at all
 * where nothing moves. Each element waits for one thing at a time: a new wait takes the place of the last one.
 */
export function whenAnimated(element: Element | null, done: () => void): void {
  const token = {};
  if (element) waits.set(element, token);
  const finish = () => {
    if (element && waits.get(element) !== token) return;
    if (element) waits.delete(element);
    done();
  };
  const moving = element?.getAnimations({ subtree: true }).filter(isFinite) ?? [];
  if (moving.length === 0) {
    queueMicrotask(finish);
    return;
  }
  // A page in the background draws nothing, and then its animations do not end.
  const limit = setTimeout(finish, longest);
  void Promise.allSettled(moving.map((animation) => animation.finished)).then(() => {
    clearTimeout(limit);
    finish();
  });
}

const waits = new WeakMap<Element, object>();

function isFinite(animation: Animation): boolean {
  const end = animation.effect?.getComputedTiming().endTime;
  return typeof end === 'number' && end < longest && animation.playState !== 'paused';
}
