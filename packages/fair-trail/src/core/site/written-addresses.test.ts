import { describe, expect, test } from 'vitest';
import { answerRequest } from '../router/answer-request.ts';
import { sitemap } from '../output/sitemap.ts';
import { checkSite, type SiteOptions } from './define.ts';
import { HrefError, hrefIn } from './hrefs.ts';
import { locate } from './locate.ts';
import { menuItems } from './menus.ts';
import type { Site } from './site.ts';

/** A site of one entry with this address; its fields may be others. */
function one(href: unknown, more: object = {}, options: SiteOptions = {}): Site {
  const definition = { name: 'x', origin: 'https://x.example', entries: [{ id: 'a', label: 'A', href, ...more }] };
  const { site, problems } = checkSite(definition, options);
  if (!site) throw new Error(problems.map(({ code }) => code).join(' '));
  return site;
}

function codesOf(href: unknown, site: object = {}, options: SiteOptions = {}): string {
  const definition = { name: 'x', ...site, entries: [{ id: 'a', label: 'A', href }] };
  return checkSite(definition, options)
    .problems.map(({ code }) => code)
    .join(' ');
}

describe('no written address leaves the site', () => {
  test('a value that leaves a wildcard empty is refused', () => {
    const site = one('/*/:page', { movedFrom: ['/old/*/:page'] });
    expect(() => hrefIn(site, 'a', 'en', { page: 'evil.example' })).toThrow(HrefError);
    const answer = answerRequest(site, '/old/%2F/evil.example');
    expect(answer).toMatchObject({ status: 404 });
    expect(answer).not.toHaveProperty('location');
    expect(answerRequest(site, '/old/b/c')).toMatchObject({ status: 301, location: '/b/c' });
  });

  test('a backslash is encoded', () => {
    const site = one('/{\\\\evil.example}');
    expect(hrefIn(site, 'a', 'en')).toBe('/%5Cevil.example');
    expect(sitemap(site)[0]?.text).toContain('<loc>https://x.example/%5Cevil.example</loc>');
    expect(locate(site, '/%5Cevil.example')).toMatchObject({ status: 'exact' });
  });

  test.each([
    ['/:x', { x: '/evil.example' }],
    ['/:x', { x: '\\evil.example' }],
    ['/*', { 0: '/evil.example' }],
    ['/*', { 0: '\\evil.example' }],
    ['/*/b', { 0: '/evil.example' }],
    ['/{:x}?/:y', { x: '', y: 'evil.example' }],
  ])('%s with %j stays on its origin', (href, params) => {
    for (const base of ['', '/base', 'öl/b']) {
      const site = one(href, {}, { base });
      let written: string;
      try {
        written = hrefIn(site, 'a', 'en', params);
      } catch (error) {
        expect(error).toBeInstanceOf(HrefError);
        continue;
      }
      expect(written).toMatch(/^\/(?![/\\])/u);
      expect(new URL(written, 'https://x.example').origin).toBe('https://x.example');
    }
  });

  test.each(['\\evil', '..', '/a/../b', '?x', '/a#b', 'https://evil.example', '//evil', 'a\nb'])(
    'the base %j is refused',
    (base) => {
      expect(codesOf('/a', {}, { base })).toBe('base-syntax');
    },
  );

  test('a base is written as links are', () => {
    const site = one('/a', {}, { base: '/100%/öl b/' });
    expect(hrefIn(site, 'a', 'en')).toBe('/100%25/öl%20b/a');
    expect(locate(site, hrefIn(site, 'a', 'en')).status).toBe('exact');
    expect(sitemap(site)[0]?.text).toContain('<loc>https://x.example/100%25/%C3%B6l%20b/a</loc>');
  });

  test.each(['https:x.example', 'https:/x.example', 'mailto:', 'tel:', 'https://', 'https:\\\\x.example'])(
    'the href %j is refused',
    (href) => {
      expect(codesOf(href)).toBe('unsafe-href');
    },
  );

  test.each([
    [{ en: 'https://x.example/', cy: '/cy-page' }, 'hrefs-differ'],
    [{ en: '/a', cy: 'https://x.example/' }, 'hrefs-differ'],
    [{ en: 'https://x.example/', cy: 'https://x.example/cy' }, ''],
  ])('languages may not mix addresses inside and outside: %j', (href, code) => {
    expect(codesOf(href, { languages: ['cy'] })).toBe(code);
  });
});

describe('an address is written so that it is the entry’s own', () => {
  test.each([
    ['/a\\?b', '/a%3Fb'],
    ['/a\\#b', '/a%23b'],
    ['/a\\\\b', '/a%5Cb'],
    ['/100% natural', '/100%25%20natural'],
    ['/é%', '/é%25'],
    ['/%E9%', '/%E9%25'],
    ['/caf%E9', '/caf%E9'],
    ['/caf%E9é', '/caf%E9é'],
    ['/a {b}?', '/a%20b'],
    ['/\\:x', '/:x'],
    ['/\\(intro\\)', '/(intro)'],
    ['/\\+page', '/+page'],
    ['/\\{x\\}', '/%7Bx%7D'],
    ['/\\*', '/*'],
    ['/\uD800', '/\uFFFD'],
    ['/"<>^`|', '/%22%3C%3E%5E%60|'],
  ])('%j is written %s', (href, expected) => {
    const site = one(href);
    expect(hrefIn(site, 'a', 'en')).toBe(expected);
    expect(locate(site, expected)).toMatchObject({ status: 'exact', entry: { id: 'a' } });
    const [, loc = ''] = /<loc>(.*)<\/loc>/u.exec(sitemap(site)[0]?.text ?? '') ?? [];
    expect(locate(site, loc)).toMatchObject({ status: 'exact', entry: { id: 'a' } });
  });

  test.each<[string, Record<string, string>, string | null]>([
    ['/a%2F:x', { x: 'b' }, '/a%2Fb'],
    ['/*/a%2Fb', { 0: 'c' }, '/c/a%2Fb'],
    ['/g/*/z', {}, null],
    ['/g/*/z', { 0: 'a//b' }, '/g/a/b/z'],
    ['/f/:x.', { x: '.' }, null],
    ['/f/:x:y', { x: '.', y: '.' }, null],
    ['/f/:x:y', { x: 'ab', y: 'c' }, null],
    ['/f/:x:y', { x: '😀', y: 'c' }, '/f/%F0%9F%98%80c'],
    ['/f/:x-:y', { x: 'a-b', y: 'c' }, null],
    ['/f/:x?', { x: '..' }, null],
    ['/f/:x?', { x: 'b' }, '/f/b'],
    ['/f/:x?', {}, '/f'],
    ['/f{/:x}?{/:y}?', { x: 'b' }, '/f/b'],
    ['/f{/:x}?{/:y}?', { y: 'b' }, null],
    ['/f/*', { 0: '..' }, null],
    ['/f/*', { 0: 'a/../b' }, null],
  ])('%s with %j is %s', (href, params, expected) => {
    const site = one(href);
    const write = () => hrefIn(site, 'a', 'en', params);
    if (expected === null) expect(write).toThrow(HrefError);
    else {
      expect(write()).toBe(expected);
      const { status, params: found } = locate(site, expected);
      expect(status).toBe('exact');
      expect(hrefIn(site, 'a', 'en', found)).toBe(expected);
    }
  });

  test('an address that another entry takes is not written, and the error names that entry', () => {
    const { site } = checkSite({
      name: 'x',
      languages: ['cy'],
      entries: [
        { id: 'new', label: 'New', href: '/birds/new' },
        { id: 'bird', label: '{slug}', href: '/birds/:slug' },
        { id: 'any', label: 'Any', href: '/:word' },
      ],
    });
    if (!site) throw new Error('no site');
    expect(() => hrefIn(site, 'bird', 'en', { slug: 'new' })).toThrow(/"new"/u);
    expect(hrefIn(site, 'bird', 'en', { slug: 'wren' })).toBe('/birds/wren');
    // The prefix of a language.
    expect(() => hrefIn(site, 'any', 'en', { word: 'cy' })).toThrow(HrefError);
    expect(hrefIn(site, 'any', 'cy', { word: 'cy' })).toBe('/cy/cy');
  });

  test('a literal ".." after a wildcard is refused', () => {
    expect(codesOf('/*/..')).toBe('path-syntax');
    expect(codesOf('/*/%2e/b')).toBe('path-syntax');
    expect(codesOf('/a/..')).toBe('path-syntax');
  });

  test('a param of a menu that cannot be written is a problem', () => {
    const definition = {
      name: 'x',
      entries: [
        { id: 'a', label: 'A', href: '/a/:x' },
        { id: 'b', label: 'B', href: '/a/b' },
      ],
      menus: { main: [{ entry: 'a', params: { x: '..' } }] },
    };
    const { problems } = checkSite(definition);
    expect(problems).toEqual([
      expect.objectContaining({ code: 'menu-param-value', pointer: '/menus/main/0/params/x', severity: 'fatal' }),
    ]);
    // With all the others of the file.
    const codes = checkSite({ ...definition, home: 'nowhere' }).problems.map(({ code }) => code);
    expect(codes).toEqual(['unknown-home', 'menu-param-value']);
    const taken = { ...definition, menus: { main: [{ entry: 'a', params: { x: 'b' } }] } };
    expect(checkSite(taken).problems).toEqual([
      expect.objectContaining({ code: 'menu-param-value', pointer: '/menus/main/0/params' }),
    ]);
  });
});

test('what the query of an old address says does not stand twice', () => {
  const site = one('/new', { query: ['tab'], movedFrom: ['/old/:tab'] });
  expect(answerRequest(site, '/old/z?tab=q&x=1#h')).toMatchObject({ status: 301, location: '/new?tab=z&x=1#h' });
  expect(answerRequest(site, '/old/z')).toMatchObject({ location: '/new?tab=z' });
  expect(answerRequest(site, '/old/z?ta%62=q')).toMatchObject({ location: '/new?tab=z' });
});

test('where case does not count, it does not count in the prefix of a language', () => {
  const definition = { name: 'x', languages: ['pt-BR'], entries: [{ id: 'a', label: 'A', href: '/a' }] };
  const { site } = checkSite(definition, { caseSensitive: false });
  expect(site && locate(site, '/PT-br/A')).toMatchObject({ status: 'exact', language: 'pt-BR' });
  const strict = checkSite(definition).site;
  expect(strict && locate(strict, '/PT-br/a')).toMatchObject({ status: 'unknown' });
  const taken = { ...definition, entries: [{ id: 'a', label: 'A', href: '/PT-BR' }] };
  expect(checkSite(taken, { caseSensitive: false }).problems.map(({ code }) => code)).toEqual(['prefix-taken']);
});

describe('long and odd values', () => {
  test('an address of thousands of segments is refused, and one that is asked for is found', () => {
    expect(codesOf('/a'.repeat(5000))).toBe('path-syntax');
    const site = one('/a'.repeat(250));
    expect(locate(site, '/a'.repeat(250)).status).toBe('exact');
    expect(locate(site, '/a'.repeat(100_000)).status).toBe('inside');
  });

  test('languages and names that are fields of every object are none', () => {
    const definition = { name: 'x', languages: ['valueOf'], entries: [{ id: 'a', label: 'A', href: '/a' }] };
    const { site } = checkSite(definition);
    if (!site) throw new Error('no site');
    expect(hrefIn(site, 'a', 'valueOf')).toBe('/valueOf/a');
    expect(hrefIn(site, 'a', 'constructor')).toBe('/a');
    expect(menuItems(site, 'constructor')).toEqual([]);
    expect(locate(site, '/valueOf/a')).toMatchObject({ status: 'exact', language: 'valueOf' });
  });

  test.each(['/:a$b', '/:$b', '/:_x'])('the name in %j is another in the standard, so it is refused', (href) => {
    expect(codesOf(href)).toBe('path-syntax');
  });
});
