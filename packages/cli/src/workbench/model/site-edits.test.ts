import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { checkSite } from 'fair-trail';
import { format } from 'prettier';
import { describe, expect, test } from 'vitest';
import { readJsonText, valueAt, type JsonPath } from './json-text.ts';
import { removalOf } from './removal.ts';
import {
  addEntry,
  entryOutline,
  everyNode,
  isInMenu,
  keepOldAddress,
  listBelow,
  menuNames,
  menuOutline,
  moveNode,
  removeEntry,
  renameEntry,
  setField,
  setInMenu,
  setText,
} from './site-edits.ts';

const site = readFileSync(
  new URL('../../../../../examples/observatory/observatory.site.json', import.meta.url),
  'utf8',
);

function pathTo(text: string, id: string): JsonPath {
  const node = [...everyNode(entryOutline(text))].find((each) => each.id === id);
  if (!node) throw new Error(`There is no entry "${id}".`);
  return node.path;
}

const idsIn = (text: string) => [...everyNode(entryOutline(text))].map(({ id }) => id).sort();
const fatalIn = (text: string) =>
  checkSite(readJsonText(text)?.value).problems.filter(({ severity }) => severity === 'fatal');

describe('entries', () => {
  test('any moves keep every entry once, a valid site, and a text that a formatter leaves alone', async () => {
    const moves = fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat()), { minLength: 1, maxLength: 6 });
    await fc.assert(
      fc.asyncProperty(moves, async (list) => {
        let text = site;
        for (const [one, other, place] of list) {
          const nodes = [...everyNode(entryOutline(text))];
          const node = nodes[one % nodes.length];
          const target = nodes[other % nodes.length];
          const below = target && listBelow(target);
          if (!node || !below) continue;
          const moved = moveNode(text, node.path, { list: below, index: place % (target.children.length + 1) });
          if (moved.text !== text) expect(valueAt(moved.text, [...moved.path, 'id'])).toBe(node.id);
          text = moved.text;
        }
        expect(idsIn(text)).toEqual(idsIn(site));
        expect(fatalIn(text)).toEqual([]);
        expect(await format(text, { parser: 'json', printWidth: 120 })).toBe(text);
      }),
      { numRuns: 60 },
    );
  });

  test('a new page has an id and an address of its own, below that of the page it stands in', () => {
    const below = [...pathTo(site, 'hides'), 'entries'];
    const first = addEntry(site, { list: below, index: 1 }, 'Causeway Hide');
    expect(valueAt(first.text, first.path)).toEqual({
      id: 'causeway-hide-2',
      label: 'Causeway Hide',
      href: '/hides/causeway-hide-2',
      planned: true,
    });
    expect(fatalIn(first.text)).toEqual([]);
  });

  test('a page that goes takes its items in the menus with it', () => {
    const text = removeEntry(site, pathTo(site, 'hides'));
    expect(fatalIn(text)).toEqual([]);
    expect(idsIn(text)).not.toContain('lantern-room');
    for (const menu of menuNames(text)) expect(isInMenu(text, menu, 'hides')).toBe(false);
  });

  test('what goes with a page is said, and the page above takes its addresses over', () => {
    const path = pathTo(site, 'lantern-room');
    const removal = removalOf(site, path);
    expect(removal).toMatchObject({
      below: [],
      addresses: ['/hides/lantern-room', '/hides/lighthouse'],
      heir: { id: 'hides' },
    });
    const rest = removeEntry(site, path);
    const kept = (removal?.addresses ?? []).reduce(
      (text, old) => keepOldAddress(text, pathTo(rest, 'hides'), old),
      rest,
    );
    expect(fatalIn(kept)).toEqual([]);
    expect(valueAt(kept, [...pathTo(kept, 'hides'), 'movedFrom'])).toEqual(removal?.addresses);
    const all = removalOf(site, pathTo(site, 'hides'));
    expect([all?.below.length, all?.menus, all?.heir?.id]).toEqual([
      expect.any(Number),
      expect.arrayContaining(['main']),
      'today',
    ]);
  });

  test('another id is another one wherever the entry is named', () => {
    const text = renameEntry(site, pathTo(site, 'today'), 'front');
    expect(fatalIn(text)).toEqual([]);
    expect(valueAt(text, ['home'])).toBe('front');
    expect(isInMenu(text, 'main', 'front')).toBe(true);
  });

  test('an address that was is kept once', () => {
    const path = pathTo(site, 'lantern-room');
    const once = keepOldAddress(site, path, '/hides/tower');
    expect(valueAt(once, [...path, 'movedFrom'])).toEqual(['/hides/lighthouse', '/hides/tower']);
    expect(keepOldAddress(once, path, '/hides/tower')).toBe(once);
  });

  test('a field that is emptied goes, but for a label, which is then reported', () => {
    const path = pathTo(site, 'causeway-hide');
    expect(valueAt(setField(site, path, 'summary', ''), path)).not.toHaveProperty('summary');
    expect(fatalIn(setField(site, path, 'label', '')).map(({ code }) => code)).toEqual(['empty-text']);
  });

  test('a text in a second language makes texts by language', () => {
    const path = pathTo(site, 'tides');
    const welsh = setText(site, path, 'label', 'Llanw', { language: 'cy', own: 'en' });
    expect(valueAt(welsh, [...path, 'label'])).toEqual({ en: 'Tides', cy: 'Llanw' });
    const english = setText(welsh, path, 'label', 'Our tides', { language: 'en', own: 'en' });
    expect(valueAt(english, [...path, 'label'])).toEqual({ en: 'Our tides', cy: 'Llanw' });
  });
});

describe('menus', () => {
  test('an item that says how many levels becomes an object, and an id again', () => {
    const [first] = menuOutline(site, 'main');
    const path = first?.path ?? [];
    const deep = setField(site, path, 'depth', 2);
    expect(valueAt(deep, path)).toEqual({ entry: 'today', depth: 2 });
    expect(setField(deep, path, 'depth', undefined)).toBe(site);
  });

  test('a page is put into a menu and taken out, wherever its item stands', () => {
    const inside = setInMenu(site, 'main', 'lantern-room', true);
    expect(isInMenu(inside, 'main', 'lantern-room')).toBe(true);
    expect(setInMenu(inside, 'main', 'lantern-room', false)).toBe(site);
  });

  test('an item moves into a group and out of it', () => {
    const text = '{ "name": "A", "entries": [], "menus": { "main": ["a", { "label": "G", "entries": ["b"] }] } }';
    const into = moveNode(text, ['menus', 'main', 0], { list: ['menus', 'main', 1, 'entries'], index: 0 });
    expect(valueAt(into.text, ['menus', 'main'])).toEqual([{ label: 'G', entries: ['a', 'b'] }]);
    expect(into.path).toEqual(['menus', 'main', 0, 'entries', 0]);
    const out = moveNode(into.text, into.path, { list: ['menus', 'main'], index: 0 });
    expect(out.text).toBe(text);
  });

  test('nothing goes into itself', () => {
    const path = pathTo(site, 'hides');
    expect(moveNode(site, path, { list: [...path, 'entries'], index: 0 }).text).toBe(site);
  });
});
