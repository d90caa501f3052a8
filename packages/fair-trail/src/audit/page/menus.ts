import { accessibleName, accessibleNameWhenShown } from '../../reading/accessible-name.ts';
import { linksIn } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isDrawn, isExposed } from '../../reading/visible.ts';
import { fingerprintOf, likenessOf, mostLinks } from './fingerprint.ts';

/** A menu of a page, as it is compared with those of other pages and widths. */
export interface FoundMenu {
  readonly selector: string;
  readonly html: string;
  readonly fingerprint: string;
  /** The same for menus that are made alike. */
  readonly likeness: string;
  readonly role: string | null;
  readonly name: string;
  readonly links: readonly FoundLink[];
}

export interface FoundLink {
  readonly href: string;
  readonly label: string;
  readonly selector: string;
  readonly html: string;
  readonly isDrawn: boolean;
  readonly isCurrent: boolean;
  /** Where it begins, from the beginning of the first link of its menu, in CSS pixels; and how wide it is. */
  readonly left: number;
  readonly width: number;
}

export function menusOf(navigations: readonly Element[]): readonly FoundMenu[] {
  return navigations.filter(isExposed).map(menuOf);
}

/** Menus that are closed: they are compared with those of other pages, and not used. */
export function hiddenMenusOf(navigations: readonly Element[]): readonly FoundMenu[] {
  return navigations.filter((menu) => !isExposed(menu)).map(menuOf);
}

function menuOf(menu: Element): FoundMenu {
  const role = roleOf(menu);
  const links = linksIn(menu).slice(0, mostLinks);
  const left = links[0]?.getBoundingClientRect().left ?? 0;
  return {
    selector: selectorOf(menu),
    html: tagOf(menu),
    fingerprint: fingerprintOf(menu),
    likeness: likenessOf(menu),
    role,
    name: role === 'navigation' ? accessibleName(menu, role) : '',
    links: links.map((link) => linkOf(link, left)),
  };
}

function linkOf(link: HTMLAnchorElement, from: number): FoundLink {
  const { left, width } = link.getBoundingClientRect();
  const current = link.closest('[aria-current]')?.getAttribute('aria-current') ?? 'false';
  return {
    href: link.href,
    label: accessibleName(link, 'link') || accessibleNameWhenShown(link, 'link'),
    selector: selectorOf(link),
    html: tagOf(link),
    isDrawn: isDrawn(link),
    isCurrent: current !== 'false' && current !== '',
    left: left - from,
    width,
  };
}
