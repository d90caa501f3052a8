import { useState } from 'react';
import { createSharer } from '../core/index.ts';

/** The value, made of the last one's parts wherever they are equal, so that only what changed renders again. */
export function useShared<Value>(value: Value): Value {
  const [shareWithLast] = useState(createSharer<Value>);
  return shareWithLast(value);
}
