import * as fc from 'fast-check';
import { describe, expect, inject, test } from 'vitest';
import { checkPalette } from './check-palette.ts';
import { contrast, fromOklch, nearestWithContrast, readHex, toOklch, writeHex, type Color } from './color.ts';
import { deriveTheme } from './derive-theme.ts';
import { partStates } from '../view/states.ts';
import { colorNames, colorPairs } from './palette.ts';
import { readTokens, tokensCss, writeTokens } from './tokens.ts';

const color = (hex: string): Color => {
  const read = readHex(hex);
  if (!read) throw new Error(`${hex} is no color`);
  return read;
};
const anyHex = fc.integer({ min: 0, max: 0xff_ff_ff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);

describe('a color', () => {
  // The first two are the limits; the others stand in the techniques to WCAG, or were computed by hand from them.
  test.each([
    ['#000000', '#ffffff', 21],
    ['#777777', '#777777', 1],
    ['#767676', '#ffffff', 4.54],
    ['#777777', '#ffffff', 4.48],
    ['#ff0000', '#ffffff', 4],
    ['#0000ff', '#ffffff', 8.59],
  ])('%s on %s has a contrast of %d', (one, other, expected) => {
    expect(contrast(color(one), color(other))).toBeCloseTo(expected, 2);
    expect(contrast(color(other), color(one))).toBe(contrast(color(one), color(other)));
  });

  test('is read from short and long hex, and from nothing else', () => {
    expect(writeHex(color('#AbC'))).toBe('#aabbcc');
    expect(['red', '#abcd', '#abcdef80', '', '#ggg'].map(readHex)).toEqual([null, null, null, null, null]);
  });

  test('comes back from the order of eyes', () => {
    fc.assert(
      fc.property(anyHex, (hex) => {
        expect(writeHex(fromOklch(toOklch(color(hex))))).toBe(hex);
      }),
      { numRuns: inject('machineRuns') },
    );
  });

  test('the nearest that passes does pass, in the same hue, and is the color itself where that passes', () => {
    fc.assert(
      fc.property(anyHex, anyHex, fc.constantFrom(3, 4.5), (one, other, least) => {
        const found = nearestWithContrast(color(one), [color(other)], least);
        // Black or white passes on any one background.
        if (!found) throw new Error('nothing passes');
        expect(contrast(found, color(other))).toBeGreaterThanOrEqual(least);
        if (contrast(color(one), color(other)) >= least) expect(writeHex(found)).toBe(one);
      }),
    );
  });
});

test('a theme from any two colors passes in every pair, in both schemes', () => {
  fc.assert(
    fc.property(anyHex, anyHex, (brand, second) => {
      const theme = deriveTheme(color(brand), color(second));
      for (const scheme of ['light', 'dark'] as const) {
        const failed = checkPalette(theme[scheme]).filter(({ passes }) => !passes);
        expect(failed.map(({ pair }) => `${scheme} ${pair.foreground} on ${pair.background}`)).toEqual([]);
      }
    }),
    { numRuns: inject('machineRuns') / 2 },
  );
});

test('every color is for something, and every state but the empty one has its pairs', () => {
  const used = new Set(colorPairs.flatMap(({ foreground, background }) => [foreground, background]));
  // Thin lines only part what stands apart already.
  expect(Object.keys(colorNames).filter((name) => !used.has(name as never))).toEqual(['line']);
  const states = new Set(colorPairs.flatMap((pair) => pair.states));
  expect(Object.keys(partStates.link).filter((state) => !states.has(state as never))).toEqual(['reserved']);
});

describe('a design-tokens file', () => {
  const theme = deriveTheme(color('#4b6118'));

  test('reads back as it was written, and a theme takes what it lacks from another', () => {
    const { themes, problems } = readTokens(JSON.parse(writeTokens(theme)), theme);
    expect(problems).toEqual([]);
    expect(tokensCss({ themes, measures: {} })).toBe(tokensCss({ themes: { default: theme }, measures: {} }));
    const partly = readTokens({ color: { dusk: { dark: { ink: { $value: '#ffffff' } } } } }, theme);
    expect(writeHex(partly.themes['dusk']?.dark.ink ?? color('#000'))).toBe('#ffffff');
    expect(partly.themes['dusk']?.light).toEqual(theme.light);
  });

  test.each<[unknown, string]>([
    [[], ''],
    [{ color: { default: { light: { inc: { $value: '#000' } } } } }, '/color/default/light/inc'],
    [{ color: { default: { light: { ink: { $value: 'black' } } } } }, '/color/default/light/ink/$value'],
    [{ color: { 'My theme': {} } }, '/color/My theme'],
    [{ size: { gap: { $value: '4px' } } }, '/size/gap/$value'],
    [{ time: { open: { $value: { value: 1, unit: 'rem' } } } }, '/time/open/$value'],
  ])('%j is wrong at %s', (file, pointer) => {
    expect(readTokens(file, theme).problems.map((problem) => problem.pointer)).toEqual([pointer]);
  });
});
