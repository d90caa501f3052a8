import { normalizeBase, parseUrl } from './address.ts';
import type { SiteDefinition } from './definition.ts';
import type { Entry } from './entry.ts';
import { readName, readObject, readOptional, readRequired, readText, type Place } from './fields.ts';
import { placeholdersIn } from './labels.ts';
import { createMatcher } from './match.ts';
import { nearest } from './nearest.ts';
import { problem, SiteError, type Problem } from './problems.ts';
import { readEntries } from './read-entries.ts';
import { readMenus } from './read-menus.ts';
import type { Site } from './site.ts';

export interface SiteOptions {
  /** The path that the site is published under, such as `/observatory/`. Default: the root. */
  readonly base?: string;
}

/** What `checkSite` answers: all problems and, unless one of them is fatal, the site. */
export interface SiteCheck {
  readonly site: Site | null;
  readonly problems: readonly Problem[];
}

const siteFields = ['$schema', 'name', 'origin', 'language', 'home', 'title', 'entries', 'menus'] as const;

const defaultTitle = '{label} · {site}';

/**
 * Makes one checked value of a site's pages and menus.
 *
 * @throws SiteError with every problem, if any of them is fatal. Advisory ones are in `site.problems`.
 */
export function defineSite(definition: SiteDefinition, options: SiteOptions = {}): Site {
  const { site, problems } = checkSite(definition, options);
  if (!site) throw new SiteError(problems);
  return site;
}

/** As `defineSite`, for a value that may be anything; never throws for what is in it. */
export function checkSite(definition: unknown, options: SiteOptions = {}): SiteCheck {
  const problems: Problem[] = [];
  const place: Place = { pointer: '', problems };
  const object = readObject(definition, siteFields, place);
  if (!object) return { site: null, problems };

  readOptional(object, '$schema', (v, at) => readText(v, 'schema', at), place);
  const name = readRequired(object, 'name', 'the name of the website', (v, at) => readText(v, 'name', at), place);
  const origin = readOptional(object, 'origin', readOrigin, place) ?? null;
  const language = readOptional(object, 'language', readLanguage, place) ?? 'en';
  const title = readOptional(object, 'title', readTitle, place) ?? defaultTitle;
  const read = readRequired(object, 'entries', 'a list of pages', readEntries, place);
  const { entries, index } = read ?? { entries: [], index: { byId: new Map<string, Entry>(), places: [] } };
  const readHome = (value: unknown, at: Place) => findHome(value, index.byId, at);
  const home = readOptional(object, 'home', readHome, place) ?? entryAtRoot(index.places);
  const menus = readOptional(object, 'menus', (v, at) => readMenus(v, index.byId, at), place) ?? new Map();

  if (problems.some(({ severity }) => severity === 'fatal')) return { site: null, problems };
  const site: Site = {
    name: name ?? '',
    origin,
    language,
    title,
    base: normalizeBase(options.base ?? ''),
    home,
    entries,
    menus,
    problems,
    matcher: createMatcher(index.places),
    entry: (id) => index.byId.get(id),
  };
  return { site, problems };
}

function readOrigin(value: unknown, place: Place): string | null {
  const text = readText(value, 'origin', place);
  if (text === null) return null;
  const url = parseUrl(text);
  const isWeb = url?.protocol === 'https:' || url?.protocol === 'http:';
  if (url && isWeb && text.replace(/\/$/u, '').toLowerCase() === url.origin) return url.origin;
  place.problems.push(problem('origin-syntax', place.pointer, { value: text }));
  return null;
}

function readLanguage(value: unknown, place: Place): string | null {
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

function readTitle(value: unknown, place: Place): string | null {
  const text = readText(value, 'title', place);
  for (const name of placeholdersIn(text ?? '')) {
    if (name === 'label' || name === 'site') continue;
    const details = { value: name, other: 'title', expected: '{label}, {site}' };
    place.problems.push(problem('unknown-placeholder', place.pointer, details));
  }
  return text;
}

function findHome(value: unknown, byId: ReadonlyMap<string, Entry>, place: Place): Entry | null {
  const id = readName(value, 'an id', place);
  if (id === null) return null;
  const entry = byId.get(id);
  if (entry && entry.paths.length > 0 && entry.paramNames.length === 0) return entry;
  const other = entry ? undefined : nearest(id, byId.keys());
  place.problems.push(problem('unknown-home', place.pointer, { value: id, ...(other && { other }) }));
  return null;
}

function entryAtRoot(places: readonly { entry: Entry; path: readonly unknown[] }[]): Entry | null {
  return places.find(({ path }) => path.length === 0)?.entry ?? null;
}
