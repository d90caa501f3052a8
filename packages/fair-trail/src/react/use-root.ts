import { useImperativeHandle, useRef, type ForwardedRef, type RefObject } from 'react';

/** The outermost element of a component, for it and for whoever uses it. */
export function useRoot<Root extends HTMLElement>(ref: ForwardedRef<Root>): RefObject<Root | null> {
  const root = useRef<Root>(null);
  useImperativeHandle<Root | null, Root | null>(ref, () => root.current, []);
  return root;
}
