import type { DefinedSite } from 'fair-trail';
import { type ItemReading, type MenuReading, quoted } from 'fair-trail/internal/testing';
import type { NavigationFailure, PageReading } from 'fair-trail/testing';
import { everyItem } from 'fair-trail/internal/testing';
import { keyOf, type ExpectedPage } from './expected-pages.ts';

/** Where a page stands among items: where it does so twice, under its label. */
export function wayIn(
  site: DefinedSite,
  items: readonly ItemReading[],
  { key, label }: ExpectedPage,
): readonly string[] | null {
  const ways = waysIn(site, items, key, []);
  return ways.find((way) => isCalled(way.at(-1) ?? '', label)) ?? ways[0] ?? null;
}

function waysIn(
  site: DefinedSite,
  items: readonly ItemReading[],
  key: string,
  above: readonly string[],
): readonly (readonly string[])[] {
  return items.flatMap(({ name, link, items: below }) => {
    const way = [...above, name];
    const isIt = link !== null && URL.canParse(link.href) && keyOf(site, new URL(link.href)) === key;
    return [...(isIt ? [way] : []), ...waysIn(site, below, key, way)];
  });
}

/** A badge or a note may stand after the label. */
export function isCalled(name: string, label: string): boolean {
  return name === label || name.startsWith(`${label} `);
}

export function marksIn({ menus }: PageReading): string {
  const marked = menus.flatMap(({ items }) => everyItem(items)).filter(({ current }) => current !== null);
  return `${quoted(marked.map(({ name }) => name))} marked`;
}

export function offersOf(menus: readonly MenuReading[]): string {
  return quoted(menus.flatMap(({ items }) => items.map(({ name }) => name)));
}

/** Without the menu, which is long: what was wanted, what was found, and a likely reason. */
export function inOneLine(error: NavigationFailure): string {
  const [head = ''] = error.message.split('\n\n', 1);
  return head
    .split('\n')
    .map((line) => line.trim().replace(/^(found|likely): +/u, '$1: '))
    .join(' ');
}
