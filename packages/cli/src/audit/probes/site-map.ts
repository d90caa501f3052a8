import { everyEntry, hrefOf, locate, mayAccess, titleOf, type DefinedSite } from 'fair-trail';
import type { PageReport } from 'fair-trail/internal/audit';
import type { Probe } from '../probe.ts';
import type { Difference } from './across.ts';

export const sitePageMissing: Probe = {
  id: 'site-page-missing',
  title: 'A page of the site file does not exist.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone who follows a link to it.',
  remedy: 'Create the page, correct its href in the site file, or mark it as planned.',
  standard: 'HTTP Semantics (RFC 9110), sections 15.5.5 and 15.5.11',
};

export const sitePageUnlinked: Probe = {
  id: 'site-page-unlinked',
  title: 'No menu of the visited pages links to a page that the site file lists in a menu.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who looks for it.',
  remedy: 'Generate the menus from the site file; or remove the entry from its menu there.',
  standard: 'WCAG 2.2, 2.4.5 Multiple Ways',
};

export const siteLinkUnknown: Probe = {
  id: 'site-link-unknown',
  title: 'A menu links to a page of this site that is not in the site file.',
  severity: 'warning',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone on that page: no menu is marked, and there are no breadcrumbs.',
  remedy: 'Add the page to the site file, or correct the link.',
  standard: 'The site file, section “entries”',
};

export const siteTitleDiffers: Probe = {
  id: 'site-title-differs',
  title: 'The title of a page differs from the site file.',
  severity: 'warning',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone with several tabs: the menu and the tab name one page differently.',
  remedy: 'Set the title from the site file, or correct the label there.',
  standard: 'The site file, fields “title” and “label”',
};

export const siteMarkDiffers: Probe = {
  id: 'site-mark-differs',
  title: 'A menu does not mark the page that the site file says is shown.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone who looks at the menu to see where they are.',
  remedy: 'Set aria-current="page" on the link to this page.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-current)',
};

export const siteProbes: readonly Probe[] = [
  sitePageMissing,
  sitePageUnlinked,
  siteLinkUnknown,
  siteTitleDiffers,
  siteMarkDiffers,
];

/** What a page has otherwise than its site file says. */
export function* againstSite(site: DefinedSite, report: PageReport, page: string, width: number): Iterable<Difference> {
  const { origin } = new URL(page);
  const position = locate(site, new URL(page));
  if (position.status === 'unknown') return;
  const expected = titleInSite(site, page);
  if (expected !== null) {
    const place = { selector: 'head > title', html: `<title>${report.title}</title>` };
    const message = `It is “${report.title}”; the site file says “${expected}”.`;
    if (expected !== report.title) yield { probe: siteTitleDiffers, page, width, place, message };
  }
  for (const menu of report.menus) {
    if (menu.role !== 'navigation') continue;
    const own = menu.links.filter((link) => URL.canParse(link.href) && new URL(link.href).origin === origin);
    const placed = own.map((link) => ({ link, at: locate(site, new URL(link.href)) }));
    for (const { link, at } of placed) {
      if (at.status !== 'unknown') continue;
      const message = `It leads to ${new URL(link.href).pathname}.`;
      yield { probe: siteLinkUnknown, page, width, place: link, message };
    }
    if (position.status !== 'exact') continue;
    const here = placed.filter(({ at, link }) => {
      const isSame = at.entry === position.entry && at.status === 'exact' && new URL(link.href).hash === '';
      return isSame && JSON.stringify(at.params) === JSON.stringify(position.params);
    });
    const [first] = here;
    if (first && here.every(({ link }) => !link.isCurrent)) {
      const message = `This page is “${position.entry?.id ?? ''}”.`;
      yield { probe: siteMarkDiffers, page, width, place: first.link, message };
    }
  }
}

/** The title that a site file gives the page at an address; null if it gives none, or a record does. */
export function titleInSite(site: DefinedSite, url: string): string | null {
  const position = locate(site, new URL(url));
  return position.status === 'exact' && position.entry?.records === null ? titleOf(site, position, '') : null;
}

/** The addresses of the pages that a site file names, as far as they are to be written without records. */
export function pagesOf(
  site: DefinedSite,
): readonly { readonly id: string; readonly path: string; readonly isListed: boolean }[] {
  const listed = JSON.stringify(site.definition.menus ?? {});
  return [...everyEntry(site.entries)].flatMap((entry) => {
    const isOpen = mayAccess(entry, []);
    const path =
      entry.outside || entry.planned || isOpen !== true || entry.paramNames.length > 0 ? null : hrefOf(site, entry);
    return path === null ? [] : [{ id: entry.id, path, isListed: listed.includes(JSON.stringify(entry.id)) }];
  });
}
