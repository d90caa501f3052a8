import { outline, type OutlineItem, type DefinedSite, type SiteRecords } from 'fair-trail';
import { escapeXml } from 'fair-trail/internal/core';

/** The public pages of a site as an OPML 2.0 outline. Addresses are absolute where the site has an origin. */
export function toOpml(site: DefinedSite, records: SiteRecords): string {
  const write = (items: readonly OutlineItem[], indent: string): string =>
    items
      .map(({ label, href, items: below }) => {
        const isPath = href?.startsWith('/') === true && site.origin !== null;
        const address = isPath ? new URL(site.origin + href).href : href;
        const link = address === null ? '' : ` type="link" url="${escapeXml(address)}"`;
        const start = `${indent}<outline text="${escapeXml(label)}"${link}`;
        return below.length === 0 ? `${start}/>\n` : `${start}>\n${write(below, `${indent}  `)}${indent}</outline>\n`;
      })
      .join('');
  const body = write(outline(site, { records }), '    ');
  const head = `  <head>\n    <title>${escapeXml(site.name)}</title>\n  </head>\n`;
  return `<?xml version="1.0" encoding="UTF-8"?>\n<opml version="2.0">\n${head}  <body>\n${body}  </body>\n</opml>\n`;
}
