import type { Opens } from './definition.ts';
import type { Path } from './pathname.ts';

/** One node of a checked site. */
export interface Entry {
  readonly id: string;
  /** As written, with its placeholders; `labelOf` fills them. */
  readonly label: string;
  /** As written; null for an unlinked group. `hrefOf` makes a link of it. */
  readonly href: string | null;
  /** True for an address of another site. */
  readonly outside: boolean;
  /** The ways to write `href`, without optional parts; empty for groups and outside links. */
  readonly paths: readonly Path[];
  /** The names of the params in `href`. */
  readonly paramNames: readonly string[];
  /** The audiences that may see the entry, each set one level's condition; all must hold. Empty: everyone. */
  readonly audiences: readonly (readonly string[])[];
  readonly planned: boolean;
  readonly opens: Opens;
  readonly icon: string | null;
  readonly records: string | null;
  readonly parent: Entry | null;
  readonly entries: readonly Entry[];
  /** The JSON Pointer of the entry in the site file. */
  readonly pointer: string;
}

/** The entry's ancestors, outermost first, and the entry itself last. */
export function lineage(entry: Entry): readonly Entry[] {
  const path: Entry[] = [];
  for (let current: Entry | null = entry; current; current = current.parent) path.unshift(current);
  return path;
}

/** Whether a visitor in these audiences may see the entry: every condition on the way down to it must hold. */
export function mayAccess(entry: Entry, audience: readonly string[]): boolean {
  return entry.audiences.every((names) => names.some((name) => audience.includes(name)));
}
