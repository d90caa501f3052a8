import type { Texts } from './texts.ts';
import type { SiteDefinition, SiteShape } from './definition.ts';
import type { Entry } from './entry.ts';
import type { EntryAddress, PathnameMatch } from './match.ts';
import type { Problem } from './problems.ts';

/** A menu item as the site file has it, with its entry found. */
export type MenuNode =
  | {
      readonly kind: 'entry';
      readonly entry: Entry;
      readonly depth: number;
      readonly params: Readonly<Record<string, string>>;
    }
  | { readonly kind: 'group'; readonly labels: Texts; readonly nodes: readonly MenuNode[] }
  | { readonly kind: 'choice'; readonly nodes: readonly MenuNode[] }
  | MenuActionNode
  | { readonly kind: 'divider' };

/** A button in a menu that the app handles. */
export interface MenuActionNode {
  readonly kind: 'action';
  readonly action: string;
  readonly labels: Texts;
  readonly icon: string | null;
  /** As an entry's `audiences`: none, or one list. */
  readonly audiences: readonly (readonly string[])[];
}

export declare const known: unique symbol;

/**
 * All pages and menus of one website, checked. `defineSite` and `loadSite` return it. It never changes.
 *
 * @typeParam Definition what it was made of, so that the compiler knows its ids and params
 */
export interface Site<Definition extends SiteShape = SiteShape> {
  /** Never there: it holds what the compiler knows of the definition. */
  readonly [known]?: Definition;
  readonly name: string;
  readonly names: Texts;
  readonly origin: string | null;
  /** The site's own language. */
  readonly language: string;
  /** All its languages, its own first. */
  readonly languages: readonly string[];
  readonly titles: Texts;
  /** The audiences that there are, where the site lists them. */
  readonly audiences: readonly string[] | null;
  /** The path that every page of the site lies under: empty, or a slash and no slash at the end. */
  readonly base: string;
  /** Whether `/Hides` and `/hides` are different addresses. */
  readonly caseSensitive: boolean;
  readonly home: Entry | null;
  /** The entries of the first level; the rest are below them. */
  readonly entries: readonly Entry[];
  readonly menus: ReadonlyMap<string, readonly MenuNode[]>;
  entry(id: string): Entry | undefined;
  /** What a pathname leads to; null for one outside of the base path. `locate` does the same for whole addresses. */
  find(pathname: string): PathnameMatch | null;
}

/**
 * A site from `defineSite`, with its definition, which a compiled site does not have.
 *
 * @typeParam Definition as `Site`'s
 */
export interface DefinedSite<Definition extends SiteShape = SiteShape> extends Site<Definition> {
  /** What is advised against, but does not stop the site from working. */
  readonly problems: readonly Problem[];
  /** What the site was made of. */
  readonly definition: SiteDefinition;
  /** Every address, alias and old address, for each language. */
  readonly addresses: Readonly<Record<string, readonly EntryAddress[]>>;
}

/** Every node of a list of menu items, each before what is below it. */
export function* everyMenuNode(nodes: readonly MenuNode[]): Generator<MenuNode, void, undefined> {
  for (const node of nodes) {
    yield node;
    if (node.kind === 'group' || node.kind === 'choice') yield* everyMenuNode(node.nodes);
  }
}

/**
 * Iterates over entries and all their descendants, each entry before its descendants.
 *
 * @example
 * const ids = [...everyEntry(site.entries)].map(({ id }) => id);
 */
export function* everyEntry(entries: readonly Entry[]): Generator<Entry, void, undefined> {
  for (const entry of entries) {
    yield entry;
    yield* everyEntry(entry.entries);
  }
}
