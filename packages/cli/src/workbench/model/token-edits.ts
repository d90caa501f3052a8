import { readHex, writeHex, type Theme } from 'fair-trail/color';
import { colorNames, typesOfGroup, type MeasureToken } from 'fair-trail/internal/core';
import { removeAt, setAt, valueAt, type JsonPath } from './json-text.ts';

export type Scheme = 'light' | 'dark';

function isObject(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** A tokens file that there is not yet. */
export const emptyTokens = '{\n}\n';

/** The path of a color's token. */
export function colorPath(theme: string, scheme: Scheme, name: string): JsonPath {
  return ['color', theme, scheme, name];
}

/** A color in the format of the Design Tokens Community Group (Color module, section 4). */
function colorValue(hex: string): Readonly<Record<string, unknown>> {
  const { red, green, blue } = readHex(hex) ?? { red: 0, green: 0, blue: 0 };
  const round = (part: number) => Math.round(part * 10_000) / 10_000;
  return { colorSpace: 'srgb', components: [round(red), round(green), round(blue)], hex };
}

/** Whether the file writes its colors as the format's objects, and not as hex texts. */
function hasColorObjects(text: string): boolean {
  return text.includes('"colorSpace"');
}

/** The text with a color of a theme. It is written as it was before, or as the others are. */
export function setColor(text: string, path: JsonPath, hex: string): string {
  const token = valueAt(text, path);
  const known = isObject(token) ? token['$value'] : undefined;
  const at = [...path, '$value'];
  if (isObject(known)) {
    const next = colorValue(hex);
    const withParts = setAt(text, [...at, 'components'], next['components']);
    const withSpace = known['colorSpace'] === 'srgb' ? withParts : setAt(withParts, [...at, 'colorSpace'], 'srgb');
    // An alpha of 1 says nothing; any other belonged to the color that was.
    const opaque = 'alpha' in known && known['alpha'] !== 1 ? setAt(withSpace, [...at, 'alpha'], 1) : withSpace;
    return 'hex' in known ? setAt(opaque, [...at, 'hex'], hex) : opaque;
  }
  if (known !== undefined) return setAt(text, at, hasColorObjects(text) ? colorValue(hex) : hex);
  const value = hasColorObjects(text) ? colorValue(hex) : hex;
  const [, theme = 'default', scheme = 'light'] = path;
  let next = text;
  if (!isObject(valueAt(next, ['color']))) next = setAt(next, ['color'], { $type: 'color' });
  for (const group of [
    ['color', theme],
    ['color', theme, scheme],
  ]) {
    if (!isObject(valueAt(next, group))) next = setAt(next, group, {});
  }
  return setAt(next, path, { $value: value });
}

/** All colors of a theme. Those that are as they were stay as they are written. */
export function setTheme(text: string, theme: string, { light, dark }: Theme): string {
  let next = text;
  for (const [scheme, palette] of [
    ['light', light],
    ['dark', dark],
  ] as const) {
    for (const name of Object.keys(colorNames) as (keyof typeof colorNames)[]) {
      next = setColor(next, colorPath(theme, scheme, name), writeHex(palette[name]));
    }
  }
  return next;
}

/** Takes a token away, and the groups that nothing is left in: the library's own value is in force again. */
export function resetToken(text: string, path: JsonPath): string {
  let next = removeAt(text, path);
  for (let length = path.length - 1; length > 0; length -= 1) {
    const group = valueAt(next, path.slice(0, length));
    const isEmpty = isObject(group) && Object.keys(group).every((name) => name === '$type');
    if (!isEmpty) break;
    next = removeAt(next, path.slice(0, length));
  }
  return next;
}

/** The text with a token that is no color. */
export function setMeasure(text: string, { group, name, type }: MeasureToken, value: unknown): string {
  const token = valueAt(text, [group, name]);
  if (isObject(token)) return setValue(text, [group, name, '$value'], token['$value'], value);
  // A group of one type says it once; in the others each token says its own.
  const isAlone = typesOfGroup[group].length === 1;
  const known = valueAt(text, [group]);
  if (!isObject(known))
    return setAt(text, [group], { ...(isAlone && { $type: type }), [name]: tokenOf(isAlone, type, value) });
  const saysType = known['$type'] === type;
  return setAt(text, [group, name], tokenOf(saysType, type, value));
}

function tokenOf(isSaid: boolean, type: string, value: unknown): Readonly<Record<string, unknown>> {
  return isSaid ? { $value: value } : { $type: type, $value: value };
}

/** Field by field, so that a value keeps the form in which it is written. */
function setValue(text: string, path: JsonPath, known: unknown, value: unknown): string {
  if (!isObject(known) || !isObject(value)) return setAt(text, path, value);
  return Object.entries(value).reduce((next, [field, part]) => setAt(next, [...path, field], part), text);
}
