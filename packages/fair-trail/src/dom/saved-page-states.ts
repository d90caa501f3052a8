import { isContent, linkOfSign, signOf, type LinkSign } from './link-sign.ts';
import { isElement } from './nodes.ts';

/** How far something is scrolled, in CSS pixels: from its left and top. */
type Scrolled = readonly [left: number, top: number];

/** How a page stood when it was left. */
interface SavedPageState {
  readonly scroll: Scrolled;
  /** What else was scrolled in the page, by its way down the document. */
  readonly scrollers: readonly (readonly [way: string, scroll: Scrolled])[];
  /** The link that the reader left by. */
  readonly link: LinkSign | null;
}

/** How each history entry's page stood, by the entry's key. Kept across a reload where storage allows it. */
export interface SavedPageStates {
  /**
   * Notes down how the page stands.
   *
   * @param link the link that it is being left by, if any
   * @param shown whether it was ever seen; if not, the document still stands as the page before it does
   */
  keep(key: string, link: Element | null, shown: boolean): void;
  /** A new entry came after that one: what came after it before cannot be gone to any more. */
  push(after: string, key: string): void;
  /** A new entry took the place of that one. */
  replace(before: string, key: string): void;
  has(key: string): boolean;
  /** Scrolls as the page was; false while it is not long enough yet for that. */
  scroll(key: string): boolean;
  /** Whether the page was left by a link. */
  hasLink(key: string): boolean;
  /** That link, if it is there now. */
  link(key: string): HTMLElement | null;
  /** Stores what is kept, for after a reload. */
  store(): void;
  /** Ends it and leaves nothing behind. */
  end(): void;
}

const storageKey = 'fair-trail:places';

/** No browser keeps more, and they are few enough to store in a blink. */
const mostEntries = 200;

/** More than this many scrolled parts in one page are not looked after. */
const mostScrollers = 20;

export function placesOf(window: Window): SavedPageStates {
  const { document } = window;
  const places = load(window);
  /** The keys in the order of the history. */
  let way = [...places.keys()];
  const scrolled = new Set<Element>();
  const onScroll = ({ target }: Event) => {
    if (isElement(target) && scrolled.size < mostScrollers) scrolled.add(target);
  };
  document.addEventListener('scroll', onScroll, { capture: true, passive: true });

  const scrollersNow = () => {
    const rows: [string, Scrolled][] = [];
    for (const element of scrolled) {
      if (!element.isConnected) scrolled.delete(element);
      // Outside of the content, what is scrolled stays on the page, and is the reader's own doing.
      else if (isContent(element)) {
        rows.push([wayTo(element), [element.scrollLeft, element.scrollTop]]);
      }
    }
    return rows;
  };

  return {
    keep(key, link, shown) {
      const known = places.get(key);
      if (!way.includes(key)) way.push(key);
      places.set(key, {
        scroll: shown ? [window.scrollX, window.scrollY] : (known?.scroll ?? [0, 0]),
        scrollers: shown ? scrollersNow() : (known?.scrollers ?? []),
        // Who comes by Back and goes on by Forward left the page by the same link, in the end.
        link: link ? signOf(link) : (known?.link ?? null),
      });
    },
    push(after, key) {
      const length = way.indexOf(after) + 1;
      for (const gone of way.slice(length)) places.delete(gone);
      way = [...way.slice(0, length), key];
    },
    replace(before, key) {
      way = way.map((one) => (one === before ? key : one));
      places.delete(before);
    },
    has: (key) => places.has(key),
    scroll(key) {
      const place = places.get(key);
      if (!place) return true;
      const [left, top] = place.scroll;
      window.scrollTo({ left, top, behavior: 'instant' });
      const isThere = Math.abs(window.scrollY - top) <= 1 && Math.abs(window.scrollX - left) <= 1;
      const areThere = place.scrollers.map(([way, scroll]) => scrollPart(document, way, scroll));
      return isThere && areThere.every(Boolean);
    },
    hasLink: (key) => (places.get(key)?.link ?? null) !== null,
    link(key) {
      const link = places.get(key)?.link;
      return link ? linkOfSign(document, link) : null;
    },
    store() {
      try {
        const rows = way.flatMap((key) => (places.has(key) ? [[key, places.get(key)]] : []));
        window.sessionStorage.setItem(storageKey, JSON.stringify(rows.slice(-mostEntries)));
      } catch {
        // Storage is refused or full. Without it, only a reload begins at the top.
      }
    },
    end: () => document.removeEventListener('scroll', onScroll, { capture: true }),
  };
}

function scrollPart(document: Document, way: string, [left, top]: Scrolled): boolean {
  const part = document.querySelector(way);
  part?.scrollTo({ left, top, behavior: 'instant' });
  return part !== null && Math.abs(part.scrollTop - top) <= 1 && Math.abs(part.scrollLeft - left) <= 1;
}

/** A selector that leads to the element, from the nearest one with an id. */
function wayTo(element: Element): string {
  const steps: string[] = [];
  for (let current: Element | null = element; current; current = current.parentElement) {
    if (current.id) {
      steps.unshift(`#${CSS.escape(current.id)}`);
      break;
    }
    const index = [...(current.parentElement?.children ?? [])].indexOf(current);
    steps.unshift(index < 0 ? current.localName : `:nth-child(${index + 1})`);
  }
  return steps.join(' > ');
}

function load(window: Window): Map<string, SavedPageState> {
  const places = new Map<string, SavedPageState>();
  try {
    const stored: unknown = JSON.parse(window.sessionStorage.getItem(storageKey) ?? '[]');
    for (const row of Array.isArray(stored) ? (stored as unknown[]) : []) {
      const [key, place] = Array.isArray(row) ? (row as unknown[]) : [];
      if (typeof key === 'string' && isPlace(place)) places.set(key, place);
    }
  } catch {
    // Refused, or not ours: begin with nothing.
  }
  return places;
}

function isPlace(value: unknown): value is SavedPageState {
  if (typeof value !== 'object' || value === null) return false;
  const { scroll, scrollers, link } = value as Partial<Record<keyof SavedPageState, unknown>>;
  const areScrollers =
    Array.isArray(scrollers) &&
    (scrollers as unknown[]).every((row) => Array.isArray(row) && typeof row[0] === 'string' && isScrolled(row[1]));
  const isLink = link === null || (Array.isArray(link) && typeof link[0] === 'string' && typeof link[2] === 'number');
  return isScrolled(scroll) && areScrollers && isLink;
}

function isScrolled(value: unknown): value is Scrolled {
  return Array.isArray(value) && typeof value[0] === 'number' && typeof value[1] === 'number';
}
