import type { SiteShape } from './definition.ts';
import { textIn, type Entry } from './entry.ts';
import { findPathname } from './find.ts';
import type { KnownId, ParamsArgument } from './identifiers.ts';
import { nearest } from './nearest.ts';
import { encodeSegment, encodeText, isDots, wellFormed } from './encoding.ts';
import { namesOf, type Path, type Segment, type Wildcard } from './pathname.ts';
import { everyEntry, type Site } from './site.ts';

/** Thrown by `hrefTo` when an address cannot be written; says which entry and which param. */
export class HrefError extends Error {
  override readonly name = 'HrefError';
}

type Params = Readonly<Record<string, string | undefined>>;

/**
 * The address of an entry in the site's own language, with the site's base path before it. What is written leads back to
 * the entry and to these params: `locate` answers both.
 *
 * @param params a value for each param of the entry's `href`; optional parts are written when theirs are given
 * @throws HrefError for an unknown id, a group, a param that is missing, empty, `.` or `..`, and for params that make
 *   the address of another entry
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
  if (!entry) throw new HrefError(`The site has no entry with the id "${id}".${suggestion(site, id)}`);
  const href = hrefOf(site, entry, params, language);
  if (href !== null) return href;
  if (entry.href === null) throw new HrefError(`The entry "${id}" is a group without an address.`);
  throw new HrefError(
    `The address "${entry.href}" of "${id}" cannot be written: ${reason(site, entry, params, language)}`,
  );
}

function reason(site: Site, entry: Entry, params: Params, language: string): string {
  for (const path of pathsOf(site, entry, language)) {
    const address = addressOfPath(site, path, params, language);
    if (address === null || !hasAll(entry, path, params)) continue;
    const match = findPathname(site, address)?.match;
    if (match?.exact && match.entry !== entry) return `"${address}" is the address of "${match.entry.id}".`;
    return `"${address}" does not lead back to these params.`;
  }
  const names = pathNames(entry).map((name) => `"${name}"`);
  return `give ${names.join(', ')}, none of them empty, "." or "..".`;
}

function suggestion(site: Site, id: string): string {
  const other = nearest(
    id,
    [...everyEntry(site.entries)].map((entry) => entry.id),
  );
  return other === undefined ? '' : ` Did you mean "${other}"?`;
}

/** As `hrefIn`, but null where there is no address to write. Default language: the site's own. */
export function hrefOf(site: Site, entry: Entry, params: Params = {}, language = site.language): string | null {
  if (entry.hrefs && entry.outside) return textIn(entry.hrefs, language, site.language);
  const isText = entry.paramNames.length === entry.query.length;
  const paths = pathsOf(site, entry, language);
  for (const path of paths) {
    const written = write(path, params);
    // The only way to write an address has all of the entry's params.
    if (written === null || !(isText || paths.length === 1 || hasAll(entry, path, params))) continue;
    const address = place(site, language, written.text);
    // Text alone needs no second look: no address is more specific.
    if (isText || leadsBack(site, entry, address, language, written.values)) return address + writeQuery(entry, params);
  }
  return null;
}

/**
 * The address that one of an entry's paths makes, whatever entry it leads to; null where a param cannot be written.
 */
export function addressOfPath(site: Site, path: Path, params: Params, language: string): string | null {
  const written = write(path, params);
  return written && place(site, language, written.text);
}

function pathsOf({ language: own }: Site, { paths }: Entry, language: string): readonly Path[] {
  return (Object.hasOwn(paths, language) ? paths[language] : paths[own]) ?? [];
}

/** A path below the base and the prefix of its language. */
function place({ base, language: own, languages }: Site, language: string, path: string): string {
  const prefix = language === own || !languages.includes(language) ? '' : `/${language}`;
  // The home page of a language lies at the prefix itself.
  return base + (prefix && path === '/' ? prefix : prefix + path);
}

function pathNames({ paramNames, query }: Entry): readonly string[] {
  return query.length === 0 ? paramNames : paramNames.filter((name) => !query.includes(name));
}

/** Whether each of the params that are given has its place in the path. */
function hasAll(entry: Entry, path: Path, params: Params): boolean {
  const names = path.flatMap(namesOf);
  return pathNames(entry).every((name) => names.includes(name) || !valueOf(params, name));
}

/** Whether an address is found as what it was written for: its params may spell another's, or be parted elsewhere. */
function leadsBack(site: Site, entry: Entry, address: string, language: string, values: Values): boolean {
  const found = findPathname(site, address);
  if (!found?.match || found.language !== (site.languages.includes(language) ? language : site.language)) return false;
  const { match } = found;
  if (match.entry !== entry || !match.exact || match.moved) return false;
  const isSame = (name: string) => (valueOf(match.params, name) ?? '') === (values.get(name) ?? '');
  return [...values.keys(), ...Object.keys(match.params)].every(isSame);
}

function writeQuery(entry: Entry, params: Params): string {
  const pairs = entry.query.flatMap((key) => {
    const value = valueOf(params, key);
    return value === undefined ? [] : [`${encodeSegment(key)}=${encodeSegment(value)}`];
  });
  return pairs.length > 0 ? `?${pairs.join('&')}` : '';
}

/** The params of an address as they are written, decoded. */
type Values = Map<string, string>;

/** Whether these params can be written in a path at all, whatever entry the address then leads to. */
export function canWrite(path: Path, params: Params): boolean {
  return write(path, params) !== null;
}

/**
 * All addresses are written here. None begins with two slashes, which would name another host, and none has a segment
 * that a URL parser takes away.
 */
function write(path: Path, params: Params): { readonly text: string; readonly values: Values } | null {
  const values: Values = new Map();
  let text = '';
  for (const segment of path) {
    const written = writeSegment(segment, params, values);
    // Only what the path ends in may stand for nothing.
    if (written === null || !isSound(written, segment !== path.at(-1))) return null;
    if (written !== '') text += `/${written}`;
  }
  return { text: text || '/', values };
}

function isSound(written: string, goesOn: boolean): boolean {
  const steps = written.split('/');
  if (steps.some(isDots)) return false;
  // A slash at the very end is no more than that.
  return !steps.includes('') || (!goesOn && (written === '' || steps.indexOf('') === steps.length - 1));
}

function writeSegment(segment: Segment, params: Params, values: Values): string | null {
  switch (segment.kind) {
    case 'literal':
      return segment.written;
    case 'mixed':
    case 'tail': {
      const texts = segment.tokens.map((token) => {
        if (token.kind === 'text') return encodeText(token.text);
        return token.kind === 'param' ? writeParam(token.name, params, values) : writeRest(token, params, values);
      });
      return texts.includes(null) ? null : texts.join('');
    }
    case 'param':
      return writeParam(segment.name, params, values);
    case 'wildcard':
      return writeRest(segment, params, values);
  }
}

function valueOf(params: Params, name: string): string | undefined {
  if (!Object.hasOwn(params, name)) return undefined;
  const value: unknown = params[name];
  // Without types, a number is given for a text.
  return typeof value === 'number' ? String(value) : (value as string | undefined);
}

/** Each step of a wildcard's value, encoded; null where it is empty and must not be. */
function writeRest({ name, filled }: Wildcard, params: Params, values: Values): string | null {
  const steps = wellFormed(valueOf(params, name) ?? '')
    .split('/')
    .filter(Boolean);
  if (filled && steps.length === 0) return null;
  values.set(name, steps.join('/'));
  return steps.map(encodeSegment).join('/');
}

function writeParam(name: string, params: Params, values: Values): string | null {
  const value = valueOf(params, name);
  if (!value) return null;
  values.set(name, wellFormed(value));
  return encodeSegment(value);
}
