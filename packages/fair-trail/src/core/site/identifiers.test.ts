import { expect, test } from 'vitest';
import { defineSite } from './define.ts';
import { hrefTo } from './hrefs.ts';
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
      defineSite({
        name: 'x',
        entries: [{ id: 'a', label: 'A', href: '/' }],
        // @ts-expect-error -- within a group too
        menus: { main: [{ label: 'G', entries: ['b'] }] },
      }),
  ];
  for (const each of wrong) expect(each).toThrow();
});

test('ids that are not known to the compiler are any text', () => {
  const some: { id: string; label: string; href: string }[] = [{ id: 'a', label: 'A', href: '/a' }];
  expect(hrefTo(defineSite({ name: 'x', entries: some }), 'a')).toBe('/a');
});
