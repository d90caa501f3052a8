import type { Token } from './path.ts';

/**
 * The values of the params and wildcards, or null where the text does not fit as a whole. A param takes as little as it
 * can and a wildcard as much, as in the URL Pattern standard; neither ends inside of a character. What can follow is worked out from the end, once for each
 * token and place, so the time is the text's length times the number of tokens, whatever they are.
 *
 * @param source what the values are taken from, where `text` is the same with its case folded
 */
export function matchTokens(tokens: readonly Token[], text: string, source = text): string[] | null {
  const last = new Uint8Array(text.length + 1);
  last[text.length] = 1;
  /** At `[token][place]`, whether the tokens from there on fit the text from there on. */
  const fits: Uint8Array[] = [];
  fits[tokens.length] = last;
  for (const [index, token] of [...tokens.entries()].reverse()) {
    const after = fits[index + 1] ?? last;
    fits[index] = token.kind === 'text' ? fitsText(token.text, text, after) : fitsNamed(token, text, after);
  }
  if (!fits[0]?.[0]) return null;

  const values: string[] = [];
  let place = 0;
  tokens.forEach((token, index) => {
    const after = fits[index + 1] ?? last;
    if (token.kind === 'text') {
      place += token.text.length;
      return;
    }
    const end = token.kind === 'param' ? shortest(place, after) : longest(token.filled, place, text, after);
    values.push((source.length === text.length ? source : text).slice(place, end));
    place = end;
  });
  return values;
}

function fitsText(wanted: string, text: string, after: Uint8Array): Uint8Array {
  const fits = new Uint8Array(text.length + 1);
  for (let at = text.indexOf(wanted); at >= 0; at = text.indexOf(wanted, at + 1)) {
    fits[at] = after[at + wanted.length] ?? 0;
  }
  return fits;
}

function fitsNamed(token: Exclude<Token, { kind: 'text' }>, text: string, after: Uint8Array): Uint8Array {
  const fits = new Uint8Array(text.length + 1);
  /** Whether the token could end at this place or at one further on that it reaches. */
  let reaches = 0;
  for (let at = text.length; at >= 0; at -= 1) {
    // Zero, where it is: between the halves of a surrogate pair nothing begins or ends.
    if (isWithinPair(text, at)) continue;
    if (token.kind === 'param') {
      fits[at] = at < text.length && text[at] !== '/' ? (reaches ||= after[nextPlace(text, at)] ?? 0) : (reaches = 0);
    } else if (token.filled) {
      fits[at] = text[at] === '/' ? 0 : reaches;
      if (text[at - 1] !== '/') reaches ||= after[at] ?? 0;
    } else {
      fits[at] = reaches ||= after[at] ?? 0;
    }
  }
  return fits;
}

function isWithinPair(text: string, at: number): boolean {
  return at > 0 && (text.codePointAt(at - 1) ?? 0) > 0xffff;
}

/** The place after the character at this one. */
function nextPlace(text: string, at: number): number {
  return at + ((text.codePointAt(at) ?? 0) > 0xffff ? 2 : 1);
}

function shortest(place: number, after: Uint8Array): number {
  let end = place + 1;
  while (!after[end]) end += 1;
  return end;
}

function longest(filled: boolean, place: number, text: string, after: Uint8Array): number {
  let end = text.length;
  while (!after[end] || (filled && end > place && text[end - 1] === '/')) end -= 1;
  return Math.max(end, place);
}
