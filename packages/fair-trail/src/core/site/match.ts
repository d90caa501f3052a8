import type { Entry } from './entry.ts';
import { matchTokens } from './match-tokens.ts';
import { encodedSlash } from './encoding.ts';
import type { Path, Segment, Token } from './path.ts';
import { textLength, TokenIndex } from './token-index.ts';

/**
 * A node of a trie of path segments. A look-up walks the address's segments and tries, at each, literal text before text
 * beside params before a param before anything with a wildcard; its cost grows with the segments of the address, not
 * with the entries of the site.
 */
interface MatchNode {
  literals: Map<string, MatchNode> | undefined;
  mixed: TokenIndex<MatchNode> | undefined;
  param: MatchNode | undefined;
  /** What takes in all that is left of an address. */
  tails: TokenIndex<MatchedAddress> | undefined;
  end: MatchedAddress | undefined;
}

export interface Match {
  readonly entry: Entry;
  readonly params: Readonly<Record<string, string>>;
  /** False where the address goes on below the entry. */
  readonly exact: boolean;
  /** True where the address is an old one. */
  readonly moved: boolean;
}

/** What a pathname of the site leads to. */
export interface PathnameMatch {
  readonly language: string;
  /** Null if no entry is known. */
  readonly match: Match | null;
}

/** An address to find. */
export interface MatchedAddress {
  readonly entry: Entry;
  readonly path: Path;
  /** The names of the path's params and wildcards, in its order. */
  readonly names: readonly string[];
  /** True for an old address, which leads on to the entry's own. */
  readonly moved: boolean;
}

/** One address of an entry, as the site file says it. */
export interface EntryAddress extends MatchedAddress {
  /** Where the entry says so: a JSON Pointer below its own. */
  readonly field: string;
}

/** Finds the entry of an address. */
export interface AddressIndex<Address extends MatchedAddress = MatchedAddress> {
  /** Adds an address, unless one that takes in the same is there already: then that one is returned. */
  add(address: Address): Address | null;
  /** @param segments percent-decoded, without empty ones */
  match(segments: readonly string[]): Match | null;
}

/** @param caseSensitive whether text must be in the same case */
export function createAddressIndex<Address extends MatchedAddress>(caseSensitive: boolean): AddressIndex<Address> {
  const fold = folding(caseSensitive);
  const root = createNode();
  return {
    // Whatever is found in the index was added to it.
    add: (address) => addAddress(root, address, fold) as Address | null,
    match: (segments) => search(root, segments, fold),
  };
}

/** How text is compared where case may or may not count. */
export function folding(caseSensitive: boolean): (text: string) => string {
  return caseSensitive ? (text) => text : (text) => text.toLowerCase();
}

function createNode(): MatchNode {
  // All fields from the start: nodes of one shape are faster to read than nodes that grow.
  return { literals: undefined, mixed: undefined, param: undefined, tails: undefined, end: undefined };
}

function addAddress(root: MatchNode, address: MatchedAddress, fold: (text: string) => string): MatchedAddress | null {
  const foldTokens = (tokens: readonly Token[]) =>
    tokens.map((token) => (token.kind === 'text' ? { ...token, text: fold(token.text) } : token));
  let node = root;
  for (const segment of address.path) {
    if (segment.kind === 'literal') {
      const literals = (node.literals ??= new Map<string, MatchNode>());
      const text = fold(segment.text);
      let next = literals.get(text);
      if (!next) literals.set(text, (next = createNode()));
      node = next;
    } else if (segment.kind === 'param') {
      node = node.param ??= createNode();
    } else if (segment.kind === 'mixed') {
      node = (node.mixed ??= new TokenIndex()).at(foldTokens(segment.tokens), createNode).value;
    } else {
      // A tail or a wildcard takes in all that is left, so nothing comes after it.
      const tokens = segment.kind === 'tail' ? foldTokens(segment.tokens) : [segment];
      const { value, isNew } = (node.tails ??= new TokenIndex()).at(tokens, () => address);
      return isNew ? null : value;
    }
  }
  if (node.end) return node.end;
  node.end = address;
  return null;
}

function search(root: MatchNode, segments: readonly string[], fold: (text: string) => string): Match | null {
  const values: string[] = [];
  let deepest: { end: MatchedAddress; values: string[]; depth: number } | null = null;

  const walk = (node: MatchNode, index: number): MatchedAddress | null => {
    // `/a/*` takes in `/a/`, and a trailing slash does not count, so it takes in `/a` too.
    if (index === segments.length) return node.end ?? takeRest(node, index);
    if (node.end && index > (deepest?.depth ?? 0)) deepest = { end: node.end, values: [...values], depth: index };
    return walkSegments(node, index) ?? takeRest(node, index);
  };

  const walkSegments = (node: MatchNode, index: number): MatchedAddress | null => {
    const segment = segments[index] ?? '';
    const literal = node.literals?.get(fold(segment));
    let end = literal ? walk(literal, index + 1) : null;
    if (end) return end;
    const before = values.length;
    const text = node.mixed ? shield(segment) : segment;
    const folded = fold(text);
    let best: { end: MatchedAddress; values: string[]; length: number } | null = null;
    for (const { tokens, value: next, length } of node.mixed?.candidates(folded) ?? []) {
      // Those with as much text are as specific here: what comes after decides.
      if (best && length < best.length) break;
      const taken = matchTokens(tokens, folded, text);
      if (!taken) continue;
      values.push(...taken.map(unshield));
      end = walk(next, index + 1);
      if (end && (!best || isMoreSpecific(end.path, best.end.path, index + 1))) {
        best = { end, values: values.slice(before), length };
      }
      values.length = before;
    }
    if (best) {
      values.push(...best.values);
      return best.end;
    }
    if (!node.param) return null;
    values.push(segment);
    if ((end = walk(node.param, index + 1))) return end;
    values.length = before;
    return null;
  };

  const takeRest = (node: MatchNode, index: number): MatchedAddress | null => {
    if (!node.tails) return null;
    const rest = segments.slice(index).map(shield).join('/');
    const folded = fold(rest);
    for (const { tokens, value: end } of node.tails.candidates(folded)) {
      const taken = matchTokens(tokens, folded, rest) ?? (rest && matchWithSlash(tokens, folded, rest));
      if (!taken) continue;
      values.push(...taken.map(unshield));
      return end;
    }
    return null;
  };

  const end = walk(root, 0);
  if (end) return toMatch(end, values, true);
  const inside = deepest as { end: MatchedAddress; values: string[] } | null;
  return inside && toMatch(inside.end, inside.values, false);
}

/** Whether one path is more specific than another from a segment on, by the first that differs. */
function isMoreSpecific(one: Path, other: Path, from: number): boolean {
  for (let index = from; index < Math.max(one.length, other.length); index += 1) {
    const difference = rankOf(one[index]) - rankOf(other[index]);
    if (difference !== 0) return difference < 0;
  }
  return false;
}

/** The lower, the more specific. An end is more specific than anything that goes on. */
function rankOf(segment: Segment | undefined): number {
  if (!segment) return -1;
  if (segment.kind === 'mixed') return 1 - textLength(segment.tokens) / 1e6;
  if (segment.kind === 'wildcard') return segment.filled ? 4 : 5;
  return { literal: 0, param: 2, tail: 3 }[segment.kind];
}

function shield(segment: string): string {
  return segment.includes('/') ? segment.replaceAll('/', encodedSlash) : segment;
}

function unshield(value: string): string {
  // With the flag, the half is found where it stands alone, and never inside a whole pair.
  return value.replace(/\uD800/gu, '/');
}

/** As `/a/*` takes in `/a`, so does a tail that ends in `/*`. */
function matchWithSlash(tokens: readonly Token[], rest: string, source: string): string[] | null {
  const [before, last] = tokens.slice(-2);
  const endsOpen = last?.kind === 'wildcard' && !last.filled && before?.kind === 'text' && before.text.endsWith('/');
  return endsOpen ? matchTokens(tokens, `${rest}/`, `${source}/`) : null;
}

function toMatch({ entry, names, moved }: MatchedAddress, values: readonly string[], exact: boolean): Match {
  return { entry, params: Object.fromEntries(names.map((name, index) => [name, values[index] ?? ''])), exact, moved };
}
