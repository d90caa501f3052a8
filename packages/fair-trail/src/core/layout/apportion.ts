/** One item of a row, as flexible lengths are resolved. All sizes are of the content, in one unit. */
export interface FlexItem {
  /** The size that it starts from: its flex basis, in the unit of the row. */
  readonly base: number;
  readonly grow: number;
  readonly shrink: number;
  /** Default: 0. */
  readonly minimum?: number;
  /** Default: without limit. */
  readonly maximum?: number;
  /** Its margin, border and padding along the row, together. Default: 0. */
  readonly around?: number;
}

interface FlexShare {
  readonly item: FlexItem;
  /** The base within its limits. */
  readonly hypothetical: number;
  readonly around: number;
  size: number;
  frozen: boolean;
}

/**
 * Who gets the spare room of a row, or gives up what is missing: resolves flexible lengths as a browser does (CSS
 * Flexbox, section 9.7).
 *
 * @param room the inner size of the row
 * @param gap between two items. Default: 0
 * @returns the size of each item's content, in the order given
 */
export function apportion(items: readonly FlexItem[], room: number, gap = 0): readonly number[] {
  const inner = room - gap * Math.max(0, items.length - 1);
  const shares = items.map((item) => shareOf(item));
  const wanted = sum(shares, ({ hypothetical, around }) => hypothetical + around);
  const grows = wanted < inner;
  for (const share of shares) {
    const { item, hypothetical } = share;
    const isStiff = grows ? item.grow === 0 || item.base > hypothetical : item.shrink === 0 || item.base < hypothetical;
    share.size = isStiff ? hypothetical : item.base;
    share.frozen = isStiff;
  }

  const freeNow = () => inner - sum(shares, ({ item, frozen, size, around }) => (frozen ? size : item.base) + around);
  const initiallyFree = freeNow();
  // Each turn freezes one item at least.
  for (let open = shares.filter(isOpen); open.length > 0; open = shares.filter(isOpen)) {
    distribute(open, grows, initiallyFree, freeNow());
    freezeViolators(open);
  }
  return shares.map(({ size }) => size);
}

function shareOf(item: FlexItem): FlexShare {
  const hypothetical = withinLimits(item, item.base);
  return { item, hypothetical, around: item.around ?? 0, size: hypothetical, frozen: false };
}

/** A minimum wins over a maximum below it (CSS Sizing, section 5.2). */
function withinLimits({ minimum = 0, maximum = Number.POSITIVE_INFINITY }: FlexItem, size: number): number {
  return Math.max(minimum, 0, Math.min(maximum, size));
}

function isOpen({ frozen }: FlexShare): boolean {
  return !frozen;
}

/** Steps 4b and 4c: factors that come to less than 1 in all take that part of the free room only. */
function distribute(open: readonly FlexShare[], grows: boolean, initiallyFree: number, freeNow: number): void {
  const factors = sum(open, ({ item }) => (grows ? item.grow : item.shrink));
  const part = initiallyFree * factors;
  const free = factors < 1 && Math.abs(part) < Math.abs(freeNow) ? part : freeNow;
  const weightOf = ({ item }: FlexShare) => (grows ? item.grow : item.shrink * item.base);
  const weights = sum(open, weightOf);
  for (const share of open) {
    share.size = share.item.base + (weights === 0 ? 0 : asLaidOut((free * weightOf(share)) / weights));
  }
}

/**
 * Browsers lay out in steps of a fraction of a pixel. Where an item ends up a hair beyond its limit, that decides whether
 * it met the limit at all, and with it who gets the rest.
 */
function asLaidOut(pixels: number): number {
  return Math.round(pixels * 64) / 64;
}

/** Steps 4d and 4e: on whichever side the limits took more, those that met theirs stay at it. */
function freezeViolators(open: readonly FlexShare[]): void {
  const corrections = open.map((share) => withinLimits(share.item, share.size) - share.size);
  const total = corrections.reduce((all, one) => all + one, 0);
  for (const [index, share] of open.entries()) {
    const correction = corrections[index] ?? 0;
    share.size += correction;
    share.frozen = total === 0 || (total > 0 ? correction > 0 : correction < 0);
  }
}

function sum<Member>(members: readonly Member[], value: (member: Member) => number): number {
  return members.reduce((total, member) => total + value(member), 0);
}
