import { parseUrl } from './address.ts';
import { lineage, type Entry } from './entry.ts';
import { fill, labelOf } from './labels.ts';
import { decodeSegment } from './pathname.ts';
import type { SiteRecords } from './records.ts';
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
  /** The values of the address's params, percent-decoded. */
  readonly params: Readonly<Record<string, string>>;
  /** The entry's ancestors, outermost first, and the entry itself last; empty where the position is unknown. */
  readonly path: readonly Entry[];
}

/** Any `URL` or `Location`: its pathname counts, its origin does not. */
export interface AddressParts {
  readonly pathname: string;
}

export const unknownPosition: Position = { entry: null, status: 'unknown', params: {}, path: [] };

/** Stands in for the origin of a site that does not name one. The `.invalid` domain is reserved by RFC 2606. */
const anyOrigin = 'https://site.invalid';

/**
 * The position of an address. Never throws: an address that cannot be read is `unknown`.
 *
 * @param url a URL reference, resolved against the site's origin, which it must keep; or a `URL` or `Location`, of which
 *   the pathname alone counts. Query and hash are ignored, and so is a trailing or doubled slash; case counts.
 */
export function locate(site: Site, url: string | AddressParts): Position {
  const pathname = typeof url === 'string' ? pathnameWithin(site, url) : url.pathname;
  const segments = pathname === null ? null : segmentsBelow(site.base, pathname);
  const match = segments && site.matcher.match(segments);
  if (!match) return unknownPosition;
  return {
    entry: match.entry,
    status: match.exact ? 'exact' : 'inside',
    params: match.params,
    path: lineage(match.entry),
  };
}

function pathnameWithin(site: Site, reference: string): string | null {
  const base = site.origin ?? anyOrigin;
  const url = parseUrl(reference, base + site.base + '/');
  if (!url || (url.protocol !== 'http:' && url.protocol !== 'https:')) return null;
  const isAbsolute = /^[a-z][a-z\d+.-]*:/iu.test(reference.trimStart());
  // Without an origin of its own, a site cannot tell whose address this is, and takes the asker's word for it.
  if (url.origin !== base && (site.origin !== null || !isAbsolute)) return null;
  return url.pathname;
}

/** The segments after the base path, or null where the address lies outside it. */
function segmentsBelow(base: string, pathname: string): readonly string[] | null {
  const segments = pathname.split('/').filter(Boolean).map(decodeSegment);
  if (base === '') return segments;
  const steps = base.slice(1).split('/').map(decodeSegment);
  return steps.every((step, index) => step === segments[index]) ? segments.slice(steps.length) : null;
}

/** Whether two positions are the same place: the same entry, as sure, with the same params. */
export function samePosition(one: Position, other: Position): boolean {
  const names = Object.keys(one.params);
  return (
    one.entry === other.entry &&
    one.status === other.status &&
    names.length === Object.keys(other.params).length &&
    names.every((name) => one.params[name] === other.params[name])
  );
}

/**
 * The document title of a position, made from the site's template. An address that is no page takes `notFoundLabel`.
 */
export function titleOf(site: Site, position: Position, notFoundLabel: string, records: SiteRecords = {}): string {
  const { entry, params, status } = position;
  const label = entry && status === 'exact' ? labelOf(entry, params, records) : notFoundLabel;
  return fill(site.title, { label, site: site.name });
}
