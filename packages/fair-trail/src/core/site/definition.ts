/**
 * What a developer writes: the shape of a `*.site.json` file and of the value given to `defineSite`.
 * The fields that most entries do without are in `field-table.ts`, with all that is made of them.
 */

import type { Localized } from './texts.ts';
import type { WrittenDetails } from './field-table.ts';

/** One node of the site: a page, a section, an outside link or an unlinked group. */
export interface EntryDefinition extends WrittenDetails {
  /** Unique in the file. Letters, digits, `-`, `_` and `.`, beginning with a letter. */
  readonly id: string;
  /** Text, never HTML. `{name}` is replaced by the param of that name. */
  readonly label: Localized;
  /**
   * A site path in the pathname syntax of the URL Pattern standard (`:name`, `*`, `{…}?`), or an `http`, `https`,
   * `mailto` or `tel` address. An entry without one is an unlinked group.
   */
  readonly href?: Localized;
  /** Other site paths of the same place. They count as exact; links keep using `href`. */
  readonly aliases?: readonly string[];
  /** Old site paths, which lead on to `href`. */
  readonly movedFrom?: readonly string[];
  /** The entries below this one. */
  readonly entries?: readonly EntryDefinition[];
}

/** Shows an entry, and its descendants down to `depth` levels (1 is the entry alone). Default depth: 1. */
export interface MenuEntryDefinition<Id extends string = string> {
  readonly entry: Id;
  readonly depth?: number;
  /** Values for the entry's params, for a link to one place of many. */
  readonly params?: Readonly<Record<string, string>>;
}

/** A group that exists only in this menu. */
export interface MenuGroupDefinition<Id extends string = string> {
  readonly label: Localized;
  readonly entries: readonly MenuItemDefinition<Id>[];
}

/** The first of these that the visitor may see. While the audience is not known yet, one cell is kept for all. */
export interface MenuChoiceDefinition<Id extends string = string> {
  readonly either: readonly MenuItemDefinition<Id>[];
}

/** A button that the app handles: sign out, switch the color scheme. */
export interface MenuActionDefinition {
  /** The name that the app gets when the button is activated: letters, digits, `-`, `_` and `.`, beginning with a letter. */
  readonly action: string;
  /** Text, never HTML. */
  readonly label: Localized;
  /** The name of an icon; the app says how a name becomes a drawing. */
  readonly icon?: string;
  /** Who may see it: a visitor in any one of these audiences. Default: everyone. */
  readonly audience?: readonly string[];
}

/** A line between what is before and what is after. */
export interface MenuDividerDefinition {
  readonly divider: true;
}

/**
 * One item of a menu: the id of an entry, or an object that is an entry, a group, a choice, an action or a divider.
 */
export type MenuItemDefinition<Id extends string = string> =
  | Id
  | MenuEntryDefinition<Id>
  | MenuGroupDefinition<Id>
  | MenuChoiceDefinition<Id>
  | MenuActionDefinition
  | MenuDividerDefinition;

/** What the compiler sees of an entry in an imported JSON file. */
export interface EntryShape {
  readonly id: string;
  readonly label: string | object;
  readonly entries?: readonly EntryShape[] | undefined;
}

/**
 * What the compiler sees of a site file that is imported as JSON: there every text is a `string`, so that its values
 * cannot be checked before the site is made. A `SiteDefinition` is one too.
 */
export interface SiteShape {
  readonly name: string | object;
  readonly entries: readonly EntryShape[];
  readonly menus?: object | undefined;
}

/** All pages and menus of one website. */
export interface SiteDefinition<Id extends string = string> {
  readonly $schema?: string;
  readonly name: Localized;
  /** The scheme, host and port under which the site is published, such as `https://marram.example`. */
  readonly origin?: string;
  /** The language of the site, as a BCP 47 tag. Its pages have no prefix. Default: `en`. */
  readonly language?: string;
  /** The other languages; the pages of each lie below a prefix that is its tag. */
  readonly languages?: readonly string[];
  /** The audiences that there are. Where they are listed, a name that is not among them is a problem. */
  readonly audiences?: readonly string[];
  /** The id of the entry that breadcrumbs begin with. Default: the entry at `/`, if there is one. */
  readonly home?: Id;
  /** The document title: `{label}` and `{site}` are replaced. Default: `{label} · {site}`. */
  readonly title?: Localized;
  readonly entries: readonly EntryDefinition[];
  readonly menus?: Readonly<Record<string, readonly MenuItemDefinition<Id>[]>>;
}
