import type { Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { locate } from './locate.ts';
import { namesOf, type Path } from './pathname.ts';
import { everyEntry, type Site } from './site.ts';

/**
 * One difference between two versions of a site. Only a lost address hurts someone at once: a link or a bookmark that
 * worked before leads nowhere now.
 */
export type SiteChange =
  | { readonly kind: 'added'; readonly entry: Entry }
  | { readonly kind: 'removed'; readonly entry: Entry }
  /** The label is another. */
  | { readonly kind: 'renamed'; readonly entry: Entry; readonly from: Entry }
  /** The address is another, or the place in the tree. */
  | { readonly kind: 'moved'; readonly entry: Entry; readonly from: Entry }
  /** An address of the old version is no page of the new one. `from` is the old entry. */
  | { readonly kind: 'address-lost'; readonly address: string; readonly from: Entry; readonly language: string };

/** What changed from one version of a site to the next, entry by entry, by their ids. */
export function compareSites(before: Site, after: Site): readonly SiteChange[] {
  const changes: SiteChange[] = [];
  for (const entry of everyEntry(after.entries)) {
    const from = before.entry(entry.id);
    if (!from) {
      changes.push({ kind: 'added', entry });
      continue;
    }
    if (JSON.stringify(from.labels) !== JSON.stringify(entry.labels)) changes.push({ kind: 'renamed', entry, from });
    const isElsewhere =
      JSON.stringify(from.hrefs) !== JSON.stringify(entry.hrefs) || from.parent?.id !== entry.parent?.id;
    if (isElsewhere) changes.push({ kind: 'moved', entry, from });
  }
  for (const from of everyEntry(before.entries)) {
    if (!after.entry(from.id)) changes.push({ kind: 'removed', entry: from });
  }
  return [...changes, ...lostAddresses(before, after)];
}

function* lostAddresses(before: Site, after: Site): Generator<SiteChange, void, undefined> {
  const told = new Set<string>();
  for (const [language, places] of Object.entries(before.addresses)) {
    for (const { entry, path } of places) {
      const sample = sampleOf(before, entry, path, language);
      if (sample === null || told.has(sample) || locate(after, { pathname: sample }).status === 'exact') continue;
      told.add(sample);
      yield { kind: 'address-lost', address: readable(sample), from: entry, language };
    }
  }
}

/** Stands for any value of a param: nobody writes it, so only a param or a wildcard takes it. */
const anyValue = '\u2060';

/** An address that the path takes, written with a stand-in for each param. */
function sampleOf(site: Site, entry: Entry, path: Path, language: string): string | null {
  const params = Object.fromEntries(entry.paramNames.map((name) => [name, anyValue]));
  // The path alone, as if it were the entry's only one.
  const alone: Entry = { ...entry, outside: false, query: [], paths: { [language]: [path] } };
  // An old address may have params that the entry no longer has.
  for (const name of path.flatMap(namesOf)) params[name] = anyValue;
  return hrefOf(site, alone, params, language);
}

function readable(address: string): string {
  return decodeURI(address).replaceAll(anyValue, '…');
}
