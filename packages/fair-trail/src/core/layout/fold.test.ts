import * as fc from 'fast-check';
import { expect, test } from 'vitest';
import { foldToFit } from './fold.ts';

const keep = { keepFirst: 1, keepLast: 2, button: 10 };

test.each([
  ['all that fit stay', [20, 20, 20, 20], 80, null],
  ['as few go as will do', [20, 20, 20, 20, 20, 20], 95, { start: 1, count: 2 }],
  ['of those that should stay, the last goes last', [20, 20, 20, 20, 20], 55, { start: 1, count: 3 }],
  ['and the first before it', [20, 20, 20, 20], 35, { start: 0, count: 3 }],
  ['one alone does not go', [20, 20], 10, null],
  ['nor does one of none', [], 0, null],
])('%s', (_, widths, room, expected) => {
  expect(foldToFit({ widths, room, ...keep })).toEqual(expected);
});

test('what is folded is two or more, what can stay as wanted does, and fewer would not do', () => {
  const options = fc.record({
    widths: fc.array(fc.integer({ min: 1, max: 200 }), { maxLength: 12 }),
    room: fc.integer({ min: 0, max: 1500 }),
    button: fc.integer({ min: 1, max: 40 }),
    keepFirst: fc.integer({ min: 0, max: 3 }),
    keepLast: fc.integer({ min: 1, max: 3 }),
  });
  fc.assert(
    fc.property(options, (given) => {
      const { widths, room, button, keepFirst, keepLast } = given;
      const range = foldToFit(given);
      const left = (start: number, count: number) =>
        widths.reduce((total, width, index) => total + (index >= start && index < start + count ? 0 : width), 0);
      if (!range) {
        expect(left(0, 0) <= room + 0.5 || widths.length < 3).toBe(true);
        return;
      }
      const { start, count } = range;
      expect(count).toBeGreaterThanOrEqual(2);
      expect(start + count).toBeLessThan(widths.length);
      if (start === keepFirst && start + count <= widths.length - keepLast && count > 2) {
        expect(left(start, count - 1) + button).toBeGreaterThan(room);
      }
      // More than was wanted goes only where what was wanted would not do.
      const wanted = widths.length - keepFirst - keepLast;
      if (wanted >= 2 && left(keepFirst, wanted) + button <= room) {
        expect(start).toBe(keepFirst);
        expect(start + count).toBeLessThanOrEqual(widths.length - keepLast);
      }
    }),
  );
});
