import { createKey, type HistoryEntry, type SessionHistory } from './history.ts';

/** A history without a browser, for tests and previews. It begins with one entry. */
export function memoryHistory(url = '/'): SessionHistory {
  let entries: HistoryEntry[] = [{ url, key: createKey() }];
  let index = 0;
  const listeners = new Set<(entry: HistoryEntry) => void>();
  const current = () => entries[index] as HistoryEntry;
  return {
    get current() {
      return current();
    },
    push(entry) {
      entries = [...entries.slice(0, index + 1), entry];
      index += 1;
    },
    replace(entry) {
      entries = entries.with(index, entry);
    },
    traverse(delta) {
      const target = index + delta;
      // As in a browser, going further than there is anything does nothing.
      if (delta === 0 || target < 0 || target >= entries.length) return;
      index = target;
      for (const listener of listeners) listener(current());
    },
    listen(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}
