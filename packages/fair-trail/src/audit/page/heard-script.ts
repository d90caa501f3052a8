// Put before the page's own scripts: it takes note of what listens for presses, which no page tells later.
const heard = new WeakMap<EventTarget, Set<string>>();
window.fairTrailHeard = heard;
const add = Reflect.get(EventTarget.prototype, 'addEventListener');
EventTarget.prototype.addEventListener = function (this: EventTarget | undefined, type, ...rest) {
  // Called without an object, it is the window's.
  const target = this ?? window;
  const types = heard.get(target) ?? new Set<string>();
  heard.set(target, types.add(type));
  add.call(target, type, ...rest);
};
export {};
