import { mayBeLinked } from './address.ts';
import { addressIn, hasAll, templatesOf } from './entry-templates.ts';
import { textIn } from './texts.ts';
import type { SiteShape } from './definition.ts';
import type { Entry } from './entry.ts';
import type { KnownId, ParamsArgument } from './identifiers.ts';
import { reasonForNoHref } from './href-reason.ts';
import { encodeSegment } from './encoding.ts';
import { fillTemplate, paramValue, type Params } from './path-template.ts';
import type { Site } from './site.ts';
import { errorText } from '../error-texts.ts';

/**
 * Thrown by `hrefTo` when an address cannot be written; says which entry and which param.
 *
 * @example
 * try {
 *   hrefTo(site, 'species-page', { slug: '..' });
 * } catch (error) {
 *   if (error instanceof HrefError) console.log(error.message);
 * }
 */
export class HrefError extends Error {
  override readonly name = 'HrefError';
}

/**
 * Returns the address of an entry in the site's own language, with the base path. `locate` returns the same entry and
 * params for it.
 *
 * @param params a value for each param of the entry's `href`; optional parts are written when theirs are given
 * @throws HrefError for an unknown id, a group, a param that is missing, empty, `.` or `..`, and for params that make
 *   the address of another entry
 * @example
 * hrefTo(site, 'species-page', { slug: 'avocet' }); // '/species/avocet'
 */
export function hrefTo<Definition extends SiteShape, const Id extends string>(
  site: Site<Definition>,
  id: KnownId<Definition, Id>,
  ...[params]: ParamsArgument<Definition, Id>
): string {
  return hrefIn(site, id, site.language, params ?? {});
}

/** As `hrefTo`, in one of the site's languages. */
export function hrefIn(site: Site, id: string, language: string, params: Params = {}): string {
  const entry = site.entry(id);
  const href = entry ? hrefOf(site, entry, params, language) : null;
  if (href !== null) return href;
  throw new HrefError(errorText('address-not-written', () => reasonForNoHref(site, id, language, params)));
}

/**
 * Returns the address of an entry like `hrefTo`, or null if it cannot be written.
 *
 * @param language one of the site's; default: its own
 *
 * @example
 * hrefOf(site, entry, { slug: 'avocet' }); // '/species/avocet'
 * hrefOf(site, entry, {}); // null: the param is missing
 */
export function hrefOf(site: Site, entry: Entry, params: Params = {}, language = site.language): string | null {
  const href = writtenHref(site, entry, params, language);
  // A site may come from anywhere: what is drawn as a link is looked at here, whoever has checked it before.
  return href !== null && mayBeLinked(href) ? href : null;
}

function writtenHref(site: Site, entry: Entry, params: Params, language: string): string | null {
  if (entry.hrefs && entry.outside) return textIn(entry.hrefs, language, site.language);
  const templates = templatesOf(site, entry, language);
  const isPlain = entry.paramNames.length === entry.query.length;
  for (const template of templates) {
    // Text alone needs no second look: no address is more specific.
    if (isPlain) return addressIn(site, language, template) + writeQuery(entry, params);
    const filled = fillTemplate(template, params);
    // The only way to write an address has all of the entry's params.
    if (!filled || !(templates.length === 1 || hasAll(entry, template, params))) continue;
    const address = addressIn(site, language, filled.address);
    if (leadsBack(site, entry, address, language, filled.values)) return address + writeQuery(entry, params);
  }
  return null;
}

/** Whether an address is found as what it was written for: its params may spell another's, or be parted elsewhere. */
function leadsBack(
  site: Site,
  entry: Entry,
  address: string,
  language: string,
  values: ReadonlyMap<string, string>,
): boolean {
  const found = site.find(address);
  if (!found?.match || found.language !== (site.languages.includes(language) ? language : site.language)) return false;
  const { match } = found;
  if (match.entry !== entry || !match.exact || match.moved) return false;
  const isSame = (name: string) => paramValue(match.params, name) === (values.get(name) ?? '');
  return [...values.keys(), ...Object.keys(match.params)].every(isSame);
}

function writeQuery({ query }: Entry, params: Params): string {
  if (query.length === 0) return '';
  const given = query.filter((key) => Object.hasOwn(params, key) && params[key] !== undefined);
  const pairs = given.map((key) => `${encodeSegment(key)}=${encodeSegment(paramValue(params, key))}`);
  return pairs.length > 0 ? `?${pairs.join('&')}` : '';
}
