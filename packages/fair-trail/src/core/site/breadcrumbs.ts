import type { Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { labelOf } from './labels.ts';
import type { Position } from './locate.ts';
import type { SiteRecords } from './records.ts';
import type { Site } from './site.ts';

/** One step of the way from the home page to the position. */
export interface Breadcrumb {
  readonly entry: Entry;
  readonly label: string;
  /** Null for an unlinked group. */
  readonly href: string | null;
  /** True for the page itself. False for all where the position is inside an entry or unknown. */
  readonly current: boolean;
}

/** The way to a position: the site's home, then the position's ancestors, then the entry itself. */
export function breadcrumbs(site: Site, position: Position, records: SiteRecords = {}): readonly Breadcrumb[] {
  const { path, params, status } = position;
  const steps = site.home ? [site.home, ...path.filter((entry) => entry !== site.home)] : path;
  return steps.map((entry) => ({
    entry,
    label: labelOf(entry, params, records),
    href: hrefOf(site, entry, params),
    current: status === 'exact' && entry === position.entry,
  }));
}
