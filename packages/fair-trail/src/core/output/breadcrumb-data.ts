import { errorText } from '../error-texts.ts';
import { absoluteAddress } from '../site/address.ts';
import type { Breadcrumb } from '../site/breadcrumbs.ts';
import type { Site } from '../site/site.ts';

/**
 * Writes breadcrumbs as a schema.org `BreadcrumbList` in JSON-LD, safe inside a `<script type="application/ld+json">`.
 * Addresses are absolute, so the site needs an origin. The current page has no address, as the vocabulary allows.
 *
 * @throws TypeError for a site without an origin
 * @example
 * const data = breadcrumbJsonLd(site, breadcrumbs(site, position));
 */
export function breadcrumbJsonLd(site: Site, steps: readonly Breadcrumb[]): string {
  const { origin } = site;
  if (origin === null) throw new TypeError(errorText('origin-missing'));
  // A step without a link says nothing to a machine, and its place in the list is no one's.
  const linked = steps.filter(({ href, current }) => href !== null || current);
  const list = {
    '@context': 'https://schema.org',
    '@type': 'BreadcrumbList',
    itemListElement: linked.map(({ label, href, current }, index) => ({
      '@type': 'ListItem',
      position: index + 1,
      name: label,
      ...(!current && href !== null && { item: href.startsWith('/') ? absoluteAddress(origin, href) : href }),
    })),
  };
  // The HTML standard (section 4.12.1.3) ends a script at "</script" and starts an escape at "<!--", also in text.
  return JSON.stringify(list).replace(/[<>&\u2028\u2029]/gu, (character) => {
    return `\\u${character.charCodeAt(0).toString(16).padStart(4, '0')}`;
  });
}
