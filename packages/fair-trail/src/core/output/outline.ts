import { mayAccess, type Audience, type Entry } from '../site/entry.ts';
import { hrefOf } from '../site/hrefs.ts';
import { labelOf } from '../site/labels.ts';
import { recordsOf, type SiteRecord, type SiteRecords } from '../site/records.ts';
import type { Site } from '../site/site.ts';

/** One line of a site's outline, with the lines below it. */
export interface OutlineItem {
  readonly entry: Entry;
  readonly label: string;
  readonly href: string | null;
  readonly items: readonly OutlineItem[];
}

export interface OutlineOptions {
  /** Default: none, so that private entries are left out. */
  readonly audience?: Audience;
  /** Default: none. */
  readonly records?: SiteRecords;
  /** Default: the site's own. */
  readonly language?: string;
  /** Whether pages that do not exist yet are in it. Default: false. */
  readonly planned?: boolean;
}

/**
 * Returns all entries that a visitor may see, as a tree of labels and links. Records replace the entry that lists them.
 *
 * @example
 * const print = (items: readonly OutlineItem[], indent = '') => {
 *   for (const { label, href, items: below } of items) {
 *     console.log(indent, label, href);
 *     print(below, `${indent}  `);
 *   }
 * };
 * print(outline(site));
 */
export function outline(site: Site, options: OutlineOptions = {}): readonly OutlineItem[] {
  const { audience = [], records = {}, language = site.language, planned = false } = options;
  const lines = (entries: readonly Entry[]): OutlineItem[] =>
    entries.flatMap((entry) => {
      if (mayAccess(entry, audience) !== true || (entry.planned && !planned)) return [];
      const list = recordsOf(entry, records);
      const filled = Array.isArray(list) ? list.map(({ params }: SiteRecord) => params) : [{}];
      const items = lines(entry.entries);
      return filled.flatMap((params: Readonly<Record<string, string>>) => {
        const href = hrefOf(site, entry, params, language);
        // A page that cannot be linked to, for want of params, and holds nothing, is no line.
        if (href === null && items.length === 0) return [];
        return [{ entry, label: labelOf(site, entry, { params, records, language }), href, items }];
      });
    });
  return lines(site.entries);
}
