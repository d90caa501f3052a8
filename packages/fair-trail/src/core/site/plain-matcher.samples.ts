/**
 * The rules of matching once more, written apart from the library and for reading, not for speed: each address of a
 * site becomes regular expressions, all of them are tried, and the most specific one that fits is taken.
 */

/** One way to write an address, as the pieces between its slashes. */
type Steps = readonly string[];

export interface PlainPlace {
  readonly id: string;
  readonly href: string;
}

export interface PlainMatch {
  readonly id: string;
  readonly params: Readonly<Record<string, string>>;
}

/** An encoded slash, which parts nothing. */
const slash = '\uE000';

const namePattern = /^:(\p{ID_Start}\p{ID_Continue}*)([?+*]?)/u;

/** Ends a name, and is no text. */
const end = '\u0000';

const group = /^((?:\\.|[^\\{])*)\{((?:\\.|[^\\}])*)\}(\??)(.*)$/su;

const optional = /^((?:\\.|[^\\])*?)(\/?)(:\p{ID_Start}\p{ID_Continue}*|\*)(\?|(?<!\*)\*)(.*)$/su;

/** The ways to write an href: the first of its optional parts with and then without, and so on. */
function ways(href: string): string[] {
  const [grouped, signed] = [group.exec(href), optional.exec(href)];
  if (grouped && (!signed || (grouped[1] ?? '').length <= (signed[1] ?? '').length)) {
    const [, before = '', inner = '', sign = '', after = ''] = grouped;
    return [...ways(before + end + inner + end + after), ...(sign ? ways(before + end + after) : [])];
  }
  if (!signed) return [href];
  const [, before = '', lead = '', name = '', sign = '', after = ''] = signed;
  return [...ways(before + lead + name + (sign === '*' ? '+' : end) + after), ...ways(before + end + after)];
}

function stepsOf(way: string): Steps {
  const steps: string[] = [''];
  for (let index = 0; index < way.length; index += 1) {
    const character = way.charAt(index);
    const length = character === '\\' ? 2 : 1;
    if (character === '/') steps.push('');
    else steps.push((steps.pop() ?? '') + way.slice(index, index + length));
    index += length - 1;
  }
  return steps.filter((step) => step.replaceAll(end, '') !== '');
}

/** What decides between two that fit: the kind of each step, and how much text it has. */
interface Piece {
  readonly pattern: string;
  readonly rank: readonly [kind: number, text: number];
  readonly names: readonly string[];
}

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

function escaped(text: string): string {
  return text.replace(/[\\^$.*+?()[\]{}|/]/gu, '\\$&');
}

function pieceOf(step: string, nextNumber: () => string): Piece {
  let pattern = '';
  let text = '';
  let waiting = '';
  const names: string[] = [];
  let kind = 0;
  const flush = () => {
    const plain = waiting.split(/%2f/iu).map(decoded).join(slash);
    text += plain;
    pattern += escaped(plain);
    waiting = '';
  };
  for (let rest = step; rest !== '';) {
    const named = namePattern.exec(rest);
    if (named) {
      flush();
      const [whole, name = '', sign] = named;
      names.push(name);
      kind = Math.max(kind, sign === '+' ? 3 : 1);
      pattern += sign === '+' ? '([^/]+(?:/[^/]+)*)' : '([^/]+?)';
      rest = rest.slice(whole.length);
    } else if (rest.startsWith('*')) {
      flush();
      names.push(nextNumber());
      kind = 4;
      pattern += '(.*)';
      rest = rest.slice(1);
    } else {
      if (rest.startsWith('\\')) rest = rest.slice(1);
      const [character = ''] = rest;
      if (character !== end) waiting += character;
      rest = rest.slice(character.length);
    }
  }
  flush();
  // A param with text beside it is more specific than one without.
  const isAlone = text === '' && names.length === 1;
  return { pattern, rank: [kind === 1 && !isAlone ? 0.5 : kind, -text.length], names };
}

interface Candidate {
  readonly match: PlainMatch;
  readonly ranks: readonly (readonly [number, number])[];
}

/**
 * The entry of a pathname, without what lies below it, and its params; null if none fits, undefined if two fit
 * equally. Only addresses without a wildcard before their end are distinguished as the library does.
 */
export function matchPlainly(places: readonly PlainPlace[], pathname: string): PlainMatch | null | undefined {
  const segments = pathname
    .split('/')
    .filter(Boolean)
    .map((segment) => segment.split(/%2f/iu).map(decoded).join(slash));
  const candidates = places.flatMap(({ id, href }) =>
    ways(href).flatMap((way): Candidate[] => {
      // Without the slash that an optional part took with it, it is no address of a page.
      if (!/^(?:\/|$)/u.test(way.replaceAll(end, ''))) return [];
      let number = 0;
      const pieces = stepsOf(way).map((step) => pieceOf(step, () => String(number++)));
      const found = fit(pieces, segments);
      if (!found) return [];
      const names = pieces.flatMap((piece) => piece.names);
      const params = Object.fromEntries(names.map((name, index) => [name, plain(found[index] ?? '')]));
      return [{ match: { id, params }, ranks: pieces.map(({ rank }) => rank) }];
    }),
  );
  candidates.sort((one, other) => compareRanks(one.ranks, other.ranks));
  const [best, next] = candidates;
  const isTie = best && next && compareRanks(best.ranks, next.ranks) === 0;
  return isTie ? undefined : (best?.match ?? null);
}

function plain(value: string): string {
  return value.replaceAll(slash, '/');
}

function fit(pieces: readonly Piece[], segments: readonly string[]): readonly string[] | null {
  const isOpen = pieces.at(-1)?.pattern === '(.*)';
  const source = pieces.map(({ pattern }) => pattern).join('/');
  const address = segments.join('/');
  const tried = isOpen && pieces.length > 1 ? [address, `${address}/`] : [address];
  for (const text of tried) {
    const found = new RegExp(`^${source}$`, 'su').exec(text);
    if (found) return found.slice(1);
  }
  return null;
}

function compareRanks(one: Candidate['ranks'], other: Candidate['ranks']): number {
  for (let index = 0; index < Math.max(one.length, other.length); index += 1) {
    // An address that ends here is more specific than one that goes on with anything.
    const [a, b] = [one[index] ?? [-1, 0], other[index] ?? [-1, 0]];
    if (a[0] !== b[0]) return a[0] - b[0];
    if (a[1] !== b[1]) return a[1] - b[1];
  }
  return 0;
}
