import type { Entry } from './entry.ts';
import { matchTokens, namesOf, type Path, type Token } from './pathname.ts';

/**
 * A trie of path segments. A look-up walks the address's segments and tries, at each, literal text before mixed text
 * before a param before a wildcard; its cost grows with the segments of the address, not with the entries of the site.
 */
interface Node {
  literals: Map<string, Node> | undefined;
  mixed: { readonly tokens: readonly Token[]; readonly node: Node }[] | undefined;
  param: Node | undefined;
  wildcard: Node | undefined;
  end: End | undefined;
  readonly serial: number;
}

interface End {
  readonly entry: Entry;
  readonly names: readonly string[];
}

export interface Match {
  readonly entry: Entry;
  readonly params: Readonly<Record<string, string>>;
  /** False where the address goes on below the entry. */
  readonly exact: boolean;
}

export interface Matcher {
  /** @param segments percent-decoded, without empty ones */
  match(segments: readonly string[]): Match | null;
}

export function createMatcher(places: Iterable<{ readonly entry: Entry; readonly path: Path }>): Matcher {
  let count = 0;
  const createNode = (): Node => ({
    literals: undefined,
    mixed: undefined,
    param: undefined,
    wildcard: undefined,
    end: undefined,
    serial: count++,
  });
  const root = createNode();
  for (const { entry, path } of places) {
    let node = root;
    for (const segment of path) {
      if (segment.kind === 'literal') {
        const literals = (node.literals ??= new Map<string, Node>());
        let next = literals.get(segment.text);
        if (!next) literals.set(segment.text, (next = createNode()));
        node = next;
      } else if (segment.kind === 'param') node = node.param ??= createNode();
      else if (segment.kind === 'wildcard') node = node.wildcard ??= createNode();
      else node = mixedChild(node, segment.tokens, createNode);
    }
    node.end ??= { entry, names: path.flatMap(namesOf) };
  }
  return { match: (segments) => search(root, segments) };
}

function mixedChild(node: Node, tokens: readonly Token[], createNode: () => Node): Node {
  const shape = (some: readonly Token[]) =>
    JSON.stringify(some.map((token) => (token.kind === 'text' ? token.text : 0)));
  const textLength = (some: readonly Token[]) =>
    some.reduce((sum, token) => sum + (token.kind === 'text' ? token.text.length : 0), 0);
  const list = (node.mixed ??= []);
  const known = list.find((child) => shape(child.tokens) === shape(tokens));
  if (known) return known.node;
  const child = { tokens, node: createNode() };
  list.push(child);
  // The more literal text, the more specific. The shape decides between equals, so that the file's order never does.
  list.sort((a, b) => textLength(b.tokens) - textLength(a.tokens) || (shape(a.tokens) < shape(b.tokens) ? -1 : 1));
  return child.node;
}

function search(root: Node, segments: readonly string[]): Match | null {
  const values: string[] = [];
  // After a wildcard the same node can be met at the same segment by many ways; one failure there is enough.
  const failed = new Set<number>();
  let deepest: { end: End; values: string[]; depth: number } | null = null;

  const walk = (node: Node, index: number, afterWildcard: boolean): End | null => {
    if (index === segments.length) {
      if (node.end) return node.end;
      // `/a/*` holds `/a/`, and a trailing slash does not count, so it holds `/a` too.
      if (node.wildcard?.end) {
        values.push('');
        return node.wildcard.end;
      }
      return null;
    }
    const step = node.serial * (segments.length + 1) + index;
    if (afterWildcard && failed.has(step)) return null;
    if (node.end && index > (deepest?.depth ?? 0)) deepest = { end: node.end, values: [...values], depth: index };

    const found = walkChildren(node, index, afterWildcard);
    if (!found && afterWildcard) failed.add(step);
    return found;
  };

  const walkChildren = (node: Node, index: number, afterWildcard: boolean): End | null => {
    const segment = segments[index] ?? '';
    const before = values.length;
    const attempt = (next: Node, taken: readonly string[], at: number, wild: boolean): End | null => {
      values.push(...taken);
      const end = walk(next, at, wild);
      if (!end) values.length = before;
      return end;
    };
    const literal = node.literals?.get(segment);
    let end = literal ? attempt(literal, [], index + 1, afterWildcard) : null;
    if (end) return end;
    for (const { tokens, node: next } of node.mixed ?? []) {
      const taken = matchTokens(tokens, segment);
      if (taken && (end = attempt(next, taken, index + 1, afterWildcard))) return end;
    }
    if (node.param && (end = attempt(node.param, [segment], index + 1, afterWildcard))) return end;
    const { wildcard } = node;
    if (!wildcard) return null;
    if (hasChildren(wildcard)) {
      for (let at = index + 1; at < segments.length; at += 1) {
        if ((end = attempt(wildcard, [segments.slice(index, at).join('/')], at, true))) return end;
      }
    }
    if (!wildcard.end) return null;
    values.push(segments.slice(index).join('/'));
    return wildcard.end;
  };

  const end = walk(root, 0, false);
  if (end) return { entry: end.entry, params: toParams(end.names, values), exact: true };
  const inside = deepest as { end: End; values: string[] } | null;
  return inside && { entry: inside.end.entry, params: toParams(inside.end.names, inside.values), exact: false };
}

function hasChildren(node: Node): boolean {
  return Boolean(node.literals ?? node.mixed ?? node.param ?? node.wildcard);
}

function toParams(names: readonly string[], values: readonly string[]): Readonly<Record<string, string>> {
  return Object.fromEntries(names.map((name, index) => [name, values[index] ?? '']));
}
