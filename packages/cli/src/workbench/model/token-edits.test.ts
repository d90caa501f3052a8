import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { deriveTheme, readHex, readTokens, writeHex, type Theme } from 'fair-trail/color';
import { measureTokens } from 'fair-trail/internal/core';
import { format } from 'prettier';
import { describe, expect, test } from 'vitest';
import { readJsonText } from './json-text.ts';
import { changesBetween, changesMarkdown } from './session-changes.ts';
import { colorPath, emptyTokens, resetToken, setColor, setMeasure, setTheme } from './token-edits.ts';

const own = readFileSync(createRequire(import.meta.url).resolve('fair-trail/tokens.json'), 'utf8');
const base = {} as Theme;
const read = (text: string) => readTokens(readJsonText(text)?.value, base);
const tokenNamed = (name: string) => {
  const token = measureTokens.find((each) => each.name === name);
  if (!token) throw new Error(`There is no token "${name}".`);
  return token;
};

describe('colors', () => {
  test('a color is written as it was: an object keeps its form, a hex text its own', async () => {
    const after = setColor(own, colorPath('default', 'light', 'lichen'), '#1d5f6b');
    const [old, next] = [own.split('\n'), after.split('\n')];
    expect(next.filter((line, index) => line !== old[index])).toEqual([
      '            "components": [0.1137, 0.3725, 0.4196],',
      '            "hex": "#1d5f6b"',
    ]);
    expect(await format(after, { parser: 'json', printWidth: 120 })).toBe(after);
    const short = '{\n  "color": { "default": { "light": { "rust": { "$value": "#993b14" } } } }\n}\n';
    expect(setColor(short, colorPath('default', 'light', 'rust'), '#8a4b12')).toBe(short.replace('#993b14', '#8a4b12'));
  });

  test('a file that there is not yet gets the groups it needs', () => {
    const text = setColor(emptyTokens, colorPath('default', 'dark', 'ink'), '#ffffff');
    expect(readJsonText(text)?.value).toEqual({
      color: { $type: 'color', default: { dark: { ink: { $value: '#ffffff' } } } },
    });
    expect(resetToken(text, colorPath('default', 'dark', 'ink')).replaceAll(/\s/gu, '')).toBe('{}');
  });

  test('a theme from brand colors is read back as it was derived', () => {
    const theme = deriveTheme(readHex('#1d5f6b') ?? { red: 0, green: 0, blue: 0 });
    for (const start of [emptyTokens, own]) {
      const result = read(setTheme(start, 'default', theme));
      expect(result.problems).toEqual([]);
      for (const [name, color] of Object.entries(theme.dark)) {
        expect(writeHex(result.themes['default']?.dark[name as 'ink'] ?? color)).toBe(writeHex(color));
      }
    }
  });

  test('references, other groups and tokens of other types stay', () => {
    const text = `{
  // by hand
  "brand": { "green": { "$type": "color", "$value": "#1d5f6b" } },
  "color": { "default": { "light": { "lichen": { "$value": "{brand.green}" }, "rust": { "$value": "#993b14" } } } },
  "size": { "card": { "$type": "shadow", "$value": {} } }
}
`;
    expect(read(text).problems).toEqual([]);
    const after = setColor(text, colorPath('default', 'light', 'rust'), '#8a4b12');
    expect(after).toBe(text.replace('#993b14', '#8a4b12'));
    expect(writeHex(read(after).themes['default']?.light.lichen ?? { red: 0, green: 0, blue: 0 })).toBe('#1d5f6b');
  });
});

test('every other token is written so that it is read again, and reset leaves nothing', () => {
  const values = {
    dimension: [{ value: 2, unit: 'rem' }, '2rem'],
    duration: [{ value: 300, unit: 'ms' }, '300ms'],
    cubicBezier: [[0.2, 0, 0, 1], 'cubic-bezier(0.2, 0, 0, 1)'],
    fontFamily: [['Georgia', 'serif'], '"Georgia", serif'],
    fontWeight: [600, '600'],
  } as const;
  for (const token of measureTokens) {
    const [value, css] = values[token.type];
    for (const start of [emptyTokens, own]) {
      const { measures, problems } = read(setMeasure(start, token, value));
      expect(problems).toEqual([]);
      expect(measures[token.name]).toBe(css);
    }
    expect(resetToken(setMeasure(emptyTokens, token, value), [token.group, token.name]).replaceAll(/\s/gu, '')).toBe(
      '{}',
    );
  }
});

test('what was changed is said in a table, with no way out of its cells', () => {
  const before = {
    site: '{ "name": "A", "entries": [{ "id": "a", "label": "Old", "href": "/a" }] }',
    tokens: emptyTokens,
  };
  const site = before.site.replace('Old', String.raw`New | *label*\nsecond`);
  const tokens = setMeasure(emptyTokens, tokenNamed('gap'), { value: 1, unit: 'rem' });
  const changes = changesBetween(before, { site, tokens });
  expect(changes.map(({ what, was }) => [what, was])).toEqual([
    ['label of a', 'Old'],
    ['gap', null],
  ]);
  expect(changesMarkdown(changes)).toContain(String.raw`| site | label of a | Old | New \| *label* second |`);
  expect(changesMarkdown([])).toBe('');
});
