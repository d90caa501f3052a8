import * as fc from 'fast-check';
import { checkSite } from './define.ts';
import type { DefinedSite } from './site.ts';

/** Pieces of hrefs, harmless and hostile. */
const piece = fc.constantFrom(
  ...['a', 'b', 'é', 'cy', 'CY', '.', '..', '%2F', '%2e', '%', '%E9', '\\?', '\\#', '\\\\', '\\:', ' ', '😀', '\uD83D'],
  ...[
    ':x',
    ':y',
    ':x?',
    ':y*',
    ':z+',
    '*',
    '{b}?',
    '{/:w}?',
    '{:v}',
    '-',
    '.html',
    '"',
    '+',
    '(',
    '$',
    '日本',
    ':日本',
  ],
);
export const anyHref = fc
  .array(fc.tuple(fc.constantFrom('/', '/', ''), piece), { minLength: 1, maxLength: 6 })
  .map((steps) => `/${steps.map(([slash, text]) => slash + text).join('')}`.replace(/^\/+/u, '/'));

/** A value for a param. */
export const anyValue = fc.oneof(
  fc.constantFrom('a', 'b', 'cy', '', '.', '..', '/', '\\', '//evil.example', 'a/b', '%2F', '%', 'a b', '😀', '\uD800'),
  fc.string({ unit: 'binary', maxLength: 4 }),
);

/** What a hostile site is made of. */
export const anyHostileSite = fc.record({
  hrefs: fc.array(anyHref, { minLength: 1, maxLength: 4 }),
  translated: fc.option(anyHref),
  moved: fc.option(anyHref),
  base: fc.constantFrom('', '', '/base', '/b c%'),
  caseSensitive: fc.boolean(),
  query: fc.boolean(),
});

/** The site that is left of it; null if nothing is. */
export function makeSite(
  drawn: typeof anyHostileSite extends fc.Arbitrary<infer Drawn> ? Drawn : never,
): DefinedSite | null {
  const { hrefs, translated, moved, base, caseSensitive, query } = drawn;
  const entries = hrefs.map((href, index) => {
    const isFirst = index === 0;
    return {
      id: `e${index}`,
      label: 'x',
      href: isFirst && translated !== null ? { en: href, cy: translated } : href,
      ...(isFirst && moved !== null && { movedFrom: [moved] }),
      ...(isFirst && query && { query: ['q'] }),
    };
  });
  // One after the other, so that what is refused leaves the rest.
  const kept = entries.filter((entry) => checkSite({ name: 'x', languages: ['cy'], entries: [entry] }).site !== null);
  return checkSite(
    { name: 'x', origin: 'https://x.example', languages: ['cy'], entries: kept },
    { base, caseSensitive },
  ).site;
}
