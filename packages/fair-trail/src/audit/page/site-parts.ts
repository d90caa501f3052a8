import { accessibleName } from '../../reading/accessible-name.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isDrawn, isExposed, parentOf } from '../../reading/visible.ts';

/** A part of the page that should stand in the same order on all pages (WCAG 2.2, 3.2.3). */
export interface FoundLandmark {
  readonly role: string;
  readonly name: string;
  readonly selector: string;
  readonly html: string;
}

/** A way to get help (WCAG 2.2, 3.2.6). */
export interface FoundHelp {
  readonly href: string;
  /** The landmark that it is in; `page` for none. */
  readonly place: string;
  readonly selector: string;
  readonly html: string;
}

/** A field that is there on many pages. */
export interface FoundField {
  /** The same for the field that does the same on another page. */
  readonly key: string;
  readonly name: string;
  readonly selector: string;
  readonly html: string;
}

const roles: ReadonlySet<string> = new Set(['banner', 'navigation', 'main', 'complementary', 'contentinfo', 'search']);

export function landmarksOf(document: Document): readonly FoundLandmark[] {
  return deepElements(document, 'header, nav, main, aside, footer, search, [role]')
    .filter((element) => roles.has(roleOf(element) ?? '') && isExposed(element))
    .slice(0, 60)
    .map((element) => {
      const role = roleOf(element) ?? '';
      return { role, name: accessibleName(element, role), selector: selectorOf(element), html: tagOf(element) };
    });
}

/** What links to help are called, in the languages we know. */
const helpWords = /\b(?:help|support|contact(?: us)?|faq|ask us|hilfe|kontakt|aide|nous contacter|ayuda|contacto)\b/iu;

export function helpOf(document: Document): readonly FoundHelp[] {
  return linksIn(document)
    .filter((link) => helpWords.test(accessibleName(link, 'link')) && isExposed(link) && isDrawn(link))
    .filter((link) => link.closest('main, [role="main"], article') === null)
    .slice(0, 10)
    .map((link) => ({
      href: link.href,
      place: placeOf(link),
      selector: selectorOf(link),
      html: tagOf(link),
    }));
}

function placeOf(link: Element): string {
  for (let at = parentOf(link); at; at = parentOf(at)) {
    const role = roleOf(at) ?? '';
    // A menu may stand in the head of the page, or at its foot: that is what matters.
    if (['banner', 'contentinfo', 'complementary', 'main'].includes(role)) return role;
  }
  for (let at = parentOf(link); at; at = parentOf(at)) if (roleOf(at) === 'navigation') return 'navigation';
  return 'page';
}

export function fieldsOf(document: Document): readonly FoundField[] {
  return deepElements(document, 'input, select')
    .filter((field) => field.closest('header, nav, footer, search, [role="search"], [role="banner"]') !== null)
    .filter((field) => isExposed(field) && roleOf(field) !== null && roleOf(field) !== 'button')
    .slice(0, 20)
    .map((field) => {
      const form = field.closest('form');
      const key = [form?.getAttribute('action') ?? '', field.getAttribute('name') ?? '', roleOf(field)].join(' ');
      return { key, name: accessibleName(field, roleOf(field)), selector: selectorOf(field), html: tagOf(field) };
    });
}

const wayWords = /\b(?:site ?map|search|all pages|a[ -–]?z|index|sitemap|suche|übersicht|plan du site|recherche)\b/iu;

export function hasOtherWay(document: Document): boolean {
  const fields = 'input[type="search"], search, [role="search"], [role="searchbox"], input[name="q"], input[name="s"]';
  if (deepElements(document, fields).some(isExposed)) return true;
  return linksIn(document).some((link) => isExposed(link) && wayWords.test(accessibleName(link, 'link')));
}
