import { expect, expectTypeOf, test } from 'vitest';
import observatory from '../../../../../examples/observatory/observatory.site.json' with { type: 'json' };
import { defineSite } from './define.ts';
import { hrefTo } from './hrefs.ts';
import type { ActionName, AudienceName, EntryId, IconName, MenuName, RecordsName } from './identifiers.ts';
import { marram } from './site.samples.ts';

const site = defineSite({
  name: 'x',
  entries: [
    { id: 'home', label: 'Home', href: '/', entries: [{ id: 'bird', label: 'Bird', href: '/birds/:slug/:year' }] },
    { id: 'tides', label: 'Tides', href: '/tides', query: ['station'] },
    { id: 'log', label: 'Log', href: '/log{/:year}?' },
  ],
  menus: { main: ['home', { entry: 'tides', depth: 2 }, { label: 'More', entries: ['log', { divider: true }] }] },
});

/** Held by the compiler: a line that should not compile and does is an error of its own. */
test('ids, menus and params are checked by the compiler', () => {
  expect(hrefTo(site, 'home')).toBe('/');
  expect(hrefTo(site, 'bird', { slug: 'curlew', year: '2026' })).toBe('/birds/curlew/2026');
  expect(hrefTo(site, 'tides')).toBe('/tides');
  expect(hrefTo(site, 'tides', { station: 'north' })).toBe('/tides?station=north');
  expect(hrefTo(site, 'log')).toBe('/log');
  expect(hrefTo(site, 'log', { year: '2026' })).toBe('/log/2026');
  expect(hrefTo(defineSite(marram), 'species-page', { slug: 'curlew' })).toBe('/species/curlew');

  const wrong = [
    // @ts-expect-error -- no such id
    () => hrefTo(site, 'birds'),
    // @ts-expect-error -- params are missing
    () => hrefTo(site, 'bird'),
    // @ts-expect-error -- one param is missing
    () => hrefTo(site, 'bird', { slug: 'curlew' }),
    // @ts-expect-error -- a menu names no entry
    () => defineSite({ name: 'x', entries: [{ id: 'a', label: 'A', href: '/' }], menus: { main: ['b'] } }),
    // @ts-expect-error -- nor does home
    () => defineSite({ name: 'x', home: 'b', entries: [{ id: 'a', label: 'A', href: '/' }] }),
    () =>
      // @ts-expect-error -- within a group too
      defineSite({
        name: 'x',
        entries: [{ id: 'a', label: 'A', href: '/' }],
        menus: { main: [{ label: 'G', entries: ['b'] }] },
      }),
  ];
  for (const each of wrong) expect(each).toThrow();
});

test('params of any script are known, and what is escaped is none', () => {
  const odd = defineSite({
    name: 'x',
    entries: [
      { id: 'script', label: 'x', href: '/s/:日本/:été-:ñ1' },
      { id: 'escaped', label: 'x', href: '/e/\\:no/a\\:no/:yes' },
      { id: 'plain', label: 'x', href: '/p/\\:no' },
      { id: 'query', label: 'x', href: '/q/\\?b\\*' },
    ],
  });
  expect(hrefTo(odd, 'script', { 日本: 'a', été: 'b', ñ1: 'c' })).toBe('/s/a/b-c');
  expect(hrefTo(odd, 'escaped', { yes: 'a' })).toBe('/e/:no/a:no/a');
  expect(hrefTo(odd, 'plain')).toBe('/p/:no');
  expect(hrefTo(odd, 'query')).toBe('/q/%3Fb*');
  // @ts-expect-error -- a param is missing
  expect(() => hrefTo(odd, 'script', { 日本: 'a', été: 'b' })).toThrow();
});

test('ids that are not known to the compiler are any text', () => {
  const some: { id: string; label: string; href: string }[] = [{ id: 'a', label: 'A', href: '/a' }];
  expect(hrefTo(defineSite({ name: 'x', entries: some }), 'a')).toBe('/a');
});

test('an id that the site does not have is what is reported, with the nearest that it has', () => {
  const unknown = 'birdd' as 'bird';
  expect(() => hrefTo(site, unknown, { slug: 'curlew', year: '2026' })).toThrow(
    'The site has no entry with the id "birdd". Did you mean "bird"?',
  );
  // @ts-expect-error -- the id is wrong, and no params are asked for
  const withoutParams = () => hrefTo(site, 'nope');
  expect(withoutParams).toThrow('The site has no entry with the id "nope".');
});

test('an imported JSON file needs no cast, and what the compiler sees of it is checked', () => {
  const imported = defineSite(observatory);
  expect(hrefTo(imported, 'hides')).toBe('/hides');
  expect(hrefTo(imported, 'species-page', { slug: 'curlew' })).toBe('/species/curlew');
  // @ts-expect-error -- a param is a text
  expect(hrefTo(imported, 'species-page', { slug: 7 })).toBe('/species/7');
  expectTypeOf<MenuName<typeof observatory>>().toEqualTypeOf<'main' | 'footer' | 'desk' | 'hides'>();
  expectTypeOf<EntryId<typeof observatory>>().toEqualTypeOf<string>();
  // @ts-expect-error -- this is no site file
  expect(() => defineSite({ name: 'x', pages: [] as { id: string }[] })).toThrow();
});

test('the names in a definition are known', () => {
  const definition = {
    name: 'x',
    audiences: ['ringer', 'staff'],
    entries: [
      {
        id: 'a',
        label: 'A',
        href: '/',
        icon: 'sun',
        entries: [{ id: 'b', label: 'B', href: '/b', audience: ['staff'] }],
      },
      { id: 'c', label: 'C {d}', href: '/c/:d', records: 'lists', currentIcon: 'moon' },
    ],
    menus: { main: ['a', { label: 'You', entries: [{ action: 'sign-out', label: 'Sign out' }] }], footer: [] },
  } as const;
  type Definition = typeof definition;
  expectTypeOf<MenuName<Definition>>().toEqualTypeOf<'main' | 'footer'>();
  expectTypeOf<AudienceName<Definition>>().toEqualTypeOf<'ringer' | 'staff'>();
  expectTypeOf<IconName<Definition>>().toEqualTypeOf<'sun' | 'moon'>();
  expectTypeOf<RecordsName<Definition>>().toEqualTypeOf<'lists'>();
  expectTypeOf<ActionName<Definition>>().toEqualTypeOf<'sign-out'>();
  expect(defineSite(definition).menus.size).toBe(2);
});
