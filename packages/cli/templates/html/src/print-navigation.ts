import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineSite } from 'fair-trail';
import { pageHtml } from 'fair-trail/html';
import type { Plugin } from 'vite';

const siteFile = fileURLToPath(new URL('marram-point.site.json', import.meta.url));

/** The page with the navigation that all pages share, in place of the comment, and with its title. */
export function withNavigation(html: string, url: string, base = '/'): string {
  const site = defineSite(JSON.parse(readFileSync(siteFile, 'utf8')), { base });
  const page = pageHtml({ site, url });
  const navigation = [
    page.skipLink(),
    '<trail-site>',
    page.bar({ pinned: 'sticky' }),
    page.breadcrumbs(),
    '</trail-site>',
  ];
  return html
    .replace('<!--navigation-->', () => navigation.join('\n    '))
    .replace(
      /<title>.*<\/title>/u,
      () => `<title>${page.title.replaceAll('&', '&amp;').replaceAll('<', '&lt;')}</title>`,
    );
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
