/**
 * A function that keeps the last thing it made of each object, for as long as that depends on the same values. Menus are
 * large and change in few places: what is made of an item that did not change is made once, and keeps its identity.
 *
 * @param make uses nothing but the object and these values
 * @param valuesOf lists the values, always the same number of them
 */
export function remembering<Source extends object, Options extends readonly unknown[], Made>(
  make: (source: Source, ...options: Options) => Made,
  valuesOf: (...options: Options) => readonly unknown[],
): (source: Source, ...options: Options) => Made {
  const known = new WeakMap<Source, { readonly values: readonly unknown[]; readonly made: Made }>();
  return (source, ...options) => {
    const values = valuesOf(...options);
    const last = known.get(source);
    if (last?.values.every((value, index) => value === values[index])) return last.made;
    const made = make(source, ...options);
    known.set(source, { values, made });
    return made;
  };
}
