import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mediaUnder } from './media-under.ts';
import { shownIn, shownSelector } from './shown-states.ts';

describe('a selector', () => {
  test.each([
    ['.sign:hover', ".sign:is(:hover, [data-ft-shown~='hover'])"],
    ['.sign:hover::after', ".sign:is(:hover, [data-ft-shown~='hover'])::after"],
    ['a:active, b:HOVER', "a:is(:active, [data-ft-shown~='active']), b:is(:HOVER, [data-ft-shown~='hover'])"],
    ['.sign:focus-visible', ".sign:is(:focus-visible, [data-ft-shown~='focus'])"],
    ['.sign:not(:focus)', ".sign:not(:is(:focus, [data-ft-shown~='focus']))"],
    ['li:has(> a:hover) b', "li:has(> a:is(:hover, [data-ft-shown~='hover'])) b"],
    ['nav:focus-within', "nav:is(:focus-within, [data-ft-shown~='focus-within'])"],
  ])('%s', (selector, shown) => {
    expect(shownSelector(selector)).toBe(shown);
  });

  test.each([
    '.sign',
    "[title=':hover']",
    '[title=":focus"]',
    '[title="\\":active"]',
    '.a\\:hover',
    ':hover-none',
    '::hover',
    '.x:focus-ring',
    ':root:not([data-ft-scripted]) > .ft-bar',
  ])('%s is as it was', (selector) => {
    expect(shownSelector(selector)).toBe(selector);
  });

  test('of any characters is never cut short', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (selector) => {
        const shown = shownSelector(selector);
        expect(shown.replaceAll(/:is\((:[a-z-]+), \[data-ft-shown~='[a-z-]+'\]\)/giu, '$1')).toBe(selector);
      }),
    );
  });
});

test('what is pressed is hovered too, and what holds focus says so around it', () => {
  expect(shownIn('pressed')).toEqual({ self: ['hover', 'active'], around: ['hover', 'active'] });
  expect(shownIn('focus')).toEqual({ self: ['focus'], around: ['focus-within'] });
  expect(shownIn('current page')).toEqual({ self: [], around: [] });
});

describe('a media query', () => {
  const usual = { text: 100, scheme: 'system', contrast: 'system', motion: 'system' } as const;
  const always = '(min-width: 0px)';
  const never = '(max-width: 0px)';

  test.each([
    ['(hover: hover)', usual, always],
    ['(hover: none) and (width < 40em)', usual, `${never} and (width < 40em)`],
    ['(prefers-color-scheme: dark)', usual, '(prefers-color-scheme: dark)'],
    ['(prefers-color-scheme: dark)', { ...usual, scheme: 'dark' }, always],
    ['(prefers-color-scheme:dark)', { ...usual, scheme: 'light' }, never],
    ['print, (prefers-reduced-motion)', { ...usual, motion: 'reduce' }, `tty, ${always}`],
    ['only screen and (color)', usual, 'only all and (color)'],
    ['not print', usual, 'not tty'],
    ['(prefers-reduced-motion: no-preference)', { ...usual, motion: 'reduce' }, never],
    ['not (prefers-contrast: more)', { ...usual, contrast: 'more' }, `not ${always}`],
    ['(prefers-contrast)', { ...usual, contrast: 'no-preference' }, never],
    ['(width < 56em) and (height >= 17rem)', { ...usual, text: 200 }, '(width < 112em) and (height >= 34rem)'],
    ['(min-width: 20.5em)', { ...usual, text: 400 }, '(min-width: 82em)'],
    ['(min-width: 600px)', { ...usual, text: 400 }, '(min-width: 600px)'],
  ] as const)('%s', (query, conditions, under) => {
    expect(mediaUnder(query, conditions)).toBe(under);
  });
});
