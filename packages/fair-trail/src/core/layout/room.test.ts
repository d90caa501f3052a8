import { expect, test } from 'vitest';
import { defineSite } from '../site/define.ts';
import { menuItems } from '../site/menus.ts';
import { marram } from '../site/site.samples.ts';
import { estimateRoom, rungFor, rungs } from './room.ts';

const items = menuItems(defineSite(marram), 'main');

test('a rung is the next one up, and beyond the last there is none', () => {
  expect(rungFor(0)).toBe(rungs[0]);
  expect(rungFor(48)).toBe(48);
  expect(rungFor(48.1)).toBe(52);
  expect(rungFor(1e6)).toBeNull();
  expect(rungs).toEqual(rungs.toSorted((one, other) => one - other));
});

test('more items, longer labels, more slots and wide scripts all need more room', () => {
  const room = (changes: object) => estimateRoom({ items, brandText: 'Marram', slots: 1, ...changes });
  expect(room({ items: items.slice(1) })).toBeLessThan(room({}));
  expect(room({ slots: 2 })).toBeGreaterThan(room({}));
  expect(room({ items: items.map((item) => ({ ...item, icon: 'sun' })), icons: true })).toBeGreaterThan(room({}));
  expect(room({ items: items.map((item) => ({ ...item, icon: 'sun' })) })).toBe(room({}));
  expect(room({ brandText: 'Marram Point' })).toBeGreaterThan(room({}));
  expect(room({ brandText: '海岸観測所' })).toBeGreaterThan(room({ brandText: 'Coast' }));
  expect(room({ brandText: 'e\u0301t\u0301e\u0301' })).toBe(room({ brandText: 'ete' }));
});
