import { useCallback, useContext, useSyncExternalStore } from 'react';
import { PresenterContext } from './trail-context.ts';

const nothing = () => () => undefined;

/**
 * Returns the state that the app keeps with the current history entry, and a function that sets it. The state is
 * restored after Back, Forward and a reload. Undefined if there is none.
 *
 * @example
 * function Gallery() {
 *   const [state, keepState] = useHistoryState();
 *   const photo = typeof state === 'number' ? state : 0;
 *   return <button onClick={() => keepState(photo + 1)}>Photo {photo}</button>;
 * }
 */
export function useHistoryState(): readonly [state: unknown, keepState: (state: unknown) => void] {
  const router = useContext(PresenterContext);
  const read = () => router?.state.current.state;
  const state = useSyncExternalStore(router?.subscribe ?? nothing, read, read);
  const keepState = useCallback((next: unknown) => router?.keepState(next), [router]);
  return [state, keepState];
}
