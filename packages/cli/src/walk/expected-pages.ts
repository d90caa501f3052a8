import {
  breadcrumbs,
  type Entry,
  everyEntry,
  hrefOf,
  labelOf,
  locate,
  mayAccess,
  type MenuItem,
  menuItems,
  type Position,
  type DefinedSite,
  type SiteRecords,
  titleOf,
} from 'fair-trail';
import { addressOfTemplate, entryPointer, writeTemplate } from 'fair-trail/internal/core';
import { isHarmful } from '../browser/harmful.ts';

type WalkedAddress = DefinedSite['addresses'][string][number];

/** What the visitor of a walk is and has. */
export interface Visitor {
  readonly audience: readonly string[];
  readonly records: SiteRecords;
  /** One of the site's, in which the pages are. Default: its own. */
  readonly language?: string;
}

/** A page that the site file names, and what it says of it. */
export interface ExpectedPage {
  /** The same for the same page, however its address is written. */
  readonly key: string;
  readonly entry: Entry;
  readonly params: Readonly<Record<string, string>>;
  readonly label: string;
  /** Path and query, with the base path before it. */
  readonly address: string;
  readonly position: Position;
  readonly title: string;
  readonly breadcrumbs: readonly string[];
  /** Other addresses of the same page. */
  readonly aliases: readonly string[];
  /** Old addresses, which lead on to it. */
  readonly moved: readonly string[];
  /** Where it stands in the menus: labels from the top down, by the name of the menu. */
  readonly ways: ReadonlyMap<string, readonly string[]>;
  /** In the site file. */
  readonly pointer: string;
}

/** Keys need no origin. The `.invalid` domain is reserved by RFC 2606. */
const anyOrigin = 'https://site.invalid';

/** An entry that is not walked to, and why. */
export interface SkippedEntry {
  readonly entry: Entry;
  readonly reason: string;
}

/** All pages of a site for a visitor, records one by one. */
export function expectedPages(
  site: DefinedSite,
  visitor: Visitor,
): { readonly stops: readonly ExpectedPage[]; readonly leftOut: readonly SkippedEntry[] } {
  const { language = site.language } = visitor;
  const waysByKey = waysOf(site, visitor);
  const placesByEntry = new Map<Entry, WalkedAddress[]>();
  for (const place of site.addresses[language] ?? []) {
    const places = placesByEntry.get(place.entry);
    if (places) places.push(place);
    else placesByEntry.set(place.entry, [place]);
  }
  const stops: ExpectedPage[] = [];
  const leftOut: SkippedEntry[] = [];
  for (const entry of everyEntry(site.entries)) {
    const reason = reasonToLeaveOut(site, entry, visitor);
    if (reason !== null) {
      leftOut.push({ entry, reason });
      continue;
    }
    if (entry.href === null || entry.outside) continue;
    for (const params of paramsOf(site, entry, visitor.records)) {
      const address = hrefOf(site, entry, params, language);
      if (address === null) continue;
      if (isHarmful(new URL(address, anyOrigin))) {
        leftOut.push({ entry, reason: 'Asking for it may sign out or delete something, by the words of its address.' });
        continue;
      }
      const position = locate(site, address);
      const key = keyOf(site, address);
      const places = placesByEntry.get(entry) ?? [];
      const written = places.flatMap(({ path, moved }) => {
        const other = addressOfTemplate(site, writeTemplate(path), params, language);
        return other === null ? [] : [{ address: other, moved }];
      });
      stops.push({
        key,
        entry,
        params,
        label: labelOf(site, entry, { params, records: visitor.records, language }),
        address,
        position,
        title: titleOf(site, position, '', visitor.records),
        breadcrumbs: breadcrumbs(site, position, visitor.records).map(({ label }) => label),
        aliases: written.filter((one) => !one.moved && one.address !== address).map((one) => one.address),
        moved: written.filter((one) => one.moved).map((one) => one.address),
        ways: waysByKey.get(key) ?? new Map<string, readonly string[]>(),
        pointer: entryPointer(entry),
      });
    }
  }
  return { stops, leftOut };
}

function reasonToLeaveOut(site: DefinedSite, entry: Entry, { audience, records }: Visitor): string | null {
  if (entry.planned) return 'It is planned, and not made yet.';
  if (mayAccess(entry, audience) !== true) {
    return `It is for ${entry.audiences.flat().join(', ')}: give --audience, and with --storage what makes the visitor one.`;
  }
  if (entry.href === null || entry.outside || paramsOf(site, entry, records).length > 0) return null;
  if (entry.records === null) return 'Its address has params, and the site file names no records that would fill them.';
  return `Its address has params, and no records were given for it: give --records with a list “${entry.records}”.`;
}

/** Whether an entry has its pages from a list of records that is not known. */
export function isWithoutRecords({ records: name }: Entry, records: SiteRecords): boolean {
  return name !== null && !Object.hasOwn(records, name);
}

/** The params of each page of an entry: those of its records, and none for the page that needs none. */
function paramsOf(site: DefinedSite, entry: Entry, records: SiteRecords): readonly Readonly<Record<string, string>>[] {
  const list = entry.records !== null && Object.hasOwn(records, entry.records) ? records[entry.records] : undefined;
  const own = typeof list === 'object' ? list.map(({ params }) => params) : [];
  return hrefOf(site, entry) === null ? own : [{}, ...own];
}

/** What stands before the path of each page in a language: the base path, and the language's tag where it is not the site's own. */
export function prefixOf(site: DefinedSite, language: string): string {
  return language === site.language ? site.base : `${site.base}/${language}`;
}

/** What an address is called among stops: its language, entry and params where the site file knows it, and else its path. */
export function keyOf(site: DefinedSite, address: string | URL): string {
  const url = typeof address === 'string' ? new URL(address, anyOrigin) : address;
  const { status, entry, params, language } = locate(site, url);
  if (status === 'exact' && entry) return `${language} ${entry.id} ${JSON.stringify(params)}`;
  return url.pathname.replace(/(.)\/+$/u, '$1');
}

function waysOf(site: DefinedSite, visitor: Visitor): ReadonlyMap<string, Map<string, readonly string[]>> {
  const found = new Map<string, Map<string, readonly string[]>>();
  const visit = (menu: string, items: readonly MenuItem[], above: readonly string[]) => {
    for (const { label, href, entry, items: below } of items) {
      const way = [...above, label];
      if (href !== null && entry && !entry.outside) {
        const key = keyOf(site, href);
        const ways = found.get(key) ?? new Map<string, readonly string[]>();
        if (!ways.has(menu)) ways.set(menu, way);
        found.set(key, ways);
      }
      visit(menu, below, way);
    }
  };
  for (const menu of site.menus.keys()) visit(menu, menuItems(site, menu, visitor), []);
  return found;
}

/** Path and query of a whole address; an address that cannot be read as it is. */
export function pathOf(url: string): string {
  if (!URL.canParse(url)) return url;
  const { pathname, search } = new URL(url);
  return pathname + search;
}
