import type { Entry } from './entry.ts';
import type { Path, Segment } from './pathname.ts';

interface Way {
  readonly entry: Entry;
  readonly path: Path;
}

/**
 * The pairs of entries whose paths some address fits both of, with neither of them more specific in every segment. Only
 * paths of one length with params are compared: text is never in doubt, and wildcards are meant to take what is left.
 */
export function overlappingPaths(ways: readonly Way[]): { readonly one: Entry; readonly other: Entry }[] {
  const byLength = new Map<number, Way[]>();
  for (const way of ways) {
    const isOpen = way.path.some(({ kind }) => kind === 'wildcard' || kind === 'tail');
    if (isOpen || way.path.every(({ kind }) => kind === 'literal')) continue;
    const list = byLength.get(way.path.length);
    if (list) list.push(way);
    else byLength.set(way.path.length, [way]);
  }
  const found: { one: Entry; other: Entry }[] = [];
  for (const list of byLength.values()) {
    list.forEach((one, index) => {
      for (const other of list.slice(index + 1)) {
        if (one.entry !== other.entry && crosses(one.path, other.path))
          found.push({ one: one.entry, other: other.entry });
      }
    });
  }
  return found;
}

/** Whether the paths share an address, and each is the more specific one somewhere. */
function crosses(one: Path, other: Path): boolean {
  let oneWins = false;
  let otherWins = false;
  for (const [index, segment] of one.entries()) {
    const beside = other[index];
    if (!beside || !meet(segment, beside)) return false;
    if (rank(segment) < rank(beside)) oneWins = true;
    if (rank(segment) > rank(beside)) otherWins = true;
  }
  return oneWins && otherWins;
}

function meet(one: Segment, other: Segment): boolean {
  return one.kind !== 'literal' || other.kind !== 'literal' || one.text === other.text;
}

function rank({ kind }: Segment): number {
  return kind === 'literal' ? 0 : kind === 'mixed' ? 1 : 2;
}
