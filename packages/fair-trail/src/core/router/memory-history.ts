import { createKey, type HistoryEntry, type SessionHistory } from './history.ts';

/** A history without a browser, for tests and previews. It begins with one entry. */
export function memoryHistory(url = '/'): SessionHistory {
  let current: HistoryEntry = { url, key: createKey() };
  let entries = [current];
  let index = 0;
  const listeners = new Set<(entry: HistoryEntry) => void>();
  return {
    get current() {
      return current;
    },
    push(entry) {
      index += 1;
      entries = [...entries.slice(0, index), entry];
      current = entry;
    },
    replace(entry) {
      entries[index] = entry;
      current = entry;
    },
    traverse(delta) {
      const target = index + delta;
      const entry = entries[target];
      // As in a browser, going further than there is anything does nothing.
      if (delta === 0 || !entry) return;
      index = target;
      current = entry;
      for (const listener of listeners) listener(current);
    },
    listen(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}
