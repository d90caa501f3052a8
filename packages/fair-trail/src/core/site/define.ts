import type { Texts } from './texts.ts';
import { parseUrl, readBase } from './address.ts';
import type { SiteDefinition, SiteShape } from './definition.ts';
import type { Entry } from './entry.ts';
import { siteFields } from './field-table.ts';
import {
  readList,
  readName,
  readObject,
  readOptional,
  readRequired,
  readText,
  readTexts,
  FieldLocation,
  type Languages,
} from './fields.ts';
import type { CheckedDefinition, EntryId } from './identifiers.ts';
import { placeholdersIn } from './labels.ts';
import { nearest } from './nearest.ts';
import { problem, SiteError, type Problem } from './problems.ts';
import { readEntries } from './read-entries.ts';
import { checkMenuParams } from './menu-params.ts';
import { readMenus } from './read-menus.ts';
import type { DefinedSite, MenuNode } from './site.ts';
import { findPathname } from './find.ts';

/** Options that depend on where the site is published. */
export interface SiteOptions {
  /** The path that the site is published under, such as `/observatory/`. Default: the root. */
  readonly base?: string;
  /** Whether `/Hides` and `/hides` are different addresses. Default: true. */
  readonly caseSensitive?: boolean;
}

/** What `checkSite` answers: all problems and, unless one of them is fatal, the site. */
export interface SiteCheck {
  readonly site: DefinedSite | null;
  readonly problems: readonly Problem[];
}

const fieldNames = Object.keys(siteFields);

/**
 * Checks a site definition and returns the site.
 *
 * @throws SiteError with every problem, if any of them is fatal. Advisory ones are in `site.problems`.
 * @example
 * const site = defineSite({
 *   name: 'Marram Point Bird Observatory',
 *   entries: [
 *     { id: 'today', label: 'Today', href: '/' },
 *     { id: 'hides', label: 'Hides', href: '/hides' },
 *   ],
 *   menus: { main: ['today', 'hides'] },
 * });
 */
export function defineSite<const Definition extends SiteDefinition>(
  definition: CheckedDefinition<Definition>,
  options?: SiteOptions,
): DefinedSite<Definition>;
/** For an imported JSON file, of whose values the compiler knows little. */
export function defineSite<const Definition extends SiteShape>(
  definition: string extends EntryId<Definition> ? Definition : never,
  options?: SiteOptions,
): DefinedSite<Definition>;
export function defineSite(definition: unknown, options: SiteOptions = {}): DefinedSite {
  const { site, problems } = checkSite(definition, options);
  if (!site) throw new SiteError(problems);
  return site;
}

/**
 * Checks any value as a site definition, like `defineSite`, and returns the problems instead of throwing.
 *
 * @example
 * const { site, problems } = checkSite(JSON.parse(text));
 * for (const { pointer, message, remedy } of problems) console.log(pointer, message, remedy);
 */
export function checkSite(definition: unknown, options: SiteOptions = {}): SiteCheck {
  const problems: Problem[] = [];
  const place = new FieldLocation(problems);
  const object = readObject(definition, fieldNames, place);
  if (!object) return { site: null, problems };
  const optional = <Value>(field: string, read: (value: unknown, at: FieldLocation) => Value | null) =>
    readOptional(object, field, read, place);
  const required = <Value>(
    field: string,
    expected: string,
    read: (value: unknown, at: FieldLocation) => Value | null,
  ) => readRequired(object, field, expected, read, place);

  const base = readBase(options.base ?? '');
  if (base === null) problems.push(problem('base-syntax', '', { value: options.base ?? '' }));
  optional('$schema', (value, at) => readText(value, 'schema', at));
  const own = optional('language', readLanguage) ?? siteFields.language.default;
  const others = optional('languages', (value, at) => readList(value, readLanguage, at)) ?? [];
  const languages: Languages = { own, all: [...new Set([own, ...others])] };
  const names = required('name', 'the name of the website', (value, at) => readTexts(value, 'name', languages, at));
  const origin = optional('origin', readOrigin);
  const audiences = optional('audiences', (value, at) =>
    readList(value, (one, in_) => readName(one, 'the name of an audience', in_), at),
  );
  const titles = optional('title', (value, at) => readTitles(value, languages, at)) ?? {
    [own]: siteFields.title.default,
  };
  const caseSensitive = options.caseSensitive ?? true;
  const context = { languages, audiences, caseSensitive };
  const read = required('entries', 'a list of pages', (value, at) => readEntries(value, context, at));
  const byId = read?.index.byId ?? new Map<string, Entry>();
  const home = optional('home', (value, at) => findHome(value, byId, at)) ?? null;
  const menus = optional('menus', (value, at) => readMenus(value, { byId, languages, audiences }, at));

  if (problems.some(({ severity }) => severity === 'fatal')) return { site: null, problems };
  const site: DefinedSite = {
    name: names?.[own] ?? '',
    names: names ?? {},
    origin,
    language: own,
    languages: languages.all,
    titles,
    audiences,
    base: base ?? '',
    caseSensitive,
    home: home ?? [...byId.values()].find((entry) => entry.isRoot) ?? null,
    entries: read?.entries ?? [],
    menus: menus ?? new Map<string, readonly MenuNode[]>(),
    problems,
    definition: object as unknown as SiteDefinition,
    addresses: read?.index.addresses ?? {},
    entry: (id) => byId.get(id),
    find: (pathname) => findPathname(site, (language) => read?.index.matchers[language], pathname),
  };
  const wrong = checkMenuParams(site);
  problems.push(...wrong);
  return { site: wrong.length > 0 ? null : site, problems };
}

function readOrigin(value: unknown, place: FieldLocation): string | null {
  const text = readText(value, 'origin', place);
  if (text === null) return null;
  const url = parseUrl(text);
  const isWeb = url?.protocol === 'https:' || url?.protocol === 'http:';
  if (url && isWeb && text.replace(/\/$/u, '').toLowerCase() === url.origin) return url.origin;
  place.problems.push(problem('origin-syntax', place.pointer, { value: text }));
  return null;
}

function readLanguage(value: unknown, place: FieldLocation): string | null {
  const text = readText(value, 'language', place);
  if (text === null) return null;
  try {
    new Intl.Locale(text);
    return text;
  } catch {
    place.problems.push(problem('language-syntax', place.pointer, { value: text }));
    return null;
  }
}

function readTitles(value: unknown, languages: Languages, place: FieldLocation): Texts | null {
  const titles = readTexts(value, 'title', languages, place);
  for (const name of new Set(Object.values(titles ?? {}).flatMap(placeholdersIn))) {
    if (name === 'label' || name === 'site') continue;
    const details = { value: name, other: 'title', expected: '{label}, {site}' };
    place.problems.push(problem('unknown-placeholder', place.pointer, details));
  }
  return titles;
}

function findHome(value: unknown, byId: ReadonlyMap<string, Entry>, place: FieldLocation): Entry | null {
  const id = readName(value, 'an id', place);
  if (id === null) return null;
  const entry = byId.get(id);
  const isPlace = entry && !entry.outside && entry.href !== null;
  if (isPlace && entry.paramNames.every((name) => entry.query.includes(name))) return entry;
  const other = entry ? undefined : nearest(id, byId.keys());
  place.problems.push(problem('unknown-home', place.pointer, { value: id, ...(other && { other }) }));
  return null;
}
