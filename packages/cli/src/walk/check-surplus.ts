import { locate, mayAccess } from 'fair-trail';
import type { PageReading } from 'fair-trail/testing';
import type { WalkContext } from './check-page.ts';
import { linksByKey } from './site-menus.ts';
import { isWithoutRecords, pathOf, type Visitor } from './expected-pages.ts';

/** What the menus of a page offer that is not in them in the site file. */
export function checkSurplus(
  { site, menus, notes }: WalkContext,
  { audience, records }: Visitor,
  reading: PageReading,
): void {
  const { origin } = new URL(reading.url);
  for (const menu of reading.menus) {
    const name = menus.nameOf(menu);
    if (name === null) continue;
    const own = menus.keysOf(name);
    for (const [key, [item]] of linksByKey(site, menu)) {
      if (own.has(key) || !item?.link || new URL(item.link.href).origin !== origin) continue;
      const { entry } = locate(site, new URL(item.link.href));
      const isPrivate = entry !== null && mayAccess(entry, audience) !== true;
      const message = `“${item.name}” leads to ${pathOf(item.link.href)}.`;
      if (isPrivate) notes.fault(null, { code: 'private-shown', blame: 'page', menu: name, message });
      // A record that the walk does not know: its entry is listed among what is not walked.
      else if (entry && isWithoutRecords(entry, records)) continue;
      else notes.fault(null, { code: 'not-in-site-file', blame: 'unclear', menu: name, message });
    }
  }
}
