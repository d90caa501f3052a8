import { escapeMarkup } from '../core/output/escape.ts';
import type { Redirect } from './prerender-messages.ts';

/** The comment in `index.html` that an app's markup takes the place of. */
export const outlet = '<!--app-->';

interface PageTexts {
  readonly html: string;
  readonly title: string;
  readonly language: string;
  readonly head: string;
}

/** The page that the app was built with, for one address. */
export function fillTemplate(template: string, { html, title, language, head }: PageTexts): string {
  const titled = `<title>${escapeMarkup(title)}</title>`;
  const withTitle = /<title>[^<]*<\/title>/u.test(template)
    ? template.replace(/<title>[^<]*<\/title>/u, () => titled)
    : template.replace('</head>', () => `${titled}</head>`);
  return withTitle
    .replace(
      /(<html\b[^>]*?\slang=)(?:"[^"]*"|'[^']*'|[^\s>]+)/u,
      (_, before: string) => `${before}"${escapeMarkup(language)}"`,
    )
    .replace('</head>', () => `${head}</head>`)
    .replace(outlet, () => html);
}

/**
 * A page for browsers and search engines where a server knows nothing of the redirect.
 *
 * @param script the address of the script that leads on; without scripts, the query and the hash are lost
 */
export function redirectPage({ to }: Redirect, canonical: string, script: string): string {
  const href = escapeMarkup(to);
  return [
    '<!doctype html>',
    '<html lang="en">',
    '<head>',
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    '<title>This page has moved</title>',
    `<link rel="canonical" href="${escapeMarkup(canonical)}">`,
    `<script src="${escapeMarkup(script)}" data-to="${href}"></script>`,
    `<noscript><meta http-equiv="refresh" content="0; url=${href}"></noscript>`,
    '</head>',
    '<body>',
    `<p>This page has moved to <a href="${href}">${href}</a>.</p>`,
    '</body>',
    '</html>',
    '',
  ].join('\n');
}
