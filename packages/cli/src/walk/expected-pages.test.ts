import { defineSite, type SiteDefinition } from 'fair-trail';
import { describe, expect, test } from 'vitest';
import { keyOf, expectedPages } from './expected-pages.ts';
import { WalkNotes } from './walk-report.ts';

const visitor = { audience: [], records: {} };

const definition: SiteDefinition = {
  name: 'Marram',
  home: 'today',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    {
      id: 'species',
      label: 'Species',
      href: '/species',
      aliases: ['/birds'],
      entries: [
        {
          id: 'species-page',
          label: '{slug}',
          href: '/species/:slug',
          records: 'species',
          aliases: ['/birds/:slug', '/b-:slug'],
          movedFrom: ['/bird/:slug/page'],
        },
      ],
    },
    { id: 'log', label: 'Log', href: '/log{/:year}?', movedFrom: ['/ringing{/:year}?'] },
  ],
  menus: { main: ['today', { entry: 'species', depth: 2 }] },
};

describe('the pages of a site', () => {
  const records = { species: [{ params: { slug: 'bar-tailed godwit' }, label: 'Bar-tailed godwit' }] };
  const { stops } = expectedPages(defineSite(definition, { base: '/point' }), { ...visitor, records });
  const stop = (id: string) => stops.find(({ entry }) => entry.id === id);

  test('have addresses below the base, and those of records are written out', () => {
    expect(stops.map(({ address }) => address)).toEqual([
      '/point/',
      '/point/species',
      '/point/species/bar-tailed%20godwit',
      '/point/log',
    ]);
  });

  test('have their aliases and old addresses with the params put in, however they are written', () => {
    expect(stop('species-page')?.aliases).toEqual(['/point/birds/bar-tailed%20godwit', '/point/b-bar-tailed%20godwit']);
    expect(stop('species-page')?.moved).toEqual(['/point/bird/bar-tailed%20godwit/page']);
    expect([stop('log')?.aliases, stop('log')?.moved]).toEqual([[], ['/point/ringing']]);
  });

  test('know their way through a menu', () => {
    expect(stop('species-page')?.ways.get('main')).toEqual(['Species', 'Bar-tailed godwit']);
    expect(stop('log')?.ways.size).toBe(0);
  });
});

test('the pages of another language have its addresses, labels and titles', () => {
  const site = defineSite(
    {
      name: { en: 'Marram', cy: 'Moresg' },
      languages: ['cy'],
      home: 'today',
      entries: [
        { id: 'today', label: { en: 'Today', cy: 'Heddiw' }, href: '/' },
        {
          id: 'hides',
          label: { en: 'Hides', cy: 'Cuddfannau' },
          href: { en: '/hides', cy: '/cuddfannau' },
          aliases: ['/huts'],
          movedFrom: ['/blinds'],
        },
      ],
      menus: { main: ['today', 'hides'] },
    },
    { base: '/point' },
  );
  const { stops } = expectedPages(site, { ...visitor, language: 'cy' });
  expect(stops.map(({ address, title, aliases }) => [address, title, aliases])).toEqual([
    ['/point/cy', 'Heddiw · Moresg', []],
    ['/point/cy/cuddfannau', 'Cuddfannau · Moresg', ['/point/cy/huts']],
  ]);
  expect(stops[1]).toMatchObject({
    breadcrumbs: ['Heddiw', 'Cuddfannau'],
    moved: ['/point/cy/blinds'],
    ways: new Map([['main', ['Cuddfannau']]]),
  });
  // The same page in another language is another page.
  expect(keyOf(site, '/point/hides')).not.toBe(stops[1]?.key);
});

test('50 000 entries, and as many that are left out, are listed and reported in one go', () => {
  const entries = Array.from({ length: 50_000 }, (_, index) => ({
    id: `p${index}`,
    label: `Page ${index}`,
    href: `/p/${index}`,
    aliases: [`/a/${index}`],
    ...(index % 2 === 1 && { audience: ['ringer'] }),
  }));
  const { stops, leftOut } = expectedPages(defineSite({ name: 'Marram', entries }), visitor);
  expect([stops.length, leftOut.length, stops.at(-1)?.aliases]).toEqual([25_000, 25_000, ['/a/49998']]);
  const notes = new WalkNotes();
  for (const { entry, reason } of leftOut) notes.notJudged({ entry }, null, reason);
  for (const stop of stops) {
    notes.tried(stop, 'titled');
    notes.fault(stop, { code: 'wrong-title', blame: 'page', message: 'It is titled “Marram”.' });
  }
  const { summary } = notes.report(
    { tool: { name: 'fair-trail', version: '0' }, site: '', target: '', language: 'en' },
    stops,
  );
  expect(summary).toEqual({ stops: 25_000, faults: 25_000, checks: 25_000, notJudged: 25_000 });
});
