import { encodeSegment, encodeText } from './encoding.ts';

/** A piece of a path: text, one or more characters other than a slash, or any characters at all. */
export type Token = TextToken | { readonly kind: 'param'; readonly name: string } | Wildcard;

export interface TextToken {
  readonly kind: 'text';
  /** Percent-decoded, with `encodedSlash` for each slash that is encoded. */
  readonly text: string;
}

export interface Wildcard {
  readonly kind: 'wildcard';
  readonly name: string;
  /** Whether it stands for one segment at least (`:name+`), or for nothing too (`*`). */
  readonly filled: boolean;
}

/**
 * What may stand between two slashes; a `tail` is all that is left, from the first segment that has a wildcard beside
 * or before something else. `written` is the text as a link writes it, `text` is percent-decoded.
 */
export type Segment =
  | { readonly kind: 'literal'; readonly written: string; readonly text: string }
  | { readonly kind: 'mixed'; readonly tokens: readonly Token[] }
  | { readonly kind: 'param'; readonly name: string }
  | Wildcard
  | { readonly kind: 'tail'; readonly tokens: readonly Token[] };

/** One way to write an address, without optional parts. Only its last segment may be a wildcard or a tail. */
export type Path = readonly Segment[];

export function namesOf(segment: Segment): string[] {
  if (segment.kind === 'literal') return [];
  if (segment.kind !== 'mixed' && segment.kind !== 'tail') return [segment.name];
  return segment.tokens.flatMap((token) => (token.kind === 'text' ? [] : [token.name]));
}

/** Equal for two paths that match the same addresses: names do not count, and text counts as it is decoded. */
export function pathKey(path: Path): string {
  const keys = path.map((segment) => {
    if (segment.kind === 'literal') return `=${encodeSegment(segment.text)}`;
    if (segment.kind === 'mixed' || segment.kind === 'tail') return `~${segment.tokens.map(tokenKey).join('')}`;
    return tokenKey(segment);
  });
  return `/${keys.join('/')}`;
}

export function tokenKey(token: Token): string {
  if (token.kind === 'text') return encodeText(token.text);
  // Signs that no encoded text has, in the order of how much they take.
  return token.kind === 'param' ? ':' : token.filled ? '<' : '>';
}
