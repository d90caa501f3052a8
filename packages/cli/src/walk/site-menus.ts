import { menuItems, type MenuItem, type DefinedSite } from 'fair-trail';
import type { ItemReading, MenuReading } from 'fair-trail/internal/testing';
import { everyItem } from 'fair-trail/internal/testing';
import { keyOf, type ExpectedPage, type Visitor } from './expected-pages.ts';

/** How much of a menu of the page must be of a menu of the site for the two to be the same. */
const leastShare = 0.5;

/** Links of a menu by what their addresses are called among stops. */
export function linksByKey(site: DefinedSite, menu: MenuReading): ReadonlyMap<string, readonly ItemReading[]> {
  const found = new Map<string, ItemReading[]>();
  for (const item of everyItem(menu.items)) {
    if (!item.link || !URL.canParse(item.link.href)) continue;
    const key = keyOf(site, new URL(item.link.href));
    const items = found.get(key);
    if (items) items.push(item);
    else found.set(key, [item]);
  }
  return found;
}

/** The menus of a site as they are for a visitor, by the keys of what they lead to. */
export class SiteMenus {
  readonly #site: DefinedSite;
  readonly #visitor: Visitor;
  readonly #keys = new Map<string, ReadonlySet<string>>();
  readonly #labels = new Map<string, ReadonlySet<string>>();

  constructor(site: DefinedSite, visitor: Visitor) {
    this.#site = site;
    this.#visitor = visitor;
    for (const name of site.menus.keys()) {
      const items = flat(menuItems(site, name, visitor));
      this.#keys.set(name, new Set(items.flatMap(({ href }) => (href === null ? [] : [keyOf(this.#site, href)]))));
      this.#labels.set(name, new Set(items.map(({ label }) => label)));
    }
  }

  get names(): readonly string[] {
    return [...this.#keys].filter(([, keys]) => keys.size > 0).map(([name]) => name);
  }

  keysOf(name: string): ReadonlySet<string> {
    return this.#keys.get(name) ?? new Set();
  }

  /** The menu of the site that a menu of a page shows; null if it is none of them. */
  nameOf(menu: MenuReading): string | null {
    if (menu.kind === 'breadcrumbs') return null;
    const found = [...linksByKey(this.#site, menu).keys()];
    const labels = everyItem(menu.items).map(({ name }) => name);
    if (found.length === 0) return null;
    const scores = this.names.map((name) => {
      const keys = this.keysOf(name);
      const own = this.#labels.get(name) ?? new Set();
      // By what it leads to; where links are wrong, by what they are called.
      const byKey = found.filter((key) => keys.has(key)).length / Math.max(found.length, keys.size);
      const byLabel = labels.filter((label) => own.has(label)).length / Math.max(labels.length, own.size);
      return { name, share: Math.max(byKey, byLabel) + (menu.name.toLowerCase() === name ? 0.3 : 0) };
    });
    const [best] = scores.toSorted((one, other) => other.share - one.share);
    return best && best.share >= leastShare ? best.name : null;
  }

  /** What a menu marks at a place: `page`, `section` or nothing, by the keys of what it leads to. */
  marksAt(name: string, { position }: Pick<ExpectedPage, 'position'>): ReadonlyMap<string, ReadonlySet<string | null>> {
    const marks = new Map<string, Set<string | null>>();
    for (const { href, mark } of flat(menuItems(this.#site, name, { ...this.#visitor, position }))) {
      if (href === null) continue;
      const key = keyOf(this.#site, href);
      marks.set(key, (marks.get(key) ?? new Set<string | null>()).add(mark));
    }
    return marks;
  }
}

function flat(items: readonly MenuItem[]): readonly MenuItem[] {
  return items.flatMap((item) => [item, ...flat(item.items)]);
}
