import { hrefKind } from './address.ts';
import type { EntryDefinition, Opens } from './definition.ts';
import type { Entry, Texts } from './entry.ts';
import {
  below,
  readBoolean,
  readChoice,
  readList,
  readName,
  readNumber,
  readObject,
  readOptional,
  readRequired,
  readText,
  readTexts,
  type Languages,
  type Place,
} from './fields.ts';
import { placeholdersIn } from './labels.ts';
import type { Place as Address } from './match.ts';
import { nearest } from './nearest.ts';
import { namesOf, parsePathname, pathKey, PathSyntaxError, type Path } from './pathname.ts';
import { problem, type ProblemCode } from './problems.ts';

const entryFields = [
  'id',
  'label',
  'href',
  'aliases',
  'movedFrom',
  'query',
  'audience',
  'planned',
  'opens',
  'summary',
  'badge',
  'icon',
  'currentIcon',
  'priority',
  'flex',
  'breadcrumb',
  'records',
  'entries',
] as const;

/** Deeper than any tree that people could find their way in, and shallow enough to recurse over. */
const mostLevels = 32;

/** What reading the entries gathers besides the tree itself. */
export interface EntryIndex {
  readonly byId: ReadonlyMap<string, Entry>;
  /** For each language every address, alias and old address, in the order of the file. */
  readonly addresses: Readonly<Record<string, readonly Address[]>>;
}

/** What the site says before its entries, and they depend on. */
export interface EntryContext {
  readonly languages: Languages;
  /** The audiences that there are; null where the site does not list them. */
  readonly audiences: readonly string[] | null;
}

export function readEntries(
  value: unknown,
  context: EntryContext,
  place: Place,
): { entries: Entry[]; index: EntryIndex } {
  const reader = new EntryReader(context);
  const entries = reader.readSiblings(value, null, 1, place) ?? [];
  return { entries, index: reader };
}

class EntryReader implements EntryIndex {
  readonly byId = new Map<string, Entry>();
  readonly addresses: Readonly<Record<string, Address[]>>;
  readonly #languages: Languages;
  readonly #audiences: readonly string[] | null;
  /** Where each address of a language, without the names of its params, was first written. */
  readonly #written = new Map<string, string>();
  /** The pairs of places whose conflict is reported already. */
  readonly #told = new Set<string>();

  constructor({ languages, audiences }: EntryContext) {
    this.#languages = languages;
    this.#audiences = audiences;
    this.addresses = Object.fromEntries(languages.all.map((language) => [language, []]));
  }

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
    const optional = <Value>(field: string, read: (value: unknown, at: Place) => Value | null) =>
      readOptional(object, field, read, place);
    const texts = (what: string) => (one: unknown, at: Place) => readTexts(one, what, this.#languages, at);
    const named = (what: string) => (one: unknown, at: Place) => readName(one, what, at);

    const id = readRequired(object, 'id', 'a short name for the entry', named('an id'), place);
    const labels = readRequired(object, 'label', 'the text people will read', texts('label'), place) ?? {};
    const hrefs = optional('href', (one, at) => readTexts(one, 'href', this.#languages, at, readHref));
    const href = hrefs?.[this.#languages.own] ?? null;
    const outside = href !== null && hrefKind(href) === 'outside';
    const paths = hrefs && !outside ? this.#readPaths(hrefs, object['href'], below(place, 'href')) : {};
    const pathNames = namesIn(paths[this.#languages.own] ?? []);
    const query = optional('query', (one, at) => readQuery(one, pathNames, at)) ?? [];
    const audience = optional('audience', (one, at) => readAudience(one, this.#audiences, at));
    const children: Entry[] = [];
    const entry: Entry = {
      id: id ?? '',
      label: labels[this.#languages.own] ?? '',
      labels,
      href,
      hrefs,
      outside,
      paths,
      isRoot: Object.values(paths).some((ways) => ways.some((path) => path.length === 0)),
      paramNames: [...pathNames, ...query],
      query,
      audiences: [...(parent?.audiences ?? []), ...(audience ? [audience] : [])],
      planned: optional('planned', readBoolean) ?? false,
      opens: optional('opens', readOpens) ?? 'same-tab',
      summaries: optional('summary', texts('summary')),
      badges: optional('badge', texts('badge')),
      icon: optional('icon', named('the name of an icon')),
      currentIcon: optional('currentIcon', named('the name of an icon')),
      priority: optional('priority', readNumber) ?? 0,
      flex: optional('flex', readFlex),
      breadcrumb: optional('breadcrumb', readBoolean) ?? true,
      records: optional('records', named('the name of records')),
      parent,
      entries: children,
      definition: object as unknown as EntryDefinition,
      pointer: place.pointer,
    };
    if (id !== null) this.#addId(id, entry, below(place, 'id'));
    for (const language of this.#languages.all) {
      const at = typeof object['href'] === 'object' ? below(below(place, 'href'), language) : below(place, 'href');
      const written = hrefs?.[language] ?? href ?? '';
      for (const path of paths[language] ?? []) this.#addAddress(language, { entry, path, moved: false }, written, at);
    }
    optional('aliases', (one, at) => readList(one, (alias, in_) => this.#readOther(alias, entry, false, in_), at));
    optional('movedFrom', (one, at) => readList(one, (old, in_) => this.#readOther(old, entry, true, in_), at));
    checkEntry(object, entry, this.#languages.own, place);
    // The parent must be whole before its children refer to it; only its list of children is filled afterwards.
    children.push(...(optional('entries', (one, at) => this.readSiblings(one, entry, level + 1, at)) ?? []));
    return entry;
  }

  /** The paths of each language; those of a language without an href of its own are the site's own. */
  #readPaths(hrefs: Texts, written: unknown, place: Place): Readonly<Record<string, readonly Path[]>> {
    const { all, own } = this.#languages;
    const ownPaths = readPaths(hrefs[own] ?? '', typeof written === 'object' ? below(place, own) : place);
    const names = namesIn(ownPaths);
    const rows = all.map((language) => {
      const href = hrefs[language];
      if (language === own || href === undefined) return [language, ownPaths] as const;
      const at = below(place, language);
      if (hrefKind(href) !== 'path') at.problems.push(problem('unsafe-href', at.pointer, { value: href }));
      const paths = hrefKind(href) === 'path' ? readPaths(href, at) : [];
      if (paths.length > 0 && ownPaths.length > 0 && !sameNames(namesIn(paths), names)) {
        at.problems.push(problem('params-differ', at.pointer, { value: href, other: hrefs[own] ?? '' }));
      }
      return [language, paths] as const;
    });
    return Object.fromEntries(rows);
  }

  /** An alias or an old address: a path in every language. */
  #readOther(value: unknown, entry: Entry, moved: boolean, place: Place): string | null {
    const written = readHref(value, place);
    if (written === null) return null;
    if (hrefKind(written) !== 'path') {
      place.problems.push(problem('unsafe-href', place.pointer, { value: written }));
      return null;
    }
    const paths = readPaths(written, place);
    const names = namesIn(paths);
    const needed = entry.paramNames.filter((name) => !entry.query.includes(name));
    if (paths.length > 0 && Object.values(entry.paths).some((ways) => ways.length > 0)) {
      // An old address may have had more params than the place has now; what it lacks could not be filled in.
      if (moved ? needed.some((name) => !names.includes(name)) : !sameNames(names, needed)) {
        place.problems.push(problem('params-differ', place.pointer, { value: written, other: entry.href ?? '' }));
      }
    }
    for (const language of this.#languages.all) {
      for (const path of paths) this.#addAddress(language, { entry, path, moved }, written, place);
    }
    return written;
  }

  #addId(id: string, entry: Entry, place: Place): void {
    const known = this.byId.get(id);
    if (known) place.problems.push(problem('duplicate-id', place.pointer, { value: id, other: `${known.pointer}/id` }));
    else this.byId.set(id, entry);
  }

  #addAddress(language: string, address: Address, written: string, place: Place): void {
    const { own, all } = this.#languages;
    const key = `${language} ${pathKey(address.path)}`;
    const known = this.#written.get(key);
    if (known !== undefined) {
      // Two entries that meet in one language often meet in all: that is one mistake.
      const pair = `${place.pointer} ${known}`;
      if (!this.#told.has(pair)) {
        place.problems.push(problem('duplicate-address', place.pointer, { value: written, other: known }));
      }
      this.#told.add(pair);
      return;
    }
    this.#written.set(key, place.pointer);
    const [first] = address.path;
    if (language === own && first?.kind === 'literal' && first.text !== own && all.includes(first.text)) {
      const details = { value: first.text, other: place.pointer };
      place.problems.push(problem('prefix-taken', place.pointer, details));
    }
    this.addresses[language]?.push(address);
  }
}

function namesIn(paths: readonly Path[]): string[] {
  return [...new Set(paths.flat().flatMap(namesOf))];
}

function sameNames(one: readonly string[], other: readonly string[]): boolean {
  return one.length === other.length && one.every((name) => other.includes(name));
}

function checkEntry(object: Readonly<Record<string, unknown>>, entry: Entry, own: string, place: Place): void {
  const report = (code: ProblemCode, field: string, details: Parameters<typeof problem>[2]) =>
    place.problems.push(problem(code, below(place, field).pointer, details));
  const hasPath = (entry.paths[own]?.length ?? 0) > 0;
  // After a problem with the href itself, whatever depends on it would only repeat that problem.
  if (!hasPath && !entry.outside && Object.hasOwn(object, 'href') && object['href'] !== undefined) return;
  for (const field of ['aliases', 'movedFrom', 'query', 'records', 'planned'] as const) {
    if (!hasPath && Object.hasOwn(object, field) && object[field] !== undefined) {
      report('needs-path', field, { value: field });
    }
  }
  if (entry.records !== null && hasPath && entry.paramNames.length === 0) {
    report('records-without-params', 'records', { value: entry.records });
  }
  const unknown = new Set(Object.values(entry.labels).flatMap(placeholdersIn));
  for (const name of entry.paramNames) unknown.delete(name);
  const expected = entry.paramNames.map((param) => `{${param}}`).join(', ');
  for (const name of unknown) {
    report('unknown-placeholder', 'label', { value: name, other: 'label', ...(expected && { expected }) });
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

function readQuery(value: unknown, taken: readonly string[], place: Place): string[] | null {
  return readList(
    value,
    (member, at) => {
      const key = readName(member, 'a key of the query', at);
      if (key !== null && taken.includes(key)) {
        at.problems.push(problem('query-name-taken', at.pointer, { value: key }));
      }
      return key;
    },
    place,
  );
}

function readAudience(value: unknown, known: readonly string[] | null, place: Place): string[] | null {
  const readOne = (member: unknown, at: Place) => {
    const name = readName(member, 'the name of an audience', at);
    if (name !== null && known?.includes(name) === false) {
      const other = nearest(name, known);
      at.problems.push(problem('unknown-audience', at.pointer, { value: name, ...(other && { other }) }));
    }
    return name;
  };
  const names = readList(value, readOne, place);
  if (Array.isArray(value) && value.length === 0) {
    place.problems.push(problem('empty-text', place.pointer, { value: 'list of audiences' }));
  }
  return names;
}

function readOpens(value: unknown, place: Place): Opens | null {
  return readChoice<Opens>(value, ['same-tab', 'new-tab'], place);
}

/** CSS Flexbox section 7.1.1: a keyword, or grow and shrink in numbers with a basis at either end. */
const flexSyntax = new RegExp(
  ['none|auto|initial', '{n}', '{n} {n}', '{n} {b}', '{n} {n} {b}', '{b}', '{b} {n}', '{b} {n} {n}']
    .map((form) =>
      form.replaceAll('{n}', '\\d*\\.?\\d+').replaceAll('{b}', '(?:auto|content|0|\\d*\\.?\\d+(?:[a-z]+|%))'),
    )
    .map((form) => `(?:${form})`)
    .join('|')
    .replace(/^/u, '^(?:')
    .replace(/$/u, ')$'),
  'u',
);

function readFlex(value: unknown, place: Place): string | null {
  const text = readText(value, 'flex', place);
  if (text === null || flexSyntax.test(text.trim().replace(/\s+/gu, ' '))) return text;
  place.problems.push(problem('flex-syntax', place.pointer, { value: text }));
  return null;
}
