/**
 * Reads the pathname syntax of the URL Pattern standard (https://urlpattern.spec.whatwg.org/, section 1) as far as a
 * site map needs it: text, `:name`, `*` standing alone between slashes, `{…}?` and `:name?`. Regular expressions in
 * parentheses and the modifiers `+` and `*` are refused, so that matching takes a time that the address alone bounds.
 */

/** Text, or a param standing for one or more characters other than a slash. */
export type Token =
  { readonly kind: 'text'; readonly text: string } | { readonly kind: 'param'; readonly name: string };

/** What may stand between two slashes. `written` is the text as the site file has it, `text` is percent-decoded. */
export type Segment =
  | { readonly kind: 'literal'; readonly written: string; readonly text: string }
  | { readonly kind: 'mixed'; readonly tokens: readonly Token[] }
  | { readonly kind: 'param'; readonly name: string }
  | { readonly kind: 'wildcard'; readonly name: string };

/** One way to write an address, without optional parts. */
export type Path = readonly Segment[];

export class PathSyntaxError extends Error {
  override readonly name = 'PathSyntaxError';
}

type Part =
  | { kind: 'text'; text: string }
  | { kind: 'param'; name: string }
  | { kind: 'wildcard' }
  | { kind: 'optional'; parts: Part[] };

/** Each optional part doubles the addresses of an entry; sixteen are more than anyone can keep apart. */
const mostAlternatives = 16;

const nameAt = /\p{ID_Start}\p{ID_Continue}*/uy;

/** The addresses that a pathname stands for: the one with every optional part first, the one with none last. */
export function parsePathname(source: string): readonly Path[] {
  const [parts] = parseParts(source, 0, false);
  const seen = new Map<string, Path>();
  for (const flat of alternatives(parts)) {
    const path = splitAtSlashes(flat);
    seen.set(pathKey(path), path);
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
      index += 1 + name.length;
      index = addParam(parts, name, source, index);
    } else if (character === '*') {
      parts.push({ kind: 'wildcard' });
      index += 1;
      refuseRepeat(source, index);
    } else if (character === '{') {
      if (inGroup) throw new PathSyntaxError('"{" stands inside "{"');
      const [inner, end] = parseParts(source, index + 1, true);
      index = end;
      if (source.charAt(index) === '?') {
        parts.push({ kind: 'optional', parts: inner });
        index += 1;
      } else {
        refuseRepeat(source, index);
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

/** Adds `:name`; with `?` after it, the slash before it is optional too, as the standard says of a param's prefix. */
function addParam(parts: Part[], name: string, source: string, index: number): number {
  const part: Part = { kind: 'param', name };
  if (source.charAt(index) !== '?') {
    refuseRepeat(source, index);
    parts.push(part);
    return index;
  }
  const before = parts.at(-1);
  if (before?.kind === 'text' && before.text.endsWith('/')) {
    before.text = before.text.slice(0, -1);
    parts.push({ kind: 'optional', parts: [{ kind: 'text', text: '/' }, part] });
  } else {
    parts.push({ kind: 'optional', parts: [part] });
  }
  return index + 1;
}

function refuseRepeat(source: string, index: number): void {
  const character = source.charAt(index);
  if (character === '+' || character === '*' || character === '?') {
    throw new PathSyntaxError(`the modifier "${character}" is not read here`);
  }
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
  const groups: Exclude<Part, { kind: 'optional' }>[][] = [[]];
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
  const names = new Set<string>();
  let wildcards = 0;
  return groups
    .filter((group) => group.length > 0)
    .map((group) => {
      const segment = toSegment(group, () => String(wildcards++));
      for (const name of namesOf(segment)) {
        if (names.has(name)) throw new PathSyntaxError(`the name ":${name}" stands twice`);
        names.add(name);
      }
      return segment;
    });
}

function toSegment(group: readonly Exclude<Part, { kind: 'optional' }>[], nextNumber: () => string): Segment {
  const [only] = group;
  if (group.some((part) => part.kind === 'wildcard')) {
    if (group.length > 1) throw new PathSyntaxError('"*" must stand alone between two slashes');
    return { kind: 'wildcard', name: nextNumber() };
  }
  if (group.length === 1 && only?.kind === 'param') return { kind: 'param', name: only.name };
  if (group.every((part) => part.kind === 'text')) {
    const written = group.map((part) => part.text).join('');
    const text = decodeSegment(written);
    if (text === '.' || text === '..') throw new PathSyntaxError(`"${text}" between slashes is taken away by browsers`);
    return { kind: 'literal', written, text };
  }
  const tokens: Token[] = [];
  for (const part of group) {
    const last = tokens.at(-1);
    if (part.kind === 'param') tokens.push({ kind: 'param', name: part.name });
    else if (part.kind === 'text' && last?.kind === 'text') {
      tokens.splice(-1, 1, { kind: 'text', text: last.text + decodeSegment(part.text) });
    } else if (part.kind === 'text') tokens.push({ kind: 'text', text: decodeSegment(part.text) });
  }
  return { kind: 'mixed', tokens };
}

/** Percent-decoded where that is possible; broken encoding stays as it is, since no address may make matching throw. */
export function decodeSegment(text: string): string {
  if (!text.includes('%')) return text;
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** Percent-encoded. Half of a surrogate pair has no encoding, and becomes the replacement character as in the standard. */
export function encodeSegment(text: string): string {
  return encodeURIComponent(text.replace(/\p{Surrogate}/gu, '\uFFFD'));
}

export function namesOf(segment: Segment): string[] {
  if (segment.kind === 'mixed') return segment.tokens.flatMap((token) => (token.kind === 'param' ? [token.name] : []));
  return segment.kind === 'literal' ? [] : [segment.name];
}

/** Equal for two paths that match the same addresses: names do not count, and text counts as it is decoded. */
export function pathKey(path: Path): string {
  const keys = path.map((segment) => {
    if (segment.kind === 'literal') return `=${encodeSegment(segment.text)}`;
    if (segment.kind === 'param') return ':';
    if (segment.kind === 'wildcard') return '*';
    return `~${segment.tokens.map((token) => (token.kind === 'param' ? ':' : encodeSegment(token.text))).join('')}`;
  });
  return `/${keys.join('/')}`;
}

/**
 * The values of a mixed segment's params, or null where the text does not fit. A param takes as little as it can, as in
 * the standard. Each step is remembered as failed at most once, so the time is text length times tokens.
 */
export function matchTokens(tokens: readonly Token[], text: string): string[] | null {
  const failed = new Set<number>();
  const values: string[] = [];
  const fits = (token: number, from: number): boolean => {
    const current = tokens[token];
    if (!current) return from === text.length;
    const step = token * (text.length + 1) + from;
    if (failed.has(step)) return false;
    if (current.kind === 'text') {
      if (text.startsWith(current.text, from) && fits(token + 1, from + current.text.length)) return true;
    } else {
      for (let end = from + 1; end <= text.length; end += 1) {
        values.push(text.slice(from, end));
        if (fits(token + 1, end)) return true;
        values.pop();
      }
    }
    failed.add(step);
    return false;
  };
  return fits(0, 0) ? values : null;
}
