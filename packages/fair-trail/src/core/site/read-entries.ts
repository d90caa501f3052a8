import { hrefKind } from './address.ts';
import type { Opens } from './definition.ts';
import type { Entry } from './entry.ts';
import {
  below,
  readBoolean,
  readChoice,
  readList,
  readName,
  readObject,
  readOptional,
  readRequired,
  readText,
  type Place,
} from './fields.ts';
import { placeholdersIn } from './labels.ts';
import { namesOf, parsePathname, pathKey, PathSyntaxError, type Path } from './pathname.ts';
import { problem } from './problems.ts';

const entryFields = [
  'id',
  'label',
  'href',
  'aliases',
  'audience',
  'planned',
  'opens',
  'icon',
  'records',
  'entries',
] as const;

/** Deeper than any tree that people could find their way in, and shallow enough to recurse over. */
const mostLevels = 32;

/** What reading the entries gathers besides the tree itself. */
export interface EntryIndex {
  readonly byId: Map<string, Entry>;
  /** Every address and alias, in the order of the file. */
  readonly places: { readonly entry: Entry; readonly path: Path }[];
}

export function readEntries(value: unknown, place: Place): { entries: Entry[]; index: EntryIndex } {
  const reader = new EntryReader();
  const entries = reader.readSiblings(value, null, 1, place) ?? [];
  return { entries, index: { byId: reader.byId, places: reader.places } };
}

class EntryReader implements EntryIndex {
  readonly byId = new Map<string, Entry>();
  readonly places: { entry: Entry; path: Path }[] = [];
  /** Where each address, without the names of its params, was first written. */
  readonly #addresses = new Map<string, string>();

  readSiblings(value: unknown, parent: Entry | null, level: number, place: Place): Entry[] | null {
    if (level > mostLevels) {
      place.problems.push(problem('too-deep', place.pointer, { expected: String(mostLevels) }));
      return null;
    }
    return readList(value, (member, at) => this.#readEntry(member, parent, level, at), place);
  }

  #readEntry(value: unknown, parent: Entry | null, level: number, place: Place): Entry | null {
    const object = readObject(value, entryFields, place);
    if (!object) return null;
    const id = readRequired(object, 'id', 'a short name for the entry', (v, at) => readName(v, 'an id', at), place);
    const label = readRequired(
      object,
      'label',
      'the text people will read',
      (v, at) => readText(v, 'label', at),
      place,
    );
    const href = readOptional(object, 'href', readHref, place) ?? null;
    const outside = href !== null && hrefKind(href) === 'outside';
    const paths = href === null || outside ? [] : readPaths(href, below(place, 'href'));
    const audience = readOptional(object, 'audience', readAudience, place);
    const children: Entry[] = [];
    const entry: Entry = {
      id: id ?? '',
      label: label ?? '',
      href,
      outside,
      paths,
      paramNames: [...new Set(paths.flat().flatMap(namesOf))],
      audiences: [...(parent?.audiences ?? []), ...(audience ? [audience] : [])],
      planned: readOptional(object, 'planned', readBoolean, place) ?? false,
      opens: readOptional(object, 'opens', readOpens, place) ?? 'same-tab',
      icon: readOptional(object, 'icon', (v, at) => readName(v, 'the name of an icon', at), place) ?? null,
      records: readOptional(object, 'records', (v, at) => readName(v, 'the name of records', at), place) ?? null,
      parent,
      entries: children,
      pointer: place.pointer,
    };
    if (id !== null) this.#addId(id, entry, below(place, 'id'));
    paths.forEach((path) => this.#addAddress(entry, path, href ?? '', below(place, 'href')));
    readOptional(
      object,
      'aliases',
      (v, at) => readList(v, (alias, in_) => this.#readAlias(alias, entry, in_), at),
      place,
    );
    checkEntry(object, entry, place);
    // The parent must be whole before its children refer to it; only its list of children is filled afterwards.
    children.push(
      ...(readOptional(object, 'entries', (v, at) => this.readSiblings(v, entry, level + 1, at), place) ?? []),
    );
    return entry;
  }

  #readAlias(value: unknown, entry: Entry, place: Place): string | null {
    const alias = readHref(value, place);
    if (alias === null) return null;
    if (hrefKind(alias) !== 'path') {
      place.problems.push(problem('unsafe-href', place.pointer, { value: alias }));
      return null;
    }
    const paths = readPaths(alias, place);
    const names = new Set(paths.flat().flatMap(namesOf));
    if (paths.length > 0 && entry.paths.length > 0) {
      if (names.size !== entry.paramNames.length || entry.paramNames.some((name) => !names.has(name))) {
        place.problems.push(problem('alias-params', place.pointer, { value: alias, other: entry.href ?? '' }));
      }
    }
    paths.forEach((path) => this.#addAddress(entry, path, alias, place));
    return alias;
  }

  #addId(id: string, entry: Entry, place: Place): void {
    const known = this.byId.get(id);
    if (known) place.problems.push(problem('duplicate-id', place.pointer, { value: id, other: `${known.pointer}/id` }));
    else this.byId.set(id, entry);
  }

  #addAddress(entry: Entry, path: Path, written: string, place: Place): void {
    const key = pathKey(path);
    const known = this.#addresses.get(key);
    if (known !== undefined) {
      place.problems.push(problem('duplicate-address', place.pointer, { value: written, other: known }));
      return;
    }
    this.#addresses.set(key, place.pointer);
    this.places.push({ entry, path });
  }
}

function checkEntry(object: Readonly<Record<string, unknown>>, entry: Entry, place: Place): void {
  // After a problem with the href itself, whatever depends on it would only repeat that problem.
  const hrefIsSound = entry.paths.length > 0 || entry.outside || !Object.hasOwn(object, 'href');
  for (const field of ['aliases', 'records', 'planned'] as const) {
    if (hrefIsSound && entry.paths.length === 0 && Object.hasOwn(object, field) && object[field] !== undefined) {
      place.problems.push(problem('needs-path', below(place, field).pointer, { value: field }));
    }
  }
  if (entry.records !== null && entry.paths.length > 0 && entry.paramNames.length === 0) {
    place.problems.push(problem('records-without-params', below(place, 'records').pointer, { value: entry.records }));
  }
  if (!hrefIsSound) return;
  for (const name of placeholdersIn(entry.label)) {
    if (entry.paramNames.includes(name)) continue;
    const expected = entry.paramNames.map((param) => `{${param}}`).join(', ');
    const details = { value: name, other: 'label', ...(expected && { expected }) };
    place.problems.push(problem('unknown-placeholder', below(place, 'label').pointer, details));
  }
}

function readHref(value: unknown, place: Place): string | null {
  const href = typeof value === 'string' && value === '' ? value : readText(value, 'href', place);
  if (href === null) return null;
  if (hrefKind(href) !== 'unsafe') return href;
  place.problems.push(problem('unsafe-href', place.pointer, { value: href }));
  return null;
}

function readPaths(href: string, place: Place): readonly Path[] {
  try {
    return parsePathname(href);
  } catch (error) {
    if (!(error instanceof PathSyntaxError)) throw error;
    place.problems.push(problem('path-syntax', place.pointer, { value: href, other: error.message }));
    return [];
  }
}

function readAudience(value: unknown, place: Place): string[] | null {
  const names = readList(value, (member, at) => readName(member, 'the name of an audience', at), place);
  if (Array.isArray(value) && value.length === 0) {
    place.problems.push(problem('empty-text', place.pointer, { value: 'list of audiences' }));
  }
  return names;
}

function readOpens(value: unknown, place: Place): Opens | null {
  return readChoice<Opens>(value, ['same-tab', 'new-tab'], place);
}
