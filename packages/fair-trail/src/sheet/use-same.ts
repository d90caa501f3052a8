import { useState } from 'react';

/** The object of the last drawing for as long as everything in it is the same, for contexts that hold much. */
export function useSame<Value extends object>(value: Value): Value {
  const [kept, setKept] = useState(value);
  if (isSame(kept, value)) return kept;
  setKept(value);
  return value;
}

function isSame(one: object, other: object): boolean {
  const values = new Map(Object.entries(one));
  return Object.entries(other).every(([name, value]) => values.has(name) && Object.is(values.get(name), value));
}
