import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { breadcrumbs } from './breadcrumbs.ts';
import { compileSite } from './compile.ts';
import type { CompiledSite } from './compiled.ts';
import { checkSite, defineSite } from './define.ts';
import { HrefError, hrefTo } from './hrefs.ts';
import { languageLinks } from './language-links.ts';
import { loadSite, siteOf } from './load.ts';
import { locate } from './locate.ts';
import type { MenuItem } from './menu-item.ts';
import { menuItems } from './menus.ts';
import { marram } from './site.samples.ts';
import type { Site } from './site.ts';

/** What is loaded at run time, and not checked by a build of ours: sites from a server, records, params. */

const compiled = compileSite(defineSite(marram)) as unknown as Record<string, unknown>;

function everyItem(items: readonly MenuItem[]): readonly MenuItem[] {
  return items.flatMap((item) => [item, ...everyItem(item.items)]);
}

/** Every address that the components draw of a site. */
function drawn(site: Site): readonly string[] {
  const position = locate(site, '/hides');
  const visit = { position, audience: ['ringer'], records: { species: [{ params: { slug: 'knot' } }] } };
  return [
    ...[...site.menus.keys()].flatMap((menu) => everyItem(menuItems(site, menu, visit)).map(({ href }) => href)),
    ...breadcrumbs(site, position).map(({ href }) => href),
    ...languageLinks(site, position).map(({ href }) => href),
  ].flatMap((href) => href ?? []);
}

describe('a compiled site that someone else wrote', () => {
  test.each([
    ['javascript:alert(1)', { outside: true }],
    ['JavaScript:alert(1)', { outside: true }],
    [' javascript:alert(1)', { outside: true }],
    ['java\nscript:alert(1)', { outside: true }],
    ['data:text/html,x', { outside: true }],
    ['vbscript:x', { outside: true }],
    ['blob:https://x.example/1', { outside: true }],
    ['//evil.example', {}],
    ['/\\evil.example', {}],
    ['/\t/evil.example', {}],
    ['javascript:alert(1)', {}],
  ])('draws no link to %j', (href, more) => {
    const entries = [
      { id: 'today', label: 'Today', href: '/' },
      { id: 'bad', label: 'Bad', href, ...more, entries: [{ id: 'below', label: 'Below', href: '/bad/below' }] },
    ];
    const menus = { main: ['today', { entry: 'bad', depth: 2 }] };
    const site = loadSite({ ...compiled, entries, menus } as unknown as CompiledSite);
    expect(drawn(site).filter((one) => !/^(?:https:\/\/|\/(?![/\\]))/u.test(one))).toEqual([]);
    expect(drawn(site)).toContain('/');
    expect(() => hrefTo(site, 'bad')).toThrow(HrefError);
  });

  test.each(['javascript:alert(1)//', '//evil.example', 'https://evil.example', '/a/../b'])(
    'is refused with the base %j',
    (base) => {
      expect(() => loadSite({ ...compiled, base } as unknown as CompiledSite)).toThrow(/\[compiled-broken\]$/u);
    },
  );

  const wrongValues = [
    null,
    5,
    true,
    'x',
    [],
    {},
    [null],
    [5],
    { x: 5 },
    [{ id: 5 }],
    [{ id: 'a' }],
    [{ id: 'a', label: null }],
  ];
  const fields = ['name', 'title', 'language', 'languages', 'audiences', 'base', 'home', 'entries', 'menus', 'origin'];

  test('is refused by one coded error, or works', () => {
    for (const field of fields) {
      for (const value of wrongValues) {
        const given = { ...compiled, [field]: value } as unknown as CompiledSite;
        let site: Site | null = null;
        try {
          site = loadSite(given);
        } catch (error) {
          expect(String(error)).toMatch(/^TypeError: .*\[compiled-(?:broken|version)\]$/u);
        }
        if (site) drawn(site);
      }
    }
  });

  test('is refused, or works, whatever a field of an entry or a menu item is', () => {
    const value = fc.oneof(fc.constantFrom(...wrongValues), fc.jsonValue({ maxDepth: 2 }));
    const names = fc.constantFrom(
      'href',
      'label',
      'outside',
      'templates',
      'aliases',
      'movedFrom',
      'entries',
      'query',
      'audience',
      'summary',
      'badge',
      'icon',
      'records',
      'flex',
      'priority',
    );
    const items = fc.constantFrom(
      'entry',
      'depth',
      'params',
      'label',
      'entries',
      'either',
      'action',
      'icon',
      'audience',
      'divider',
    );
    fc.assert(
      fc.property(names, value, items, value, (field, one, itemField, other) => {
        const entries = [{ id: 'a', label: 'A', href: '/a', [field]: one }];
        const menus = { main: ['a', { entry: 'a', [itemField]: other }] };
        try {
          drawn(loadSite({ ...compiled, home: 'a', entries, menus } as unknown as CompiledSite));
        } catch (error) {
          expect(String(error)).toMatch(/\[compiled-broken\]$/u);
        }
      }),
      { numRuns: 2000 },
    );
  });

  test.each<[unknown]>([
    [null],
    [undefined],
    ['text'],
    [5],
    [{}],
    [{ find: () => null }],
    [{ find: () => null, menus: new Map() }],
    [[]],
  ])('%j is not a site', (value) => {
    expect(() => siteOf(value as Site)).toThrow(/\[site-expected\]$/u);
  });
});

describe('records and params that are malformed', () => {
  const site = defineSite(marram);
  const sound = { params: { slug: 'knot' } };
  const labels = (species: unknown) =>
    everyItem(menuItems(site, 'main', { records: { species } as never })).map(({ label }) => label);

  test.each([
    [[null, sound]],
    [[{ params: null }, sound]],
    [[{ params: { slug: true } }, sound]],
    [[{ params: ['a'] }, sound]],
    [[['a'], sound]],
    [[5, sound, 'x']],
    [[{ params: { slug: 'a' }, label: {} }, sound]],
  ])('%j: what is sound is drawn', (list) => {
    expect(labels(list)).toContain('knot');
    expect(labels(list).length).toBe(labels([sound]).length);
    expect(breadcrumbs(site, locate(site, '/species/knot'), { species: list } as never)).toHaveLength(3);
  });

  test.each([[{}], ['text'], [5], [null], [true]])('%j in place of a list shows nothing', (list) => {
    expect(labels(list)).toEqual(labels(undefined));
  });

  test.each([[null], [{ slug: true }], [['a']], [5], ['x'], [{ slug: {} }]])(
    'params %j: the error has a code',
    (params) => {
      expect(() => hrefTo(site, 'species-page', params as never)).toThrow(HrefError);
    },
  );
});

describe('a base or an address with characters that are not seen', () => {
  const invisible = ['\u2028', '\u200b', '\u202e', '\u0085', '\u3000', '\ufeff', '\u00ad'];

  test.each(invisible)('%j is encoded in a path, and refused in an address elsewhere', (character) => {
    const path = checkSite({ name: 'x', entries: [{ id: 'a', label: 'A', href: `/a${character}b` }] });
    expect(path.site && hrefTo(path.site, 'a' as never)).toBe(`/a${encodeURIComponent(character)}b`);
    expect(path.site && locate(path.site, `/a${encodeURIComponent(character)}b`).status).toBe('exact');
    for (const href of [`https://x${character}.example/`, `https://x.example/a${character}b`]) {
      const { problems } = checkSite({ name: 'x', entries: [{ id: 'a', label: 'A', href }] });
      expect(problems.map(({ code }) => code)).toContain('unsafe-href');
    }
    const { site } = checkSite(
      { name: 'x', entries: [{ id: 'a', label: 'A', href: '/' }] },
      { base: `/p${character}q` },
    );
    const href = site && hrefTo(site, 'a' as never);
    expect(href?.includes(character) ?? false).toBe(false);
  });

  test.each([5, null, {}, []])('a base that is %j is a problem', (base) => {
    const { problems } = checkSite(
      { name: 'x', entries: [{ id: 'a', label: 'A', href: '/' }] },
      { base: base as never },
    );
    expect(problems.map(({ code }) => code)).toEqual(base === null ? [] : ['base-syntax']);
  });
});
