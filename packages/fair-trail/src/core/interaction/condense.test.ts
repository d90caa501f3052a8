import * as fc from 'fast-check';
import { expect, inject, test } from 'vitest';
import { condenseSizes, nextCondense, notCondensed } from './condense.ts';

/** Whether the bar has given way after the page was scrolled to each of these. */
function after(...tops: readonly number[]): boolean {
  return tops.reduce((state, top) => nextCondense(state, { type: 'scroll', top, needed: false }), notCondensed).away;
}

test.each([
  [[0, 40], false],
  [[0, 200], true],
  [[0, 200, 210, 190], true],
  [[0, 200, 190, 170], false],
  [[0, 200, 190, 195, 188, 196], true],
  [[0, 500, 60], false],
  [[0, 500, -20], false],
])('scrolled to %j it has given way: %j', (tops, expected) => {
  expect(after(...tops)).toBe(expected);
});

test('whatever is scrolled, it is there where it is needed and near the top, and a tremble moves nothing', () => {
  const top = fc.integer({ min: -50, max: 3000 });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(top, fc.boolean()), { maxLength: 60 }),
      fc.array(fc.nat(10), { maxLength: 20 }),
      (way, tremble) => {
        let state = notCondensed;
        for (const [to, needed] of way) {
          state = nextCondense(state, { type: 'scroll', top: to, needed });
          if (needed || to <= condenseSizes.near) expect(state.away).toBe(false);
        }
        const at = Math.max(state.top, condenseSizes.near + 20);
        state = nextCondense(state, { type: 'scroll', top: at, needed: false });
        state = { ...state, turn: at };
        const { away } = state;
        for (const step of tremble) {
          state = nextCondense(state, { type: 'scroll', top: at - 5 + step, needed: false });
          expect(state.away).toBe(away);
        }
      },
    ),
    { numRuns: inject('machineRuns') },
  );
});

test('small steps one after the other add up, and the way back is counted from where it began', () => {
  // Each step is less than the slack: only where the turn is remembered do they count together.
  expect(after(0, 100, 110, 120, 130)).toBe(true);
  expect(after(0, 300, 290, 280, 270)).toBe(false);
});
