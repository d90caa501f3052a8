import { everyEntry, type DefinedSite, type SiteRecords } from 'fair-trail';
import { printable } from '../printable.ts';

/** Pages that come from data are known by their records alone: without those, nothing can be said of them. */
export function adviseRecords(site: DefinedSite, records: SiteRecords): void {
  const names = new Set([...everyEntry(site.entries)].flatMap(({ records: name }) => name ?? []));
  const missing = [...names].filter((name) => !Object.hasOwn(records, name));
  if (missing.length === 0) return;
  const lists = missing.map((name) => `"${printable(name)}"`).join(', ');
  process.stderr.write(
    `advice: no records were given for ${lists}: their pages are not walked. Give --records FILE.\n`,
  );
}
