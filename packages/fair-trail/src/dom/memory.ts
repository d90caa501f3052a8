import { type MemoryName, memoryKeys } from '../core/interaction/memory-keys.ts';

/** Remembers names across reloads where the browser lets it, and until the page is left where it does not. */
export interface Memory {
  /** The same list for as long as nothing changes. */
  readonly names: () => readonly string[];
  /** Remembers these instead of all that `belongs` says yes to. */
  readonly replace: (belongs: (name: string) => boolean, names: readonly string[]) => void;
  /** Tells when what is remembered may have changed, by another tab too. */
  readonly subscribe: (listener: () => void) => () => void;
}

const memories = new WeakMap<Window, Map<MemoryName, Memory>>();

export function memoryOf(window: Window, what: MemoryName): Memory {
  const known = memories.get(window) ?? new Map<MemoryName, Memory>();
  memories.set(window, known);
  const memory = known.get(what) ?? createMemory(window, memoryKeys[what]);
  known.set(what, memory);
  return memory;
}

function createMemory(window: Window, key: string): Memory {
  const listeners = new Set<() => void>();
  let names = readNames(window, key);
  let isRefused = false;
  const change = (next: readonly string[]) => {
    names = next;
    for (const listener of listeners) listener();
  };
  const follow = (event: StorageEvent) => {
    if (event.key === key || event.key === null) change(readNames(window, key));
  };
  /** While no one listens, another tab may have said something. */
  const refresh = () => {
    if (listeners.size > 0 || isRefused) return;
    const stored = readNames(window, key);
    if (stored.join('\n') !== names.join('\n')) names = stored;
  };
  return {
    names: () => {
      refresh();
      return names;
    },
    replace: (belongs, added) => {
      const next = [...names.filter((name) => !belongs(name)), ...added];
      try {
        window.localStorage.setItem(key, JSON.stringify(next));
      } catch {
        // It lasts until the page is left.
        isRefused = true;
      }
      change(next);
    },
    subscribe: (listener) => {
      refresh();
      if (listeners.size === 0) window.addEventListener('storage', follow);
      listeners.add(listener);
      return () => {
        listeners.delete(listener);
        if (listeners.size === 0) window.removeEventListener('storage', follow);
      };
    },
  };
}

/** Whatever lies there may be another app's, or of another time. */
export function readNames(window: Window, key: string): readonly string[] {
  try {
    const value: unknown = JSON.parse(window.localStorage.getItem(key) ?? '[]');
    return Array.isArray(value) ? value.filter((name) => typeof name === 'string') : [];
  } catch {
    return [];
  }
}

/** Between the name of a sidebar and the id of a group in it, in what is remembered. */
const separator = '\n';

/** How an open group is remembered. */
export function openGroupName(sidebar: string, id: string): string {
  return `${sidebar}${separator}${id}`;
}

export function readOpenGroup(name: string): { readonly sidebar: string; readonly id: string } {
  const [sidebar = '', id = ''] = name.split(separator);
  return { sidebar, id };
}
