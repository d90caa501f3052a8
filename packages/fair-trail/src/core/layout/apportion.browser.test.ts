import * as fc from 'fast-check';
import { afterEach, expect, test } from 'vitest';
import { apportion, type FlexItem } from './apportion.ts';
import { readFlex, writeFlex, type Flex } from './flex.ts';

afterEach(() => document.body.replaceChildren());

const size = (max: number) => fc.integer({ min: 0, max: max * 4 }).map((quarters) => quarters / 4);
const factor = fc.constantFrom(0, 0.2, 0.5, 1, 1, 2, 3);
const anyItem = fc.record(
  { base: size(300), grow: factor, shrink: factor, minimum: size(200), maximum: size(400), around: size(30) },
  { requiredKeys: ['base', 'grow', 'shrink'] },
);
const anyRow = fc.record({
  items: fc.array(anyItem, { minLength: 1, maxLength: 8 }),
  room: size(1200),
  gap: size(24),
});

/** The sizes of the items' content, as the browser lays the row out. */
function laidOut(items: readonly FlexItem[], room: number, gap: number): number[] {
  const row = document.createElement('div');
  row.style.cssText = `display: flex; inline-size: ${room}px; column-gap: ${gap}px`;
  for (const { base, grow, shrink, minimum = 0, maximum, around = 0 } of items) {
    const item = document.createElement('div');
    item.style.cssText = `flex: ${grow} ${shrink} ${base}px; min-inline-size: ${minimum}px; padding-inline-end: ${around}px`;
    if (maximum !== undefined) item.style.maxInlineSize = `${maximum}px`;
    row.append(item);
  }
  document.body.replaceChildren(row);
  return [...row.children].map((item, index) => item.getBoundingClientRect().width - (items[index]?.around ?? 0));
}

test('a row is apportioned as the browser does it, within half a pixel', () => {
  fc.assert(
    fc.property(anyRow, ({ items, room, gap }) => {
      const theirs = laidOut(items, room, gap);
      const ours = apportion(items, room, gap);
      expect(ours.length).toBe(theirs.length);
      ours.forEach((width, index) => {
        expect(Math.abs(width - (theirs[index] ?? Number.NaN)), JSON.stringify({ ours, theirs })).toBeLessThan(0.5);
      });
    }),
    {
      numRuns: 1000,
      // An item that shrinks to a hair below nothing.
      examples: [
        [
          {
            items: [
              { base: 0.25, grow: 0, shrink: 1 },
              { base: 70.25, grow: 0, shrink: 0.2, around: 6.25 },
            ],
            room: 68.25,
            gap: 6,
          },
        ],
      ],
    },
  );
});

const words = fc.array(
  fc.constantFrom('none', 'auto', 'initial', 'content', '0', '1', '2.5', '.5', '10px', '0px', '3em', '50%', '-1', 'x'),
  { minLength: 1, maxLength: 4 },
);

/** What the browser makes of the shorthand: growing, shrinking and basis; null if it takes none of it. */
function browserFlex(text: string): [string, string, string] | null {
  const { style } = document.createElement('div');
  style.flex = text;
  // A keyword that every property has: its parts are not written out.
  if (text === 'initial') return ['0', '1', 'auto'];
  return style.flex === '' ? null : [style.flexGrow, style.flexShrink, style.flexBasis];
}

function parts({ grow, shrink, basis }: Flex): [string, string, string] {
  const written = typeof basis === 'string' ? basis : `${basis.value}${basis.unit}`;
  return [String(grow), String(shrink), written];
}

test('the shorthand is read as the browser reads it, and written so that it says the same', () => {
  fc.assert(
    fc.property(words, (list) => {
      const text = list.join(' ');
      const flex = readFlex(text);
      const theirs = browserFlex(text);
      expect([text, flex && parts(flex)]).toEqual([text, theirs]);
      if (flex) expect(browserFlex(writeFlex(flex))).toEqual(theirs);
    }),
    { numRuns: 3000 },
  );
});
