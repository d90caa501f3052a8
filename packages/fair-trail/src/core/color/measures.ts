/** How a token is written (Design Tokens Format, section 8). */
export type MeasureType = 'dimension' | 'duration' | 'cubicBezier' | 'fontFamily' | 'fontWeight';

/** How people think of tokens: what they look for when they want to change something. */
export type TokenSection = 'colors' | 'type' | 'spacing' | 'sizes' | 'shape' | 'motion';

/** A token that is no color. */
export interface MeasureToken {
  readonly group: MeasureGroup;
  /** Also the custom property, without `--ft-`. */
  readonly name: string;
  readonly type: MeasureType;
  readonly section: Exclude<TokenSection, 'colors'>;
  /** What it is in the library's own theme, as CSS; null where the page around the components decides. */
  readonly usual: string | null;
  readonly what: string;
}

export type MeasureGroup = 'type' | 'space' | 'size' | 'shape' | 'time' | 'easing';

const token = (
  group: MeasureGroup,
  name: string,
  type: MeasureType,
  section: MeasureToken['section'],
  usual: string | null,
  what: string,
): MeasureToken => ({ group, name, type, section, usual, what });

const ease = 'cubic-bezier(0.25, 0.1, 0.25, 1)';

/** The tokens besides colors that the stylesheets use. A tokens file may have others: they become custom properties too. */
export const measureTokens: readonly MeasureToken[] = [
  token('type', 'font-family', 'fontFamily', 'type', null, 'of all navigation'),
  token('type', 'font-size', 'dimension', 'type', null, 'of labels'),
  token('type', 'font-weight', 'fontWeight', 'type', null, 'of labels'),
  token('size', 'gap', 'dimension', 'spacing', '0.25rem', 'between items'),
  token('space', 'inset', 'dimension', 'spacing', '0.75em', 'beside a label, up to the edge of its item'),
  token('space', 'gutter', 'dimension', 'spacing', 'clamp(1rem, 4cqi, 2rem)', 'between a bar and the edge of the page'),
  token('size', 'target', 'dimension', 'sizes', '2.75rem', 'the least height of what is pressed'),
  token('size', 'bar-size', 'dimension', 'sizes', '4.75rem', 'the least height of a bar'),
  token('size', 'bar-width', 'dimension', 'sizes', '80rem', 'of the content column'),
  token('size', 'sidebar-width', 'dimension', 'sizes', '16rem', 'of a sidebar'),
  token('size', 'rail-width', 'dimension', 'sizes', '3.75rem', 'of a sidebar that is narrowed to its icons'),
  token('size', 'annex-width', 'dimension', 'sizes', '16rem', 'of the second panel beside a sidebar'),
  token('shape', 'cut', 'dimension', 'shape', '0.45em', 'how much of each corner of an item is cut off'),
  token('shape', 'round', 'dimension', 'shape', '0rem', 'the radius of the corners of items, buttons and panels'),
  token('shape', 'arrow', 'dimension', 'shape', '0.8rem', 'the pointed end of the call to action'),
  token('time', 'calm', 'duration', 'motion', '140ms', 'of a change under the pointer'),
  token('time', 'open', 'duration', 'motion', '180ms', 'of what opens'),
  token('time', 'open-delay', 'duration', 'motion', '0ms', 'before it opens'),
  token('easing', 'open-easing', 'cubicBezier', 'motion', ease, 'of what opens'),
  token('time', 'content', 'duration', 'motion', '0ms', 'of the content of a panel, which appears after its frame'),
  token('time', 'content-delay', 'duration', 'motion', '0ms', 'from when a panel opens until its content appears'),
  token('time', 'close', 'duration', 'motion', '120ms', 'of what closes'),
  token('time', 'close-delay', 'duration', 'motion', '0ms', 'before it closes'),
  token('easing', 'close-easing', 'cubicBezier', 'motion', ease, 'of what closes'),
];

/** The types that tokens of a group have. A token of another type is left to other tools. */
export const typesOfGroup: Readonly<Record<MeasureGroup, readonly MeasureType[]>> = {
  type: ['fontFamily', 'dimension', 'fontWeight'],
  space: ['dimension'],
  size: ['dimension'],
  shape: ['dimension'],
  time: ['duration'],
  easing: ['cubicBezier'],
};

/** How a value of each type is written, for a message to whoever wrote another one. */
export const measureExamples: Readonly<Record<MeasureType, string>> = {
  dimension: '{ "value": 2.75, "unit": "rem" }',
  duration: '{ "value": 140, "unit": "ms" }',
  cubicBezier: '[0.2, 0, 0, 1]',
  fontFamily: '["Georgia", "serif"]',
  fontWeight: '600',
};

/** The value of a token as CSS; null if it is none of that type. */
export function measureCss(type: MeasureType, value: unknown): string | null {
  switch (type) {
    case 'dimension':
      return withUnit(value, ['px', 'rem']);
    case 'duration':
      return withUnit(value, ['ms', 's'], 0);
    case 'cubicBezier':
      return curveCss(value);
    case 'fontFamily':
      return familyCss(value);
    case 'fontWeight':
      return weightCss(value);
  }
}

function withUnit(value: unknown, units: readonly string[], least = -Infinity): string | null {
  if (typeof value !== 'object' || value === null) return null;
  const { value: number, unit } = value as { readonly value?: unknown; readonly unit?: unknown };
  if (typeof number !== 'number' || !Number.isFinite(number) || number < least) return null;
  return typeof unit === 'string' && units.includes(unit) ? `${number}${unit}` : null;
}

/** The first and third number are times, from 0 to 1 (CSS Easing 2, section 2.2). */
function curveCss(value: unknown): string | null {
  if (!Array.isArray(value) || value.length !== 4) return null;
  const numbers = value as readonly unknown[];
  const isRight = numbers.every((number, index) => {
    return typeof number === 'number' && Number.isFinite(number) && (index % 2 === 1 || (number >= 0 && number <= 1));
  });
  return isRight ? `cubic-bezier(${numbers.join(', ')})` : null;
}

/** Names that CSS writes without quotes (CSS Fonts 4, section 2.1.2). */
const genericFamilies = [
  'serif',
  'sans-serif',
  'monospace',
  'cursive',
  'fantasy',
  'system-ui',
  'ui-serif',
  'ui-sans-serif',
];

function familyCss(value: unknown): string | null {
  const names: readonly unknown[] = Array.isArray(value) ? value : [value];
  // A name in quotes may be anything; what would end the quotes, or the declaration, is refused.
  const isName = (name: unknown): name is string => typeof name === 'string' && /^[^"\\;{}<>\n\r]+$/u.test(name.trim());
  if (names.length === 0 || !names.every(isName)) return null;
  return names.map((name) => (genericFamilies.includes(name.trim()) ? name.trim() : `"${name.trim()}"`)).join(', ');
}

const weightNames: Readonly<Record<string, number>> = { normal: 400, medium: 500, 'semi-bold': 600, bold: 700 };

function weightCss(value: unknown): string | null {
  const number = typeof value === 'string' ? weightNames[value] : value;
  return typeof number === 'number' && number >= 1 && number <= 1000 ? String(number) : null;
}
