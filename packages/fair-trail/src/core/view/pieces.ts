import type { MenuItem } from '../site/menu-item.ts';

/**
 * A list of more items than a page can draw at once is drawn in pieces: the first, the one that holds what is marked, and
 * those that the reader asks for.
 */

/** A menu with more items than this, at any depth, is drawn in pieces. */
export const mostDrawn = 2000;

/** How many items of one list are a piece. */
export const pieceSize = 100;

/** The reader asked for more of a list. */
export interface MoreEvent {
  readonly type: 'more';
  /** The id of the group that the list is in; empty for the list of the menu itself. */
  readonly list: string;
  /** The first piece of the gap. */
  readonly piece: number;
}

/** The pieces that the reader asked for, by the ids of their lists. */
export type ShownPieces = ReadonlyMap<string, ReadonlySet<number>>;

/** What is drawn of a list, in order: an item, or a gap with what it leaves out. */
export type ListPart =
  | { readonly item: MenuItem; readonly index: number }
  | { readonly gap: { readonly piece: number; readonly count: number } };

const none: ReadonlySet<number> = new Set();

const counts = new WeakMap<readonly MenuItem[], number>();

/** Whether a menu has more items than can be drawn at once. */
export function isLarge(items: readonly MenuItem[]): boolean {
  return countOf(items) > mostDrawn;
}

function countOf(items: readonly MenuItem[]): number {
  const known = counts.get(items);
  if (known !== undefined) return known;
  let count = items.length;
  for (const item of items) if (item.items.length > 0) count += countOf(item.items);
  counts.set(items, count);
  return count;
}

/** The parts of a list, with gaps where no one has asked for what is there. */
export function partsOf(items: readonly MenuItem[], list: string, pieces: ShownPieces): readonly ListPart[] {
  if (items.length <= pieceSize) return items.map((item, index) => ({ item, index }));
  const asked = pieces.get(list) ?? none;
  const marked = Math.floor(items.findIndex(({ mark }) => mark !== null) / pieceSize);
  const parts: ListPart[] = [];
  for (let piece = 0; piece * pieceSize < items.length; piece += 1) {
    const begin = piece * pieceSize;
    const end = Math.min(begin + pieceSize, items.length);
    if (piece === 0 || piece === marked || asked.has(piece)) {
      for (let index = begin; index < end; index += 1) {
        const item = items[index];
        if (item) parts.push({ item, index });
      }
      continue;
    }
    const last = parts.at(-1);
    if (last && 'gap' in last) {
      parts[parts.length - 1] = { gap: { ...last.gap, count: last.gap.count + end - begin } };
    } else parts.push({ gap: { piece, count: end - begin } });
  }
  return parts;
}

/** The pieces that are shown once this one is asked for as well. */
export function withPiece(pieces: ShownPieces, { list, piece }: MoreEvent): ShownPieces {
  return new Map(pieces).set(list, new Set(pieces.get(list)).add(piece));
}
