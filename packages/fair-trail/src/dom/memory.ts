/** Under which everything that is remembered lies: the names of what was dismissed, one beside the other. */
export const memoryKey = 'fair-trail:dismissed';

/** Remembers names across reloads where the browser lets it, and until the page is left where it does not. */
export interface Memory {
  readonly has: (name: string) => boolean;
  readonly add: (name: string) => void;
  /** Tells when what is remembered may have changed, by another tab too. */
  readonly subscribe: (listener: () => void) => () => void;
}

const memories = new WeakMap<Window, Memory>();

export function memoryOf(window: Window): Memory {
  const known = memories.get(window) ?? createMemory(window);
  memories.set(window, known);
  return known;
}

function createMemory(window: Window): Memory {
  const listeners = new Set<() => void>();
  let names = new Set(readNames(window));
  const write = () => {
    try {
      window.localStorage.setItem(memoryKey, JSON.stringify([...names]));
    } catch {
      // Refused: it lasts until the page is left.
    }
    for (const listener of listeners) listener();
  };
  const follow = (event: StorageEvent) => {
    if (event.key !== memoryKey && event.key !== null) return;
    names = new Set(readNames(window));
    for (const listener of listeners) listener();
  };
  return {
    has: (name) => names.has(name),
    add: (name) => {
      names.add(name);
      write();
    },
    subscribe: (listener) => {
      if (listeners.size === 0) {
        window.addEventListener('storage', follow);
        // While nobody listened, another tab may have said something.
        names = new Set([...names, ...readNames(window)]);
      }
      listeners.add(listener);
      return () => {
        listeners.delete(listener);
        if (listeners.size === 0) window.removeEventListener('storage', follow);
      };
    },
  };
}

/** Whatever lies there may be another app's, or of another time. */
export function readNames(window: Window): readonly string[] {
  try {
    const value: unknown = JSON.parse(window.localStorage.getItem(memoryKey) ?? '[]');
    return Array.isArray(value) ? value.filter((name) => typeof name === 'string') : [];
  } catch {
    return [];
  }
}
