import * as fc from 'fast-check';
import path from 'node:path';
import { readFileSync } from 'node:fs';
import ts from 'typescript';
import { describe, expect, test } from 'vitest';
import { effort } from '../../../../../tests/effort.ts';
import { breadcrumbs } from './breadcrumbs.ts';
import { compileSite } from './compile.ts';
import type { CompiledSite } from './compiled.ts';
import { defineSite } from './define.ts';
import type { SiteDefinition } from './definition.ts';
import type { Entry } from './entry.ts';
import { detailNames, entryFields } from './field-table.ts';
import { anyHostileSite, anyHref, anyValue, makeSite } from './hostile-sites.samples.ts';
import { hrefOf } from './hrefs.ts';
import { labelOf } from './labels.ts';
import { languageLinks } from './language-links.ts';
import { loadSite } from './load.ts';
import { locate, titleOf } from './locate.ts';
import { menuItems, type Visit } from './menus.ts';
import { neighbors } from './neighbors.ts';
import type { SiteRecords } from './records.ts';
import { anyAddress, anySite } from './site.samples.ts';
import { everyEntry, type DefinedSite, type Site } from './site.ts';

/** As the value comes to an app: through a file. */
function reload(site: DefinedSite): Site {
  return loadSite(JSON.parse(JSON.stringify(compileSite(site))) as CompiledSite);
}

/** The answers of a site name their entries: the objects are other ones. */
function plain(answer: unknown): unknown {
  const isEntry = (value: object) => 'templates' in value && 'paramNames' in value;
  const replace = (_: string, value: unknown): unknown =>
    typeof value === 'object' && value !== null && isEntry(value) ? (value as unknown as Entry).id : value;
  return JSON.parse(JSON.stringify(answer, replace)) as unknown;
}

/** Every field of the site file, every kind of menu item, three languages. */
const everything: SiteDefinition = {
  name: { en: 'Marram Point', cy: 'Trwyn Moresg' },
  title: { en: '{label} at {site}', cy: '{label} – {site}' },
  origin: 'https://marram.example',
  language: 'en',
  languages: ['cy', 'ar'],
  audiences: ['member', 'warden'],
  home: 'today',
  entries: [
    { id: 'today', label: { en: 'Today', cy: 'Heddiw' }, href: '/', icon: 'sun', currentIcon: 'sun-filled' },
    {
      id: 'species',
      label: 'Species',
      href: { en: '/species', cy: '/rhywogaethau' },
      aliases: ['/birds', '/birds{/all}?'].slice(0, 1),
      movedFrom: ['/old-species', '/archive/:year/species'],
      query: ['season', 'ring'],
      summary: { en: 'All of them', ar: 'كلها' },
      badge: 'new',
      priority: 2,
      flex: '1 1 auto',
      entries: [
        {
          id: 'one-species',
          label: '{slug} seen',
          href: { en: '/species/:slug', cy: '/rhywogaethau/:slug' },
          records: 'species',
          breadcrumb: false,
          listed: false,
          entries: [{ id: 'ringing', label: 'Ringing', href: '/species/:slug/ringing{-:year}?' }],
        },
        { id: 'files', label: 'Files', href: '/files/:path+', movedFrom: ['/downloads/:path+'], listed: false },
        { id: 'any', label: 'Any', href: '/any/*/of-:kind.html', listed: false },
      ],
    },
    {
      id: 'desk',
      label: 'Desk',
      audience: ['member'],
      entries: [
        { id: 'log', label: 'Log', href: '/log', audience: ['warden', 'member'], opens: 'new-tab' },
        { id: 'keys', label: 'Keys', href: '/keys/100%/a b/é', audience: ['warden'], planned: true },
      ],
    },
    { id: 'partner', label: 'Partner', href: 'https://partner.example/x', opens: 'new-tab' },
  ],
  menus: {
    main: [
      'today',
      { entry: 'species', depth: 3 },
      { divider: true },
      { label: { en: 'More', cy: 'Mwy' }, entries: ['desk', { entry: 'desk', depth: 2 }, 'partner'] },
      {
        either: [
          { action: 'sign-out', label: 'Sign out', audience: ['member'] },
          { action: 'sign-in', label: 'Sign in' },
        ],
      },
      { action: 'scheme', label: { en: 'Colors' }, icon: 'sun' },
    ],
    few: [
      { entry: 'one-species', params: { slug: 'avocet' } },
      { entry: 'species', params: { season: 'spring' } },
    ],
    none: [],
  },
};

const records: SiteRecords = {
  species: [{ params: { slug: 'dunlin' }, label: 'Dunlin' }, { params: { slug: 'knot' } }],
};
const audiences: readonly NonNullable<Visit['audience']>[] = [[], ['member'], ['member', 'warden'], 'unknown'];

test('the site with everything has every field that an entry may have', () => {
  const fieldsOf = (entries: SiteDefinition['entries']): string[] =>
    entries.flatMap((entry) => [...Object.keys(entry), ...fieldsOf(entry.entries ?? [])]);
  expect([...new Set(fieldsOf(everything.entries))].toSorted()).toEqual(Object.keys(entryFields).toSorted());
});

describe('a site with everything', () => {
  const options = [{}, { base: '/point a', caseSensitive: false }];

  test.each(options)('is loaded as it was: %j', (option) => {
    const site = defineSite(everything, option);
    const loaded = reload(site);
    const { problems: _, definition: __, addresses: ___, ...kept } = site;
    expect(plain({ ...loaded })).toEqual(plain({ ...kept }));
    const [entries, loadedEntries] = [site, loaded].map((one) => [...everyEntry(one.entries)]);
    expect(loadedEntries?.map(({ id }) => id)).toEqual(entries?.map(({ id }) => id));
    for (const [index, entry] of (entries ?? []).entries()) {
      const other = loadedEntries?.[index];
      for (const field of [...Object.keys(entry), ...detailNames.map(({ readAs }) => readAs)] as (keyof Entry)[]) {
        expect([entry.id, field, plain(other?.[field])]).toEqual([entry.id, field, plain(entry[field])]);
      }
    }
  });

  test.each(options)('answers everything as before: %j', (option) => {
    const site = defineSite(everything, option);
    const loaded = reload(site);
    const addresses = [
      ...['/', '/Species', '/species/avocet', '/species/avocet/ringing-2026', '/birds', '/archive/2019/species'],
      ...['/cy', '/cy/rhywogaethau/gylfinir?season=gaeaf', '/ar/files/a/b', '/files', '/any/a/b/of-x.html', '/nowhere'],
      ...['/keys/100%25/a%20b/%C3%A9', '/old-species?x=1#y', '/log/today'],
    ].map((address) => `${option.base ? '/point%20a' : ''}${address}`);
    for (const address of addresses) {
      const [one, other] = [locate(site, address), locate(loaded, address)];
      expect(plain(other)).toEqual(plain(one));
      expect(titleOf(loaded, other, 'None', records)).toBe(titleOf(site, one, 'None', records));
      expect(plain(breadcrumbs(loaded, other, records))).toEqual(plain(breadcrumbs(site, one, records)));
      expect(languageLinks(loaded, other)).toEqual(languageLinks(site, one));
      for (const menu of ['main', 'few', 'none', 'missing']) {
        for (const audience of audiences) {
          const visit = { audience, records };
          const items = menuItems(loaded, menu, { ...visit, position: other });
          expect(plain(items)).toEqual(plain(menuItems(site, menu, { ...visit, position: one })));
          expect(plain(neighbors(loaded, menu, other, visit))).toEqual(plain(neighbors(site, menu, one, visit)));
        }
      }
    }
    expect(menuItems(loaded, 'main', { audience: ['member'] }).length).toBeGreaterThan(5);
  });
});

describe('on random sites', () => {
  test('hostile addresses are found and written as before', () => {
    let found = 0;
    const anyPathname = fc.oneof(
      anyHref,
      fc.array(anyValue, { maxLength: 4 }).map((steps) => `/${steps.join('/')}`),
    );
    fc.assert(
      fc.property(
        anyHostileSite,
        fc.array(anyPathname, { minLength: 3, maxLength: 3 }),
        fc.array(anyValue, { minLength: 8, maxLength: 8 }),
        (drawn, pathnames, values) => {
          const site = makeSite(drawn);
          if (!site) return;
          const loaded = reload(site);
          const addresses = [...pathnames];
          for (const entry of everyEntry(site.entries)) {
            const other = loaded.entry(entry.id);
            if (!other) throw new Error(`${entry.id} is missing`);
            const params = Object.fromEntries(entry.paramNames.map((name, index) => [name, values[index] ?? '']));
            for (const language of site.languages) {
              const href = hrefOf(site, entry, params, language);
              expect(hrefOf(loaded, other, params, language)).toBe(href);
              expect(labelOf(loaded, other, { params, language })).toBe(labelOf(site, entry, { params, language }));
              if (href !== null) addresses.push(href);
            }
          }
          for (const pathname of addresses.flatMap((one) => [one, `${site.base}/cy${one}`, `${site.base}${one}`])) {
            const position = locate(site, pathname);
            if (position.status === 'exact') found += 1;
            expect(plain(locate(loaded, pathname))).toEqual(plain(position));
            // The first of all is looked up in another way than later ones.
            if (position.status === 'exact') expect(plain(locate(reload(site), pathname))).toEqual(plain(position));
          }
        },
      ),
      { numRuns: effort(1000, 100_000) },
    );
    expect(found).toBeGreaterThan(500);
  });

  test('trees and their menus are as before', () => {
    fc.assert(
      fc.property(anySite, anyAddress, (definition, address) => {
        const site = defineSite(definition);
        const loaded = reload(site);
        const [one, other] = [locate(site, address), locate(loaded, address)];
        expect(plain(other)).toEqual(plain(one));
        const items = menuItems(site, 'main', { position: one });
        expect(plain(menuItems(loaded, 'main', { position: other }))).toEqual(plain(items));
        expect(plain(breadcrumbs(loaded, other))).toEqual(plain(breadcrumbs(site, one)));
      }),
      { numRuns: effort(500, 20_000) },
    );
  });
});

test.each([[0], [2], ['1'], [undefined]])('a value of the format %j is refused', (compiled) => {
  const value = { ...compileSite(defineSite(everything)), compiled } as unknown as CompiledSite;
  expect(() => loadSite(value)).toThrow(/compiled for (?:this|another) version|\[compiled-version\]/u);
});

test.each([[null], [undefined], ['text'], [7], [[]], [{}]])(
  '%j is no compiled site, and is refused as such',
  (value) => {
    expect(() => loadSite(value as unknown as CompiledSite)).toThrow('[compiled-version]');
  },
);

test('what is the default is not written', () => {
  const site = defineSite({
    name: 'x',
    entries: [{ id: 'hides', label: 'Hides', href: '/hides' }],
    menus: { main: ['hides'] },
  });
  expect(compileSite(site)).toEqual({
    compiled: 1,
    name: 'x',
    title: '{label} · {site}',
    language: 'en',
    entries: [{ id: 'hides', label: 'Hides', href: '/hides' }],
    menus: { main: ['hides'] },
  });
});

test('nothing that an app with a compiled site loads holds checks, their texts, or the parser of paths', () => {
  const seen = new Set<string>();
  const visit = (file: string) => {
    if (seen.has(file)) return;
    seen.add(file);
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest);
    for (const statement of source.statements) {
      if (!ts.isImportDeclaration(statement) || !ts.isStringLiteral(statement.moduleSpecifier)) continue;
      const { importClause, moduleSpecifier } = statement;
      const names = importClause?.namedBindings;
      // Types are nothing once they are compiled.
      const isType =
        importClause?.phaseModifier === ts.SyntaxKind.TypeKeyword ||
        (names !== undefined && ts.isNamedImports(names) && names.elements.every(({ isTypeOnly }) => isTypeOnly));
      if (!isType) visit(path.resolve(path.dirname(file), moduleSpecifier.text));
    }
  };
  for (const file of ['load', 'locate', 'hrefs', 'menus', 'breadcrumbs', 'neighbors', 'language-links']) {
    visit(path.join(import.meta.dirname, `${file}.ts`));
  }
  const names = [...seen].map((file) => path.basename(file));
  expect(names).toContain('match.ts');
  expect(names.filter((name) => /^(?:problems|fields|pathname|read-.*|define|review.*)\.ts$/u.test(name))).toEqual([]);
});
