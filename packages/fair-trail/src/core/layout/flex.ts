/** The `flex` shorthand (CSS Flexbox, section 7.1). */
export interface Flex {
  readonly grow: number;
  readonly shrink: number;
  readonly basis: FlexBasis;
}

/** `auto`, `content`, or a length or percentage as CSS writes it. */
export type FlexBasis = 'auto' | 'content' | { readonly value: number; readonly unit: string };

const zero: FlexBasis = { value: 0, unit: 'px' };

/** Section 7.1 says 0 here; every browser takes the percentage, which is "content" in a row without a size. */
const omitted: FlexBasis = { value: 0, unit: '%' };

/** What a single keyword stands for (section 7.1.1). */
const keywords: Readonly<Record<string, Flex>> = {
  none: { grow: 0, shrink: 0, basis: 'auto' },
  auto: { grow: 1, shrink: 1, basis: 'auto' },
  initial: { grow: 0, shrink: 1, basis: 'auto' },
};

const factor = /^\d*\.?\d+$/u;
const length = /^(\d*\.?\d+)([a-z]+|%)$/u;

/**
 * Reads the shorthand: a keyword; or factors for growing and shrinking with a basis at either end. What is left out is 1
 * for each factor, and 0 for the basis beside a factor. Null for anything else.
 */
export function readFlex(text: string): Flex | null {
  const words = text.trim().toLowerCase().split(/\s+/u);
  const [first = '', ...others] = words;
  if (others.length === 0 && Object.hasOwn(keywords, first)) return keywords[first] ?? null;
  if (words.length > 3) return null;
  const leading = readBasis(first);
  if (leading) return others.every((word) => factor.test(word)) ? toFlex(others, leading) : null;
  const last = words.at(-1) ?? '';
  // A zero without a unit is a factor, unless there are two already.
  const trailing = words.length === 3 && Number(last) === 0 ? zero : readBasis(last);
  const factors = trailing ? words.slice(0, -1) : words;
  if (factors.length > 2 || !factors.every((word) => factor.test(word))) return null;
  return toFlex(factors, trailing ?? omitted);
}

/** Writes the shorthand, in as few words as say the same. */
export function writeFlex({ grow, shrink, basis }: Flex): string {
  const written = typeof basis === 'string' ? basis : `${basis.value}${basis.unit}`;
  const short = Object.keys(keywords).find((keyword) => {
    const known = keywords[keyword];
    return known?.grow === grow && known.shrink === shrink && known.basis === basis;
  });
  if (short !== undefined) return short;
  const isZero = typeof basis === 'object' && basis.value === 0 && basis.unit === '%';
  if (isZero) return shrink === 1 ? String(grow) : `${grow} ${shrink}`;
  return `${grow} ${shrink} ${written}`;
}

/** How a share is written in the markup, so that a rule finds it: the same for all that mean the same. */
export function flexName(written: string | null): string | null {
  const flex = written === null ? null : readFlex(written);
  return flex && writeFlex(flex);
}

function toFlex([grow = '1', shrink = '1']: readonly string[], basis: FlexBasis): Flex {
  return { grow: Number(grow), shrink: Number(shrink), basis };
}

function readBasis(word: string): FlexBasis | null {
  if (word === 'auto' || word === 'content') return word;
  const [, value, unit] = length.exec(word) ?? [];
  return value === undefined || unit === undefined ? null : { value: Number(value), unit };
}
