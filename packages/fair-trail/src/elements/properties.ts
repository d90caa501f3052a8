/**
 * Properties that were set before the element was defined, or by a framework on an element that was not upgraded yet: they
 * lie on the element itself, in front of the accessors of its class.
 */
export function takeProperties(element: HTMLElement, names: readonly string[]): void {
  const target = element as unknown as Record<string, unknown>;
  for (const name of names) {
    if (!Object.hasOwn(element, name)) continue;
    const value = target[name];
    // The accessor of the class is in its place from here on.
    Reflect.deleteProperty(element, name);
    target[name] = value;
  }
}
