import { readHex, writeHex, type Color } from './color.ts';
import { colorNames, type ColorName, type Palette } from './palette.ts';
import type { Theme } from './derive-theme.ts';

/** What is wrong in a design-tokens file, and where. */
export interface TokenProblem {
  /** A JSON Pointer (RFC 6901). */
  readonly pointer: string;
  readonly message: string;
}

/** The themes of a design-tokens file, by name; the usual one is `default`. */
export interface TokenThemes {
  readonly themes: Readonly<Record<string, Theme>>;
  /** Sizes and times, as custom properties without `--ft-`. */
  readonly measures: Readonly<Record<string, string>>;
  readonly problems: readonly TokenProblem[];
}

const schemes = ['light', 'dark'] as const;

/**
 * Reads a file in the format of the Design Tokens Community Group: the group `color` holds a group for each theme, each
 * with `light` and `dark`; the groups `size` and `time` hold dimensions and durations. A color may be written as the
 * format's object or, as in its earlier drafts, as a hex text. A theme without a color takes it from `base`.
 *
 * @example
 * const { themes, problems } = readTokens(JSON.parse(text), theme);
 */
export function readTokens(value: unknown, base: Theme): TokenThemes {
  const problems: TokenProblem[] = [];
  const themes: Record<string, Theme> = {};
  const root = groupOf(value);
  if (!root) {
    problems.push({ pointer: '', message: 'A design-tokens file is a JSON object. Begin with { "color": { … } }.' });
    return { themes, measures: {}, problems };
  }
  for (const [theme, group] of entriesOf(root['color'])) {
    const palettes = schemes.map((scheme) => {
      return readPalette(groupOf(groupOf(group)?.[scheme]), base[scheme], `/color/${theme}/${scheme}`, problems);
    });
    const [light = base.light, dark = base.dark] = palettes;
    themes[theme] = { light, dark };
    if (!/^[a-z][a-z\d-]*$/u.test(theme)) {
      problems.push({ pointer: `/color/${theme}`, message: 'A theme’s name is made of a-z, 0-9 and "-". Rename it.' });
    }
  }
  const measures = Object.fromEntries([
    ...readMeasures(root, 'size', problems),
    ...readMeasures(root, 'time', problems),
  ]);
  return { themes, measures, problems };
}

type Group = Readonly<Record<string, unknown>>;

function groupOf(value: unknown): Group | null {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Group) : null;
}

/** The tokens and groups within a group; what begins with "$" is about the group itself. */
function entriesOf(value: unknown): readonly (readonly [string, unknown])[] {
  return Object.entries(groupOf(value) ?? {}).filter(([name]) => !name.startsWith('$'));
}

function readPalette(group: Group | null, base: Palette, pointer: string, problems: TokenProblem[]): Palette {
  const palette: Record<string, Color> = { ...base };
  for (const [name, token] of entriesOf(group)) {
    const at = `${pointer}/${name}`;
    if (!Object.hasOwn(colorNames, name)) {
      problems.push({
        pointer: at,
        message: `No color is called "${name}". There are: ${Object.keys(colorNames).join(', ')}.`,
      });
      continue;
    }
    const color = readColor(groupOf(token)?.['$value']);
    if (color) palette[name] = color;
    else problems.push({ pointer: `${at}/$value`, message: 'This is no opaque sRGB color. Write it as "#rrggbb".' });
  }
  return palette as Palette;
}

function readColor(value: unknown): Color | null {
  if (typeof value === 'string') return readHex(value);
  const { colorSpace, components, alpha = 1 } = groupOf(value) ?? {};
  if (colorSpace !== 'srgb' || !Array.isArray(components) || alpha !== 1) return null;
  const parts: readonly unknown[] = components;
  const isPart = (part: unknown): part is number => typeof part === 'number' && part >= 0 && part <= 1;
  const [red, green, blue] = parts;
  return parts.length === 3 && isPart(red) && isPart(green) && isPart(blue) ? { red, green, blue } : null;
}

const units: Readonly<Record<'size' | 'time', readonly string[]>> = { size: ['px', 'rem'], time: ['ms', 's'] };

function readMeasures(root: Group, kind: 'size' | 'time', problems: TokenProblem[]): [string, string][] {
  return entriesOf(root[kind]).flatMap(([name, token]): [string, string][] => {
    const { value, unit } = groupOf(groupOf(token)?.['$value']) ?? {};
    if (typeof value === 'number' && Number.isFinite(value) && typeof unit === 'string' && units[kind].includes(unit)) {
      return [[name, `${value}${unit}`]];
    }
    const example = kind === 'size' ? '{ "value": 2.75, "unit": "rem" }' : '{ "value": 140, "unit": "ms" }';
    problems.push({ pointer: `/${kind}/${name}/$value`, message: `This is no ${kind}. Write it as ${example}.` });
    return [];
  });
}

/**
 * The custom properties of all themes, as a stylesheet in the library's own cascade layer.
 *
 * @example
 * writeFileSync('theme.css', tokensCss(readTokens(JSON.parse(text), theme)));
 */
export function tokensCss({ themes, measures }: Pick<TokenThemes, 'themes' | 'measures'>): string {
  const blocks = Object.entries(themes).flatMap(([name, { light, dark }]) => {
    const own = name === 'default' ? '' : `[data-ft-theme='${name}']`;
    const extra = name === 'default' ? measures : {};
    return [
      block(own === '' ? [':root', "[data-ft-scheme='light']"] : [own], [...colorLines(light), ...lines(extra)], 2),
      [
        '  @media (prefers-color-scheme: dark) {',
        block([`${own === '' ? ':root' : own}:not([data-ft-scheme])`], colorLines(dark), 4),
        '  }',
      ].join('\n'),
      block([`${own}[data-ft-scheme='dark']`], colorLines(dark), 2),
    ];
  });
  return ['@layer fair-trail.tokens {', blocks.join('\n\n'), '}', ''].join('\n');
}

function block(selectors: readonly string[], declarations: readonly string[], indent: number): string {
  const pad = ' '.repeat(indent);
  const inner = declarations.map((line) => `${pad}  ${line}`);
  return [`${pad}${selectors.join(`,\n${pad}`)} {`, ...inner, `${pad}}`].join('\n');
}

function colorLines(palette: Palette): readonly string[] {
  return Object.keys(colorNames).map((name) => `--ft-${name}: ${writeHex(palette[name as ColorName])};`);
}

function lines(measures: Readonly<Record<string, string>>): readonly string[] {
  return Object.entries(measures).map(([name, value]) => `--ft-${name}: ${value};`);
}

/**
 * A theme as a design-tokens file.
 *
 * @example
 * writeFileSync('theme.tokens.json', writeTokens(theme));
 */
export function writeTokens(theme: Theme): string {
  const scheme = (palette: Palette) => {
    const tokens = Object.entries(colorNames).map(([name, what]) => {
      return [name, { $value: valueOf(palette[name as ColorName]), $description: what }];
    });
    return { $type: 'color', ...(Object.fromEntries(tokens) as object) };
  };
  const file = { color: { default: { light: scheme(theme.light), dark: scheme(theme.dark) } } };
  return `${JSON.stringify(file, null, 2)}\n`;
}

function valueOf(color: Color): object {
  const round = (part: number) => Math.round(part * 10_000) / 10_000;
  return {
    colorSpace: 'srgb',
    components: [round(color.red), round(color.green), round(color.blue)],
    hex: writeHex(color),
  };
}
