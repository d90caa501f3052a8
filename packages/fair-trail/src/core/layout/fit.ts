/** One item of a bar that may have to make room for others. */
export interface FitItem {
  /** How much of the row it takes, in the unit of the room. */
  readonly width: number;
  /** The higher, the longer it stays. Default: 0. */
  readonly priority?: number;
  /** Whether it is the one that is marked: that one stays whatever it takes. Default: false. */
  readonly current?: boolean;
}

export interface FitOptions {
  /** The inner width of the row. */
  readonly room: number;
  /** Between two items. Default: 0. */
  readonly gap?: number;
  /** What the button takes that holds those which do not fit; it is only there where it is needed. Default: 0. */
  readonly more?: number;
}

/**
 * Which items stay in a row, as their places in the list. The current one always does; then those of the highest
 * priority, and of equals the first. An item that no longer fits takes all that come after it in this order with it,
 * even where a shorter one would fit: so a row that grows never loses an item, and one that shrinks never wins one.
 */
export function fit(items: readonly FitItem[], { room, gap = 0, more = 0 }: FitOptions): readonly number[] {
  const places = items.map((_, index) => index);
  const all = items.reduce((sum, { width }) => sum + width, 0) + gap * Math.max(0, items.length - 1);
  if (all <= room) return places;

  const itemAt = (index: number) => items[index] ?? { width: 0 };
  const rank = (index: number) =>
    itemAt(index).current === true ? Number.POSITIVE_INFINITY : (itemAt(index).priority ?? 0);
  // Sorting keeps the order of equals, and two items that are both current are equals.
  const byRank = [...places].sort((one, other) => (rank(one) === rank(other) ? 0 : rank(other) - rank(one)));
  const staying = new Set<number>();
  let left = room - more;
  for (const index of byRank) {
    const { width, current = false } = itemAt(index);
    // Each item stands beside the button at least, so there is a gap for each.
    left -= width + gap;
    if (left < 0 && !current) break;
    staying.add(index);
  }
  return places.filter((index) => staying.has(index));
}
