import type { Entry } from './entry.ts';
import type { Matcher } from './match.ts';
import type { Problem } from './problems.ts';

/** A menu item as the site file has it, with its entry found. */
export type MenuNode =
  | { readonly kind: 'entry'; readonly entry: Entry; readonly depth: number }
  | { readonly kind: 'group'; readonly label: string; readonly nodes: readonly MenuNode[] };

/** All pages and menus of one website, checked. Made by `defineSite`; never changes. */
export interface Site {
  readonly name: string;
  readonly origin: string | null;
  readonly language: string;
  readonly title: string;
  /** The path that every page of the site lies under: empty, or a slash and no slash at the end. */
  readonly base: string;
  readonly home: Entry | null;
  /** The entries of the first level; the rest are below them. */
  readonly entries: readonly Entry[];
  readonly menus: ReadonlyMap<string, readonly MenuNode[]>;
  /** What is advised against, but does not stop the site from working. */
  readonly problems: readonly Problem[];
  readonly matcher: Matcher;
  entry(id: string): Entry | undefined;
}
