// Put before the page's own scripts: it takes note of what listens for presses, which no page tells later.
const heard = new WeakMap<EventTarget, Set<string>>();
window.fairTrailHeard = heard;
const add = Reflect.get(EventTarget.prototype, 'addEventListener');
EventTarget.prototype.addEventListener = function (type, ...rest) {
  const types = heard.get(this ?? window) ?? new Set<string>();
  heard.set(this ?? window, types.add(type));
  return add.call(this, type, ...rest);
};
export {};
