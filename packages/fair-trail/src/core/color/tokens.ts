import { readHex, writeHex, type Color } from './color.ts';
import { colorNames, type ColorName, type Palette } from './palette.ts';
import type { Theme } from './derive-theme.ts';
import { measureCss, measureExamples, typesOfGroup, type MeasureGroup, type MeasureType } from './measures.ts';
import { followReference, type TokenGroup } from './token-references.ts';

/** What is wrong in a design-tokens file, and where. */
export interface TokenProblem {
  /** A JSON Pointer (RFC 6901). */
  readonly pointer: string;
  readonly message: string;
}

/** The themes of a design-tokens file, by name; the usual one is `default`. */
export interface TokenThemes {
  readonly themes: Readonly<Record<string, Theme>>;
  /** All that is no color, as custom properties without `--ft-`. */
  readonly measures: Readonly<Record<string, string>>;
  readonly problems: readonly TokenProblem[];
}

const schemes = ['light', 'dark'] as const;

/**
 * Reads a file in the format of the Design Tokens Community TokenGroup: the group `color` holds a group for each theme, each
 * with `light` and `dark`; the groups `type`, `space`, `size`, `shape`, `time` and `easing` hold what is no color. A color may be
 * written as the format's object or, as in its earlier drafts, as a hex text. A value may be a reference to another token, such
 * as `{brand.green}`. A theme without a color takes it from `base`. Other groups, and tokens of other types, are passed over.
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
      const at = { root, pointer: `/color/${theme}/${scheme}`, problems };
      return readPalette(groupOf(groupOf(group)?.[scheme]), base[scheme], at);
    });
    const [light = base.light, dark = base.dark] = palettes;
    themes[theme] = { light, dark };
    if (!/^[a-z][a-z\d-]*$/u.test(theme)) {
      problems.push({ pointer: `/color/${theme}`, message: 'A theme’s name is made of a-z, 0-9 and "-". Rename it.' });
    }
  }
  const groups = Object.keys(typesOfGroup) as readonly MeasureGroup[];
  const measures = Object.fromEntries(groups.flatMap((group) => readMeasures(root, group, problems)));
  return { themes, measures, problems };
}

function groupOf(value: unknown): TokenGroup | null {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as TokenGroup) : null;
}

/** The tokens and groups within a group; what begins with "$" is about the group itself. */
function entriesOf(value: unknown): readonly (readonly [string, unknown])[] {
  return Object.entries(groupOf(value) ?? {}).filter(([name]) => !name.startsWith('$'));
}

interface PalettePlace {
  readonly root: TokenGroup;
  readonly pointer: string;
  readonly problems: TokenProblem[];
}

function readPalette(group: TokenGroup | null, base: Palette, { root, pointer, problems }: PalettePlace): Palette {
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
    const followed = followReference(root, groupOf(token)?.['$value']);
    const color = 'value' in followed ? readColor(followed.value) : null;
    if (color) palette[name] = color;
    else {
      const message = 'message' in followed ? followed.message : 'This is no opaque sRGB color. Write it as "#rrggbb".';
      problems.push({ pointer: `${at}/$value`, message });
    }
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

function readMeasures(root: TokenGroup, group: MeasureGroup, problems: TokenProblem[]): [string, string][] {
  const types = typesOfGroup[group];
  const groupType = groupOf(root[group])?.['$type'];
  return entriesOf(root[group]).flatMap(([name, token]): [string, string][] => {
    const written = groupOf(token);
    // A group within a group is of no meaning here, as is a token of a type that other tools read.
    if (written && !Object.hasOwn(written, '$value')) return [];
    const type = written?.['$type'] ?? groupType;
    if (type !== undefined && !types.includes(type as MeasureType)) return [];
    const pointer = `/${group}/${name}/$value`;
    const followed = followReference(root, written?.['$value']);
    if ('message' in followed) {
      problems.push({ pointer, message: followed.message });
      return [];
    }
    const asked = type === undefined ? types : [type as MeasureType];
    const css = asked.map((each) => measureCss(each, followed.value)).find((text) => text !== null);
    // Its name becomes that of a custom property.
    if (css !== undefined && /^[a-z][a-z\d-]*$/u.test(name)) return [[name, css]];
    const message =
      css === undefined
        ? `This is no value of a token in "${group}". Write it as ${asked.map((each) => measureExamples[each]).join(' or ')}.`
        : 'A token’s name is made of a-z, 0-9 and "-". Rename it.';
    problems.push({ pointer, message });
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
    return [
      block(own === '' ? [':root', "[data-ft-scheme='light']"] : [own], colorLines(light), 2),
      [
        '  @media (prefers-color-scheme: dark) {',
        block([`${own === '' ? ':root' : own}:not([data-ft-scheme])`], colorLines(dark), 4),
        '  }',
      ].join('\n'),
      block([`${own}[data-ft-scheme='dark']`], colorLines(dark), 2),
    ];
  });
  // Without weight of its own: a density on the same element says other sizes, whichever is loaded last.
  if (Object.keys(measures).length > 0) blocks.push(block([':where(:root)'], lines(measures), 2));
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
