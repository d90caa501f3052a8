import { deepElements } from './deep-elements.ts';
import { holds, navigationsOf } from './navigations.ts';
import { askedOnce } from './one-reading.ts';
import { parentOf } from './visible.ts';

/** The element itself, or the nearest one around it, that a selector finds; also through the borders of shadow roots. */
export function closestAround(element: Element, selector: string): Element | null {
  for (let at: Element | null = element; at; at = parentOf(at)) if (at.matches(selector)) return at;
  return null;
}

const heads = 'header, [role="banner"], search, [role="search"]';

/** The menus of a document, outermost first: its navigation landmarks, and the runs of links outside of them. */
export const menusIn = askedOnce((document: Document): readonly Element[] => {
  const { landmarks, runs } = navigationsOf(document);
  return [...landmarks, ...runs];
});

/** Whether an element belongs to the navigation of its page: it stands in a menu, in a head, or in a search. */
export function isNearNavigation(element: Element, menus = menusIn(element.ownerDocument)): boolean {
  return menus.some((menu) => holds(menu, element)) || closestAround(element, heads) !== null;
}

/** What a selector finds of the navigation of a page. */
export function nearElements(document: Document, selector: string): readonly HTMLElement[] {
  const menus = menusIn(document);
  return deepElements(document, selector).filter((element) => isNearNavigation(element, menus));
}
