import { tokenKey, type Token } from './path.ts';

/** Tokens, and what they lead to. */
export interface TokenEntry<Value> {
  readonly tokens: readonly Token[];
  readonly value: Value;
  readonly shape: string;
  /** How much text the tokens have: the more, the more specific they are. */
  readonly length: number;
}

/** Patterns whose texts at the start and at the end are of the same lengths, by those texts. */
interface Bucket<Value> {
  readonly start: number;
  readonly end: number;
  readonly entries: Map<string, TokenEntry<Value>[]>;
}

/**
 * Finds the patterns that a text can fit by what they begin and end with, so that looking among thousands of addresses
 * such as `/page-1-:x` takes about as long as among a few.
 */
export class TokenIndex<Value> {
  readonly #byShape = new Map<string, TokenEntry<Value>>();
  readonly #buckets = new Map<string, Bucket<Value>>();

  /** What tokens of the same shape lead to; those that are new are added, with the value that is made for them. */
  at(tokens: readonly Token[], makeValue: () => Value): { readonly value: Value; readonly isNew: boolean } {
    const shape = tokens.map(tokenKey).join('');
    const known = this.#byShape.get(shape);
    if (known) return { value: known.value, isNew: false };
    const length = textLength(tokens);
    const entry = { tokens, value: makeValue(), shape, length };
    this.#byShape.set(shape, entry);
    const [first, last] = [tokens[0], tokens.at(-1)];
    const start = first?.kind === 'text' ? first.text : '';
    const end = last?.kind === 'text' ? last.text : '';
    const lengths = `${start.length} ${end.length}`;
    const bucket: Bucket<Value> = this.#buckets.get(lengths) ?? {
      start: start.length,
      end: end.length,
      entries: new Map(),
    };
    this.#buckets.set(lengths, bucket);
    const key = keyOf(start, end);
    const entries = bucket.entries.get(key);
    if (entries) entries.push(entry);
    else bucket.entries.set(key, [entry]);
    return { value: entry.value, isNew: true };
  }

  /** Those that begin and end as the text does, the most specific first. */
  candidates(text: string): readonly TokenEntry<Value>[] {
    const found: TokenEntry<Value>[] = [];
    for (const { start, end, entries } of this.#buckets.values()) {
      if (text.length < Math.max(start, end)) continue;
      found.push(...(entries.get(keyOf(text.slice(0, start), end > 0 ? text.slice(-end) : '')) ?? []));
    }
    return found.length > 1 ? found.sort(bySpecificity) : found;
  }
}

function keyOf(start: string, end: string): string {
  return `${start}\n${end}`;
}

/** The shape decides between equals, so that the file's order never does. */
function bySpecificity(one: TokenEntry<unknown>, other: TokenEntry<unknown>): number {
  return other.length - one.length || (one.shape < other.shape ? -1 : 1);
}

/** How much text tokens have. */
export function textLength(tokens: readonly Token[]): number {
  return tokens.reduce((sum, token) => sum + (token.kind === 'text' ? token.text.length : 0), 0);
}
