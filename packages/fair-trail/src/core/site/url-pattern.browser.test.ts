import * as fc from 'fast-check';
import { expect, test } from 'vitest';
import { checkSite } from './define.ts';
import { locate } from './locate.ts';
import { parsePathname } from './pathname.ts';

/** The standard's own class; TypeScript's DOM library does not declare it yet. */
interface StandardPattern {
  exec(input: { pathname: string }): { pathname: { groups: Record<string, string | undefined> } } | null;
}
const { URLPattern } = globalThis as unknown as { URLPattern: new (init: { pathname: string }) => StandardPattern };

const part = fc.constantFrom(
  'a',
  'b',
  'ab',
  '.html',
  '-',
  ':p',
  ':q',
  ':p?',
  ':q*',
  ':p+',
  '*',
  '{/a}?',
  '{/:r}?',
  '{b}?',
  '{a:s}',
  '\\:',
);
const pattern = fc
  .array(fc.tuple(fc.constantFrom('/', '/', ''), part), { minLength: 1, maxLength: 5 })
  .map((parts) => `/${parts.map(([slash, text]) => slash + text).join('')}`.replace(/\/+/gu, '/'))
  // A doubled slash does not count in ours, and is left out of the comparison: the addresses have none.
  .filter((source) => !/\/\{\/|\/\{[^/}]*\}\?/u.test(source));

// Nothing that is percent-encoded: the standard compares what is encoded, ours what is meant.
const word = fc.constantFrom('a', 'b', 'ab', 'aab', 'a.html', 'x-y', ':', 'a-b-', 'abab', '.html');
const address = fc.array(word, { maxLength: 6 }).map((words) => `/${words.join('/')}`);

/** What the standard's pattern takes from an address, decoded; null if it does not match. */
function standard(source: string, pathname: string): Record<string, string> | null {
  const found = new URLPattern({ pathname: source }).exec({ pathname });
  if (!found) return null;
  const groups = Object.entries(found.pathname.groups).filter(([, value]) => value !== undefined && value !== '');
  return Object.fromEntries(groups.map(([name, value]) => [name, decodeURIComponent(value ?? '')]));
}

/** The same of ours; undefined if the pattern is one that we refuse. */
function ours(source: string, pathname: string): Record<string, string> | null | undefined {
  const { site } = checkSite({ name: 'x', entries: [{ id: 'a', label: 'a', href: source }] });
  if (!site) return undefined;
  const { status, params } = locate(site, { pathname });
  return status === 'exact' ? Object.fromEntries(Object.entries(params).filter(([, value]) => value !== '')) : null;
}

/** Our documented rules: a slash at the end, or one too many, does not count, on either side. */
function withoutExtraSlashes(source: string, pathname: string): readonly (readonly [string, string])[] {
  const addresses = [pathname, pathname === '/' ? '' : `${pathname}/`];
  const sources = [source, source.replace(/\/$/u, '') || '/'];
  return sources.flatMap((one) => addresses.map((other) => [one, other] as const));
}

test('agrees with the browser’s own patterns, but for the rules that are ours', () => {
  let compared = 0;
  let matched = 0;
  fc.assert(
    fc.property(pattern, fc.array(address, { minLength: 12, maxLength: 12 }), (source, addresses) => {
      for (const pathname of addresses) {
        const answer = ours(source, pathname);
        if (answer === undefined) return;
        compared += 1;
        if (answer) matched += 1;
        const answers = withoutExtraSlashes(source, pathname).map(([one, other]) => {
          try {
            return standard(one, other);
          } catch {
            return null;
          }
        });
        const expected = answers.find((one) => one !== null) ?? null;
        expect([source, pathname, answer !== null]).toEqual([source, pathname, expected !== null]);
        // With optional parts an address may fit in two ways, and which of them wins is our own rule of precedence.
        if (parsePathname(source).length > 1) continue;
        expect([source, pathname, answer]).toEqual([source, pathname, expected]);
      }
    }),
    // The same pairs each time: what new ones would find is no fault of the change under test.
    { numRuns: 3000, seed: 41_000 },
  );
  // Enough of each, so that the agreement means something.
  expect(compared).toBeGreaterThan(10_000);
  expect(matched).toBeGreaterThan(500);
});
