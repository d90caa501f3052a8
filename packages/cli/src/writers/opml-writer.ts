import { outline, type OutlineItem, type Site, type SiteRecords } from 'fair-trail';

/** The public pages of a site as an OPML 2.0 outline. Addresses are absolute where the site has an origin. */
export function toOpml(site: Site, records: SiteRecords): string {
  const write = (items: readonly OutlineItem[], indent: string): string =>
    items
      .map(({ label, href, items: below }) => {
        const address = href?.startsWith('/') && site.origin !== null ? site.origin + href : href;
        const link = address === null ? '' : ` type="link" url="${escape(address)}"`;
        const start = `${indent}<outline text="${escape(label)}"${link}`;
        return below.length === 0 ? `${start}/>\n` : `${start}>\n${write(below, `${indent}  `)}${indent}</outline>\n`;
      })
      .join('');
  const body = write(outline(site, { records }), '    ');
  const head = `  <head>\n    <title>${escape(site.name)}</title>\n  </head>\n`;
  return `<?xml version="1.0" encoding="UTF-8"?>\n<opml version="2.0">\n${head}  <body>\n${body}  </body>\n</opml>\n`;
}

const entities: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** Also takes out what XML 1.0 cannot hold in any form. */
function escape(text: string): string {
  const valid = text.replace(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu, '\uFFFD');
  return valid.replace(/[&<>"]/gu, (character) => entities[character] ?? '');
}
