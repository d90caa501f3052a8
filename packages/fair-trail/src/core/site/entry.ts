import type { Texts } from './texts.ts';
import type { ReadDetails } from './field-table.ts';
import type { PathTemplate } from './path-template.ts';

/** One node of a checked site. */
export interface Entry extends Omit<ReadDetails, 'audience'> {
  readonly id: string;
  /** As written in the site's own language, with its placeholders; `labelOf` fills them. */
  readonly label: string;
  readonly labels: Texts;
  /** As written in the site's own language; null for an unlinked group. `hrefOf` makes a link of it. */
  readonly href: string | null;
  readonly hrefs: Texts | null;
  /** True for an address of another site. */
  readonly outside: boolean;
  /**
   * The ways to write `href`, without optional parts, by language: those of a language that is not there are those of the
   * site's own. None for groups and outside links.
   */
  readonly templates: Readonly<Record<string, readonly PathTemplate[]>>;
  /** Whether the address is `/`, in any language. */
  readonly isRoot: boolean;
  /** The names of the params in `href`, and after them the keys of its query. */
  readonly paramNames: readonly string[];
  /** The audiences that may see the entry, each set one level's condition; all must hold. Empty: everyone. */
  readonly audiences: readonly (readonly string[])[];
  readonly parent: Entry | null;
  readonly entries: readonly Entry[];
  /** Its place among its siblings in the site file, from 0. */
  readonly index: number;
}

/** The JSON Pointer of the entry in the site file (RFC 6901). */
export function entryPointer({ parent, index }: Entry): string {
  return `${parent ? entryPointer(parent) : ''}/entries/${index}`;
}

/** The entry's ancestors, outermost first, and the entry itself last. */
export function lineage(entry: Entry): readonly Entry[] {
  const path: Entry[] = [];
  for (let current: Entry | null = entry; current; current = current.parent) path.unshift(current);
  return path;
}

/** The audiences that a visitor is in; `unknown` while the app does not know yet. */
export type Audience = readonly string[] | 'unknown';

/**
 * Returns whether a visitor may see an entry, by the audiences of the entry and its ancestors. Null while the audience
 * is unknown.
 *
 * @example
 * mayAccess(entry, ['member']); // true
 * mayAccess(entry, 'unknown'); // null, if the entry is for some audience
 */
export function mayAccess(entry: Pick<Entry, 'audiences'>, audience: Audience): boolean | null {
  if (entry.audiences.length === 0) return true;
  if (audience === 'unknown') return null;
  return entry.audiences.every((names) => names.some((name) => audience.includes(name)));
}
