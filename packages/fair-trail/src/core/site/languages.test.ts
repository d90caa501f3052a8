import { describe, expect, test } from 'vitest';
import { breadcrumbs } from './breadcrumbs.ts';
import { checkSite, defineSite } from './define.ts';
import { hrefIn } from './hrefs.ts';
import { locate, titleOf } from './locate.ts';
import { menuItems } from './menus.ts';
import type { Site } from './site.ts';

const definition = {
  name: { en: 'Marram Point', cy: 'Trwyn Moresg' },
  language: 'en',
  languages: ['cy'],
  entries: [
    { id: 'today', label: { en: 'Today', cy: 'Heddiw' }, href: '/' },
    {
      id: 'hides',
      label: { en: 'Hides', cy: 'Cuddfannau' },
      href: { en: '/hides', cy: '/cuddfannau' },
      aliases: ['/huts'],
      entries: [{ id: 'hide', label: '{name}', href: { en: '/hides/:name', cy: '/cuddfannau/:name' } }],
    },
    { id: 'tides', label: 'Tides', href: '/tides' },
  ],
  menus: { main: ['today', 'hides', 'tides'] },
} as const;
const site: Site = defineSite(definition, { base: '/site' });

describe('in two languages', () => {
  test.each([
    ['/site/', 'en exact today'],
    ['/site/cy', 'cy exact today'],
    ['/site/cy/cuddfannau/', 'cy exact hides'],
    ['/site/cy/hides', 'cy unknown'],
    ['/site/cuddfannau', 'en unknown'],
    ['/site/cy/huts', 'cy exact hides'],
    ['/site/cy/tides', 'cy exact tides'],
    ['/site/cy/cuddfannau/a/b', 'cy inside hide'],
    ['/site/en/tides', 'en unknown'],
    ['/site/de/tides', 'en unknown'],
  ])('%s is %s', (url, expected) => {
    const { language, status, entry } = locate(site, url);
    expect([language, status, entry?.id].filter(Boolean).join(' ')).toBe(expected);
  });

  test('a page’s address in each language leads back to it in that language', () => {
    for (const language of ['en', 'cy']) {
      for (const [id, params] of [
        ['today', {}],
        ['hides', {}],
        ['hide', { name: 'tŷ' }],
        ['tides', {}],
      ] as const) {
        expect(locate(site, hrefIn(site, id, language, params))).toMatchObject({ language, params, status: 'exact' });
      }
    }
    expect(hrefIn(site, 'today', 'cy')).toBe('/site/cy');
  });

  test('labels, titles, menus and breadcrumbs are in the language of the position, or else in the site’s own', () => {
    const position = locate(site, '/site/cy/cuddfannau/mawr');
    expect(menuItems(site, 'main', { position }).map(({ label, href }) => `${label} ${href ?? ''}`)).toEqual([
      'Heddiw /site/cy',
      'Cuddfannau /site/cy/cuddfannau',
      'Tides /site/cy/tides',
    ]);
    expect(breadcrumbs(site, position).map(({ label }) => label)).toEqual(['Heddiw', 'Cuddfannau', 'mawr']);
    expect(titleOf(site, position, '-')).toBe('mawr · Trwyn Moresg');
    expect(menuItems(site, 'main', { position, language: 'en' })[1]?.href).toBe('/site/hides');
  });
});

test('one mistake in all languages is reported once', () => {
  const entries = [...definition.entries, { id: 'again', label: 'Again', href: '/tides' }];
  expect(checkSite({ ...definition, entries }).problems).toEqual([
    expect.objectContaining({ code: 'duplicate-address', pointer: '/entries/3/href' }),
  ]);
});

test('the site’s own language must be there, and each language has the same params', () => {
  const entries = [
    { id: 'a', label: { cy: 'A' }, href: '/a' },
    { id: 'b', label: 'B', href: { en: '/b/:x', cy: '/b/:y' } },
  ];
  const codes = checkSite({ ...definition, entries, menus: {} }).problems.map(
    ({ code, pointer }) => `${code} ${pointer}`,
  );
  expect(codes).toEqual(['missing-field /entries/0/label', 'params-differ /entries/1/href/cy']);
});
