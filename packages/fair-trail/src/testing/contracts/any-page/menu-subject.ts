import { expect } from 'vitest';
import { locate, titleOf } from '../../../core/site/locate.ts';
import type { MenuItem } from '../../../core/site/menu-item.ts';
import { menuItems, type Visit } from '../../../core/site/menus.ts';
import type { Site } from '../../../core/site/site.ts';
import type { Input } from '../../host.ts';
import { navigationMatchers } from '../../matchers.ts';
import type { Menu } from '../../menu.ts';
import type { Navigation } from '../../navigation.ts';
import type { ControlReading, ItemReading } from '../../../reading/page-reading.ts';
import { type ContractCase, type ContractPart, eachPage } from '../contract.ts';

expect.extend(navigationMatchers);

/** A page that a menu leads to. */
export interface MenuPage {
  /** The labels from the top of the menu down to it. */
  readonly way: readonly string[];
  /** Path and query. */
  readonly address: string;
  /** The document's title there. Default: any, if it is no other page's. */
  readonly title?: string;
  /** The first heading there. Default: any. */
  readonly heading?: string;
}

/** Any menu, and how the test reaches it. */
export interface MenuSubject {
  /**
   * Shows the page at an address, in a window of 1280 × 800, and takes away what it showed before: a test may open
   * several pages, one after another.
   */
  readonly open: (address: string) => Promise<Navigation>;
  /** Default: the only menu there is. */
  readonly menu?: string;
  /** Every page of this site that it leads to, the first one being where tests begin. `menuPages` makes them of a site. */
  readonly pages: readonly MenuPage[];
  /** An address of the site that no one made. Default: `/no-such-page`. */
  readonly unknownAddress?: string;
}

/** Promises of a menu. */
export type MenuPart = ContractPart<MenuSubject>;

/**
 * The pages of a menu of a site, with the titles that the site file gives them. A test of these compares the page with the site
 * file: an address that is wrong in the file is wrong in the test too.
 *
 * @example
 * const expected = menuPages(site, 'main');
 */
export function menuPages(site: Site, menu: string, visit: Visit = {}): readonly MenuPage[] {
  const pages: MenuPage[] = [];
  const collect = (items: readonly MenuItem[], above: readonly string[]) => {
    for (const { label, href, entry, items: below } of items) {
      const way = [...above, label];
      if (href !== null && entry?.outside === false) {
        const title = titleOf(site, locate(site, href), '', visit.records);
        pages.push({ way, address: href, title });
      }
      collect(below, way);
    }
  };
  collect(menuItems(site, menu, visit), []);
  return pages;
}

interface Ends {
  readonly first: MenuPage;
  readonly second: MenuPage;
  readonly last: MenuPage;
}

/** @throws TypeError where there are fewer than two pages: marks and Back go from one to another */
export function endsOf({ pages }: MenuSubject): Ends {
  const [first, second] = pages;
  const last = pages.at(-1);
  if (first && second && last) return { first, second, last };
  throw new TypeError(`A contract of a menu needs two pages or more of it, and was given ${pages.length}.`);
}

const nameOfPage = ({ way }: MenuPage) => way.join(' › ');

export const eachMenuPage = eachPage(nameOfPage);

/** A test for each page, which begins on the first one. */
export function eachAfterTheFirst(subject: MenuSubject): readonly ContractCase<MenuSubject>[] {
  const { first } = endsOf(subject);
  return subject.pages.slice(1).map((page) => {
    return { name: nameOfPage(page), subject: { ...subject, pages: [first, page] } };
  });
}

interface MenuUnderTest extends Ends {
  readonly page: Navigation;
  readonly menu: Menu;
}

/** On the first page. */
export async function begin(subject: MenuSubject): Promise<MenuUnderTest> {
  const ends = endsOf(subject);
  const page = await subject.open(ends.first.address);
  return { page, menu: page.menu(subject.menu), ...ends };
}

type Opener = ItemReading & { readonly control: ControlReading };

/** The first item of the menu that opens something. */
export async function opener(menu: Menu): Promise<Opener> {
  const { items } = await menu.read();
  const found = items.find((item): item is Opener => item.control !== null && item.items.length > 0);
  if (found) return found;
  return lacks(menu, 'No item of this menu opens anything', "panels: 'the bar has plain links alone'");
}

export async function toggleOf(menu: Menu): Promise<string> {
  const { toggle } = await menu.read();
  if (toggle?.isShown === true) return toggle.name;
  return lacks(menu, 'At 320 px no button opens this menu', "narrow: 'the row wraps'");
}

async function lacks(menu: Menu, what: string, skipped: string): Promise<never> {
  throw new Error(
    `${what}. Where it has no such thing, say so: menuContract(subject, { ${skipped} }).\n\n${await menu.tree()}`,
  );
}

export async function reachEach(subject: MenuSubject, input: Input): Promise<void> {
  const pages = subject.pages.slice(1);
  for (const { way, address } of pages) {
    const { page } = await begin(subject);
    await page
      .by(input)
      .menu(subject.menu)
      .choose(...way);
    await expect(page).toStandAt(address);
  }
}
