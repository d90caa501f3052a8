/** Percent-encoding (URL standard, section 1.3), as paths of a site need it. */

/**
 * Stands for an encoded slash in text that slashes part: half of a surrogate pair, which no well-formed text has alone.
 */
export const encodedSlash = '\uD800';

/** Halves of surrogate pairs have no encoding; as in the URL standard, the replacement character stands for them. */
export function wellFormed(text: string): string {
  return text.replace(/\p{Surrogate}/gu, '\uFFFD');
}

/** The percent-encoded bytes of one character in UTF-8. */
const encodedCharacter =
  /%[0-7][\da-f]|%[cd][\da-f]%[89ab][\da-f]|%e[\da-f](?:%[89ab][\da-f]){2}|%f[0-4](?:%[89ab][\da-f]){3}/giu;

/**
 * Percent-decoded, character by character; broken encoding stays as it is, since no address may make matching throw.
 */
export function decodeSegment(text: string): string {
  if (!text.includes('%')) return text;
  return decode(text) ?? text.replace(encodedCharacter, (written) => decode(written) ?? written);
}

function decode(text: string): string | null {
  try {
    return decodeURIComponent(text);
  } catch {
    return null;
  }
}

/** Text beside params, decoded. */
export function decodeText(text: string): string {
  return text.includes('%') ? text.split(/%2f/iu).map(decodeSegment).join(encodedSlash) : text;
}

/** Text that is the same percent-encoded (RFC 3986, section 2.3). */
const unreserved = /^[\w.~-]*$/u;

/** Percent-encoded. */
export function encodeSegment(text: string): string {
  return unreserved.test(text) ? text : encodeURIComponent(wellFormed(text));
}

/** Text beside params, encoded; slashes stay, unless they are encoded ones. */
export function encodeText(text: string): string {
  if (unreserved.test(text)) return text;
  const encode = (separator: string, written: string, inner: (part: string) => string) => (part: string) =>
    part.split(separator).map(inner).join(written);
  return encode('/', '/', encode(encodedSlash, '%2F', encodeSegment))(text);
}

/**
 * A "%" that encodes nothing, whatever a browser encodes in a path or takes for something else, and characters that are not
 * seen or are another kind of space.
 */
const misread = /%(?![\da-fA-F]{2})|[^!$%&-;=@-[\]_a-z|~\P{ASCII}]|[\p{C}\p{Z}]/gu;

/** Text of a site file as a link writes it: as it is, but for what would not be read as the same text again. */
export function encodeLiteral(text: string): string {
  return unreserved.test(text) ? text : text.replace(misread, encodeURIComponent);
}

/** Every URL parser takes away segments of dots alone, percent-encoded or not (URL standard, section 4.1). */
export function isDots(segment: string): boolean {
  return segment === '.' || segment === '..';
}

/** A key and its value, as the query of an address writes them. */
export function queryPair(name: string, value: string): string {
  return `${encodeURIComponent(name)}=${encodeURIComponent(value)}`;
}

/** A key or a value of a query, decoded as forms write them: a plus sign is a space. */
export function decodeQuery(text: string): string {
  return decodeSegment(text.replaceAll('+', ' '));
}
