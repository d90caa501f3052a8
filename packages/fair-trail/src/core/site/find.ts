import { folding, type AddressIndex, type PathnameMatch } from './match.ts';
import { decodeSegment, wellFormed } from './encoding.ts';
import type { Site } from './site.ts';

/** What looking an address up depends on. */
type Prefixes = Pick<Site, 'base' | 'caseSensitive' | 'language' | 'languages'>;

/** Takes off the base path and the prefix of a language; null for a pathname outside of the site. */
export function findPathname(
  site: Prefixes,
  indexOf: (language: string) => Pick<AddressIndex, 'match'> | undefined,
  pathname: string,
): PathnameMatch | null {
  const segments = segmentsBelow(site, wellFormed(pathname));
  if (!segments) return null;
  const language = languageOf(site, segments);
  const match = indexOf(language)?.match(language === site.language ? segments : segments.slice(1)) ?? null;
  return { language, match };
}

/** A prefix counts only where no page of the site's own language is meant by it. */
function languageOf(site: Prefixes, [first = '']: readonly string[]): string {
  if (site.languages.length === 1) return site.language;
  const fold = folding(site.caseSensitive);
  const prefix = fold(first);
  if (prefix === fold(site.language)) return site.language;
  return site.languages.find((language) => fold(language) === prefix) ?? site.language;
}

/** The segments after the base path, or null where the address lies outside it. */
function segmentsBelow({ base, caseSensitive }: Prefixes, pathname: string): readonly string[] | null {
  const segments = pathname.split('/').filter(Boolean).map(decodeSegment);
  if (base === '') return segments;
  const fold = folding(caseSensitive);
  const steps = base.slice(1).split('/').map(decodeSegment);
  return steps.every((step, index) => fold(step) === fold(segments[index] ?? '')) ? segments.slice(steps.length) : null;
}
