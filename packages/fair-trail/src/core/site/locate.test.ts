import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { effort } from '../../../../../tests/effort.ts';
import { defineSite } from './define.ts';
import type { EntryDefinition } from './definition.ts';
import { locate, samePosition, titleOf } from './locate.ts';
import type { Site } from './site.ts';
import { anyAddress, anySite, marram } from './site.samples.ts';

const site: Site = defineSite(marram);

function found(url: string, of = site): string {
  const { entry, status, params } = locate(of, url);
  const values = Object.values(params);
  return [status, entry?.id, ...values].filter((part) => part !== undefined).join(' ');
}

describe('locate', () => {
  test.each([
    ['/', 'exact today'],
    ['', 'exact today'],
    ['/species', 'exact species'],
    ['/species/', 'exact species'],
    ['/species?q=1', 'exact species'],
    ['/species#list', 'exact species'],
    ['/hides//lantern-room', 'exact lantern-room'],
    ['/birds', 'exact species'],
    ['/species/curlew', 'exact species-page curlew'],
    ['/species/little%20tern/', 'exact species-page little tern'],
    ['/h%69des', 'exact hides'],
    ['/species/curlew/eggs', 'inside species-page curlew'],
    ['/birds/wrong', 'inside species'],
    ['/log/2026/november', 'inside log'],
    ['/Species', 'unknown'],
    ['/nowhere', 'unknown'],
    ['https://marram.example/species', 'exact species'],
    ['https://other.example/species', 'unknown'],
    ['//other.example/species', 'unknown'],
    ['mailto:warden@marram.example', 'unknown'],
    ['javascript:alert(1)', 'unknown'],
    ['http://[', 'unknown'],
    ['/species/%', 'exact species-page %'],
    ['/species/%E0%A4%A', 'exact species-page %E0%A4%A'],
    ['/species/../hides', 'exact hides'],
  ])('%s is %s', (url, expected) => {
    expect(found(url)).toBe(expected);
  });

  test('takes a URL or a location, whatever its origin', () => {
    expect(locate(site, new URL('http://127.0.0.1:4310/hides?x')).entry?.id).toBe('hides');
  });

  test('answers the ancestors, outermost first', () => {
    expect(locate(site, '/hides/lantern-room').path.map(({ id }) => id)).toEqual(['hides', 'lantern-room']);
    expect(locate(site, '/visit/book').path.map(({ id }) => id)).toEqual(['practical', 'book']);
    expect(locate(site, '/nowhere').path).toEqual([]);
  });

  test('takes off the base path, and knows nothing outside of it', () => {
    const based = defineSite(marram, { base: '/observatory/' });
    expect(found('/observatory/species', based)).toBe('exact species');
    expect(found('/observatory', based)).toBe('exact today');
    expect(found('/species', based)).toBe('unknown');
    expect(found('/observatoryspecies', based)).toBe('unknown');
  });

  test('a site without an origin takes any', () => {
    const { origin: _, ...anywhere } = marram;
    expect(found('https://other.example/species', defineSite(anywhere))).toBe('exact species');
  });

  test.each<[string, readonly string[], string]>([
    ['/a/b', ['/a/:x', '/:x/b', '/a/*', '/a/b'], '/a/b'],
    ['/a/b', ['/:x/b', '/a/*', '/a/:x'], '/a/:x'],
    ['/a/b', ['/:x/b', '/a/*'], '/a/*'],
    ['/a/b.html', ['/a/:x', '/a/:x.html', '/a/*'], '/a/:x.html'],
    ['/a', ['/a/*', '/:x'], '/a/*'],
    ['/a', ['/a/*', '/a'], '/a'],
    ['/a/x/y/b', ['/a/*/b', '/a/*'], '/a/*/b'],
    ['/a/x/y/c', ['/a/*/b', '/a/*'], '/a/*'],
    ['/a/c', ['/a/b/c', '/:x/c'], '/:x/c'],
    ['/a', ['/a{/:x}?', '/:y/:z'], '/a{/:x}?'],
    ['/a/b', ['/a/:x?', '/:y/:z'], '/a/:x?'],
  ])('of the addresses that match %s in %j it takes %s', (url, hrefs, expected) => {
    const definition = { name: 'x', entries: hrefs.map((href, index) => ({ id: `e${index}`, label: 'x', href })) };
    expect(locate(defineSite(definition), url).entry?.href).toBe(expected);
    const reversed = { ...definition, entries: definition.entries.toReversed() };
    expect(locate(defineSite(reversed), url).entry?.href).toBe(expected);
  });

  test.each<[string, string, Record<string, string> | null]>([
    ['/files/*.pdf', '/files/a/b.pdf', { 0: 'a/b' }],
    ['/files/*.pdf', '/files/.pdf', { 0: '' }],
    ['/files/*.pdf', '/files/a.txt', null],
    ['/a/*/b/*', '/a/b/b/b/c', { 0: 'b/b', 1: 'c' }],
    ['/a/*/b', '/a/b', null],
    ['/:path+/edit', '/x/y/edit', { path: 'x/y' }],
    ['/:path+/edit', '/edit', null],
    ['/a/:path+', '/a', null],
    ['/a/:path+', '/a/x/y', { path: 'x/y' }],
    ['/a/:path*', '/a', {}],
    ['/a/:path*', '/a/x/y', { path: 'x/y' }],
    ['/a/:from-:to', '/a/x-y-z', { from: 'x', to: 'y-z' }],
    ['/a/*?', '/a', {}],
    ['/a/*{/b}?*', '/a', { 0: '', 1: '' }],
    ['/a/:name.html', '/a/b%2Fc.html', { name: 'b/c' }],
    ['/:name/*.html', '/b%2Fc/d%2Fe.html', { name: 'b/c', 0: 'd/e' }],
  ])('%s takes from %s the params %j', (href, url, params) => {
    const one = defineSite({ name: 'x', entries: [{ id: 'a', label: 'x', href }] });
    const position = locate(one, url);
    expect(position.status === 'exact' ? position.params : null).toEqual(params);
  });

  test('gives a wildcard the rest of the address', () => {
    const files = defineSite({ name: 'x', entries: [{ id: 'files', label: 'x', href: '/files/*' }] });
    expect(locate(files, '/files/a/b%20c').params).toEqual({ 0: 'a/b c' });
  });

  test('a site file that makes backtracking worst ends quickly', () => {
    const hrefs = Array.from({ length: 12 }, (_, index) => `/${'*/a/'.repeat(index + 1)}z`);
    const hostile = defineSite({
      name: 'x',
      entries: hrefs.map((href, index) => ({ id: `e${index}`, label: 'x', href })),
    });
    // By trying every split, this would take more steps than there are seconds in a century.
    expect(locate(hostile, `/${'a/'.repeat(5000)}`).status).toBe('unknown');
  });
});

/** Every address of a definition, with its entry's id, outermost first. */
function addressesOf(entries: readonly EntryDefinition[]): { id: string; steps: string[] }[] {
  return entries.flatMap(({ id, href, entries: below = [] }) => [
    { id, steps: (typeof href === 'string' ? href : '').split('/').filter(Boolean) },
    ...addressesOf(below),
  ]);
}

/** How specific a step that fits is; null if it does not fit. */
function rank(step: string | undefined, segment: string | undefined): number | null {
  if (step === '*') return 4;
  if (step === undefined || segment === undefined) return step === segment ? 0 : null;
  if (/^:p\d$/u.test(step)) return 3;
  if (/^:p\d\.html$/u.test(step)) return segment.endsWith('.html') && segment.length > 5 ? 2 : null;
  return step === segment ? 1 : null;
}

/** The rules again, by trying every address: slow, and plain enough to be read for truth. */
function slowly(entries: readonly EntryDefinition[], segments: readonly string[]): string | null {
  const fits = addressesOf(entries).flatMap(({ id, steps }) => {
    const ranks: number[] = [];
    for (let index = 0; index <= Math.max(steps.length, segments.length); index += 1) {
      const value = rank(steps[index], segments[index]);
      if (value === null) return [];
      ranks.push(value);
      if (value === 4) break;
    }
    return [{ id, ranks }];
  });
  fits.sort((one, other) => {
    const at = one.ranks.findIndex((value, index) => value !== other.ranks[index]);
    return (one.ranks[at] ?? 0) - (other.ranks[at] ?? 0);
  });
  return fits[0]?.id ?? null;
}

function segmentsOf(url: string): string[] {
  const { pathname } = new URL(url, 'https://x.example');
  return pathname
    .split('/')
    .filter(Boolean)
    .map((segment) => (segment === '%' ? segment : decodeURIComponent(segment)));
}

describe('on random sites and addresses', () => {
  test('the most specific address wins, as trying them all would find it', () => {
    fc.assert(
      fc.property(anySite, anyAddress, (definition, url) => {
        const { entry, status } = locate(defineSite(definition), url);
        expect(status === 'exact' ? entry?.id : null).toBe(slowly(definition.entries, segmentsOf(url)));
      }),
      { numRuns: effort(3000, 100_000) },
    );
  });

  test('an address inside an entry is the deepest known one, and never "/"', () => {
    fc.assert(
      fc.property(anySite, anyAddress, (definition, url) => {
        const segments = segmentsOf(url);
        const { entry, status } = locate(defineSite(definition), url);
        if (status === 'exact') return;
        const deepest = segments.map((_, index) => slowly(definition.entries, segments.slice(0, -1 - index)));
        // The last of them is the address "/" itself, which contains nothing.
        expect(entry?.id ?? null).toBe(deepest.slice(0, -1).find((id) => id !== null) ?? null);
      }),
      { numRuns: 2000 },
    );
  });

  test('the path is the way down the tree', () => {
    fc.assert(
      fc.property(anySite, anyAddress, (definition, url) => {
        const { entry, path } = locate(defineSite(definition), url);
        expect(path.at(-1) ?? null).toBe(entry);
        path.forEach((step, index) => expect(step.parent).toBe(path[index - 1] ?? null));
      }),
    );
  });

  test('nothing makes it throw', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ unit: 'binary', maxLength: 60 }), fc.webUrl()), (url) => {
        expect(['exact', 'inside', 'unknown']).toContain(locate(site, url).status);
      }),
      { numRuns: effort(2000, 1_000_000) },
    );
  });
});

test('two positions are the same place whatever the query', () => {
  expect(samePosition(locate(site, '/species/curlew?a'), locate(site, '/species/curlew#b'))).toBe(true);
  expect(samePosition(locate(site, '/species/curlew'), locate(site, '/species/avocet'))).toBe(false);
  expect(samePosition(locate(site, '/species/curlew'), locate(site, '/species/curlew/x'))).toBe(false);
});

test('the title is made from the template, the label and the records', () => {
  const records = { species: [{ params: { slug: 'curlew' }, label: 'Curlew' }] };
  const title = (url: string) => titleOf(site, locate(site, url), 'Not found', records);
  expect(title('/species/curlew')).toBe('Curlew · Marram Point');
  expect(title('/species/avocet')).toBe('avocet · Marram Point');
  expect(title('/nowhere')).toBe('Not found · Marram Point');
  expect(title('/hides/x')).toBe('Not found · Marram Point');
});

test('where text beside params is as specific in two addresses, what comes after it decides', () => {
  const hrefs = ['/x-:w/a', '/:w-x/*', '/:w-x/:y'];
  for (const order of [hrefs, hrefs.toReversed()]) {
    const tied = defineSite({
      name: 'x',
      entries: order.map((href, index) => ({ id: `e${index}`, label: 'x', href })),
    });
    const found = (address: string) => locate(tied, address).entry?.href;
    expect([found('/x-x/a'), found('/x-x/b'), found('/x-x/b/c')]).toEqual(['/x-:w/a', '/:w-x/:y', '/:w-x/*']);
    expect(locate(tied, '/x-x/a').params).toEqual({ w: 'x' });
  }
});
