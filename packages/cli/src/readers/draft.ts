import type { EntryDefinition, MenuItemDefinition, SiteDefinition } from 'fair-trail';
import { decodeSegment } from 'fair-trail/internal/core';
import { plainLetters } from '../plain-letters.ts';

/** A page as a reader found it, before it has an id. */
export interface DraftPage {
  label: string;
  /** A site path or an outside address; null for a group. */
  href: string | null;
  readonly aliases?: readonly string[];
  readonly movedFrom?: string[];
  readonly pages: DraftPage[];
}

/** A menu as a reader found it. */
export interface DraftMenu {
  readonly name: string;
  readonly items: readonly DraftItem[];
}

export type DraftItem =
  | { readonly page: DraftPage; readonly depth?: number }
  | { readonly label: string; readonly items: readonly DraftItem[] };

/** What a reader makes of a file or folder. */
export interface Draft {
  readonly name: string;
  readonly origin: string | null;
  readonly language: string | null;
  readonly pages: readonly DraftPage[];
  readonly menus: readonly DraftMenu[];
  /** All that was not written down anywhere and had to be guessed, each a sentence. */
  readonly guesses: readonly string[];
  /** All that is not in the draft although the input has it, each with its reason. */
  readonly leftOut: readonly string[];
}

/** A language as pages write it, as a tag of BCP 47; null for none, and for one that is none, which is noted. */
export function languageTag(written: string | null, leftOut: string[]): string | null {
  const tag = written?.trim().replaceAll('_', '-') ?? '';
  if (tag === '') return null;
  try {
    new Intl.Locale(tag);
    return tag;
  } catch {
    leftOut.push(`the language "${tag}": it is not a language tag of BCP 47.`);
    return null;
  }
}

/** More in a list than this would be a menu that no one reads. */
const longestMenu = 12;

/** The draft as a site file that a person can go on with. */
export function toDefinition(draft: Draft): SiteDefinition {
  const ids = new Map<DraftPage, string>();
  const taken = new Ids();
  const entries = draft.pages.map((page) => toEntry(page, '', ids, taken));
  const menus = draft.menus.map(({ name, items }) => [name, items.map((item) => toItem(item, ids))] as const);
  const main = draft.pages.slice(0, longestMenu).flatMap((page) => ids.get(page) ?? []);
  return {
    $schema: './node_modules/fair-trail/site.schema.json',
    name: draft.name,
    ...(draft.origin !== null && { origin: draft.origin }),
    ...(draft.language !== null && { language: draft.language }),
    entries,
    menus: menus.length > 0 ? Object.fromEntries(menus) : { main },
  };
}

function toEntry(page: DraftPage, parentId: string, ids: Map<DraftPage, string>, taken: Ids): EntryDefinition {
  const id = taken.take(candidatesFor(page, parentId));
  ids.set(page, id);
  const entries = page.pages.map((below) => toEntry(below, id, ids, taken));
  return {
    id,
    label: page.label,
    ...(page.href !== null && { href: page.href }),
    ...(page.aliases && page.aliases.length > 0 && { aliases: page.aliases }),
    ...(page.movedFrom && page.movedFrom.length > 0 && { movedFrom: page.movedFrom }),
    ...(entries.length > 0 && { entries }),
  };
}

/** The ids that are taken. */
class Ids {
  readonly #taken = new Set<string>();
  /** The number to go on with, for each id that had to be numbered. */
  readonly #numbers = new Map<string, number>();

  /** The first of these that is free, or else the last one with a number. */
  take(candidates: readonly string[]): string {
    const free = candidates.find((candidate) => !this.#taken.has(candidate)) ?? this.#numbered(candidates.at(-1) ?? '');
    this.#taken.add(free);
    return free;
  }

  #numbered(base: string): string {
    let number = this.#numbers.get(base) ?? 2;
    while (this.#taken.has(`${base}-${number}`)) number += 1;
    this.#numbers.set(base, number + 1);
    return `${base}-${number}`;
  }
}

/** How many segments of an address an id is made of at most. */
const mostWords = 32;

/** The last word of the address, then with those before it; what is not long enough to be free is numbered. */
function candidatesFor({ href, label }: DraftPage, parentId: string): readonly string[] {
  const isPath = href?.startsWith('/') === true;
  // Of an address with thousands of segments, the last ones say enough.
  const words = (isPath ? href : label).split('/').slice(-mostWords).map(slug).filter(Boolean);
  if (words.length === 0) words.push(isPath ? 'home' : 'entry');
  const candidates = words.map((_, index) => words.slice(-1 - index).join('-'));
  if (parentId) candidates.push(`${parentId}-${words.at(-1) ?? ''}`);
  // A longer id that says something is better than one that only had a letter put before it.
  const speaking = candidates.filter((candidate) => /^[a-z]/u.test(candidate));
  return [...speaking, ...candidates.map(withLetter), withLetter(words.join('-'))];
}

function slug(text: string): string {
  return plainLetters(decodeSegment(text).replace(/\.x?html?$/iu, ''))
    .replace(/[^a-z\d]+/gu, '-')
    .replace(/^-+|-+$/gu, '')
    .slice(0, 60);
}

function withLetter(id: string): string {
  return /^[a-z]/u.test(id) ? id : `page-${id}`.replace(/-$/u, '');
}

/** A word of an address as a label: "getting-here.html" reads "Getting here". */
export function labelFromPath(segment: string): string {
  const words = decodeSegment(segment)
    .replace(/\.x?html?$/iu, '')
    .replace(/[-_+\s]+/gu, ' ')
    .trim();
  return words === '' ? 'Home' : words.charAt(0).toUpperCase() + words.slice(1);
}

function toItem(item: DraftItem, ids: ReadonlyMap<DraftPage, string>): MenuItemDefinition {
  if ('page' in item) {
    const entry = ids.get(item.page) ?? '';
    return item.depth === undefined || item.depth < 2 ? entry : { entry, depth: item.depth };
  }
  return { label: item.label, entries: item.items.map((below) => toItem(below, ids)) };
}

/** A path of an address, written so that nothing in it is read as a param. */
export function literalPath(pathname: string): string {
  if (/^[\w./~-]*$/u.test(pathname)) return pathname;
  return decodeSafely(pathname).replace(/[:*{}()?+\\#]/gu, (character) => {
    return character === '?' || character === '#' ? encodeURIComponent(character) : `\\${character}`;
  });
}

/** Decoded where the text stays the same address, and is easy to read. */
function decodeSafely(pathname: string): string {
  return pathname
    .split('/')
    .map((segment) => {
      const decoded = decodeSegment(segment);
      return /[%/\\\s\p{C}]/u.test(decoded) ? segment : decoded;
    })
    .join('/');
}
