import type { DefinedSite } from 'fair-trail';
import type { PageReading } from 'fair-trail/testing';
import { everyItem } from 'fair-trail/internal/testing';
import { linksByKey, type SiteMenus } from './site-menus.ts';
import type { ExpectedPage } from './expected-pages.ts';

/** What is kept of a page that is there. */
export interface VisitedPage {
  readonly stop: ExpectedPage;
  readonly title: string;
  readonly heading: string | null;
  /** Null if it shows none. */
  readonly breadcrumbs: readonly string[] | null;
}

/** A menu of the site file as pages show it. */
export interface VisitedMenu {
  /** Its name on the pages. */
  readonly name: string;
  /** Pages that show it, the home page first where it does: one to begin on, and another for the way to the first. */
  readonly shownOn: readonly ExpectedPage[];
  /** The first page that shows it. */
  readonly reading: PageReading;
}

/** What the pages of a site say of each other. A site has many pages, so that little is kept of each. */
export class VisitedPages {
  readonly #site: DefinedSite;
  readonly #menus: SiteMenus;
  readonly #pages = new Map<string, VisitedPage>();
  readonly #shown = new Map<string, VisitedMenu>();
  /** The labels of links in menus, by the keys of what they lead to; and where they lead, by their labels. */
  readonly #labels = new Map<string, Set<string>>();
  readonly #places = new Map<string, Map<string, string>>();

  constructor(site: DefinedSite, menus: SiteMenus) {
    this.#site = site;
    this.#menus = menus;
  }

  add(stop: ExpectedPage, reading: PageReading): void {
    const { title, heading, breadcrumbs } = reading;
    this.#pages.set(stop.key, { stop, title, heading, breadcrumbs: breadcrumbs?.map(({ name }) => name) ?? null });
    const isHome = stop.entry === this.#site.home;
    for (const menu of reading.menus) {
      for (const [key, items] of linksByKey(this.#site, menu)) {
        for (const { name, link } of items) {
          this.#labels.set(key, (this.#labels.get(key) ?? new Set()).add(name));
          this.#places.set(name, (this.#places.get(name) ?? new Map<string, string>()).set(key, link?.href ?? ''));
        }
      }
      const name = this.#menus.nameOf(menu);
      if (name === null) continue;
      const known = this.#shown.get(name);
      if (!known) this.#shown.set(name, { name: menu.name, shownOn: [stop], reading });
      else if (isHome) this.#shown.set(name, { name: menu.name, shownOn: [stop, ...known.shownOn], reading });
      else if (known.shownOn.length < 2) this.#shown.set(name, { ...known, shownOn: [...known.shownOn, stop] });
    }
  }

  get size(): number {
    return this.#pages.size;
  }

  page(key: string): VisitedPage | null {
    return this.#pages.get(key) ?? null;
  }

  /** By the names of the site file. */
  get menus(): ReadonlyMap<string, VisitedMenu> {
    return this.#shown;
  }

  /** What links in menus call a page. */
  labelsOf(key: string): ReadonlySet<string> {
    return this.#labels.get(key) ?? new Set();
  }

  /** Where links of a label lead, by the keys of the places. */
  placesOf(label: string): ReadonlyMap<string, string> {
    return this.#places.get(label) ?? new Map();
  }
}

/** What of menus is marked as the page. */
export function markedAsPage({ menus }: PageReading): readonly string[] {
  const items = menus.flatMap((menu) => (menu.kind === 'breadcrumbs' ? [] : everyItem(menu.items)));
  return items.filter(({ current }) => current === 'page').map(({ name }) => name);
}
