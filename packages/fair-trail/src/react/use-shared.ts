import { useRef } from 'react';
import { share } from '../core/index.ts';
import { useBrowserLayoutEffect } from './trail.tsx';

/** The value, made of the last rendered one's parts wherever they are equal, so that only what changed renders again. */
export function useShared<Value>(value: Value): Value {
  const last = useRef<Value | null>(null);
  const shared = share(last.current, value);
  useBrowserLayoutEffect(() => {
    last.current = shared;
  });
  return shared;
}
