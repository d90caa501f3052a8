import { describe, expect, test } from 'vitest';
import { toHtml } from '../core/output/html.ts';
import { defineSite } from '../core/site/define.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import { locate } from '../core/site/locate.ts';
import { menuItems } from '../core/site/menus.ts';
import { partStates } from '../core/view/states.ts';
import { englishWording } from '../core/wording.ts';
import { bilingual, desk, nested } from '../testing/sites.ts';
import { menusOf } from './sheet-menus.ts';
import { mostRows } from './specimen.ts';
import { stateTables } from './state-tables.ts';

function tablesOf(definition: SiteDefinition, annex: readonly string[] = []) {
  const site = defineSite(definition);
  const menus = menusOf(site);
  const itemsOf = (menu: string) => menuItems(site, menu);
  return stateTables(
    { site, wording: englishWording, icons: false, brand: false, narrow: false },
    {
      bar: itemsOf(menus.bar),
      sidebar: itemsOf(menus.sidebar),
      strip: itemsOf(menus.strip),
      footer: itemsOf(menus.footer),
    },
    { annex, visit: { position: locate(site, '/') } },
  );
}

describe('every state of the one list', () => {
  const drawn = new Set(
    [...tablesOf(nested), ...tablesOf(desk, ['reedbed']), ...tablesOf(bilingual)].flatMap(({ specimens }) =>
      specimens.flatMap(({ part, states }) => states.map((state) => `${part}: ${state}`)),
    ),
  );
  const listed = Object.entries(partStates).flatMap(([part, states]) =>
    Object.keys(states).map((state) => `${part}: ${state}`),
  );

  test.each(listed)('%s is drawn', (state) => {
    expect([...drawn]).toContain(state);
  });
});

test('every cell has a view, with ids of its own', () => {
  for (const { name, specimens } of tablesOf(desk, ['reedbed'])) {
    for (const { key, states, view } of specimens) {
      for (const state of states) {
        const html = toHtml(view(state, `${name}-${key}`));
        const ids = [...html.matchAll(/ id="([^"]*)"/gu)].map(([, id]) => id);
        expect(new Set(ids).size, `${name}, ${key}, ${state}`).toBe(ids.length);
      }
    }
  }
});

test('the rows of a long menu are sampled, and it says of how many', () => {
  const entries = Array.from({ length: 5000 }, (_, index) => ({
    id: `page-${index}`,
    label: `Page ${index}`,
    href: `/page-${index}`,
  }));
  const [bar] = tablesOf({ name: 'Long', entries, menus: { main: entries.map(({ id }) => id) } });
  expect(bar?.specimens.filter(({ item }) => item)).toHaveLength(mostRows);
  expect(bar?.of).toBeGreaterThan(5000);
});

describe('which menu goes where', () => {
  const site = defineSite({
    ...nested,
    menus: { ...nested.menus, flat: ['about'], deep: [{ entry: 'hides', depth: 2 }] },
  });

  test('is guessed by name and shape', () => {
    expect(menusOf(site)).toEqual({ bar: 'main', sidebar: 'deep', strip: 'flat', footer: 'main' });
  });

  test('but said outright, that counts; and what no one sees is not chosen', () => {
    expect(menusOf(site, () => true, { sidebar: 'main' })).toMatchObject({ sidebar: 'main' });
    expect(menusOf(site, (menu) => menu !== 'deep')).toMatchObject({ sidebar: 'flat' });
  });
});
