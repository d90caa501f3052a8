// Put before the page's own scripts. It takes note of what no page tells later: what listens for which events, which shadow
// roots are closed, which timers and requests are pending, and which script moved focus.
import type { PageActivity } from './activity.ts';

const listeners = new WeakMap<EventTarget, Set<string>>();
window.fairTrailListeners = listeners;
const add = Reflect.get(EventTarget.prototype, 'addEventListener');
EventTarget.prototype.addEventListener = function (this: EventTarget | undefined, type, ...rest) {
  // Called without an object, it is the window's.
  const target = this ?? window;
  const types = listeners.get(target) ?? new Set<string>();
  listeners.set(target, types.add(type));
  add.call(target, type, ...rest);
};

const roots = new WeakMap<Element, ShadowRoot>();
window.fairTrailShadowRoots = roots;
const attach = Reflect.get(Element.prototype, 'attachShadow');
Element.prototype.attachShadow = function (this: Element, init) {
  const root = attach.call(this, init);
  roots.set(this, root);
  return root;
};
// A closed root that was written in the document is known to its own element alone.
const attachInternals = Reflect.get(HTMLElement.prototype, 'attachInternals');
HTMLElement.prototype.attachInternals = function (this: HTMLElement) {
  const internals = attachInternals.call(this);
  if (internals.shadowRoot) roots.set(this, internals.shadowRoot);
  return internals;
};

const timers = new Map<number, { due: number; delay: number; depth: number; isRepeated: boolean }>();
const native = {
  setTimeout: window.setTimeout.bind(window),
  clearTimeout: window.clearTimeout.bind(window),
  setInterval: window.setInterval.bind(window),
  clearInterval: window.clearInterval.bind(window),
};
let depth = 0;
let requests = 0;
const focusCalls: { readonly element: WeakRef<Element>; readonly time: number }[] = [];

function nested(level: number, callback: TimerHandler, given: unknown[]): void {
  const outer = depth;
  depth = level;
  try {
    if (typeof callback === 'function') (callback as (...all: unknown[]) => void)(...given);
    // A text is run as the page wrote it, by the browser alone.
    else native.setTimeout(callback, 0);
  } finally {
    depth = outer;
  }
}

window.setTimeout = ((callback: TimerHandler, delay = 0, ...given: unknown[]) => {
  const level = depth + 1;
  const id = native.setTimeout(() => {
    timers.delete(id);
    nested(level, callback, given);
  }, delay);
  timers.set(id, { due: performance.now() + delay, delay, depth: level, isRepeated: false });
  return id;
}) as typeof window.setTimeout;
window.setInterval = ((callback: TimerHandler, delay = 0, ...given: unknown[]) => {
  const id = native.setInterval(() => {
    const timer = timers.get(id);
    if (timer) timer.due = performance.now() + delay;
    nested(depth + 1, callback, given);
  }, delay);
  timers.set(id, { due: performance.now() + delay, delay, depth: 1, isRepeated: true });
  return id;
}) as typeof window.setInterval;
const forget = (clear: (id: number | undefined) => void) => (id: number | undefined) => {
  if (id !== undefined) timers.delete(id);
  clear(id);
};
window.clearTimeout = forget(native.clearTimeout) as typeof window.clearTimeout;
window.clearInterval = forget(native.clearInterval) as typeof window.clearInterval;

const ask = window.fetch.bind(window);
window.fetch = async (...given) => {
  requests += 1;
  try {
    return await ask(...given);
  } finally {
    requests -= 1;
  }
};
const send = Reflect.get(XMLHttpRequest.prototype, 'send');
XMLHttpRequest.prototype.send = function (this: XMLHttpRequest, ...given) {
  requests += 1;
  add.call(this, 'loadend', () => (requests -= 1), { once: true });
  send.apply(this, given);
};

const focus = Reflect.get(HTMLElement.prototype, 'focus');
HTMLElement.prototype.focus = function (this: HTMLElement, ...given) {
  focusCalls.push({ element: new WeakRef(this), time: performance.now() });
  if (focusCalls.length > 200) focusCalls.splice(0, 100);
  focus.apply(this, given);
};

window.fairTrailActivity = {
  wait: (milliseconds) => new Promise((resolve) => native.setTimeout(resolve, milliseconds)),
  timers: () => [...timers.values()],
  requests: () => requests,
  focusCalls: () => focusCalls,
  focus: (element) => focus.call(element),
} satisfies PageActivity;
