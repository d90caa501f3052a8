/**
 * Reads the pathname syntax of the URL Pattern standard (https://urlpattern.spec.whatwg.org/, section 1): text, `:name`,
 * `:name?`, `:name+`, `:name*`, `*` and `{…}?`. Regular expressions in parentheses and repeated groups are refused, so
 * that matching takes a time that the address alone bounds.
 */

import { decodeSegment, decodeText, encodeLiteral, isDots, wellFormed } from './encoding.ts';
import { namesOf, pathKey, type Path, type Segment, type Token } from './path.ts';

export class PathSyntaxError extends Error {
  override readonly name = 'PathSyntaxError';
}

type Piece =
  { kind: 'text'; text: string } | { kind: 'param'; name: string } | { kind: 'wildcard'; name: string | null };

type Part = Piece | { kind: 'optional'; parts: Part[] };

/** Each optional part doubles the addresses of an entry; sixteen are more than anyone can keep apart. */
const mostAlternatives = 16;

/** Matching recurses over the segments, and servers refuse addresses that are longer than a few thousand characters. */
const mostSegments = 256;

const nameAt = /\p{ID_Start}\p{ID_Continue}*/uy;

/** What the standard takes into a name, and we do not: such a name would be another one there. */
const foreignNameAt = /[$\u200c\u200d]/uy;

/** What makes a path more than text: the signs of the syntax, percent-encoding, and the segments that browsers take away. */
const special = /[\\:*{}()?+#%]|\/\.\.?(?:\/|$)/u;

function plainPath(source: string): Path {
  const path: Segment[] = [];
  for (const text of source.split('/')) {
    if (text !== '') path.push({ kind: 'literal', written: encodeLiteral(text), text });
  }
  return checkLength(path);
}

function checkLength(path: Path): Path {
  if (path.length > mostSegments) throw new PathSyntaxError(`it has more than ${mostSegments} segments`);
  return path;
}

/** The addresses that a pathname stands for: the one with every optional part first, the one with none last. */
export function parsePathname(pathname: string): readonly Path[] {
  const source = wellFormed(pathname);
  // Most addresses are plain text, and a large site has many.
  if (!special.test(source)) return [plainPath(source)];
  const [parts] = parseParts(source, 0, false);
  const seen = new Map<string, Path>();
  for (const flat of alternatives(parts)) {
    // Without the slash that an optional part took with it, no address can be this one, unless nothing is left at all.
    const [first] = flat.filter((part) => part.kind !== 'text' || part.text !== '');
    if (first?.kind === 'wildcard') throw new PathSyntaxError('without its optional part it does not begin with "/"');
    if (first && !(first.kind === 'text' && first.text.startsWith('/'))) continue;
    const path = checkLength(splitAtSlashes(flat));
    const key = pathKey(path);
    // Of two ways that take in the same addresses, the standard's pattern fills the params of the first.
    if (!seen.has(key)) seen.set(key, path);
  }
  return [...seen.values()];
}

function parseParts(source: string, start: number, inGroup: boolean): [Part[], number] {
  const parts: Part[] = [];
  let index = start;
  const addText = (text: string) => {
    const last = parts.at(-1);
    if (last?.kind === 'text') last.text += text;
    else parts.push({ kind: 'text', text });
  };
  while (index < source.length) {
    const character = source.charAt(index);
    if (character === '\\') {
      if (index + 1 >= source.length) throw new PathSyntaxError('it ends in "\\"');
      addText(source.charAt(index + 1));
      index += 2;
    } else if (character === ':') {
      nameAt.lastIndex = index + 1;
      const name = nameAt.exec(source)?.[0];
      if (name === undefined) throw new PathSyntaxError('a name that begins with a letter must follow ":"');
      foreignNameAt.lastIndex = nameAt.lastIndex;
      if (foreignNameAt.test(source)) {
        throw new PathSyntaxError(`names have no "$" and no joiners; to end the name there, write "{:${name}}"`);
      }
      index = addNamed(parts, name, source, index + 1 + name.length);
    } else if (character === '*') {
      index = addNamed(parts, null, source, index + 1);
    } else if (character === '{') {
      if (inGroup) throw new PathSyntaxError('"{" stands inside "{"');
      const [inner, end] = parseParts(source, index + 1, true);
      index = end;
      if (source.charAt(index) === '?') {
        parts.push({ kind: 'optional', parts: inner });
        index += 1;
      } else {
        if (/[+*]/u.test(source.charAt(index))) throw new PathSyntaxError('groups that repeat are not read');
        parts.push(...inner);
      }
    } else if (character === '}') {
      if (!inGroup) throw new PathSyntaxError('"}" has no "{" before it');
      return [parts, index + 1];
    } else if (character === '(' || character === ')') {
      throw new PathSyntaxError('regular expressions in parentheses are not read');
    } else if (character === '?' || character === '#') {
      throw new PathSyntaxError(`a ${character === '?' ? 'query' : 'hash'} is no part of a page's path`);
    } else if (character === '+') {
      throw new PathSyntaxError('"+" follows nothing that it could repeat');
    } else {
      addText(character);
      index += 1;
    }
  }
  if (inGroup) throw new PathSyntaxError('a "{" is not closed');
  return [parts, index];
}

/**
 * Adds `:name`, or `*` where the name is null, with the modifier after it. What makes it optional makes the slash
 * before it optional too, as the standard says of a part's prefix.
 */
function addNamed(parts: Part[], name: string | null, source: string, index: number): number {
  const modifier = /[?+*]/u.exec(source.charAt(index))?.[0] ?? '';
  if (name === null && (modifier === '+' || modifier === '*')) {
    throw new PathSyntaxError(`"*${modifier}" is not read; "*" alone stands for anything`);
  }
  const repeats = modifier === '+' || modifier === '*';
  const part: Part = name === null || repeats ? { kind: 'wildcard', name } : { kind: 'param', name };
  const before = parts.at(-1);
  if (repeats && !(before?.kind === 'text' && before.text.endsWith('/'))) {
    throw new PathSyntaxError(`":${name ?? ''}${modifier}" must stand right after a slash`);
  }
  if (modifier === '?' || modifier === '*') {
    const hasSlash = before?.kind === 'text' && before.text.endsWith('/');
    if (hasSlash) before.text = before.text.slice(0, -1);
    parts.push({ kind: 'optional', parts: hasSlash ? [{ kind: 'text', text: '/' }, part] : [part] });
  } else {
    parts.push(part);
  }
  return modifier ? index + 1 : index;
}

function alternatives(parts: readonly Part[]): Part[][] {
  let results: Part[][] = [[]];
  for (const part of parts) {
    if (part.kind === 'optional') {
      const within = alternatives(part.parts);
      results = results.flatMap((head) => [...within.map((tail) => [...head, ...tail]), head]);
      if (results.length > mostAlternatives) {
        throw new PathSyntaxError(`its optional parts make more than ${mostAlternatives} addresses`);
      }
    } else {
      results = results.map((head) => [...head, part]);
    }
  }
  return results;
}

function splitAtSlashes(parts: readonly Part[]): Path {
  const groups: Piece[][] = [[]];
  for (const part of parts) {
    if (part.kind === 'optional') continue; // `alternatives` has already resolved these.
    if (part.kind !== 'text') {
      groups.at(-1)?.push(part);
      continue;
    }
    part.text.split('/').forEach((text, position) => {
      if (position > 0) groups.push([]);
      if (text) groups.at(-1)?.push({ kind: 'text', text });
    });
  }
  const filled = groups.filter((group) => group.length > 0);
  for (const group of filled) refuseDots(group);
  let wildcards = 0;
  const nextNumber = () => String(wildcards++);
  // From the first wildcard that is not the whole of the last segment, the rest cannot be distinguished by its slashes.
  const open = filled.findIndex((group, index) => {
    return group.some(({ kind }) => kind === 'wildcard') && (group.length > 1 || index < filled.length - 1);
  });
  const path: Segment[] = (open < 0 ? filled : filled.slice(0, open)).map((group) => toSegment(group, nextNumber));
  if (open >= 0) path.push({ kind: 'tail', tokens: tailTokens(filled.slice(open), nextNumber) });
  const names = path.flatMap(namesOf);
  const twice = names.find((name, index) => names.indexOf(name) !== index);
  if (twice !== undefined) throw new PathSyntaxError(`the name ":${twice}" stands twice`);
  return path;
}

/** The text of a piece of a path that has nothing else in it; otherwise null. */
function literalOf(group: readonly Piece[]): string | null {
  let text = '';
  for (const piece of group) {
    if (piece.kind !== 'text') return null;
    text += piece.text;
  }
  return text;
}

function refuseDots(group: readonly Piece[]): void {
  const text = decodeSegment(literalOf(group) ?? '');
  if (isDots(text)) throw new PathSyntaxError(`"${text}" between slashes is taken away by browsers`);
}

function toSegment(group: readonly Piece[], nextNumber: () => string): Segment {
  const literal = literalOf(group);
  if (literal !== null) return { kind: 'literal', written: encodeLiteral(literal), text: decodeSegment(literal) };
  const tokens = toTokens(group, nextNumber);
  const [only] = tokens;
  return tokens.length === 1 && only && only.kind !== 'text' ? only : { kind: 'mixed', tokens };
}

function tailTokens(groups: readonly (readonly Piece[])[], nextNumber: () => string): Token[] {
  return toTokens(
    groups.flatMap((group, index) => (index === 0 ? group : [{ kind: 'text' as const, text: '/' }, ...group])),
    nextNumber,
  );
}

/** The pieces with text decoded and joined. */
function toTokens(pieces: readonly Piece[], nextNumber: () => string): Token[] {
  const tokens: Token[] = [];
  for (const piece of pieces) {
    const last = tokens.at(-1);
    if (piece.kind === 'param') tokens.push({ kind: 'param', name: piece.name });
    else if (piece.kind === 'wildcard') {
      tokens.push({ kind: 'wildcard', name: piece.name ?? nextNumber(), filled: piece.name !== null });
    } else if (last?.kind === 'text') tokens[tokens.length - 1] = { kind: 'text', text: last.text + piece.text };
    else tokens.push({ kind: 'text', text: piece.text });
  }
  tokens.forEach((token, index) => {
    // Only when the pieces are joined: an encoded character may begin in one and end in the next.
    if (token.kind === 'text') tokens[index] = { kind: 'text', text: decodeText(token.text) };
  });
  tokens.forEach((token, index) => {
    if (token.kind !== 'wildcard' || !token.filled) return;
    const [before, after] = [tokens[index - 1], tokens[index + 1]];
    const isAlone =
      (!before || (before.kind === 'text' && before.text.endsWith('/'))) &&
      (!after || (after.kind === 'text' && after.text.startsWith('/')));
    if (!isAlone) throw new PathSyntaxError(`":${token.name}" repeats, so it must be all there is between two slashes`);
  });
  return tokens;
}
