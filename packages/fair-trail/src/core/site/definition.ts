/**
 * What a developer writes: the shape of a `*.site.json` file and of the value given to `defineSite`.
 * The JSON Schema `site.schema.json` says the same for editors; a test holds the two together.
 */

/** Where an outside link opens. The default is the same tab. */
export type Opens = 'same-tab' | 'new-tab';

/** One node of the site: a page, a section, an outside link or an unlinked group. */
export interface EntryDefinition {
  /** Unique in the file. Letters, digits, `-`, `_` and `.`, beginning with a letter. */
  readonly id: string;
  /** Text, never HTML. `{name}` is replaced by the param of that name. */
  readonly label: string;
  /**
   * A site path in the pathname syntax of the URL Pattern standard (`:name`, `*`, `{…}?`), or an `http`, `https`,
   * `mailto` or `tel` address. An entry without one is an unlinked group.
   */
  readonly href?: string;
  /** Other site paths of the same place. They count as exact; links keep using `href`. */
  readonly aliases?: readonly string[];
  /** Who may see the entry and all below it: a visitor in any one of these audiences. Default: everyone. */
  readonly audience?: readonly string[];
  /** The page does not exist yet. */
  readonly planned?: boolean;
  /** Default: `same-tab`. */
  readonly opens?: Opens;
  /** The name of an icon; the app says how a name becomes a drawing. */
  readonly icon?: string;
  /** The name of the list that gives this entry its pages at run time. The `href` must have params. */
  readonly records?: string;
  /** The entries below this one. */
  readonly entries?: readonly EntryDefinition[];
}

/** Shows an entry, and its descendants down to `depth` levels (1 is the entry alone). Default depth: 1. */
export interface MenuEntryDefinition {
  readonly entry: string;
  readonly depth?: number;
}

/** A group that exists only in this menu. */
export interface MenuGroupDefinition {
  readonly label: string;
  readonly entries: readonly MenuItemDefinition[];
}

/** One place in a menu: an entry's id, an entry with options, or a group with a label of its own. */
export type MenuItemDefinition = string | MenuEntryDefinition | MenuGroupDefinition;

/** All pages and menus of one website. */
export interface SiteDefinition {
  readonly $schema?: string;
  readonly name: string;
  /** The scheme, host and port under which the site is published, such as `https://marram.example`. */
  readonly origin?: string;
  /** The language of the labels, as a BCP 47 tag. Default: `en`. */
  readonly language?: string;
  /** The id of the entry that breadcrumbs begin with. Default: the entry at `/`, if there is one. */
  readonly home?: string;
  /** The document title: `{label}` and `{site}` are replaced. Default: `{label} · {site}`. */
  readonly title?: string;
  readonly entries: readonly EntryDefinition[];
  readonly menus?: Readonly<Record<string, readonly MenuItemDefinition[]>>;
}
