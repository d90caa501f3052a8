import type { Entry } from './entry.ts';

/** What a menu item shows of the position: `page` on the page itself, `section` on an ancestor, or null. */
export type Mark = 'page' | 'section' | null;

/**
 * What an item is: a `link`; a `group` of others without an address; an `action`, which is a button; a `divider`; a
 * `reserved` cell, kept for what a visitor may turn out to see; or, instead of records, that they are `loading`, that it `failed`, or that there
 * are none (`empty`).
 */
export type MenuItemKind = 'link' | 'group' | 'action' | 'divider' | 'reserved' | 'loading' | 'failed' | 'empty';

/** One item of a menu, ready to be drawn. */
export interface MenuItem {
  readonly kind: MenuItemKind;
  /** Null for actions, dividers and reserved cells, and for a group that exists only in the menu. */
  readonly entry: Entry | null;
  readonly params: Readonly<Record<string, string>>;
  /** The name that the app gets when the button is activated; null for every other kind. */
  readonly action: string | null;
  /**
   * For an action that is one of a choice: a name of the choice. Its button stays the same one, and keeps focus, as
   * "Sign in" becomes "Sign out".
   */
  readonly choice: string | null;
  /** Empty where there is nothing to say: a reserved cell does not tell what it may become. */
  readonly label: string;
  /**
   * The longest label that may stand in its place, depending on the visitor. A bar keeps the room for it, without showing it.
   * Null if the item does not depend on the visitor, or is shown and has no alternative.
   */
  readonly longest: string | null;
  /** Null if it cannot be followed. A `link` without an address is disabled: its page is planned. */
  readonly href: string | null;
  readonly summary: string | null;
  readonly badge: string | null;
  /** What is said instead of the badge; null if the badge says it itself. */
  readonly spokenBadge: string | null;
  /** The name of the icon: the entry's `currentIcon` while it is marked. */
  readonly icon: string | null;
  readonly mark: Mark;
  readonly items: readonly MenuItem[];
}
