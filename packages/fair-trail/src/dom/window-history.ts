import { createKey, type HistoryEntry, type SessionHistory } from '../core/index.ts';

/** The field of `history.state` that is ours; whatever else the app keeps there stays. */
const field = 'fairTrail';

/** The browser's own session history (HTML standard, section 7.4). */
export function windowHistory(window: Window): SessionHistory {
  const { history, location } = window;
  const addressNow = () => location.pathname + location.search + location.hash;

  const write = (method: 'pushState' | 'replaceState', { url, key }: HistoryEntry) => {
    const kept: unknown = method === 'replaceState' ? history.state : null;
    const state = { ...(typeof kept === 'object' ? kept : null), [field]: { key } };
    // Beginning with the origin, so that a path with a doubled slash is not taken for another host.
    history[method](state, '', location.origin + url);
  };

  let current: HistoryEntry = { url: addressNow(), key: keyIn(history.state) ?? createKey() };

  /** The current entry; one that is not ours yet (a first load, a hash, another script's) is given a key. */
  const read = (): HistoryEntry => {
    const known = keyIn(history.state);
    const url = addressNow();
    const entry = { url, key: known ?? (url === current.url ? current.key : createKey()) };
    if (known === null) tryTo(() => write('replaceState', entry));
    return entry;
  };

  return {
    get current() {
      return current;
    },
    push(entry) {
      current = entry;
      // A browser refuses in a sandboxed frame, or after too many calls: then the page is loaded, and nothing is lost.
      if (!tryTo(() => write('pushState', entry))) location.assign(location.origin + entry.url);
    },
    replace(entry) {
      current = entry;
      if (!tryTo(() => write('replaceState', entry))) location.replace(location.origin + entry.url);
    },
    traverse: (delta) => history.go(delta),
    listen(listener) {
      const onTraverse = () => {
        const entry = read();
        // The same entry again is the answer to something that was already known here.
        if (entry.key === current.key && entry.url === current.url) return;
        current = entry;
        listener(entry);
      };
      // The entry that the visit began with is marked only now: merely reading a history must not change it.
      current = read();
      window.addEventListener('popstate', onTraverse);
      return () => window.removeEventListener('popstate', onTraverse);
    },
  };
}

function keyIn(state: unknown): string | null {
  if (typeof state !== 'object' || state === null || !Object.hasOwn(state, field)) return null;
  const ours = (state as Record<string, unknown>)[field];
  if (typeof ours !== 'object' || ours === null) return null;
  const { key } = ours as { key?: unknown };
  return typeof key === 'string' ? key : null;
}

/** True if it worked. The History API's only errors are refusals. */
function tryTo(act: () => void): boolean {
  try {
    act();
    return true;
  } catch {
    return false;
  }
}
