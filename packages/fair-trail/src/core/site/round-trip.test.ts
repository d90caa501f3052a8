import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { effort } from '../../../../../tests/effort.ts';
import { sitemap } from '../output/sitemap.ts';
import { answerRequest } from '../router/answer-request.ts';
import { checkSite } from './define.ts';
import { HrefError, hrefIn } from './hrefs.ts';
import { locate } from './locate.ts';
import { matchPlainly } from './plain-matcher.samples.ts';
import { anyHostileSite, anyValue, makeSite } from './hostile-sites.samples.ts';
import { everyEntry } from './site.ts';

/** As a browser at a page of the site reads a link. */
function resolve(href: string): URL {
  return new URL(href, 'https://x.example/some/page');
}

describe('on random sites', () => {
  test('what is written leads back to its entry and its params, or is refused', () => {
    let written = 0;
    fc.assert(
      fc.property(anyHostileSite, fc.array(anyValue, { minLength: 8, maxLength: 8 }), (drawn, values) => {
        const site = makeSite(drawn);
        if (!site) return;
        for (const entry of everyEntry(site.entries)) {
          for (const language of site.languages) {
            const params = Object.fromEntries(entry.paramNames.map((name, index) => [name, values[index] ?? '']));
            let href: string;
            try {
              href = hrefIn(site, entry.id, language, params);
            } catch (error) {
              expect(error).toBeInstanceOf(HrefError);
              continue;
            }
            written += 1;
            const url = resolve(href);
            expect([href, url.origin]).toEqual([href, 'https://x.example']);
            for (const position of [locate(site, href), locate(site, url), locate(site, url.href)]) {
              expect([href, position.entry?.id, position.status]).toEqual([href, entry.id, 'exact']);
              expect(position.language).toBe(language);
              const found = Object.entries(position.params).filter(([, value]) => value !== '');
              const own = entry.hrefs?.[language] ?? entry.href;
              const given = Object.entries(params).map(([name, value]) => [name, expected(own, name, value)]);
              expect(Object.fromEntries(found)).toEqual(Object.fromEntries(given.filter(([, value]) => value !== '')));
            }
          }
        }
      }),
      { numRuns: effort(4000, 1_000_000) },
    );
    expect(written).toBeGreaterThan(1000);
  });

  test('an old address leads to the site itself, and a sitemap lists pages that there are', () => {
    const anyPathname = fc
      .array(fc.constantFrom('a', 'b', 'cy', '%2F', '%5C', 'evil.example', '..', '.', '%', '%E9'), { maxLength: 5 })
      .map((steps) => `/${steps.join('/')}`);
    fc.assert(
      fc.property(anyHostileSite, anyPathname, (drawn, pathname) => {
        const site = makeSite(drawn);
        if (!site) return;
        const answer = answerRequest(site, `${site.base}${pathname}?q=1`);
        if (answer.status === 301) {
          expect(resolve(answer.location).origin).toBe('https://x.example');
          expect(locate(site, answer.location)).toMatchObject({ status: 'exact', movedTo: null });
        }
        for (const { text } of sitemap(site)) {
          for (const [, url = ''] of text.matchAll(/<loc>(.*?)<\/loc>/gu)) {
            const plain = url.replaceAll('&amp;', '&').replaceAll('&#39;', "'");
            expect([url, locate(site, plain).status]).toEqual([url, 'exact']);
          }
        }
      }),
      { numRuns: effort(2000, 300_000) },
    );
  });
});

/** A wildcard's value has neither empty steps nor halves of characters; a param's has no halves. */
function expected(href: string | null, name: string, value: string): string {
  const plain = value.replace(/\p{Surrogate}/gu, '\uFFFD');
  const isWildcard = /^\d$/u.test(name) || new RegExp(`:${name}[+*]`, 'u').test(href ?? '');
  return isWildcard ? plain.split('/').filter(Boolean).join('/') : plain;
}

describe('against a matcher of its own', () => {
  // No wildcard before the end: which of two such addresses is the more specific is the library's own choice.
  const plainPiece = fc.constantFrom(
    'a',
    'b',
    'é',
    ':x',
    ':y',
    ':x?',
    '{b}?',
    '{/:w}?',
    '-',
    '.html',
    '%2F',
    '\\:',
    '😀',
  );
  const plainHref = fc
    .tuple(
      fc.array(fc.tuple(fc.constantFrom('/', '/', ''), plainPiece), { minLength: 1, maxLength: 5 }),
      fc.constantFrom('', '', '', '/*', '/:z+'),
    )
    .map(([steps, end]) => `/${steps.map(([slash, text]) => slash + text).join('')}${end}`.replace(/\/+/gu, '/'));
  const address = fc
    .array(fc.constantFrom('a', 'b', 'ab', 'a-b', 'a.html', '%C3%A9', 'a%2Fb', ':', '😀', '😀😀', 'é-'), {
      maxLength: 6,
    })
    .map((steps) => `/${steps.map((step) => (step.includes('%') ? step : encodeURIComponent(step))).join('/')}`);

  test('finds the same entry and the same params', () => {
    let compared = 0;
    let matched = 0;
    fc.assert(
      fc.property(
        fc.array(plainHref, { minLength: 1, maxLength: 4 }),
        fc.array(address, { minLength: 4, maxLength: 4 }),
        (hrefs, addresses) => {
          const places = hrefs.map((href, index) => ({ id: `e${index}`, label: 'x', href }));
          const { site } = checkSite({ name: 'x', entries: places });
          if (!site) return;
          for (const pathname of addresses) {
            const { entry, status, params } = locate(site, { pathname });
            const plain = matchPlainly(places, pathname);
            if (plain === undefined) continue;
            compared += 1;
            if (plain) matched += 1;
            const context = JSON.stringify([hrefs, pathname]);
            expect([context, status === 'exact' ? entry?.id : null]).toEqual([context, plain?.id ?? null]);
            if (plain) expect([context, params]).toEqual([context, plain.params]);
          }
        },
      ),
      { numRuns: effort(4000, 250_000) },
    );
    expect(compared).toBeGreaterThan(2000);
    expect(matched).toBeGreaterThan(200);
  });
});
