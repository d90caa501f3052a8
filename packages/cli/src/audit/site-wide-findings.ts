import type { DefinedSite } from 'fair-trail';
import { isHarmful } from '../browser/harmful.ts';
import type { Findings } from './audit-report.ts';
import type { KnownPages } from './known-pages.ts';
import type { LinkCheck } from './link-check.ts';
import type { Difference } from './probes/across.ts';
import { deadLink } from './probes/links.ts';
import { pagesOf, sitePageMissing, sitePageUnlinked } from './probes/site-map.ts';

/** What was seen on the way, once all pages have been visited. */
export interface AuditSummary {
  readonly links: LinkCheck;
  readonly known: KnownPages;
  readonly findings: Findings;
  /** As it was asked for. */
  readonly target: string;
  /** The width that is reported for findings at every width. */
  readonly width: number;
  readonly isStopped: () => boolean;
}

/** Links of navigation that lead to nothing. */
export async function* deadLinks({
  links,
  findings,
  target,
  width,
  isStopped,
}: AuditSummary): AsyncGenerator<Difference> {
  const { dead, silent, left } = await links.ask(isStopped);
  for (const { address, status, from, link } of dead) {
    const message = `${new URL(address).pathname} answers with status ${status}.`;
    yield { probe: deadLink, page: from, width, place: link, message };
  }
  for (const { address, from } of silent) findings.leaveOut(deadLink.id, from, `${address} did not answer in time.`);
  if (left > 0) findings.leaveOut(deadLink.id, target, `${left} more links were not asked for.`);
}

/** Pages of the site file that are not there, or that nothing leads to. */
export async function* strayPages(
  site: DefinedSite,
  { links, known, width, isStopped }: AuditSummary,
): AsyncGenerator<Difference> {
  for (const { id, path, isListed } of pagesOf(site)) {
    if (isStopped()) return;
    const address = new URL(path, known.origin).href;
    const place = { selector: `entry ${id}`, html: path };
    const status = isHarmful(new URL(address)) ? null : await links.statusOf(address);
    const isMissing = status === 404 || status === 410;
    const message = `“${id}” is ${path}${isMissing ? `, which answers with status ${status}` : ''}.`;
    if (isMissing) yield { probe: sitePageMissing, page: address, width, place, message };
    else if (isListed && !known.has(address)) yield { probe: sitePageUnlinked, page: address, width, place, message };
  }
}
