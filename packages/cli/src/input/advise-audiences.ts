import { everyEntry, type DefinedSite } from 'fair-trail';
import { everyMenuNode } from 'fair-trail/internal/core';
import { printable } from '../printable.ts';

/** A name that is in no entry is most likely misspelt, and would silently show what nobody in it sees. */
export function adviseAudiences(site: DefinedSite, audience: readonly string[]): void {
  const nodes = [...site.menus.values()].flatMap((menu) => [...everyMenuNode(menu)]);
  const actions = nodes.filter((node) => node.kind === 'action');
  const known = new Set([...everyEntry(site.entries), ...actions].flatMap(({ audiences }) => audiences.flat()));
  for (const name of audience) {
    if (!known.has(name)) process.stderr.write(`advice: no entry is for the audience "${printable(name)}".\n`);
  }
}
