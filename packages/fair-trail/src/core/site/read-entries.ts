import { nothingByLanguage, textIn, type Texts } from './texts.ts';
import { hrefKind } from './address.ts';
import { entryPointer, type Entry } from './entry.ts';
import {
  type FieldLocation,
  type Languages,
  below,
  pointerTo,
  readList,
  readName,
  readObject,
  readOptional,
  readRequired,
  readTexts,
} from './fields.ts';
import { checkEntry, checkKinds } from './check-entry.ts';
import { createAddressIndex, folding, type AddressIndex, type EntryAddress } from './match.ts';
import { writeTemplate } from './path-template.ts';
import type { Path } from './path.ts';
import { SiteEntry } from './site-entry.ts';
import { problem } from './problems.ts';
import { namesIn, namesOfPath, readHref, readPaths, sameNames } from './read-address.ts';
import { entryFields, none } from './field-table.ts';
import { readDetails, type EntryContext } from './read-details.ts';

const fieldNames = Object.keys(entryFields);

/** The fields of other addresses, and whether those lead on to the entry's own. */
const otherAddresses = [
  ['aliases', false],
  ['movedFrom', true],
] as const;

/** Deeper than any tree that people could find their way in, and shallow enough to recurse over. */
const mostLevels = 32;

/** What reading the entries gathers besides the tree itself. */
export interface EntryIndex {
  readonly byId: ReadonlyMap<string, Entry>;
  /** For each language every address, alias and old address, in the order of the file. */
  readonly addresses: Readonly<Record<string, readonly EntryAddress[]>>;
  /** Finds them, for each language. */
  readonly matchers: Readonly<Record<string, AddressIndex<EntryAddress>>>;
}

export function readEntries(
  value: unknown,
  context: EntryContext,
  place: FieldLocation,
): { entries: Entry[]; index: EntryIndex } {
  const reader = new EntryReader(context);
  const entries = reader.read(value, place);
  return { entries, index: reader };
}

class EntryReader implements EntryIndex {
  readonly byId = new Map<string, Entry>();
  readonly addresses: Readonly<Record<string, EntryAddress[]>>;
  readonly matchers: Readonly<Record<string, AddressIndex<EntryAddress>>>;
  readonly #languages: Languages;
  readonly #context: EntryContext;
  /** The pairs of places whose conflict is reported already. */
  readonly #reported = new Set<string>();
  readonly #fold: (text: string) => string;
  /** The first segments of the addresses in other languages than the site's own. */
  readonly #prefixes: ReadonlySet<string>;
  /** The objects without an id that were read. Those with one are found again by it. */
  readonly #nameless = new Map<object, FieldLocation>();
  /** The list that the site begins with. */
  #source: unknown = null;

  constructor(context: EntryContext) {
    const { languages, caseSensitive } = context;
    this.#context = context;
    this.#languages = languages;
    this.#fold = folding(caseSensitive);
    const own = this.#fold(languages.own);
    this.#prefixes = new Set(languages.all.map(this.#fold).filter((prefix) => prefix !== own));
    this.addresses = Object.fromEntries(languages.all.map((language) => [language, []]));
    this.matchers = Object.fromEntries(languages.all.map((tag) => [tag, createAddressIndex(caseSensitive)]));
  }

  read(value: unknown, place: FieldLocation): Entry[] {
    this.#source = value;
    return this.readSiblings(value, null, 1, place) ?? [];
  }

  readSiblings(value: unknown, parent: Entry | null, level: number, place: FieldLocation): Entry[] | null {
    if (level > mostLevels) {
      place.problems.push(problem('too-deep', place.pointer, { expected: String(mostLevels) }));
      return null;
    }
    return readList(value, (member, at, index) => this.#readEntry(member, parent, level, index, at), place);
  }

  #readEntry(value: unknown, parent: Entry | null, level: number, index: number, place: FieldLocation): Entry | null {
    const object = readObject(value, fieldNames, place);
    if (!object) return null;
    const id = readRequired(object, 'id', 'a short name for the entry', readId, place);
    const before = this.#pointerOfSame(object, id, place);
    if (before !== null) {
      place.problems.push(problem('entry-repeats', place.pointer, { other: before }));
      return null;
    }
    const labels =
      readRequired(object, 'label', 'the text people will read', this.#readLabel, place) ?? nothingByLanguage;
    const hrefs = object['href'] === undefined ? null : readOptional(object, 'href', this.#readHrefs, place);
    const href = hrefs?.[this.#languages.own] ?? null;
    const outside = href !== null && hrefKind(href) === 'outside';
    if (hrefs && this.#languages.all.length > 1) checkKinds(hrefs, href ?? '', below(place, 'href'));
    const paths = hrefs && !outside ? this.#readPaths(hrefs, object['href'], below(place, 'href')) : nothingByLanguage;
    const pathNames = namesIn(paths[this.#languages.own] ?? none);
    const details = readDetails(object, pathNames, this.#context, place);
    const templates = templatesOf(paths, this.#languages.own);
    const children: Entry[] = [];
    const entry = SiteEntry.create(
      {
        id: id ?? '',
        label: labels[this.#languages.own] ?? '',
        labels,
        href,
        hrefs,
        outside,
        templates,
        isRoot: isRoot(templates),
        paramNames: details.query.length === 0 ? pathNames : [...pathNames, ...details.query],
        audiences: details.audience ? [...(parent?.audiences ?? none), details.audience] : (parent?.audiences ?? none),
        parent,
        entries: children,
        index,
      },
      details,
    );
    if (id !== null) this.#addId(id, entry, place);
    for (const language of this.#languages.all) {
      const field = typeof object['href'] === 'object' ? pointerTo('/href', language) : '/href';
      const written = (hrefs && textIn(hrefs, language, this.#languages.own)) ?? '';
      for (const path of paths[language] ?? []) {
        this.#addAddress(language, { entry, path, names: namesOfPath(path), moved: false, field }, written, place);
      }
    }
    for (const [field, moved] of otherAddresses) {
      if (object[field] === undefined) continue;
      const readOther = (one: unknown, at: FieldLocation, index_: number) => {
        return this.#readOther(one, { entry, moved, field: `/${field}/${index_}` }, at);
      };
      readOptional(object, field, (list, at) => readList(list, readOther, at), place);
    }
    checkEntry(object, entry, this.#languages.own, place);
    if (object['entries'] === undefined) return entry;
    // The parent must be whole before its children refer to it; only its list of children is filled afterwards.
    const readBelow = (list: unknown, at: FieldLocation) => this.readSiblings(list, entry, level + 1, at);
    children.push(...(readOptional(object, 'entries', readBelow, place) ?? []));
    return entry;
  }

  readonly #readLabel = (value: unknown, at: FieldLocation) => readTexts(value, 'label', this.#languages, at);

  readonly #readHrefs = (value: unknown, at: FieldLocation) => readTexts(value, 'href', this.#languages, at, readHref);

  /** The paths of each language; those of a language without an href of its own are the site's own. */
  #readPaths(hrefs: Texts, written: unknown, place: FieldLocation): Readonly<Record<string, readonly Path[]>> {
    const { all, own } = this.#languages;
    const ownPaths = readPaths(hrefs[own] ?? '', typeof written === 'object' ? below(place, own) : place);
    if (all.length === 1) return { [own]: ownPaths };
    const names = namesIn(ownPaths);
    const rows = all.map((language) => {
      const href = Object.hasOwn(hrefs, language) ? hrefs[language] : undefined;
      if (language === own || href === undefined) return [language, ownPaths] as const;
      const at = below(place, language);
      const paths = hrefKind(href) === 'path' ? readPaths(href, at) : [];
      if (paths.length > 0 && ownPaths.length > 0 && !sameNames(namesIn(paths), names)) {
        at.problems.push(problem('params-differ', at.pointer, { value: href, other: hrefs[own] ?? '' }));
      }
      return [language, paths] as const;
    });
    return Object.fromEntries(rows);
  }

  /** An alias or an old address: a path in every language. */
  #readOther(
    value: unknown,
    known: Pick<EntryAddress, 'entry' | 'moved' | 'field'>,
    place: FieldLocation,
  ): string | null {
    const { entry, moved } = known;
    const written = readHref(value, place);
    if (written === null) return null;
    if (hrefKind(written) !== 'path') {
      place.problems.push(problem('unsafe-href', place.pointer, { value: written }));
      return null;
    }
    const paths = readPaths(written, place);
    const names = namesIn(paths);
    const needed = entry.paramNames.filter((name) => !entry.query.includes(name));
    if (paths.length > 0 && Object.values(entry.templates).some((ways) => ways.length > 0)) {
      // An old address may have had more params than the place has now; what it lacks could not be filled in.
      if (moved ? needed.some((name) => !names.includes(name)) : !sameNames(names, needed)) {
        place.problems.push(problem('params-differ', place.pointer, { value: written, other: entry.href ?? '' }));
      }
    }
    for (const language of this.#languages.all) {
      for (const path of paths) {
        this.#addAddress(language, { ...known, path, names: namesOfPath(path) }, written, place);
      }
    }
    return written;
  }

  /** Where the very same object was read before; null if it was not. One that holds itself would never end. */
  #pointerOfSame(object: object, id: string | null, place: FieldLocation): string | null {
    if (id === null) {
      const before = this.#nameless.get(object);
      this.#nameless.set(object, before ?? place);
      return before?.pointer ?? null;
    }
    const known = this.byId.get(id);
    return known && this.#sourceOf(known) === object ? entryPointer(known) : null;
  }

  /** What an entry was read from. */
  #sourceOf({ parent, index }: Entry): unknown {
    const list = parent ? (this.#sourceOf(parent) as Readonly<Record<string, unknown>>)['entries'] : this.#source;
    return Array.isArray(list) ? (list as unknown[])[index] : null;
  }

  #addId(id: string, entry: Entry, place: FieldLocation): void {
    const known = this.byId.get(id);
    if (known) {
      const { pointer } = below(place, 'id');
      place.problems.push(problem('duplicate-id', pointer, { value: id, other: `${entryPointer(known)}/id` }));
    } else {
      this.byId.set(id, entry);
    }
  }

  #addAddress(language: string, address: EntryAddress, written: string, { problems }: FieldLocation): void {
    const { own } = this.#languages;
    const known = this.matchers[language]?.add(address);
    if (known) {
      // Two entries that meet in one language often meet in all: that is one mistake.
      const [here, there] = [pointerOf(address), pointerOf(known)];
      const pair = `${here} ${there}`;
      if (!this.#reported.has(pair))
        problems.push(problem('duplicate-address', here, { value: written, other: there }));
      this.#reported.add(pair);
      return;
    }
    const [first] = address.path;
    if (language === own && first?.kind === 'literal' && this.#prefixes.has(this.#fold(first.text))) {
      const pointer = pointerOf(address);
      problems.push(problem('prefix-taken', pointer, { value: first.text, other: pointer }));
    }
    this.addresses[language]?.push(address);
  }
}

/** The paths as an entry keeps them: those of a language that has none of its own are the site's own. */
function templatesOf(paths: Readonly<Record<string, readonly Path[]>>, own: string): Entry['templates'] {
  const ownPaths = paths[own];
  if (!ownPaths) return nothingByLanguage;
  const templates: Record<string, readonly string[]> = { [own]: ownPaths.map(writeTemplate) };
  for (const language of Object.keys(paths)) {
    const list = paths[language];
    if (list && list !== ownPaths) templates[language] = list.map(writeTemplate);
  }
  return templates;
}

/** Whether one of the paths is `/`. */
function isRoot(templates: Entry['templates']): boolean {
  for (const language of Object.keys(templates)) if (templates[language]?.includes('/')) return true;
  return false;
}

function pointerOf({ entry, field }: EntryAddress): string {
  return `${entryPointer(entry)}${field}`;
}

function readId(value: unknown, place: FieldLocation): string | null {
  return readName(value, 'an id', place);
}
