/** A router as an app may have one: it writes the history, and takes clicks on the links that it drew. */
export interface OtherRouter {
  /** The current path, with query and hash. */
  readonly path: () => string;
  readonly go: (path: string) => void;
  /** @returns a function that stops listening */
  readonly subscribe: (listener: () => void) => () => void;
  /** Puts the address back and stops listening. */
  readonly end: () => void;
}

export function openOtherRouter(start: string): OtherRouter {
  const before = window.location.href;
  const listeners = new Set<() => void>();
  window.history.pushState(null, '', start);
  const path = () => window.location.pathname + window.location.search + window.location.hash;
  const changed = () => {
    for (const listener of listeners) listener();
  };
  window.addEventListener('popstate', changed);
  return {
    path,
    go(next) {
      window.history.pushState(null, '', next);
      changed();
    },
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    end() {
      window.removeEventListener('popstate', changed);
      window.history.pushState(null, '', before);
    },
  };
}
