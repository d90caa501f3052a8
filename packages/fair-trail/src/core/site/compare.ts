import { textIn, type Texts } from './texts.ts';
import type { Entry } from './entry.ts';
import { locate } from './locate.ts';
import { readableSample, sampleAddresses } from './sample-addresses.ts';
import { everyEntry, type DefinedSite, type Site } from './site.ts';

/**
 * One difference between two versions of a site. Only a lost address is an error: links and bookmarks to it stop
 * working.
 */
export type SiteChange =
  | { readonly kind: 'added'; readonly entry: Entry }
  | { readonly kind: 'removed'; readonly entry: Entry }
  /** The label is another. */
  | { readonly kind: 'renamed'; readonly entry: Entry; readonly from: Entry }
  /** The address is another, or the place in the tree. */
  | { readonly kind: 'moved'; readonly entry: Entry; readonly from: Entry }
  /** The site's own language is another, whose pages have no prefix. */
  | { readonly kind: 'language-changed'; readonly from: string; readonly to: string }
  /** An address of the old version is no page of the new one. `from` is the old entry. */
  | { readonly kind: 'address-lost'; readonly address: string; readonly from: Entry; readonly language: string };

/**
 * Returns what changed between two versions of a site, entry by entry, matched by id.
 *
 * @example
 * const lost = compareSites(before, after).filter(({ kind }) => kind === 'address-lost');
 */
export function compareSites(before: DefinedSite, after: DefinedSite): readonly SiteChange[] {
  const changes: SiteChange[] = [];
  if (before.language !== after.language) {
    changes.push({ kind: 'language-changed', from: before.language, to: after.language });
  }
  const isSame = (one: Texts | null, other: Texts | null) => sameTexts(one, other, before, after);
  for (const entry of everyEntry(after.entries)) {
    const from = before.entry(entry.id);
    if (!from) {
      changes.push({ kind: 'added', entry });
      continue;
    }
    if (!isSame(from.labels, entry.labels)) changes.push({ kind: 'renamed', entry, from });
    if (!isSame(from.hrefs, entry.hrefs) || from.parent?.id !== entry.parent?.id) {
      changes.push({ kind: 'moved', entry, from });
    }
  }
  for (const from of everyEntry(before.entries)) {
    if (!after.entry(from.id)) changes.push({ kind: 'removed', entry: from });
  }
  return [...changes, ...lostAddresses(before, after)];
}

/** Whether visitors read the same, in each language that both versions have; if there is none, in their own. */
function sameTexts(one: Texts | null, other: Texts | null, before: Site, after: Site): boolean {
  if (!one || !other) return one === other;
  const both = before.languages.filter((language) => after.languages.includes(language));
  if (both.length === 0) return one[before.language] === other[after.language];
  return both.every((language) => textIn(one, language, before.language) === textIn(other, language, after.language));
}

function* lostAddresses(before: DefinedSite, after: DefinedSite): Generator<SiteChange, void, undefined> {
  const reported = new Set<string>();
  for (const [language, places] of Object.entries(before.addresses)) {
    for (const { entry, path } of places) {
      // No one has a link to a page that was never there.
      if (entry.planned) continue;
      const isLost = (sample: string) => locate(after, { pathname: sample }).status !== 'exact';
      const lost = sampleAddresses(before, path, language).find(isLost);
      if (lost === undefined || reported.has(lost)) continue;
      reported.add(lost);
      yield { kind: 'address-lost', address: readableSample(lost), from: entry, language };
    }
  }
}
