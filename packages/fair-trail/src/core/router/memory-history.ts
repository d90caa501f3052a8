import { createKey, pathAddress, type HistoryEntry, type SessionHistory, type Traversal } from './history.ts';

/**
 * Creates a history in memory with one entry, for tests and previews.
 *
 * @example
 * const history = memoryHistory('/hides');
 */
export function memoryHistory(url = '/'): SessionHistory {
  let current: HistoryEntry = { url, key: createKey() };
  let entries = [current];
  let index = 0;
  const listeners = new Set<{ onTraverse: (traversal: Traversal) => void; mayTraverse?: (to: Traversal) => boolean }>();
  return {
    get current() {
      return current;
    },
    push(entry) {
      index += 1;
      entries = [...entries.slice(0, index), entry];
      current = entry;
      return true;
    },
    replace(entry) {
      entries[index] = entry;
      current = entry;
      return true;
    },
    traverse(delta) {
      const entry = entries[index + delta];
      // As in a browser, going further than there is anything does nothing.
      if (delta === 0 || !entry) return;
      const traversal = { entry, delta };
      for (const { mayTraverse } of listeners) if (mayTraverse?.(traversal) === false) return;
      index += delta;
      current = entry;
      for (const { onTraverse } of listeners) onTraverse(traversal);
    },
    listen(onTraverse, mayTraverse) {
      const listener = mayTraverse ? { onTraverse, mayTraverse } : { onTraverse };
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    href: (address) => address,
    address: pathAddress,
  };
}
