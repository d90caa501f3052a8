import { type DefinedSite, type SiteRecords, everyEntry } from 'fair-trail';
import { everyMenuNode } from 'fair-trail/internal/core';
import { printable } from '../printable.ts';

/** A name that is in no entry is most likely misspelled, and would silently show what no one in it sees. */
export function adviseAudiences(site: DefinedSite, audience: readonly string[]): void {
  const nodes = [...site.menus.values()].flatMap((menu) => [...everyMenuNode(menu)]);
  const actions = nodes.filter((node) => node.kind === 'action');
  const known = new Set([...everyEntry(site.entries), ...actions].flatMap(({ audiences }) => audiences.flat()));
  for (const name of audience) {
    if (!known.has(name)) process.stderr.write(`advice: no entry is for the audience "${printable(name)}".\n`);
  }
}

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
