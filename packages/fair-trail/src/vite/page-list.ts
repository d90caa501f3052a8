import { sitemap } from '../core/output/sitemap.ts';
import { addressOfTemplate } from '../core/site/entry-templates.ts';
import { writeTemplate } from '../core/site/path-template.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import { locate } from '../core/site/locate.ts';
import { recordsOf, type SiteRecords } from '../core/site/records.ts';
import { everyEntry, type DefinedSite } from '../core/site/site.ts';
import { mayAccess, type Entry } from '../core/site/entry.ts';
import type { PageList, PageTask, Redirect } from './prerender-messages.ts';

/** Every address of a site that is known, and what else is made of it. */
export function listPages(
  site: DefinedSite,
  records: SiteRecords,
  isRestrictedWritten = true,
): Omit<PageList, 'stage' | 'stageTags' | 'records'> {
  const leftOut: string[] = [];
  const restricted: string[] = [];
  const pages = new Map<string, PageTask>();
  const taken = new Set<string>();
  for (const entry of everyEntry(site.entries)) {
    if (entry.outside || entry.href === null) continue;
    for (const params of paramsOf(entry, records)) {
      for (const language of site.languages) {
        const address = hrefOf(site, entry, params, language);
        if (address === null) leftOut.push(...withoutAddress(entry, params, language === site.language));
        if (address === null || pages.has(address)) continue;
        if (!isRestrictedWritten && mayAccess(entry, []) === false) {
          restricted.push(address);
          continue;
        }
        const file = fileOf(site, address);
        if (file === null || taken.has(file)) {
          leftOut.push(`${address}: its path is not a valid file path, or another page already uses it.`);
        } else pages.set(address, { address, file });
        if (file !== null) taken.add(file);
      }
    }
  }
  return {
    leftOut,
    restricted,
    pages: [...pages.values()],
    redirects: redirectsOf(site, records).filter(({ from }) => !taken.has(fileOf(site, from) ?? '')),
    sitemap: site.origin === null ? [] : sitemap(site, { records }),
  };
}

/** What is said of a record that no address can be made of. An entry without any records has no pages yet, and is fine. */
function withoutAddress(
  { id, records }: Entry,
  params: Readonly<Record<string, string>>,
  isFirst: boolean,
): readonly string[] {
  if (!isFirst || Object.keys(params).length === 0) return [];
  const where = `the record ${JSON.stringify(params)} of "${records ?? ''}", for the entry "${id}"`;
  return [`${where}: no address can be made of it. Give each param a text that is not empty, "." or "..".`];
}

function paramsOf(entry: Entry, records: SiteRecords): readonly Readonly<Record<string, string>>[] {
  const list = recordsOf(entry, records);
  if (Array.isArray(list)) return list.map(({ params }) => params as Readonly<Record<string, string>>);
  return [{}];
}

/** The old addresses that are known: those with params are, where records say what the params are. */
function redirectsOf(site: DefinedSite, records: SiteRecords): readonly Redirect[] {
  const found = new Map<string, Redirect>();
  for (const [language, addresses] of Object.entries(site.addresses)) {
    for (const { entry, path, moved } of addresses) {
      if (!moved) continue;
      for (const params of paramsOf(entry, records)) {
        const from = addressOfTemplate(site, writeTemplate(path), params, language);
        const to = from === null ? null : locate(site, from).movedTo;
        if (from !== null && to !== null && from !== to && !found.has(from)) found.set(from, { from, to, status: 301 });
      }
    }
  }
  return [...found.values()];
}

/**
 * The file that a server sends for an address: a folder of its own with a page in it. Null for what is no path of a file: a
 * server would never be asked for it, or it would lie elsewhere.
 */
export function fileOf({ base }: Pick<DefinedSite, 'base'>, address: string): string | null {
  const [pathname = ''] = address.slice(base.length).split(/[?#]/u);
  const segments = pathname.split('/').filter(Boolean);
  try {
    const names = segments.map((segment) => decodeURIComponent(segment));
    if (names.some((name) => name === '.' || name === '..' || /[/\\\0]/u.test(name))) return null;
    return [...names, 'index.html'].join('/');
  } catch {
    return null;
  }
}
