import type { MenuItem } from '../site/menu-item.ts';

/**
 * The widths, in em, at which a bar may switch between a row and a toggle. The stylesheet has a container query for
 * each, so the switch needs no script and follows the size of the text.
 */
export const rungs: readonly number[] = [
  16, 20, 24, 28, 32, 36, 40, 44, 48, 52, 56, 60, 64, 67, 70, 73, 76, 80, 84, 88, 92, 96, 100, 106, 112, 124, 140, 160,
];

/** The smallest rung with that much room, in em; null if there is none. */
export function rungFor(room: number): number | null {
  return rungs.find((rung) => rung >= room) ?? null;
}

/** What a label is wrapped in: the padding of a link on both sides, the blaze and its gap, and the gap between items. */
const aroundLink = 2.4;

/** The padding of the bar itself on both sides. */
const aroundBar = 3;

/** What a brand of unknown content is taken for: a drawing and a name of two words. */
const brandEstimate = 11;

/** What a slot of unknown content is taken for until it has been measured. */
const slotEstimate = 7;

export interface RoomEstimate {
  readonly items: readonly MenuItem[];
  /** Null if the app brings a brand of its own. */
  readonly brandText: string | null;
  /** Whether the app draws icons. Default: false. */
  readonly icons?: boolean;
  /** How many slots besides the brand the app fills. */
  readonly slots: number;
}

/**
 * The room, in em, that a bar's row is likely to need: estimated from its labels, so that a server can say it too.
 * Generous, since too early a toggle is a lesser evil than crushed labels; measuring refines it.
 */
export function estimateRoom({ items, brandText, slots, icons = false }: RoomEstimate): number {
  let links = 0;
  for (const item of items) links += linkWidth(item) + (icons && item.icon !== null ? iconWidth : 0);
  const brand = brandText === null ? brandEstimate : textWidth(brandText) * 1.15;
  return aroundBar + brand + slots * slotEstimate + links;
}

/** An icon and its gap. */
const iconWidth = 1.7;

/** The widths that have been estimated; items are the same objects for as long as nothing about them changes. */
const linkWidths = new WeakMap<MenuItem, number>();

function linkWidth(item: MenuItem): number {
  const width = linkWidths.get(item) ?? textWidth(item.longest ?? item.label) + aroundLink + extraWidth(item);
  linkWidths.set(item, width);
  return width;
}

/** What else stands beside a label: the sign of a panel, a badge. */
function extraWidth({ items, badge, kind }: MenuItem): number {
  const panel = items.length === 0 ? 0 : kind === 'link' ? 1.6 : 1.2;
  return panel + (badge === null ? 0 : textWidth(badge) + 1.2);
}

/** Characters that take a whole em in most fonts: East Asian wide forms and emoji. */
const wide = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Extended_Pictographic}]/u;

function textWidth(text: string): number {
  let width = 0;
  for (const character of text) width += wide.test(character) ? 1 : /\p{Mark}/u.test(character) ? 0 : 0.56;
  return width;
}
