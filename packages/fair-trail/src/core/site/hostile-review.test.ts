import { describe, expect, test } from 'vitest';
import { compareSites } from './compare.ts';
import { checkSite, defineSite } from './define.ts';
import type { EntryDefinition, SiteDefinition } from './definition.ts';
import { reviewSite } from './review.ts';
import type { DefinedSite } from './site.ts';

function siteOf(entries: readonly EntryDefinition[], more: Partial<SiteDefinition> = {}): DefinedSite {
  return defineSite({ name: 'x', entries, ...more } as SiteDefinition);
}

function pages(...hrefs: string[]): EntryDefinition[] {
  return hrefs.map((href, index) => ({ id: `e${index}`, label: `E${index}`, href }));
}

function found(site: DefinedSite): string[] {
  return reviewSite(site).map(({ code, pointer }) => `${code} ${pointer}`);
}

describe('a review gives no false alarm', () => {
  test.each([
    [['/a/:n.pdf', '/:y/b.txt']],
    [['/p/:x-:y', '/:z/new']],
    [['/p/:x-:y/c', '/p/:z/new']],
    [['/a/x:n', '/:y/z:m']],
    [['/docs/*', '/docs/:x+']],
  ])('for %j', (hrefs) => {
    expect(found(siteOf(pages(...hrefs)))).toEqual([]);
  });

  test('for the members of a choice, of which one is shown', () => {
    const entries = [
      { id: 'in', label: 'Account', href: '/in', audience: ['guest'] },
      { id: 'out', label: 'Account', href: '/out', audience: ['ringer'] },
    ];
    expect(found(siteOf(entries, { menus: { main: [{ either: ['in', 'out'] }] } }))).toEqual([]);
    expect(found(siteOf(entries, { menus: { main: ['in', 'out'] } }))).toEqual(['label-repeats /menus/main/1']);
  });
});

describe('a review finds', () => {
  test('overlaps with text beside params, where there are some', () => {
    expect(found(siteOf(pages('/a/:n.pdf', '/:y/b.pdf')))).toEqual(['addresses-overlap /entries/1/href']);
    expect(found(siteOf(pages('/a/:n-x', '/:y/xyz:m')))).toEqual(['addresses-overlap /entries/1/href']);
  });

  test('what is wrong in another language', () => {
    const entries = [
      { id: 'b', label: { en: 'B', cy: 'Yr un' }, href: '/b' },
      { id: 'c', label: { en: 'C', cy: 'Yr un' }, href: '/c' },
      { id: 'd', label: { en: 'D', cy: 'D' }, href: { en: '/d/:x', cy: '/:x/b' } },
      { id: 'e', label: { en: 'E', cy: 'E' }, href: { en: '/e/:x', cy: '/d/:x' } },
      { id: 'f', label: { en: 'F', cy: 'F' }, href: { en: 'https://tides.wales/', cy: 'http://192.168.1.7/' } },
    ];
    const site = siteOf(entries, { languages: ['cy'], menus: { main: ['b', 'c'] } });
    expect(found(site).filter((one) => !one.startsWith('unreachable'))).toEqual([
      'placeholder-link /entries/4/href',
      'addresses-overlap /entries/3/href/cy',
      'label-repeats /menus/main/1',
    ]);
  });

  test('what comes with the depth of an entry', () => {
    const below = Array.from({ length: 13 }, (_, index) => ({
      id: `b${index}`,
      label: `B${index}`,
      href: `/a/${index}`,
    }));
    const first = { ...below[0], id: 'b0', label: 'A' };
    const entries = [{ id: 'a', label: 'A', href: '/a', entries: [first, ...below.slice(1, 2)] }];
    const menus = { main: [{ entry: 'a', depth: 2 }] };
    expect(found(siteOf(entries, { menus }))).toEqual(['label-repeats /entries/0/entries/0']);
    const long = [{ id: 'a', label: 'A', href: '/a', entries: below }];
    expect(found(siteOf(long, { menus }))).toEqual(['menu-too-long /menus/main/0']);
    expect(found(siteOf(long, { menus: { main: ['a'] } }))).toEqual([]);
  });

  test('what is wrong with groups', () => {
    const entries = [...pages('/a', '/b'), { id: 'c', label: 'C', href: '/c', icon: 'sun' }];
    const group = (label: string, ...ids: string[]) => ({ label, entries: ids });
    const menus = {
      main: [group('W'.repeat(31), 'e0'), group('Same', 'e1', 'c'), group('Same', 'c')],
    };
    expect(found(siteOf(entries, { menus }))).toEqual([
      'label-too-long /menus/main/0/label',
      'label-repeats /menus/main/2',
    ]);
  });

  test('overlaps of aliases, and aliases that other entries take', () => {
    const [one, other] = [
      { id: 'a', label: 'A', href: '/z/:x', aliases: ['/a/:x'] },
      { id: 'b', label: 'B', href: '/:y/b' },
    ];
    expect(found(siteOf([one, other]))).toEqual(['addresses-overlap /entries/1/href']);
    const taken = { id: 'c', label: 'C', href: '/c/:x', aliases: ['/q/:x'] };
    const taker = { id: 'd', label: 'D', href: '/q/:y:z' };
    expect(found(siteOf([taken, taker]))).toEqual(['address-shadowed /entries/0/aliases/0']);
  });

  test.each([
    'http://10.0.0.1/',
    'http://192.168.1.1/',
    'http://172.20.0.1/',
    'http://169.254.1.1/',
    'http://[fd12::1]/',
    'http://[fe80::1]/',
    'https://203.0.113.9/',
    'https://docs.example.com/',
    'https://tides.example/',
    'http://printer.local/',
    'https://wiki/',
    'https://app.internal/',
  ])('%s to be a host that visitors cannot reach', (href) => {
    const site = siteOf([{ id: 'a', label: 'A', href }], { origin: 'https://marram.org' });
    expect(found(site)).toEqual(['placeholder-link /entries/0/href']);
  });

  test.each(['https://tides.org/', 'https://172.32.0.1/', 'https://11.0.0.1/', 'https://example.se/'])(
    '%s to be a host like any other',
    (href) => {
      expect(found(siteOf([{ id: 'a', label: 'A', href }], { origin: 'https://marram.org' }))).toEqual([]);
    },
  );
});

describe('comparing', () => {
  const compare = (before: DefinedSite, after: DefinedSite) =>
    compareSites(before, after).map((change) => {
      return change.kind === 'address-lost' ? `${change.kind} ${change.address}` : change.kind;
    });

  test('reads addresses of any encoding', () => {
    const before = siteOf(pages('/100%', '/caf%E9'));
    expect(compare(before, before)).toEqual([]);
    expect(compare(before, siteOf([]))).toEqual(['removed', 'removed', 'address-lost /100%', 'address-lost /caf%E9']);
  });

  test('a planned page that is removed leaves no links behind', () => {
    const before = siteOf([{ id: 'a', label: 'A', href: '/a', planned: true }]);
    expect(compare(before, siteOf([]))).toEqual(['removed']);
  });

  test('a wildcard that takes less than before loses addresses', () => {
    const [wide, narrow, filled] = ['/f/*', '/f/:x', '/f/:x+'].map((href) => siteOf([{ id: 'a', label: 'A', href }]));
    if (!wide || !narrow || !filled) throw new Error('no sites');
    expect(compare(wide, narrow)).toEqual(['moved', 'address-lost /f/…/…/…']);
    expect(compare(wide, filled)).toEqual(['moved', 'address-lost /f']);
    expect(compare(filled, wide)).toEqual(['moved']);
  });

  test('another language of the same site is that, and no new name of every page', () => {
    const [en, de] = ['en', 'de'].map((language) => siteOf(pages('/a', '/b'), { language }));
    if (!en || !de) throw new Error('no sites');
    expect(compare(en, de)).toEqual(['language-changed']);
    const both = siteOf(pages('/a', '/b'), { language: 'en', languages: ['de'] });
    expect(compare(en, both)).toEqual([]);
    expect(compare(both, en)).toEqual(['address-lost /de/a', 'address-lost /de/b']);
  });
});

test('a label as long as a book is no work', () => {
  const { site } = checkSite({ name: 'x', entries: [{ id: 'a', label: 'e\u0301'.repeat(500_000), href: '/a' }] });
  expect(site && found(site)).toEqual(['label-too-long /entries/0/label']);
});
