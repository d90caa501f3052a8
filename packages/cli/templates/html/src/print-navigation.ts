import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineSite } from 'fair-trail';
import { pageHtml } from 'fair-trail/html';
import type { Plugin } from 'vite';

const siteFile = fileURLToPath(new URL('marram-point.site.json', import.meta.url));

/** The page with its title, and with what all pages share around what comes after the comment. */
export function withNavigation(html: string, url: string, base = '/'): string {
  const site = defineSite(JSON.parse(readFileSync(siteFile, 'utf8')), { base });
  const page = pageHtml({ site, url });
  const title = page.title.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
  return html
    .replace(/<title>.*<\/title>/u, () => `<title>${title}</title>`)
    .replace(/<!--navigation-->([\s\S]*)<\/body>/u, (_, content: string) => {
      const layout = page.layout({ bar: page.bar({ pinned: 'sticky' }), content: page.breadcrumbs() + content });
      return `${page.skipLink()}<trail-site>${layout}</trail-site></body>`;
    });
}

/** Prints the navigation into each page, so that its links are there before any script, and without one. */
export function printNavigation(): Plugin {
  let base = '/';
  return {
    name: 'print-navigation',
    configResolved: (config) => {
      ({ base } = config);
    },
    transformIndexHtml: {
      order: 'pre',
      handler: (html, { path }) => withNavigation(html, base + path.slice(1).replace(/(?:index)?\.html$/u, ''), base),
    },
  };
}
