import { decodeSegment, encodeLiteral, isDots, wellFormed } from './encoding.ts';

/**
 * Takes an address apart. The core is compiled without DOM types, but every runtime it meets has the URL standard's
 * `URL`; only the part of it that is used here is declared.
 */
interface ParsedUrl {
  readonly href: string;
  readonly protocol: string;
  readonly origin: string;
  readonly pathname: string;
  readonly search: string;
  readonly hash: string;
}

/** Null if the URL standard's parser fails. */
export function parseUrl(input: string, base?: string): ParsedUrl | null {
  const { URL } = globalThis as unknown as { URL: new (input: string, base?: string) => ParsedUrl };
  try {
    return new URL(input, base);
  } catch {
    return null;
  }
}

/** Characters that the URL parser drops without a word, which is how `java\nscript:` gets past a careless check. */
// eslint-disable-next-line no-control-regex -- finding control characters is the point
const dropped = /[\u0000-\u001f\u007f]|^\s|\s$/u;

/**
 * The addresses of other places that may be linked to, spelt out: without its slashes, `https:x.example` would be a path
 * on a page that is itself on https (URL standard, section 4.4, "special scheme state").
 */
const outside = /^(?:https?:\/\/[^/\\?#]|mailto:.|tel:.)/iu;

/** Two slashes, or a backslash that is no escape: browsers read both as the start of a host. */
const namesHost = /^\/(?:\/|\\[^\\:*{}()?+#])/u;

/** Characters that are not seen, turn the text around them, or are another kind of space: an address elsewhere has none. */
const unseen = /\p{C}|[^\S ]/u;

/** What an entry's `href` is: a path of this site, an address elsewhere, or nothing that may be linked to. */
export function hrefKind(href: string): 'path' | 'outside' | 'unsafe' {
  if (dropped.test(href)) return 'unsafe';
  if (href.startsWith('/')) return namesHost.test(href) ? 'unsafe' : 'path';
  return outside.test(href) && !unseen.test(href) && parseUrl(href) ? 'outside' : 'unsafe';
}

/** A path that no parser reads as anything else. */
const plainPath = /^\/(?:[\w.~%!$&'()*+,;=:@?#-][\w.~%!$&'()*+,;=:@?#/-]*)?$/u;

/** Whether an address may be drawn as a link, whoever made the site that it comes from. */
export function mayBeLinked(href: string): boolean {
  // Nearly all addresses are plain, and a page has thousands.
  return plainPath.test(href) || hrefKind(href) !== 'unsafe';
}

/**
 * A base path as links write it, with one slash before it and none after it; the empty string for the root. Null for
 * what is no path, or one that a browser reads otherwise.
 */
export function readBase(base: unknown): string | null {
  if (typeof base !== 'string' || dropped.test(base) || /[?#\\]|^\/\//u.test(base) || parseUrl(base)) return null;
  const segments = base.split('/').filter(Boolean);
  if (segments.some((segment) => isDots(decodeSegment(segment)))) return null;
  return segments.map((segment) => `/${encodeLiteral(wellFormed(segment))}`).join('');
}

/** A site path with its origin, percent-encoded as the URL standard writes it. */
export function absoluteAddress(origin: string, href: string): string {
  return parseUrl(origin + href)?.href ?? origin + href;
}
