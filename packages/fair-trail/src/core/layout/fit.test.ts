import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fit, type FitItem } from './fit.ts';

const widths = (...list: number[]): FitItem[] => list.map((width) => ({ width }));

describe('which items stay', () => {
  test.each<[string, FitItem[], Parameters<typeof fit>[1], number[]]>([
    ['all, where there is room for all', widths(10, 20, 30), { room: 64, gap: 2 }, [0, 1, 2]],
    ['all, without room for the button that is not needed', widths(10, 20, 30), { room: 60, more: 40 }, [0, 1, 2]],
    ['the first, where one is too many', widths(10, 20, 30), { room: 59, more: 10 }, [0, 1]],
    ['none, if there is no room at all', widths(10, 20, 30), { room: 5, more: 3 }, []],
    ['of no items, none', [], { room: 0 }, []],
    ['those of higher priority', [...widths(10, 10), { width: 10, priority: 1 }], { room: 25 }, [0, 2]],
    ['the current one, at any price', [...widths(10, 10), { width: 90, current: true }], { room: 25 }, [2]],
    ['not a later one that is short, past one that does not fit', widths(10, 50, 5), { room: 30 }, [0]],
  ])('%s', (_, items, options, expected) => {
    expect(fit(items, options)).toEqual(expected);
  });
});

const anyItem = fc.record({ width: fc.integer({ min: 1, max: 200 }), priority: fc.integer({ min: -2, max: 2 }) });
const anyBar = fc.record({
  items: fc.array(anyItem, { maxLength: 12 }),
  current: fc.nat({ max: 11 }),
  room: fc.integer({ min: 0, max: 1500 }),
  gap: fc.integer({ min: 0, max: 20 }),
  more: fc.integer({ min: 0, max: 100 }),
});

test('on random bars, the current one stays, the rest never takes more than there is, and order is kept', () => {
  fc.assert(
    fc.property(anyBar, ({ items: plain, current, room, gap, more }) => {
      const items = plain.map((item, index) => ({ ...item, current: index === current }));
      const staying = fit(items, { room, gap, more });
      expect(staying).toEqual(staying.toSorted((one, other) => one - other));
      if (current < items.length) expect(staying).toContain(current);
      const taken = staying.reduce((sum, index) => sum + (items[index]?.width ?? 0) + gap, 0);
      const others = staying.filter((index) => index !== current);
      if (staying.length < items.length && others.length > 0) expect(taken + more).toBeLessThanOrEqual(room);
    }),
  );
});

test('a row that grows never loses an item', () => {
  fc.assert(
    fc.property(anyBar, fc.integer({ min: 0, max: 300 }), ({ items, room, gap, more }, growth) => {
      const before = fit(items, { room, gap, more });
      const after = fit(items, { room: room + growth, gap, more });
      expect(before.filter((index) => !after.includes(index))).toEqual([]);
    }),
  );
});
