import type { Localized, Texts } from './texts.ts';
import { compiledVersion, type CompiledEntry, type CompiledMenuItem, type CompiledSite } from './compiled.ts';
import { writeTemplate } from './path-template.ts';
import type { SiteShape } from './definition.ts';
import type { Entry } from './entry.ts';
import { detailNames, type WrittenDetails } from './field-table.ts';
import type { EntryAddress } from './match.ts';
import type { DefinedSite, MenuNode } from './site.ts';

/**
 * Compiles a site to a JSON value that loads without the checks and their messages.
 *
 * @returns the value to give to `loadSite` or to `Trail`; base path and case are those of the site
 * @example
 * writeFileSync('site.compiled.json', JSON.stringify(compileSite(site)));
 */
export function compileSite<Definition extends SiteShape>(site: DefinedSite<Definition>): CompiledSite<Definition> {
  const { language, languages, names, titles, origin, audiences, base, caseSensitive, home } = site;
  const compiler = new Compiler(site);
  const menus = [...site.menus].map(([menu, nodes]) => [menu, nodes.map((node) => compiler.menuItem(node))] as const);
  return {
    compiled: compiledVersion,
    name: compiler.text(names),
    title: compiler.text(titles),
    language,
    ...(languages.length > 1 && { languages: languages.slice(1) }),
    ...(origin !== null && { origin }),
    ...(audiences && { audiences }),
    ...(base !== '' && { base }),
    ...(!caseSensitive && { ignoresCase: true }),
    ...(home && { home: home.id }),
    entries: site.entries.map((entry) => compiler.entry(entry)),
    ...(menus.length > 0 && { menus: Object.fromEntries(menus) }),
  };
}

class Compiler {
  readonly #own: string;
  /** The aliases and old addresses of each entry; they are the same in every language. */
  readonly #others = new Map<Entry, EntryAddress[]>();

  constructor({ language, addresses }: DefinedSite) {
    this.#own = language;
    for (const address of addresses[language] ?? []) {
      if (address.field.startsWith('/href')) continue;
      const others = this.#others.get(address.entry);
      if (others) others.push(address);
      else this.#others.set(address.entry, [address]);
    }
  }

  /** A text in the site's own language alone is written as it is. */
  text(texts: Texts): Localized {
    const own = texts[this.#own];
    return own !== undefined && Object.keys(texts).length === 1 ? own : texts;
  }

  entry(entry: Entry): CompiledEntry {
    const others = this.#others.get(entry) ?? [];
    const aliases = others.filter(({ moved }) => !moved).map(({ path }) => writeTemplate(path));
    const movedFrom = others.filter(({ moved }) => moved).map(({ path }) => writeTemplate(path));
    const inherited = entry.parent?.audiences.length ?? 0;
    const audience = entry.audiences[inherited];
    return {
      id: entry.id,
      label: this.text(entry.labels),
      ...(entry.hrefs && { href: this.text(entry.hrefs) }),
      ...(entry.outside && { outside: true }),
      ...this.#templates(entry),
      ...(aliases.length > 0 && { aliases }),
      ...(movedFrom.length > 0 && { movedFrom }),
      ...this.#details(entry),
      ...(audience && { audience }),
      ...(entry.entries.length > 0 && { entries: entry.entries.map((child) => this.entry(child)) }),
    };
  }

  /** What differs from the defaults. */
  #details(entry: Entry): WrittenDetails {
    const rows = detailNames.flatMap(({ name, type, readAs, usual }) => {
      const value = entry[readAs as keyof Entry];
      if (name === 'audience' || value === usual) return [];
      return [[name, type === 'localized' ? this.text(value as Texts) : value] as const];
    });
    return Object.fromEntries(rows);
  }

  #templates({ templates, hrefs, outside }: Entry): Pick<CompiledEntry, 'templates'> {
    if (!hrefs || outside) return {};
    const own = templates[this.#own] ?? [];
    if (Object.keys(templates).length > 1) return { templates };
    return own.length === 1 && own[0] === this.text(hrefs) ? {} : { templates: own };
  }

  menuItem(node: MenuNode): CompiledMenuItem {
    switch (node.kind) {
      case 'divider':
        return { divider: true };
      case 'choice':
        return { either: node.nodes.map((child) => this.menuItem(child)) };
      case 'group':
        return { label: this.text(node.labels), entries: node.nodes.map((child) => this.menuItem(child)) };
      case 'action': {
        const { action, labels, icon, audiences } = node;
        const [audience] = audiences;
        return { action, label: this.text(labels), ...(icon !== null && { icon }), ...(audience && { audience }) };
      }
      case 'entry': {
        const { entry, depth, params } = node;
        const hasParams = Object.keys(params).length > 0;
        if (depth === 1 && !hasParams) return entry.id;
        return { entry: entry.id, ...(depth !== 1 && { depth }), ...(hasParams && { params }) };
      }
    }
  }
}
