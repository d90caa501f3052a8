import { errorText } from '../error-texts.ts';
import { absoluteAddress } from '../site/address.ts';
import { mayAccess } from '../site/entry.ts';
import { hrefOf } from '../site/hrefs.ts';
import { recordsOf, type SiteRecord, type SiteRecords } from '../site/records.ts';
import { everyEntry, type Site } from '../site/site.ts';
import { escapeXml } from './escape.ts';

/** The sitemaps.org protocol's limits for one file. */
export const sitemapLimits = { addresses: 50_000, bytes: 52_428_800 } as const;

/** The protocol's limit for one address, in characters. */
const longestAddress = 2047;

/** Options of a sitemap. */
export interface SitemapOptions {
  /** Default: none. */
  readonly records?: SiteRecords;
  /** The name of the first file; those after it are numbered before the ending. Default: `sitemap.xml`. */
  readonly name?: string;
  /** Lower limits than the protocol's, for those who want smaller files. */
  readonly limits?: Partial<Record<keyof typeof sitemapLimits, number>>;
  /** Called with each address that is left out because it is longer than the protocol allows. Default: nothing. */
  readonly onLeftOut?: (url: string) => void;
}

/** A file to be put at the root of the site. */
export interface SitemapFile {
  readonly name: string;
  readonly text: string;
}

/** One page in all its languages, the site's own first. */
interface SitemapPage {
  readonly alternates: readonly { readonly language: string; readonly url: string }[];
}

/**
 * Writes the public pages as sitemaps of the sitemaps.org protocol 0.9: one file, or an index and several files if one
 * cannot hold all addresses. Private and planned entries, outside links, groups, and addresses of 2 048 characters and
 * more are left out.
 *
 * @returns no file if there is no public page, because the protocol has no empty sitemap
 * @throws TypeError for a site without an origin
 * @example
 * for (const { name, text } of sitemap(site, { records })) writeFileSync(`dist/${name}`, text);
 */
export function sitemap(site: Site, options: SitemapOptions = {}): readonly SitemapFile[] {
  const { records = {}, name = 'sitemap.xml', onLeftOut = () => undefined } = options;
  const { origin } = site;
  if (origin === null) throw new TypeError(errorText('origin-missing'));
  const limits = { ...sitemapLimits, ...options.limits };
  const parts = split(urlElements(pagesOf(site, origin, records, onLeftOut), site), limits);
  const namespaces = site.languages.length > 1 ? ' xmlns:xhtml="http://www.w3.org/1999/xhtml"' : '';
  const open = `${declaration}<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"${namespaces}>\n`;
  const texts = parts.map((part) => `${open}${part.join('')}</urlset>\n`);
  if (texts.length <= 1) return texts.map((text) => ({ name, text }));

  const files = texts.map((text, index) => ({ name: name.replace(/(?=\.[^.]*$|$)/u, `-${index + 1}`), text }));
  const rows = files.map((file) => {
    return `  <sitemap><loc>${escapeXml(absoluteAddress(origin, `${site.base}/${encodeURIComponent(file.name)}`))}</loc></sitemap>\n`;
  });
  const index = `${declaration}<sitemapindex xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">\n${rows.join('')}</sitemapindex>\n`;
  return [{ name, text: index }, ...files];
}

const declaration = '<?xml version="1.0" encoding="UTF-8"?>\n';

function* pagesOf(
  site: Site,
  origin: string,
  records: SiteRecords,
  onLeftOut: (url: string) => void,
): Generator<SitemapPage, void, undefined> {
  const seen = new Set<string>();
  for (const entry of everyEntry(site.entries)) {
    if (entry.outside || entry.planned || mayAccess(entry, []) !== true) continue;
    const list = recordsOf(entry, records);
    const filled: readonly Readonly<Record<string, string>>[] = Array.isArray(list)
      ? list.map(({ params }: SiteRecord) => params)
      : [{}];
    for (const params of filled) {
      const alternates = site.languages.flatMap((language) => {
        const href = hrefOf(site, entry, params, language);
        if (href === null) return [];
        const url = absoluteAddress(origin, href);
        if (url.length <= longestAddress) return [{ language, url }];
        onLeftOut(url);
        return [];
      });
      const [first] = alternates;
      if (!first || seen.has(first.url)) continue;
      seen.add(first.url);
      yield { alternates };
    }
  }
}

function* urlElements(pages: Iterable<SitemapPage>, site: Site): Generator<string, void, undefined> {
  for (const { alternates } of pages) {
    const links = alternates.map(({ language, url }) => {
      return `<xhtml:link rel="alternate" hreflang="${escapeXml(language)}" href="${escapeXml(url)}"/>`;
    });
    for (const { url } of alternates) {
      const also = site.languages.length > 1 ? links.join('') : '';
      yield `  <url><loc>${escapeXml(url)}</loc>${also}</url>\n`;
    }
  }
}

function split(elements: Iterable<string>, limits: { addresses: number; bytes: number }): string[][] {
  // The declaration and the root element are the same few bytes in every file.
  const room = limits.bytes - 400;
  let part: string[] = [];
  let bytes = 0;
  const parts: string[][] = [];
  for (const text of elements) {
    const size = byteLength(text);
    if (parts.length === 0 || (part.length > 0 && (part.length >= limits.addresses || bytes + size > room))) {
      parts.push((part = []));
      bytes = 0;
    }
    part.push(text);
    bytes += size;
  }
  return parts;
}

/** The bytes of a text in UTF-8. */
function byteLength(text: string): number {
  let bytes = 0;
  for (let index = 0; index < text.length; index += 1) {
    const code = text.charCodeAt(index);
    // Each half of a surrogate pair is two of the pair's four bytes.
    bytes += code < 0x80 ? 1 : code < 0x800 || (code >= 0xd800 && code <= 0xdfff) ? 2 : 3;
  }
  return bytes;
}
