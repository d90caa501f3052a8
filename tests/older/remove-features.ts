/**
 * Takes away what browsers of four years ago did not have, before anything is loaded: the tests then ask whether only refinements
 * are missing. What stylesheets use is taken away by `without-selectors.ts`.
 */

const removed: readonly (readonly [object: object, names: readonly string[]])[] = [
  [window, ['navigation', 'URLPattern', 'scheduler', 'requestIdleCallback', 'CloseWatcher']],
  [Document.prototype, ['startViewTransition', 'parseHTMLUnsafe']],
  [HTMLElement.prototype, ['showPopover', 'hidePopover', 'togglePopover', 'popover', 'inert']],
  [Element.prototype, ['moveBefore', 'setHTMLUnsafe', 'ariaNotify']],
  [Array.prototype, ['toSorted', 'toReversed', 'toSpliced', 'with']],
  [Object, ['groupBy']],
  [Map, ['groupBy']],
  [Promise, ['withResolvers', 'try']],
  [AbortSignal, ['any']],
  [Set.prototype, ['union', 'intersection', 'difference', 'isSubsetOf']],
  [String.prototype, ['isWellFormed', 'toWellFormed']],
];

for (const [object, names] of removed) {
  for (const name of names) Reflect.deleteProperty(object, name);
}

/** Without `inert`, the attribute is a word that nothing but stylesheets and selectors knows: it has another name here. */
const other = (name: string) => (name === 'inert' ? 'data-no-inert' : name);
// eslint-disable-next-line @typescript-eslint/unbound-method -- each is called on the element that it is asked of
const { setAttribute, toggleAttribute, removeAttribute, hasAttribute, getAttribute } = Element.prototype;
Element.prototype.setAttribute = function (name, value) {
  setAttribute.call(this, other(name), value);
};
Element.prototype.toggleAttribute = function (name, force) {
  return toggleAttribute.call(this, other(name), force);
};
Element.prototype.removeAttribute = function (name) {
  removeAttribute.call(this, other(name));
};
Element.prototype.hasAttribute = function (name) {
  return hasAttribute.call(this, other(name));
};
Element.prototype.getAttribute = function (name) {
  return getAttribute.call(this, other(name));
};

for (const [object, names] of [
  [Element.prototype, ['querySelector', 'querySelectorAll', 'matches', 'closest']],
  [Document.prototype, ['querySelector', 'querySelectorAll']],
] as const) {
  for (const name of names) {
    const original = (object as unknown as Record<string, (selector: string) => unknown>)[name];
    Object.defineProperty(object, name, {
      configurable: true,
      writable: true,
      value(this: Element, selector: string) {
        return original?.call(this, selector.replaceAll('[inert]', '[data-no-inert]'));
      },
    });
  }
}
