import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { defineSite } from './define.ts';
import { HrefError, hrefIn } from './hrefs.ts';
import { locate } from './locate.ts';
import { anySite, marram } from './site.samples.ts';

const site = defineSite({
  name: 'x',
  entries: [
    ...marram.entries,
    { id: 'season', label: 'x', href: '/seasons/:year{/:month}?' },
    { id: 'file', label: 'x', href: '/files/*' },
    { id: 'sheet', label: 'x', href: '/sheets/:name.pdf' },
  ],
});

describe('the address of an entry', () => {
  test.each<[string, Record<string, string>, string]>([
    ['today', {}, '/'],
    ['species-page', { slug: 'little tern/é?#' }, '/species/little%20tern%2F%C3%A9%3F%23'],
    ['season', { year: '2026' }, '/seasons/2026'],
    ['season', { year: '2026', month: 'may' }, '/seasons/2026/may'],
    ['file', { 0: 'a/b c' }, '/files/a/b%20c'],
    ['sheet', { name: '..' }, '/sheets/...pdf'],
    ['tide-office', {}, 'https://tides.example/'],
  ])('%s with %j is %s', (id, params, expected) => {
    expect(hrefIn(site, id, 'en', params)).toBe(expected);
  });

  test.each<[string, Record<string, string>, RegExp]>([
    ['nowhere', {}, /no entry with the id "nowhere"/u],
    ['practical', {}, /"practical" is a group/u],
    ['species-page', {}, /give "slug"/u],
    ['species-page', { slug: '' }, /none of them empty/u],
    ['species-page', { slug: '..' }, /"\.\."/u],
    ['species-page', Object.create({ slug: 'inherited' }) as Record<string, string>, /give "slug"/u],
  ])('%s with %j is refused', (id, params, message) => {
    expect(() => hrefIn(site, id, 'en', params)).toThrow(HrefError);
    expect(() => hrefIn(site, id, 'en', params)).toThrow(message);
  });

  test('leads back to the entry and its params, on random sites', () => {
    const value = fc.string({ unit: 'binary', minLength: 1, maxLength: 8 }).filter((text) => !/^\.{1,2}$/u.test(text));
    fc.assert(
      fc.property(anySite, fc.array(value, { minLength: 5, maxLength: 5 }), fc.nat(), (definition, values, choice) => {
        const random = defineSite(definition, { base: '/base' });
        const entries = [...definition.entries].map(({ id }) => random.entry(id));
        const entry = entries[choice % entries.length];
        if (!entry) return;
        // Words of the random sites start no value, so that no other entry is meant more specifically.
        const params = Object.fromEntries(entry.paramNames.map((name, index) => [name, `~${values[index] ?? ''}`]));
        let href: string;
        try {
          href = hrefIn(random, entry.id, 'en', params);
        } catch (error) {
          // A wildcard's address can be that of a param.
          expect(error).toBeInstanceOf(HrefError);
          expect(entry.href).toMatch(/\*$/u);
          return;
        }
        const position = locate(random, href);
        const wellFormed = (text: string) => text.replace(/\p{Surrogate}/gu, '\uFFFD');
        expect(position.status).toBe('exact');
        const written = hrefIn(random, position.entry?.id ?? '', 'en', position.params);
        expect(written).toBe(href);
        if (!/[+*]\}/u.test(String(entry.templates['en']))) {
          expect(Object.values(position.params)).toEqual(Object.values(params).map(wellFormed));
        }
      }),
      { numRuns: 1000 },
    );
  });
});
