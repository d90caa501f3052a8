import { textIn } from './texts.ts';
import { parseUrl } from './address.ts';
import { lineage, type Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { fill, labelOf } from './labels.ts';
import { decodeQuery } from './encoding.ts';
import { sameParams, type SiteRecords } from './records.ts';
import type { Site } from './site.ts';

/**
 * How sure a position is: `exact`, the address is the entry's own or an alias; `inside`, it lies below the entry and no
 * entry is known for it; `unknown`, it lies in no entry.
 */
export type PositionStatus = 'exact' | 'inside' | 'unknown';

/** Where an address is in a site. */
export interface Position {
  readonly entry: Entry | null;
  readonly status: PositionStatus;
  /** The values of the address's params, percent-decoded, and of those keys of the query that the entry names. */
  readonly params: Readonly<Record<string, string>>;
  /** The entry's ancestors, outermost first, and the entry itself last; empty where the position is unknown. */
  readonly path: readonly Entry[];
  /** The language that the address is in. */
  readonly language: string;
  /** For an old address of the entry, the one to go on to, without the old one's query and hash; otherwise null. */
  readonly movedTo: string | null;
}

/** Any `URL` or `Location`: its pathname and query count, its origin does not. */
export interface AddressParts {
  readonly pathname: string;
  readonly search?: string;
}

/** Nowhere that the site knows, in its own language. */
export function unknownPosition(site: Site, language = site.language): Position {
  return { entry: null, status: 'unknown', params: {}, path: [], language, movedTo: null };
}

/** Stands in for the origin of a site that does not name one. The `.invalid` domain is reserved by RFC 2606. */
const anyOrigin = 'https://site.invalid';

/**
 * Returns the position of an address. Never throws: `locate` returns `unknown` for an address that it cannot read.
 *
 * @param url a URL reference on the site's origin, or a `URL` or `Location`, of which only pathname and query count.
 *   Ignored are the hash, trailing and doubled slashes, and query keys that the entry does not name. Case counts unless
 *   the site was defined otherwise.
 * @example
 * const { entry, status, params } = locate(site, '/species/avocet?season=spring');
 * // entry?.id: 'species-page', status: 'exact', params: { slug: 'avocet' }
 */
export function locate(site: Site, url: string | AddressParts): Position {
  const address = typeof url === 'string' ? addressWithin(site, url) : url;
  const found = address && site.find(address.pathname);
  if (!found) return unknownPosition(site);
  const { match, language } = found;
  if (!match) return unknownPosition(site, language);
  const { entry, exact, moved } = match;
  const movedTo = moved && exact ? hrefOf(site, entry, match.params, language) : null;
  return {
    entry,
    // No page is at an old address whose values make no new one.
    status: exact && (!moved || movedTo !== null) ? 'exact' : 'inside',
    params: { ...match.params, ...queryParams(entry, address.search ?? '') },
    path: lineage(entry),
    language,
    movedTo,
  };
}

function addressWithin(site: Site, reference: string): AddressParts | null {
  const base = site.origin ?? anyOrigin;
  const url = parseUrl(reference, `${base}${site.base}/`);
  if (!url || (url.protocol !== 'http:' && url.protocol !== 'https:')) return null;
  const isAbsolute = /^[a-z][a-z\d+.-]*:/iu.test(reference.trimStart());
  // Without an origin of its own, a site cannot tell whose address this is, and takes the asker's word for it.
  if (url.origin !== base && (site.origin !== null || !isAbsolute)) return null;
  return url;
}

/** The values of the keys that the entry names; of a key that stands twice, the first. */
function queryParams(entry: Entry, search: string): Readonly<Record<string, string>> {
  if (entry.query.length === 0 || search.length < 2) return {};
  const found: Record<string, string> = {};
  for (const pair of search.slice(1).split('&')) {
    const [key = '', ...value] = pair.split('=');
    const name = decodeQuery(key);
    // The names are the entry's own, which are checked, so none of them is a field of every object.
    if (entry.query.includes(name) && !Object.hasOwn(found, name)) {
      found[name] = decodeQuery(value.join('='));
    }
  }
  return found;
}

/**
 * Returns whether two positions have the same entry, status, params and language.
 *
 * @example
 * samePosition(locate(site, '/hides'), locate(site, '/hides/?sort=name')); // true
 */
export function samePosition(one: Position, other: Position): boolean {
  return (
    one.entry === other.entry &&
    one.status === other.status &&
    one.language === other.language &&
    one.movedTo === other.movedTo &&
    sameParams(one.params, other.params)
  );
}

/**
 * Returns the document title of a position, from the title template of the site. For an unknown page the label is
 * `notFoundLabel`.
 *
 * @example
 * titleOf(site, locate(site, '/hides'), 'Page not found'); // 'Hides · Marram Point Bird Observatory'
 */
export function titleOf(site: Site, position: Position, notFoundLabel: string, records: SiteRecords = {}): string {
  const { entry, params, status, language } = position;
  const label = entry && status === 'exact' ? labelOf(site, entry, { params, records, language }) : notFoundLabel;
  return fill(textIn(site.titles, language, site.language), {
    label,
    site: textIn(site.names, language, site.language),
  });
}
