/** What a row of steps takes, in any unit, as long as it is the same for all. */
export interface FoldRoom {
  /** What each step takes with the separator before it. */
  readonly widths: readonly number[];
  /** What there is for all of them. */
  readonly room: number;
  /** What the button takes that stands for those that are folded away. */
  readonly button: number;
  /** How many steps from the beginning stay. */
  readonly keepFirst: number;
  /** How many steps up to the end stay. */
  readonly keepLast: number;
}

/** Steps beside each other: the place of the first, and how many. */
export interface FoldRange {
  readonly start: number;
  readonly count: number;
}

/**
 * Which steps are folded away so that the rest fits: as few as will do, those next to the beginning first. Where not even
 * that is enough, those that should stay go too, but for the last. One step alone is never folded away: the button would
 * take its room. Where no fold would do, as much is folded as may be.
 *
 * @returns null where all fit, or where there is nothing to fold
 */
export function foldToFit({ widths, room, button, keepFirst, keepLast }: FoldRoom): FoldRange | null {
  const total = sum(widths);
  // Browsers lay out in parts of a pixel; less than one is no overflow.
  const fits = (width: number) => width <= room + 0.5;
  if (fits(total)) return null;
  let most: FoldRange | null = null;
  for (const [start, end] of ranges(widths.length, keepFirst, keepLast)) {
    for (let count = 2; start + count <= end; count += 1) {
      most = { start, count };
      if (fits(total - sum(widths.slice(start, start + count)) + button)) return most;
    }
  }
  return most;
}

/** What may be folded away, from what is wanted to what is left when all else has gone. */
function* ranges(length: number, keepFirst: number, keepLast: number): Iterable<readonly [start: number, end: number]> {
  for (let last = keepLast; last > 1; last -= 1) yield [keepFirst, length - last];
  yield [keepFirst, length - Math.min(keepLast, 1)];
  if (keepFirst > 0) yield [0, length - Math.min(keepLast, 1)];
}

function sum(numbers: readonly number[]): number {
  return numbers.reduce((total, number) => total + number, 0);
}
