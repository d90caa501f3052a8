import * as fc from 'fast-check';
import { expect, test } from 'vitest';
import { defineSite } from './define.ts';
import { LiveMarks } from './live-marks.ts';
import { locate, unknownPosition } from './locate.ts';
import type { MenuItem } from './menu-item.ts';
import { menuItems } from './menus.ts';
import { anyAddress, anySite } from './site.samples.ts';

function everyItem(items: readonly MenuItem[]): readonly MenuItem[] {
  return items.flatMap((item) => [item, ...everyItem(item.items)]);
}

test('along any way the marks are those of the menu itself, and only those whose mark changed are told', () => {
  fc.assert(
    fc.property(anySite, fc.array(anyAddress, { maxLength: 6 }), (definition, way) => {
      const site = defineSite(definition);
      const items = menuItems(site, 'main');
      const every = everyItem(items);
      const marks = new LiveMarks(items, unknownPosition(site));
      const told = new Set<MenuItem>();
      const ends = every.map((item) => marks.subscribe(item, () => told.add(item)));
      for (const url of way) {
        const before = every.map((item) => marks.markOf(item));
        told.clear();
        const position = locate(site, url);
        marks.moveTo(position);
        const after = every.map((item) => marks.markOf(item));
        expect(after).toEqual(everyItem(menuItems(site, 'main', { position })).map(({ mark }) => mark));
        expect(told).toEqual(new Set(every.filter((_, index) => before[index] !== after[index])));
      }
      for (const end of ends) end();
      told.clear();
      marks.moveTo(unknownPosition(site));
      expect(told.size).toBe(0);
    }),
    { numRuns: 1000 },
  );
});
