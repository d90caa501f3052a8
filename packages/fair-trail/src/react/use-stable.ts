import { useCallback, useRef } from 'react';
import { useBrowserLayoutEffect } from './trail-context.ts';

/** One function for as long as the component lives, which does what the last drawing's would. Not to be called while drawing. */
export function useStable<Given extends readonly unknown[]>(act: (...given: Given) => void): (...given: Given) => void {
  const latest = useRef(act);
  useBrowserLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...given: Given) => latest.current(...given), []);
}
