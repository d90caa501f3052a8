/** How far each history entry's page was scrolled, by the entry's key. Kept across a reload where storage allows it. */
export interface ScrollMemory {
  keep(key: string): void;
  /** False where nothing is known of that entry. */
  restore(key: string): boolean;
  /** Stores what is kept, for after a reload. */
  store(): void;
}

const storageKey = 'fair-trail:scroll';

/** More entries than anyone goes back, and few enough to store in a blink. */
const mostEntries = 200;

export function scrollMemory(window: Window): ScrollMemory {
  const places = load(window);
  return {
    keep(key) {
      places.delete(key); // so that the newest is last, and the oldest first to go
      places.set(key, [window.scrollX, window.scrollY]);
    },
    restore(key) {
      const place = places.get(key);
      if (place) window.scrollTo({ left: place[0], top: place[1], behavior: 'instant' });
      return place !== undefined;
    },
    store() {
      try {
        window.sessionStorage.setItem(storageKey, JSON.stringify([...places].slice(-mostEntries)));
      } catch {
        // Storage is refused or full. Without it, only a reload begins at the top.
      }
    },
  };
}

function load(window: Window): Map<string, readonly [number, number]> {
  const places = new Map<string, readonly [number, number]>();
  try {
    const stored: unknown = JSON.parse(window.sessionStorage.getItem(storageKey) ?? '[]');
    for (const row of Array.isArray(stored) ? (stored as unknown[]) : []) {
      const [key, place] = Array.isArray(row) ? (row as unknown[]) : [];
      const [left, top] = Array.isArray(place) ? (place as unknown[]) : [];
      if (typeof key === 'string' && typeof left === 'number' && typeof top === 'number') places.set(key, [left, top]);
    }
  } catch {
    // Refused, or not ours: begin with nothing.
  }
  return places;
}

/** Scrolls to the element that a hash names, as the HTML standard finds it (section 7.4.6.4), or else to the top. */
export function scrollToHash(document: Document, hash: string): void {
  const target = hash.length > 1 ? elementAt(document, hash.slice(1)) : null;
  if (target) target.scrollIntoView();
  else document.defaultView?.scrollTo({ left: 0, top: 0, behavior: 'instant' });
}

function elementAt(document: Document, fragment: string): Element | null {
  const raw = document.getElementById(fragment);
  if (raw) return raw;
  try {
    return document.getElementById(decodeURIComponent(fragment));
  } catch {
    return null;
  }
}
