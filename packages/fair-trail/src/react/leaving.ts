import { useContext, useEffect, useRef } from 'react';
import type { MayLeave } from '../dom/guards.ts';
import { PresenterContext, useBrowserLayoutEffect } from './trail-context.ts';

/**
 * Asks before the page is left: by a link, by Back if the browser allows it, and by closing the tab, where the browser
 * shows its own dialog. A change of only the query or the hash does not leave the page.
 *
 * @param mayLeave says whether the page may be left, or promises to, such as by the answer to a dialog; null while there
 *   is nothing to lose
 * @example
 * function Form() {
 *   useMayLeave(isWritten ? () => askInDialog() : null);
 *   return <form />;
 * }
 */
export function useMayLeave(mayLeave: MayLeave | null): void {
  const router = useContext(PresenterContext);
  const latest = useRef(mayLeave);
  useBrowserLayoutEffect(() => {
    latest.current = mayLeave;
  });
  const isHeld = mayLeave !== null;
  useEffect(() => {
    if (!isHeld) return undefined;
    return router?.guard((departure) => latest.current?.(departure) ?? true);
  }, [router, isHeld]);
}
