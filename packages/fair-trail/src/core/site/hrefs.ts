import type { SiteShape } from './definition.ts';
import { textIn, type Entry } from './entry.ts';
import type { KnownId, ParamsArgument } from './identifiers.ts';
import { nearest } from './nearest.ts';
import { encodeSegment, type Path, type Segment, type Wildcard } from './pathname.ts';
import { everyEntry, type Site } from './site.ts';

/** Thrown by `hrefTo` when an address cannot be written; says which entry and which param. */
export class HrefError extends Error {
  override readonly name = 'HrefError';
}

type Params = Readonly<Record<string, string | undefined>>;

/**
 * The address of an entry in the site's own language, with the site's base path before it.
 *
 * @param params a value for each param of the entry's `href`; optional parts are written when theirs are given
 * @throws HrefError for an unknown id, a group, or a param that is missing, empty, `.` or `..`
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
  const names = entry.paramNames.filter((name) => !entry.query.includes(name)).map((name) => `"${name}"`);
  throw new HrefError(
    `The address "${entry.href}" of "${id}" cannot be written: give ${names.join(', ')}, none of them empty, "." or "..".`,
  );
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
  const prefix = language === site.language || !site.languages.includes(language) ? '' : `/${language}`;
  for (const path of entry.paths[language] ?? entry.paths[site.language] ?? []) {
    const written = writePath(path, params);
    if (written === null) continue;
    // The home page of a language lies at the prefix itself.
    const place = prefix && written === '/' ? prefix : prefix + written;
    return site.base + place + writeQuery(entry, params);
  }
  return null;
}

function writeQuery(entry: Entry, params: Params): string {
  const pairs = entry.query.flatMap((key) => {
    const value = valueOf(params, key);
    return value === undefined ? [] : [`${encodeSegment(key)}=${encodeSegment(value)}`];
  });
  return pairs.length > 0 ? `?${pairs.join('&')}` : '';
}

/** One of an entry's paths with its params put in, without base and language; null where one of them cannot be written. */
export function writePath(path: Path, params: Params): string | null {
  const written: string[] = [];
  for (const segment of path) {
    const text = writeSegment(segment, params);
    if (text === null) return null;
    if (text !== '') written.push(text);
  }
  return `/${written.join('/')}`;
}

function writeSegment(segment: Segment, params: Params): string | null {
  switch (segment.kind) {
    case 'literal':
      return segment.written;
    case 'mixed':
    case 'tail': {
      const texts = segment.tokens.map((token) => {
        if (token.kind === 'text') return token.text.split('/').map(encodeSegment).join('/');
        return token.kind === 'param' ? writeValue(valueOf(params, token.name), true) : writeRest(token, params);
      });
      return texts.includes(null) ? null : texts.join('');
    }
    case 'param':
      return writeValue(valueOf(params, segment.name));
    case 'wildcard':
      return writeRest(segment, params);
  }
}

function valueOf(params: Params, name: string): string | undefined {
  return Object.hasOwn(params, name) ? params[name] : undefined;
}

/** Each step of a wildcard's value, encoded; null where it is empty and must not be. */
function writeRest(wildcard: Wildcard, params: Params): string | null {
  const given = (valueOf(params, wildcard.name) ?? '').split('/').filter(Boolean);
  const steps = given.map((step) => writeValue(step));
  if (steps.includes(null) || (wildcard.filled && steps.length === 0)) return null;
  return steps.join('/');
}

/** A value standing alone as `.` or `..` would be taken away by every URL parser, encoded or not. */
function writeValue(value: string | undefined, besideText = false): string | null {
  if (!value || (!besideText && (value === '.' || value === '..'))) return null;
  return encodeSegment(value);
}
