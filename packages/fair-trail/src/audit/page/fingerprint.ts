import { linksIn } from '../../reading/deep-elements.ts';

/** More of a menu than that is not compared. */
export const mostLinks = 2000;

/** What a menu says and where it leads: marks, and what a script adds to them, come and go. */
export function fingerprintOf(menu: Element): string {
  const links = linksIn(menu)
    .slice(0, mostLinks)
    .map((link) => `${link.href} ${link.textContent}`);
  const own = menu.getAttribute('aria-label') ?? (links.length === 0 ? menu.textContent : '');
  return [menu.localName, menu.id, menu.className, own, ...links].join(' ').replaceAll(/\s+/gu, ' ');
}

/** The same for menus that are made alike, whatever they say: of breadcrumbs, every page has others. */
export function likenessOf(menu: Element): string {
  const parts = new Set<string>();
  for (const element of [...menu.querySelectorAll('*')].slice(0, mostParts)) {
    parts.add(`${element.localName}.${element.getAttribute('class') ?? ''}`);
  }
  return [menu.localName, menu.id, menu.className, menu.getAttribute('aria-label'), ...[...parts].toSorted()].join(' ');
}

const mostParts = 300;
