import { everyEntry, type Site } from '../core/site/site.ts';
import type { Entry } from '../core/site/entry.ts';
import { lineage } from '../core/site/entry.ts';

/** So many names are listed of each kind. */
const most = 10;

/**
 * What the pages of a stage leave out, and what they have that no entry of the site has. The empty text, where nothing is.
 *
 * @param layouts what has a stage of its own, whose pages may not be known yet
 */
export function coverageText(site: Site, pages: ReadonlySet<string>, layouts: ReadonlySet<string>): string {
  const entries = [...everyEntry(site.entries)];
  const needsPage = (entry: Entry) => entry.href !== null && !entry.outside && !entry.planned;
  const isCovered = (entry: Entry) => pages.has(entry.id) || lineage(entry).some(({ id }) => layouts.has(id));
  const without = entries.filter((entry) => needsPage(entry) && !isCovered(entry)).map(({ id }) => id);
  const unknown = [...pages].filter((id) => site.entry(id) === undefined);
  return [
    sentence(without, 'have no page in the stage', 'Add them to its "pages", or mark the entries as "planned".'),
    sentence(unknown, 'are pages of the stage, and no entries of the site', 'Correct the names, or add the entries.'),
  ]
    .filter(Boolean)
    .join('\n');
}

function sentence(ids: readonly string[], what: string, remedy: string): string {
  if (ids.length === 0) return '';
  const more = ids.length > most ? ` and ${ids.length - most} more` : '';
  return `${ids.slice(0, most).join(', ')}${more} ${what}. ${remedy}`;
}
