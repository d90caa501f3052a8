import { folding, type EntryAddress } from './match.ts';
import { tokenKey, type Segment } from './path.ts';

/** Two addresses that some address fits both of, with neither of them more specific in every segment. */
export interface Overlap {
  readonly one: EntryAddress;
  readonly other: EntryAddress;
}

/** What is compared before nothing more is found: enough for any site, and little enough to wait for. */
const mostComparisons = 2_000_000;

/**
 * The first overlap of each place with one before it. Only paths of one length with params are compared: text is never
 * in doubt, and wildcards are meant to take what is left.
 */
export function overlappingAddresses(places: readonly EntryAddress[], caseSensitive: boolean): readonly Overlap[] {
  const finders = new Map<number, OverlapFinder>();
  const found: Overlap[] = [];
  for (const other of places) {
    const { path } = other;
    const isOpen = path.some(({ kind }) => kind === 'wildcard' || kind === 'tail');
    // With one segment, one of two addresses is always the more specific.
    if (path.length < 2 || isOpen || path.every(({ kind }) => kind === 'literal')) continue;
    const finder = finders.get(path.length) ?? new OverlapFinder(caseSensitive);
    finders.set(path.length, finder);
    const one = finder.add(other);
    if (one) found.push({ one, other });
  }
  return found;
}

interface OverlapNode {
  readonly literals: Map<string, OverlapNode>;
  /** Params, and text beside params, by their shape. */
  readonly others: Map<string, { readonly segment: Segment; readonly node: OverlapNode }>;
  readonly ends: EntryAddress[];
}

function createNode(): OverlapNode {
  return { literals: new Map(), others: new Map(), ends: [] };
}

/** The paths of one length. */
class OverlapFinder {
  readonly #root = createNode();
  readonly #fold: (text: string) => string;
  #comparisons = mostComparisons;

  constructor(caseSensitive: boolean) {
    this.#fold = folding(caseSensitive);
  }

  /** Adds a place. The one before it that it overlaps with, if there is any. */
  add(place: EntryAddress): EntryAddress | null {
    const found = this.#find(this.#root, place, 0, false, false);
    let node = this.#root;
    for (const segment of place.path) node = this.#childOf(node, segment);
    node.ends.push(place);
    return found;
  }

  #childOf(node: OverlapNode, segment: Segment): OverlapNode {
    if (segment.kind === 'literal') {
      const text = this.#fold(segment.text);
      const known = node.literals.get(text) ?? createNode();
      node.literals.set(text, known);
      return known;
    }
    const shape = segment.kind === 'mixed' ? segment.tokens.map(tokenKey).join('') : ':';
    const known = node.others.get(shape) ?? { segment, node: createNode() };
    node.others.set(shape, known);
    return known.node;
  }

  /** @param wins whether the place is the more specific one in a segment before, and `loses` whether another is */
  #find(node: OverlapNode, place: EntryAddress, index: number, wins: boolean, loses: boolean): EntryAddress | null {
    const segment = place.path[index];
    if (!segment) return wins && loses ? (node.ends.find(({ entry }) => entry !== place.entry) ?? null) : null;
    const below = (child: OverlapNode, beside: number) => {
      const own = rank(segment);
      return this.#find(child, place, index + 1, wins || own < beside, loses || own > beside);
    };
    if (segment.kind === 'literal') {
      const same = node.literals.get(this.#fold(segment.text));
      const found = same && below(same, 0);
      if (found) return found;
    } else {
      for (const [text, child] of node.literals) {
        const found = this.#meet(segment, text) ? below(child, 0) : null;
        if (found) return found;
      }
    }
    for (const { segment: other, node: child } of node.others.values()) {
      const found = this.#meet(segment, other) ? below(child, rank(other)) : null;
      if (found) return found;
    }
    return null;
  }

  /** Whether some text fits both. */
  #meet(one: Segment, other: Segment | string): boolean {
    this.#comparisons -= 1;
    if (this.#comparisons < 0) return false;
    return intersect(this.#unitsOf(one), this.#unitsOf(other));
  }

  #unitsOf(segment: Segment | string): readonly Unit[] {
    if (typeof segment === 'string') return charactersOf(segment);
    if (segment.kind === 'literal') return charactersOf(this.#fold(segment.text));
    if (segment.kind !== 'mixed') return [any, rest];
    return segment.tokens.flatMap((token) => {
      return token.kind === 'text' ? charactersOf(this.#fold(token.text)) : [any, rest];
    });
  }
}

/** A character, or one of the two words below, which no character is. */
type Unit = string;

const any: Unit = 'one character';
const rest: Unit = 'any characters, or none';

function charactersOf(text: string): readonly Unit[] {
  return Array.from(text);
}

/** Whether some text fits both, worked out from the end. */
function intersect(one: readonly Unit[], other: readonly Unit[]): boolean {
  let after: boolean[] = [];
  for (let i = one.length; i >= 0; i -= 1) {
    const row: boolean[] = [];
    for (let j = other.length; j >= 0; j -= 1) {
      const [a, b] = [one[i], other[j]];
      if (a === undefined && b === undefined) row[j] = true;
      else if (a === rest) row[j] = after[j] === true || (b !== undefined && row[j + 1] === true);
      else if (b === rest) row[j] = row[j + 1] === true || (a !== undefined && after[j] === true);
      else row[j] = a !== undefined && b !== undefined && fits(a, b) && after[j + 1] === true;
    }
    after = row;
  }
  return after[0] === true;
}

function fits(one: Unit, other: Unit): boolean {
  return one === any || other === any || one === other;
}

/** The less, the more specific: text, then text beside params, the more of it the better, then a param alone. */
function rank(segment: Segment): number {
  if (segment.kind === 'literal') return 0;
  if (segment.kind !== 'mixed') return 2;
  const length = segment.tokens.reduce((sum, token) => sum + (token.kind === 'text' ? token.text.length : 0), 0);
  return 1 + 1 / (2 + length);
}
