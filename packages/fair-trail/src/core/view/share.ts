/**
 * The next value, made of the last one's parts wherever they are equal. What did not change keeps its identity, so a
 * framework that compares by identity renders only what did.
 */
export function share<Value>(last: unknown, next: Value): Value {
  if (Object.is(last, next)) return next;
  if (typeof last !== 'object' || typeof next !== 'object' || last === null || next === null) return next;
  if (Array.isArray(last) !== Array.isArray(next)) return next;
  if (Array.isArray(last) && Array.isArray(next)) return shareList(last, next) as Value;

  const lastFields = last as Readonly<Record<string, unknown>>;
  const nextFields = next as Readonly<Record<string, unknown>>;
  const names = Object.keys(nextFields);
  let equal = names.length === Object.keys(lastFields).length;
  const shared: [string, unknown][] = names.map((name) => {
    const value = share(lastFields[name], nextFields[name]);
    if (!Object.hasOwn(lastFields, name) || !Object.is(value, lastFields[name])) equal = false;
    return [name, value];
  });
  if (equal) return last as Value;
  return Object.fromEntries(shared) as Value;
}

function shareList(last: readonly unknown[], next: readonly unknown[]): readonly unknown[] {
  let equal = last.length === next.length;
  const shared = next.map((member, index) => {
    const value = share(last[index], member);
    if (!Object.is(value, last[index])) equal = false;
    return value;
  });
  return equal ? last : shared;
}

/** Shares each value with the one before it. */
export function createSharer<Value>(): (next: Value) => Value {
  let last: Value | undefined;
  return (next) => (last = share(last, next));
}
