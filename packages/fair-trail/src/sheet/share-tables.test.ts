import { expect, test } from 'vitest';
import { defineSite } from '../core/site/define.ts';
import { menuItems } from '../core/site/menus.ts';
import { englishWording } from '../core/wording.ts';
import { shareTables } from './share-tables.ts';
import { barTable } from './specimens-bar.ts';
import type { SpecimenTable } from './specimen.ts';

function tablesFor(label: string): readonly SpecimenTable[] {
  const site = defineSite({
    name: 'Marram Point',
    entries: [
      {
        id: 'hides',
        label: 'Hides',
        href: '/hides',
        entries: [{ id: 'tower', label: 'Tower', href: '/hides/tower' }],
      },
      { id: 'tides', label, href: '/tides' },
    ],
    menus: { main: ['hides', 'tides'] },
  });
  const table = barTable(menuItems(site, 'main'), {
    site,
    wording: englishWording,
    icons: false,
    brand: false,
    narrow: false,
  });
  return [table];
}

test('what draws the same is the same object, and what draws otherwise is not', () => {
  const first = tablesFor('Tides');
  expect(shareTables(first, tablesFor('Tides'))).toBe(first);
  const [before] = first;
  const [after] = shareTables(first, tablesFor('Tides and wind'));
  const same = (after?.specimens ?? []).filter((specimen) => before?.specimens.includes(specimen));
  const others = (after?.specimens ?? []).filter((specimen) => !same.includes(specimen));
  expect(same.map(({ label }) => label)).toContain('Hides');
  expect(others.map(({ label }) => label)).toContain('Tides and wind');
  expect(same.map(({ label }) => label)).not.toContain('Tides and wind');
});
