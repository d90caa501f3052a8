import type { Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { labelOf } from './labels.ts';
import type { Position } from './locate.ts';
import type { SiteRecords } from './records.ts';
import type { Site } from './site.ts';

/** One breadcrumb. */
export interface Breadcrumb {
  readonly entry: Entry;
  readonly label: string;
  /** Null for an unlinked group, and for a planned page. */
  readonly href: string | null;
  /** True for the page itself. False for all where the position is inside an entry or unknown. */
  readonly current: boolean;
}

/**
 * Returns the breadcrumbs of a position, in its language: the home page, the ancestors without those with `breadcrumb:
 * false`, and the entry itself.
 *
 * @example
 * breadcrumbs(site, locate(site, '/hides/causeway')).map(({ label }) => label);
 * // ['Today', 'Hides', 'Causeway Hide']
 */
export function breadcrumbs(site: Site, position: Position, records: SiteRecords = {}): readonly Breadcrumb[] {
  const { path, params, status, language } = position;
  const wanted = path.filter((entry) => entry !== site.home && (entry.breadcrumb || entry === position.entry));
  const steps = site.home ? [site.home, ...wanted] : wanted;
  return steps.map((entry) => ({
    entry,
    label: labelOf(site, entry, { params, records, language }),
    href: entry.planned ? null : hrefOf(site, entry, params, language),
    current: status === 'exact' && entry === position.entry,
  }));
}

/** A way with its middle behind a button. */
export interface FoldedBreadcrumbs {
  readonly first: readonly Breadcrumb[];
  /** Those that are folded away; none, where all fit. */
  readonly folded: readonly Breadcrumb[];
  readonly last: readonly Breadcrumb[];
}

export interface FoldOptions {
  /** How many steps from the home page stay. Default: 1. */
  readonly keepFirst?: number;
  /** How many steps up to the page stay. Default: 2. */
  readonly keepLast?: number;
}

/**
 * Folds breadcrumbs to their first and last few steps. A single step is never folded, because the button would take as
 * much room.
 *
 * @example
 * const { first, folded, last } = foldBreadcrumbs(breadcrumbs(site, position), { keepLast: 1 });
 */
export function foldBreadcrumbs(steps: readonly Breadcrumb[], options: FoldOptions = {}): FoldedBreadcrumbs {
  const keepFirst = Math.max(0, options.keepFirst ?? 1);
  const keepLast = Math.max(0, options.keepLast ?? 2);
  const middle = steps.slice(keepFirst, Math.max(keepFirst, steps.length - keepLast));
  if (middle.length < 2) return { first: steps, folded: [], last: [] };
  return { first: steps.slice(0, keepFirst), folded: middle, last: steps.slice(keepFirst + middle.length) };
}
