import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { itemKey } from '../view/menu-view.ts';
import { checkSite, defineSite } from './define.ts';
import { forAudience } from './for-audience.ts';
import { locate } from './locate.ts';
import type { MenuItem } from './menu-item.ts';
import { menuItems, type Visit } from './menus.ts';
import { anyAddress, anySite, marram } from './site.samples.ts';

const site = defineSite(marram);
const records = { species: [{ params: { slug: 'curlew' }, label: 'Curlew' }, { params: { slug: 'avocet' } }] };

/** A menu as a line: labels, `*` for the page, `+` for a section, lists in brackets. */
function line(items: readonly MenuItem[]): string {
  return items
    .map(({ label, mark, items: below }) => {
      const sign = mark === 'page' ? '*' : mark === 'section' ? '+' : '';
      return `${sign}${label}${below.length > 0 ? `(${line(below)})` : ''}`;
    })
    .join(' ');
}

function menu(name: string, url?: string, visit: Visit = {}): string {
  return line(menuItems(site, name, url === undefined ? visit : { position: locate(site, url), ...visit }));
}

describe('an action', () => {
  const withActions = defineSite({
    name: 'Marram',
    languages: ['cy'],
    entries: [{ id: 'today', label: 'Today', href: '/' }],
    menus: {
      main: [
        'today',
        {
          label: 'You',
          entries: [{ action: 'export', label: { en: 'Export', cy: 'Allforio' }, icon: 'arrow', audience: ['staff'] }],
        },
        {
          either: [
            { action: 'sign-out', label: 'Sign out', audience: ['ringer'] },
            { action: 'sign-in', label: 'Sign in' },
          ],
        },
      ],
    },
  });
  const items = (visit: Visit) => menuItems(withActions, 'main', visit);

  test('is an item without an address, for its audience alone', () => {
    expect(line(items({}))).toBe('Today Sign in');
    expect(line(items({ audience: ['ringer', 'staff'] }))).toBe('Today You(Export) Sign out');
    expect(items({ audience: ['staff'], language: 'cy' })[1]?.items[0]).toMatchObject({
      kind: 'action',
      action: 'export',
      label: 'Allforio',
      icon: 'arrow',
      href: null,
      entry: null,
      mark: null,
    });
  });

  test('has its room reserved while the audience is unknown', () => {
    const kinds = items({ audience: 'unknown' }).map(({ kind, items: [below] }) => [kind, below?.kind]);
    expect(kinds).toEqual([
      ['link', undefined],
      ['group', 'reserved'],
      ['reserved', undefined],
    ]);
  });

  test('out of a choice has the key of the choice, whichever it is', () => {
    const keys = [[], ['ringer']].map((audience) => items({ audience }).map(itemKey).at(-1));
    expect(keys).toEqual(['action/sign-out/sign-in', 'action/sign-out/sign-in']);
  });

  test('is not sent to a visitor whom it is not for, nor is its audience', () => {
    const { menus } = forAudience(withActions.definition, ['ringer']);
    expect(menus?.['main']).toEqual(['today', { action: 'sign-out', label: 'Sign out' }]);
  });

  test.each([
    [{ action: 'Sign out', label: 'x' }, 'name-syntax', '/menus/main/0/action'],
    [{ action: 'x' }, 'missing-field', '/menus/main/0'],
    [{ action: 'x', label: 'x', href: '/x' }, 'unknown-field', '/menus/main/0/href'],
    [{ action: 'x', label: 'x', audience: ['stff'] }, 'unknown-audience', '/menus/main/0/audience/0'],
  ])('%j is reported as %s', (item, code, pointer) => {
    const { problems } = checkSite({ name: 'x', audiences: ['staff'], entries: [], menus: { main: [item] } });
    expect(problems.map((one) => [one.code, one.pointer])).toEqual([[code, pointer]]);
  });

  test('twice in one list is reported', () => {
    const item = { action: 'x', label: 'x' };
    const { problems } = checkSite({ name: 'x', entries: [], menus: { main: [item, item] } });
    expect(problems.map(({ code }) => code)).toEqual(['menu-repeats']);
  });
});

describe('a menu', () => {
  test('without a position marks nothing', () => {
    expect(menu('main')).toBe('Today Hides Species Tide office');
  });

  test.each([
    ['/', '*Today Hides Species Tide office'],
    ['/species?x', 'Today Hides *Species Tide office'],
    ['/birds/', 'Today Hides *Species Tide office'],
    ['/hides/lantern-room', 'Today +Hides Species Tide office'],
    ['/hides/unknown', 'Today +Hides Species Tide office'],
    ['/unknown', 'Today Hides Species Tide office'],
  ])('at %s reads %s', (url, expected) => {
    expect(menu('main', url)).toBe(expected);
  });

  test('shows an entry to those it is for, and to no one else what is below it', () => {
    expect(menu('deep', '/log/sessions')).toBe('Hides(Lantern Room) Practical(Visit Book)');
    const ringer = { audience: ['ringer'] };
    expect(menu('deep', '/log/sessions', ringer)).toBe(
      'Hides(Lantern Room) +Ringing log(*Sessions) Practical(Visit Book)',
    );
    expect(menu('flat', '/', { audience: ['guest'] })).toBe('Species');
    expect(menu('flat', '/', ringer)).toBe('Species Sessions');
  });

  test('marks only the nearest of several listed ancestors', () => {
    expect(menu('flat', '/species/curlew', { records })).toBe('Species *Curlew avocet');
    expect(menu('flat', '/species/curlew/eggs', { records })).toBe('Species +Curlew avocet');
    expect(menu('flat', '/species/wren', { records })).toBe('+Species Curlew avocet');
  });

  test('gives records their own items, with addresses of their own', () => {
    const [, , species] = menuItems(site, 'main', { records });
    expect(species?.items.map(({ href }) => href)).toEqual(['/species/curlew', '/species/avocet']);
  });

  test('marks a group of its own that holds the mark, unless an ancestor beside it is listed', () => {
    expect(menu('grouped', '/hides/lantern-room')).toBe('+Watch(+Hides Today) Visit');
    expect(menu('grouped', '/')).toBe('+Watch(Hides *Today) Visit');
    expect(menu('grouped', '/visit')).toBe('Watch(Hides Today) *Visit');
  });

  test('marks an entry whose address takes in more than one page', () => {
    const files = defineSite({
      name: 'x',
      entries: [{ id: 'files', label: 'Files', href: '/files/*' }],
      menus: { main: ['files'] },
    });
    const read = (url: string) => line(menuItems(files, 'main', { position: locate(files, url) }));
    expect([read('/files'), read('/files/'), read('/files/a/b')]).toEqual(['*Files', '*Files', '+Files']);
  });

  test('leaves out a group that this visitor would find empty', () => {
    expect(menu('grouped', '/', { audience: ['ringer'] })).toBe('+Watch(Hides *Today) Ring(Ringing log) Visit');
    expect(menu('grouped')).toBe('Watch(Hides Today) Visit');
  });

  test('writes addresses below the base path, and leaves outside links alone', () => {
    const based = defineSite(marram, { base: '/observatory' });
    expect(menuItems(based, 'main').map(({ href }) => href)).toEqual([
      '/observatory/',
      '/observatory/hides',
      '/observatory/species',
      'https://tides.example/',
    ]);
  });

  test('that the site does not have is empty', () => {
    expect(menuItems(site, 'toString')).toEqual([]);
  });
});

function everyList(items: readonly MenuItem[]): (readonly MenuItem[])[] {
  return [items, ...items.flatMap((item) => everyList(item.items))];
}

test('on random sites and addresses, each list has at most one mark, on the page or above it', () => {
  fc.assert(
    fc.property(anySite, anyAddress, (definition, url) => {
      const random = defineSite(definition);
      const position = locate(random, url);
      for (const list of everyList(menuItems(random, 'main', { position }))) {
        const marks = list.filter(({ mark }) => mark !== null);
        expect(marks.length).toBeLessThanOrEqual(1);
        for (const { mark, entry, items } of marks) {
          if (mark === 'page') expect([entry, position.status]).toEqual([position.entry, 'exact']);
          else expect(position.path).toContain(entry);
          // "/" is marked only where the menu itself has the marked item below it.
          if (mark === 'section' && entry?.href === '/') expect(items.some((item) => item.mark !== null)).toBe(true);
        }
        // The page is never left unmarked where it is listed, nor an ancestor where the page is not.
        const listed = list.map(({ entry }) => entry);
        if (
          position.status === 'exact' &&
          Object.keys(position.params).length === 0 &&
          listed.includes(position.entry)
        ) {
          expect(marks[0]?.mark).toBe('page');
        } else if (position.path.some((entry) => entry.href !== '/' && listed.includes(entry))) {
          expect(marks.length).toBe(1);
        }
      }
    }),
    { numRuns: 2000 },
  );
});

test('along any way a menu is what it is at each address alone, and what is not marked stays the same object', () => {
  const same = (atRest: readonly MenuItem[], marked: readonly MenuItem[]): boolean =>
    atRest.every((item, index) => {
      const now = marked[index];
      if (!now) return false;
      const holdsMark = now.mark !== null || now.items !== item.items;
      return holdsMark ? same(item.items, now.items) : now === item;
    });
  fc.assert(
    fc.property(anySite, fc.array(anyAddress, { maxLength: 6 }), (definition, way) => {
      const known = defineSite(definition);
      const atRest = menuItems(known, 'main');
      for (const url of way) {
        const items = menuItems(known, 'main', { position: locate(known, url), language: known.language });
        const other = defineSite(definition);
        const alone = menuItems(other, 'main', { position: locate(other, url), language: other.language });
        const marksIn = (list: readonly MenuItem[]): unknown =>
          list.map(({ label, mark, icon, items: below }) => [label, mark, icon, marksIn(below)]);
        expect(marksIn(items)).toEqual(marksIn(alone));
        expect(same(atRest, items)).toBe(true);
      }
    }),
    { numRuns: 300 },
  );
});
