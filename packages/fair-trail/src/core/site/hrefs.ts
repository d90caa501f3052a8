import type { Entry } from './entry.ts';
import { encodeSegment, type Path, type Segment, type Wildcard } from './pathname.ts';
import type { Site } from './site.ts';

/** Thrown by `hrefTo` when an address cannot be written; says which entry and which param. */
export class HrefError extends Error {
  override readonly name = 'HrefError';
}

/**
 * The address of an entry, with the site's base path before it.
 *
 * @param params a value for each param of the entry's `href`; optional parts are written when theirs are given
 * @throws HrefError for an unknown id, a group, or a param that is missing, empty, `.` or `..`
 */
export function hrefTo(site: Site, id: string, params: Readonly<Record<string, string>> = {}): string {
  const entry = site.entry(id);
  if (!entry) throw new HrefError(`No entry has the id "${id}".`);
  const href = hrefOf(site, entry, params);
  if (href !== null) return href;
  if (entry.href === null) throw new HrefError(`The entry "${id}" is a group without an address.`);
  const names = entry.paramNames.map((name) => `"${name}"`);
  throw new HrefError(
    `The address "${entry.href}" of "${id}" cannot be written: give ${names.join(', ')}, none of them empty, "." or "..".`,
  );
}

/** As `hrefTo`, but null where there is no address to write. */
export function hrefOf(site: Site, entry: Entry, params: Readonly<Record<string, string>> = {}): string | null {
  if (entry.outside) return entry.href;
  for (const path of entry.paths) {
    const written = writePath(path, params);
    if (written !== null) return site.base + written;
  }
  return null;
}

function writePath(path: Path, params: Readonly<Record<string, string>>): string | null {
  const written: string[] = [];
  for (const segment of path) {
    const text = writeSegment(segment, params);
    if (text === null) return null;
    if (text !== '') written.push(text);
  }
  return `/${written.join('/')}`;
}

function writeSegment(segment: Segment, params: Readonly<Record<string, string>>): string | null {
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

function valueOf(params: Readonly<Record<string, string>>, name: string): string | undefined {
  return Object.hasOwn(params, name) ? params[name] : undefined;
}

/** Each step of a wildcard's value, encoded; null where it is empty and must not be. */
function writeRest(wildcard: Wildcard, params: Readonly<Record<string, string>>): string | null {
  const steps = (valueOf(params, wildcard.name) ?? '')
    .split('/')
    .filter(Boolean)
    .map((step) => writeValue(step));
  if (steps.includes(null) || (wildcard.filled && steps.length === 0)) return null;
  return steps.join('/');
}

/** A value standing alone as `.` or `..` would be taken away by every URL parser, encoded or not. */
function writeValue(value: string | undefined, besideText = false): string | null {
  if (!value || (!besideText && (value === '.' || value === '..'))) return null;
  return encodeSegment(value);
}
