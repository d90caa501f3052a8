import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { defineSite } from './define.ts';
import { filterItems } from './filter.ts';
import { menuItems } from './menus.ts';
import type { MenuItem } from './menu-item.ts';

function itemsOf(labels: readonly string[]): readonly MenuItem[] {
  const entries = labels.map((label, index) => ({ id: `e${index}`, label, href: `/${index}` }));
  return menuItems(defineSite({ name: 'S', entries, menus: { main: entries.map(({ id }) => id) } }), 'main');
}

/** The labels that are left, with what matches in brackets. */
function found(labels: readonly string[], query: string): readonly string[] {
  const items = itemsOf(labels);
  const filtered = filterItems(items, query);
  return items.flatMap((item) => {
    const ranges = filtered?.ranges.get(item);
    if (!ranges) return [];
    return [
      ranges
        .toReversed()
        .reduce(
          (text, { start, end }) => `${text.slice(0, start)}[${text.slice(start, end)}]${text.slice(end)}`,
          item.label,
        ),
    ];
  });
}

describe('a query', () => {
  test.each<[string, string[], string, string[]]>([
    ['finds without regard to case', ['Curlew', 'Dunlin'], 'CUR', ['[Cur]lew']],
    ['finds without regard to marks', ['Été', 'Höhe'], 'ete', ['[Été]']],
    ['and the other way round', ['Hohe Warte'], 'höhe', ['[Hohe] Warte']],
    ['finds every word, in any order', ['Little tern', 'Little owl'], 'tern lit', ['[Lit]tle [tern]']],
    ['joins what touches', ['Curlew'], 'curl lew', ['[Curlew]']],
    ['takes letters for one that stands for several', ['ﬁeld notes'], 'fi', ['[ﬁ]eld notes']],
    ['marks a whole character of two code units', ['𝐀 hide'], 'a', ['[𝐀] hide']],
    ['that nothing holds finds nothing', ['Curlew'], 'zzz', []],
  ])('%s', (_, labels, query, expected) => {
    expect(found(labels, query)).toEqual(expected);
  });

  test('without a word leaves everything', () => {
    expect(filterItems(itemsOf(['Curlew']), '  ')).toBe(null);
  });
});

test('a group is left for what it holds, and holds all where it matches itself', () => {
  const site = defineSite({
    name: 'S',
    entries: [
      { id: 'hides', label: 'Hides', href: '/h', entries: [{ id: 'reed', label: 'Reedbed', href: '/r' }] },
      { id: 'visit', label: 'Visit', href: '/v' },
    ],
    menus: { main: [{ entry: 'hides', depth: 2 }, 'visit'] },
  });
  const items = menuItems(site, 'main');
  const labels = (query: string) => [...(filterItems(items, query)?.left ?? [])].map(({ label }) => label).toSorted();
  expect(labels('reed')).toEqual(['Hides', 'Reedbed']);
  expect(labels('hide')).toEqual(['Hides', 'Reedbed']);
  expect(filterItems(items, 'hide')?.count).toBe(1);
});

test('every part of a label finds it, and what is marked is within it', () => {
  const label = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 20 }).filter((text) => text.trim() !== '');
  fc.assert(
    fc.property(label, fc.nat(), fc.nat(), (text, from, length) => {
      const items = itemsOf([text]);
      const [item] = items;
      if (!item) return;
      const characters = Array.from(item.label);
      const start = from % characters.length;
      const part = characters.slice(start, start + 1 + (length % 5)).join('');
      const filtered = filterItems(items, part);
      if (filtered === null) return;
      expect(filtered.left.has(item)).toBe(true);
      for (const range of filtered.ranges.get(item) ?? []) {
        expect(range.start).toBeLessThan(range.end);
        expect(range.end).toBeLessThanOrEqual(item.label.length);
      }
    }),
  );
});

test('of thousands that match all are left and counted, and the first are marked', () => {
  const items = itemsOf(Array.from({ length: 2000 }, (_, index) => `Curlew ${index}`));
  const filtered = filterItems(items, 'cur');
  expect([filtered?.left.size, filtered?.count, filtered?.ranges.size]).toEqual([2000, 2000, 200]);
  expect(items.slice(0, 200).every((item) => filtered?.ranges.has(item))).toBe(true);
});
