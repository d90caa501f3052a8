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

/** Null where the URL standard's parser fails. */
export function parseUrl(input: string, base?: string): ParsedUrl | null {
  const { URL } = globalThis as unknown as { URL: new (input: string, base?: string) => ParsedUrl };
  try {
    return new URL(input, base);
  } catch {
    return null;
  }
}

const linkProtocols: ReadonlySet<string> = new Set(['http:', 'https:', 'mailto:', 'tel:']);

/** Characters that the URL parser drops without a word, which is how `java\nscript:` gets past a careless check. */
// eslint-disable-next-line no-control-regex -- finding control characters is the point
const dropped = /[\u0000-\u001f\u007f]|^\s|\s$/u;

/** What an entry's `href` is: a path of this site, an address elsewhere, or nothing that may be linked to. */
export function hrefKind(href: string): 'path' | 'outside' | 'unsafe' {
  if (dropped.test(href)) return 'unsafe';
  if (href.startsWith('/')) return /^\/[/\\]/u.test(href) ? 'unsafe' : 'path';
  const url = parseUrl(href);
  return url && linkProtocols.has(url.protocol) ? 'outside' : 'unsafe';
}

/** A base path with one slash before it and none after it; the empty string for the root. */
export function normalizeBase(base: string): string {
  const inner = base.split('/').filter(Boolean).join('/');
  return inner && `/${inner}`;
}
