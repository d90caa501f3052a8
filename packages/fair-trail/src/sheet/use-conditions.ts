import { useCallback, useEffect, useRef, useState } from 'react';
import { readConditions, usualConditions, writeConditions, type Conditions } from './conditions.ts';

type Change = (change: Partial<Conditions>) => void;

/** The conditions, and the address that says them. */
export function useConditions(
  initial: Conditions | undefined,
  onConditions: ((conditions: Conditions) => void) | undefined,
): readonly [Conditions, Change] {
  const [conditions, setConditions] = useState(
    () =>
      initial ??
      (typeof window === 'undefined' ? usualConditions : readConditions(new URLSearchParams(window.location.search))),
  );
  const change = useCallback<Change>((next) => setConditions((last) => ({ ...last, ...next })), []);
  const reported = useRef(onConditions);
  useEffect(() => {
    reported.current = onConditions;
  });
  useEffect(() => {
    reported.current?.(conditions);
    if (initial) return;
    const { location, history } = window;
    const query = writeConditions(conditions, new URLSearchParams(location.search)).toString();
    const search = query === '' ? '' : `?${query}`;
    if (search !== location.search)
      history.replaceState(history.state, '', `${location.pathname}${search}${location.hash}`);
  }, [conditions, initial]);
  return [conditions, change];
}
