import { problemCodes } from './problem-codes.ts';
import { describe, expect, test } from 'vitest';
import observatory from '../../../../../examples/observatory/observatory.site.json' with { type: 'json' };
import { compareSites, type SiteChange } from './compare.ts';
import { checkSite, defineSite } from './define.ts';
import type { SiteDefinition } from './definition.ts';
import { problemSamples, reviewSamples } from './problem.samples.ts';
import { reviewSite } from './review.ts';
import { marram } from './site.samples.ts';

test('every code has a sample', () => {
  expect([...Object.keys(problemSamples), ...Object.keys(reviewSamples)].toSorted()).toEqual(problemCodes.toSorted());
});

describe('a review', () => {
  test.each(Object.entries(reviewSamples))('finds %s, where it is', (code, [definition, pointer]) => {
    const { site } = checkSite(definition);
    if (!site) throw new Error('the sample is not sound');
    const found = reviewSite(site);
    expect(found).toEqual([expect.objectContaining({ code, pointer, severity: 'advisory' })]);
  });

  test('finds nothing wrong with the observatory, but for what is planned', () => {
    const site = defineSite(observatory as SiteDefinition);
    expect(reviewSite(site).map(({ code }) => code)).toEqual(['planned-entry']);
  });

  test('does not take a wildcard for what it leaves to others', () => {
    const hrefs = ['/a', '/a/:x', '/a/*', '/:y', '/*'];
    const entries = hrefs.map((href, index) => ({ id: `e${index}`, label: `E${index}`, href }));
    expect(reviewSite(defineSite({ name: 'x', entries }))).toEqual([]);
  });
});

function reported(changes: readonly SiteChange[]): string[] {
  return changes.map((change) => {
    if (change.kind === 'language-changed') return change.kind;
    return `${change.kind} ${change.kind === 'address-lost' ? change.address : change.entry.id}`;
  });
}

describe('comparing two versions', () => {
  const before = defineSite(marram);
  const compare = (entries: SiteDefinition['entries']) =>
    reported(compareSites(before, defineSite({ name: 'x', entries })));
  const rest = marram.entries.slice(1);

  test('of the same site finds nothing', () => {
    expect(compare(marram.entries)).toEqual([]);
  });

  test('tells what was added, removed and renamed', () => {
    const changes = compare([
      { id: 'today', label: 'Now', href: '/' },
      ...rest.slice(0, -1),
      { id: 'new', label: 'N', href: '/new' },
    ]);
    expect(changes).toEqual(['renamed today', 'added new', 'removed tide-office']);
  });

  test('a moved page is a lost address, unless the old one leads on', () => {
    const moved = { id: 'today', label: 'Today', href: '/today' };
    expect(compare([moved, ...rest])).toEqual(['moved today', 'address-lost /']);
    expect(compare([{ ...moved, movedFrom: ['/'] }, ...rest])).toEqual(['moved today']);
    expect(compare([{ ...moved, aliases: ['/'] }, ...rest])).toEqual(['moved today']);
  });

  test('addresses with params and aliases are lost too', () => {
    const withoutSpecies = marram.entries.filter(({ id }) => id !== 'species');
    expect(compare(withoutSpecies)).toEqual([
      'removed species',
      'removed species-page',
      'address-lost /species',
      'address-lost /birds',
      'address-lost /species/…',
    ]);
  });

  test('another id at the same address loses nothing', () => {
    const renamed = { ...marram.entries[0], id: 'front' };
    expect(compare([renamed, ...rest])).toEqual(['added front', 'removed today']);
  });
});

test('an entry that is in no menu on purpose is no advice, nor is what is below it', () => {
  const below = [{ id: 'c', label: 'C', href: '/b/c' }];
  const b = { id: 'b', label: 'B', href: '/b', entries: below };
  const site = (listed?: boolean) =>
    defineSite({
      name: 'x',
      entries: [
        { id: 'a', label: 'A', href: '/' },
        { ...b, ...(listed !== undefined && { listed }) },
      ],
      menus: { main: ['a'] },
    });
  const codes = (listed?: boolean) => reviewSite(site(listed)).map(({ code }) => code);
  expect(codes()).toEqual(['unreachable-entry']);
  expect(codes(false)).toEqual([]);
  expect(codes(true)).toEqual(['unreachable-entry']);
});
