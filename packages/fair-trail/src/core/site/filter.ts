import type { MenuItem } from './menu-item.ts';

/** A stretch of a label that matches, in UTF-16 code units. */
export interface MatchRange {
  readonly start: number;
  readonly end: number;
}

/** What a query leaves of a menu. */
export interface Filtered {
  /** The items that are left: those that match, and those that hold one. */
  readonly left: ReadonlySet<MenuItem>;
  /** Where the labels match, for the first of those items that match themselves: a reader sees no more before typing on. */
  readonly ranges: ReadonlyMap<MenuItem, readonly MatchRange[]>;
  /** How many links and actions match. */
  readonly count: number;
  /** How many of those are left: fewer where `most` says so. */
  readonly shown: number;
}

/** Each mark is a change of the page at each letter that is typed. */
const mostRanges = 200;

/** Letters as they are compared: without case and without marks; each of them beside its place in the label. */
interface Folded {
  readonly text: string;
  /** The place of each code unit of `text` in the label, and the label's length at the end; null if that is its own. */
  readonly places: readonly number[] | null;
}

/** Letters of which none has a mark, or becomes another number of letters. */
// eslint-disable-next-line no-control-regex -- all of ASCII is meant
const plain = /^[\u0000-\u007f]*$/u;

/** A label is folded once for all keystrokes. */
const foldedLabels = new WeakMap<MenuItem, Folded>();

function fold(label: string): Folded {
  // The labels of a large menu are folded at the first letter that is typed.
  if (plain.test(label)) return { text: label.toLowerCase(), places: null };
  let text = '';
  const places: number[] = [];
  let place = 0;
  for (const character of label) {
    const folded = character
      .normalize('NFKD')
      .replaceAll(/\p{Mark}/gu, '')
      .toLowerCase();
    places.push(...Array.from({ length: folded.length }, () => place));
    text += folded;
    place += character.length;
  }
  places.push(place);
  return { text, places };
}

function foldedLabel(item: MenuItem): Folded {
  const known = foldedLabels.get(item) ?? fold(item.label);
  foldedLabels.set(item, known);
  return known;
}

/**
 * Returns the items of a menu whose labels contain every word of a query. Case and accents do not count: "ete" finds
 * "Été". A matching group keeps all items below it.
 *
 * @param most how many items may be left. Default: all
 * @returns null for a query without a word: everything is left, and nothing is marked
 * @example
 * const filtered = filterItems(menuItems(site, 'main'), 'reed');
 * filtered?.left.size; // how many items are still shown
 */
export function filterItems(items: readonly MenuItem[], query: string, most = Infinity): Filtered | null {
  const words = fold(query).text.split(/\s+/u).filter(Boolean);
  if (words.length === 0) return null;
  const left = new Set<MenuItem>();
  const ranges = new Map<MenuItem, readonly MatchRange[]>();
  let count = 0;
  let shown = 0;
  const look = (item: MenuItem, isWithin: boolean): boolean => {
    if (item.kind !== 'link' && item.kind !== 'group' && item.kind !== 'action') return false;
    const folded = foldedLabel(item);
    const isFound = words.every((word) => folded.text.includes(word));
    if (isFound && item.kind !== 'group') count += 1;
    const isShown = isWithin || isFound;
    let holds = false;
    for (const child of item.items) holds = look(child, isShown) || holds;
    if (!isShown && !holds) return false;
    if (!holds && left.size >= most) return false;
    left.add(item);
    if (isFound && item.kind !== 'group') shown += 1;
    if (isFound && ranges.size < mostRanges) ranges.set(item, rangesIn(folded, words));
    return true;
  };
  for (const item of items) look(item, false);
  return { left, ranges, count, shown };
}

/** Where each word stands first, in the order of the label, which holds them all. */
function rangesIn({ text, places }: Folded, words: readonly string[]): readonly MatchRange[] {
  const found: MatchRange[] = [];
  for (const word of words) {
    const index = text.indexOf(word);
    if (places === null) {
      found.push({ start: index, end: index + word.length });
      continue;
    }
    const last = places[index + word.length - 1] ?? 0;
    // Up to the next character that is another one: a letter may have been folded to several.
    const end = places.slice(index + word.length).find((place) => place > last) ?? places.at(-1) ?? 0;
    found.push({ start: places[index] ?? 0, end });
  }
  return joined(found.sort((one, other) => one.start - other.start));
}

/** Those that touch or overlap, as one. */
function joined(ranges: readonly MatchRange[]): readonly MatchRange[] {
  const result: MatchRange[] = [];
  for (const range of ranges) {
    const last = result.at(-1);
    if (last && range.start <= last.end) result[result.length - 1] = { ...last, end: Math.max(last.end, range.end) };
    else result.push(range);
  }
  return result;
}
