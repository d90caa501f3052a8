import { checkSite } from '../core/site/define.ts';
import type { RecordList, SiteRecord, SiteRecords } from '../core/site/records.ts';
import { everyEntry, type DefinedSite } from '../core/site/site.ts';
import { sample } from './sample.ts';

/** A site small enough for every part of it to be drawn many times over, and how many entries the whole one has. */
export interface SampledSite {
  readonly site: DefinedSite;
  readonly shown: number;
  readonly of: number;
}

/** From here on a list is sampled, and a site. */
const longList = 40;
const largeSite = 500;

/** How many of each list are kept; fewer where that is still too much in all. */
const attempts = [24, 12, 6, 3] as const;

type Json = Readonly<Record<string, unknown>>;

/** The site itself, or one of some of its entries where it has too many: those first in its menus, and what they stand in. */
export function sampledSite(site: DefinedSite): SampledSite {
  const of = countOf(site);
  const longest = Math.max(
    site.entries.length,
    ...[...everyEntry(site.entries)].map(({ entries }) => entries.length),
    ...[...site.menus.values()].map((nodes) => nodes.length),
  );
  if (of <= largeSite && longest <= longList) return { site, shown: of, of };
  let smallest = site;
  for (const most of attempts) {
    const { site: sampled } = checkSite(sampledDefinition(site, most), {
      base: site.base,
      caseSensitive: site.caseSensitive,
    });
    if (!sampled) continue;
    smallest = sampled;
    if (countOf(sampled) <= largeSite) break;
  }
  return { site: smallest, shown: countOf(smallest), of };
}

/** Records that fill a list by the thousand are sampled like entries. */
export function sampledRecords(records: SiteRecords): SiteRecords {
  const lists = Object.entries(records).map(([name, list]): readonly [string, RecordList] => {
    if (!Array.isArray(list) || list.length <= longList) return [name, list];
    const how = { label: ({ label = '' }: SiteRecord) => label, notable: () => false };
    return [name, sample(list as readonly SiteRecord[], attempts[0], how).members];
  });
  return Object.fromEntries(lists);
}

function countOf({ entries }: DefinedSite): number {
  return [...everyEntry(entries)].length;
}

function sampledDefinition(site: DefinedSite, most: number): Json {
  const definition = site.definition as unknown as Json;
  const named = new Set<string>(site.home ? [site.home.id] : []);
  const menus = Object.entries((definition['menus'] ?? {}) as Json).map(
    ([name, items]) => [name, sampledItems(items, most, named)] as const,
  );
  // What is kept stands where it stood, so what it stands in is kept too.
  const kept = new Set<string>();
  for (const id of named) {
    for (let entry = site.entry(id); entry; entry = entry.parent ?? undefined) kept.add(entry.id);
  }
  return {
    ...definition,
    entries: sampledEntries(definition['entries'], most, kept),
    ...(menus.length > 0 && { menus: Object.fromEntries(menus) }),
  };
}

function sampledItems(items: unknown, most: number, named: Set<string>): unknown {
  if (!Array.isArray(items)) return items;
  const { members } = sample(items as readonly unknown[], most, { label: labelOf, notable: () => false });
  return members.map((item) => {
    if (typeof item === 'string') named.add(item);
    if (typeof item !== 'object' || item === null) return item;
    const object = item as Json;
    if (typeof object['entry'] === 'string') named.add(object['entry']);
    const lists = ['entries', 'either'].filter((field) => Array.isArray(object[field]));
    return {
      ...object,
      ...Object.fromEntries(lists.map((field) => [field, sampledItems(object[field], most, named)])),
    };
  });
}

function sampledEntries(entries: unknown, most: number, kept: ReadonlySet<string>): unknown {
  if (!Array.isArray(entries)) return entries;
  const objects = entries as readonly Json[];
  const chosen = new Set(sample(objects, most, { label: labelOf, notable: () => false }).members);
  return objects
    .filter((entry) => chosen.has(entry) || kept.has(String(entry['id'])))
    .map((entry) => ('entries' in entry ? { ...entry, entries: sampledEntries(entry['entries'], most, kept) } : entry));
}

function labelOf(member: unknown): string {
  if (typeof member === 'string') return member;
  const { label, id } = (member ?? {}) as { readonly label?: unknown; readonly id?: unknown };
  return typeof label === 'string' ? label : typeof id === 'string' ? id : '';
}
