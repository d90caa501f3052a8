import { type Localized, nothingByLanguage, type Texts } from './texts.ts';
import { errorText } from '../error-texts.ts';
import { isCompiledForm, isSite } from './check-loaded.ts';
import { compiledVersion, type CompiledEntry, type CompiledMenuItem, type CompiledSite } from './compiled.ts';
import type { SiteShape } from './definition.ts';
import type { Entry } from './entry.ts';
import { detailNames, noDetails, none, type ReadDetails } from './field-table.ts';
import { findPathname } from './find.ts';
import { createAddressIndex, type AddressIndex, type PathnameMatch } from './match.ts';
import { namesInTemplate, readTemplate, type PathTemplate } from './path-template.ts';
import { SiteEntry } from './site-entry.ts';
import type { MenuNode, Site } from './site.ts';

/**
 * Loads a compiled site. The result works like the site that `defineSite` returns for the same definition.
 *
 * @param compiled what `compileSite` or the command `fair-trail compile` wrote; it may have been JSON in between. Only its
 *   form is checked: load what your own build wrote.
 * @throws TypeError for a value that another version of the library compiled, and for one with fields of other types
 * @example
 * const site = loadSite(compiled);
 * locate(site, '/hides').status; // 'exact'
 */
export function loadSite<Definition extends SiteShape>(compiled: CompiledSite<Definition>): Site<Definition> {
  // What comes of a file may be anything.
  const { compiled: version } = (compiled as { readonly compiled?: unknown } | null) ?? {};
  if (version !== compiledVersion) throw new TypeError(errorText('compiled-version'));
  if (!isCompiledForm(compiled)) throw new TypeError(errorText('compiled-broken'));
  return load(compiled) as Site<Definition>;
}

const loaded = new WeakMap<CompiledSite, Site>();

/**
 * A site that may be compiled. One value is loaded once, so that what is remembered of a site stays known.
 *
 * @throws TypeError for what is neither
 */
export function siteOf(site: Site | CompiledSite): Site {
  if (isSite(site)) return site;
  // Without types, anything may be given for a site.
  const given: unknown = site;
  if (typeof given !== 'object' || given === null || !('compiled' in given)) {
    throw new TypeError(errorText('site-expected'));
  }
  const compiled = given as CompiledSite;
  const known = loaded.get(compiled) ?? loadSite(compiled);
  loaded.set(compiled, known);
  return known;
}

function load(compiled: CompiledSite): Site {
  const { language: own, languages = none, base = '', home, menus = {} } = compiled;
  const byId = new Map<string, Entry>();
  const templates: (readonly [Entry, CompiledEntry])[] = [];
  const textsOf = (text: Localized): Texts => (typeof text === 'string' ? { [own]: text } : text);
  const optionalTexts = (text: Localized | undefined) => (text === undefined ? null : textsOf(text));

  const loadDetails = (one: CompiledEntry): ReadDetails => {
    let details: Record<string, unknown> | undefined;
    for (const { name, type, readAs } of detailNames) {
      const value = one[name];
      if (value === undefined) continue;
      details ??= { ...noDetails };
      details[readAs] = type === 'localized' ? textsOf(value as Localized) : value;
    }
    return (details as ReadDetails | undefined) ?? noDetails;
  };

  const loadEntry = (one: CompiledEntry, parent: Entry | null, index: number): Entry => {
    const labels = textsOf(one.label);
    const hrefs = optionalTexts(one.href);
    const written = templatesOf(one, own);
    const { query = none } = one;
    const audiences = parent?.audiences ?? none;
    const entries: Entry[] = [];
    const entry = SiteEntry.create(
      {
        id: one.id,
        label: labels[own] ?? '',
        labels,
        href: hrefs?.[own] ?? null,
        hrefs,
        outside: one.outside ?? false,
        templates: written,
        isRoot: Object.values(written).some((list) => list.includes('/')),
        paramNames: paramNamesIn(written[own] ?? none, query),
        audiences: one.audience ? [...audiences, one.audience] : audiences,
        parent,
        entries,
        index,
      },
      loadDetails(one),
    );
    byId.set(entry.id, entry);
    templates.push([entry, one]);
    // The entries below refer to the one above them, so that one must be there first.
    one.entries?.forEach((child, place) => entries.push(loadEntry(child, entry, place)));
    return entry;
  };

  const entryOf = (id: string): Entry => {
    const entry = byId.get(id);
    if (!entry) throw new TypeError(errorText('compiled-broken'));
    return entry;
  };

  const loadItems = (items: readonly CompiledMenuItem[]): readonly MenuNode[] =>
    items.map((item): MenuNode => {
      if (typeof item === 'string') return { kind: 'entry', entry: entryOf(item), depth: 1, params: {} };
      if ('entry' in item) return { kind: 'entry', depth: 1, params: {}, ...item, entry: entryOf(item.entry) };
      if ('divider' in item) return { kind: 'divider' };
      if ('either' in item) return { kind: 'choice', nodes: loadItems(item.either) };
      const labels = textsOf(item.label);
      if ('entries' in item) return { kind: 'group', labels, nodes: loadItems(item.entries) };
      const { action, icon = null, audience } = item;
      return { kind: 'action', action, labels, icon, audiences: audience ? [audience] : none };
    });

  const indexes = new Map<string, AddressIndex>();
  /** The addresses of a language; no one pays for them before the first is looked up. */
  const indexOf = (language: string): AddressIndex => {
    const known = indexes.get(language);
    if (known) return known;
    const index = createAddressIndex(site.caseSensitive);
    indexes.set(language, index);
    const add = (entry: Entry, list: readonly PathTemplate[] = none, moved = false) => {
      for (const template of list) {
        index.add({ entry, path: readTemplate(template), names: namesInTemplate(template), moved });
      }
    };
    for (const [entry, { aliases, movedFrom }] of templates) {
      add(entry, entry.templates[language] ?? entry.templates[own]);
      add(entry, aliases);
      add(entry, movedFrom, true);
    }
    return index;
  };

  let lookups = 0;
  /**
   * The entry whose own path is written just so: text is the most specific that there is, so nothing else could be meant. A
   * visitor who has come to a page need not wait for the index of all.
   */
  const findWritten = (pathname: string): PathnameMatch | null => {
    lookups += 1;
    if (lookups > lookupsWithoutIndex || site.languages.length > 1 || base !== '' || !plainPath.test(pathname))
      return null;
    const entry = templates.find(([one]) => one.templates[own]?.includes(pathname) === true)?.[0];
    return entry ? { language: own, match: { entry, params: {}, exact: true, moved: false } } : null;
  };

  const names = textsOf(compiled.name);
  const entries = compiled.entries.map((one, index) => loadEntry(one, null, index));
  const site: Site = {
    name: names[own] ?? '',
    names,
    origin: compiled.origin ?? null,
    language: own,
    languages: [own, ...languages],
    titles: textsOf(compiled.title),
    audiences: compiled.audiences ?? null,
    base,
    caseSensitive: !compiled.ignoresCase,
    home: byId.get(home ?? '') ?? null,
    entries,
    menus: new Map(Object.entries(menus).map(([menu, items]) => [menu, loadItems(items)])),
    entry: (id) => byId.get(id),
    find: (pathname) => findWritten(pathname) ?? findPathname(site, indexOf, pathname),
  };
  return site;
}

/** So many addresses are looked for one by one, before an index of all pays for itself. */
const lookupsWithoutIndex = 8;

/** A path that is read as it is written: no character of it has a meaning of its own. */
const plainPath = /^(?:\/[\w-]+)+$|^\/$/u;

/** The names of an entry's params, each once, and after them the keys of its query. */
function paramNamesIn(templates: readonly PathTemplate[], query: readonly string[]): readonly string[] {
  const names = templates.flatMap((template) => (template.includes('{') ? namesInTemplate(template) : none));
  return names.length + query.length === 0 ? none : [...new Set([...names, ...query])];
}

/** The templates of an entry, by language. A path that is its own template is not written twice. */
function templatesOf({ href, outside, templates = [href as string] }: CompiledEntry, own: string): Entry['templates'] {
  if (href === undefined || outside) return nothingByLanguage;
  return Array.isArray(templates) ? { [own]: templates as readonly string[] } : (templates as Entry['templates']);
}
