import { accessibleName } from '../../reading/accessible-name.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isExposed } from '../../reading/visible.ts';
import { isSamePage, resolved } from '../../reading/addresses.ts';

const values: ReadonlySet<string> = new Set(['page', 'step', 'location', 'date', 'time', 'true', 'false', '']);

export const severalCurrentPages: Rule = {
  id: 'several-current-pages',
  title: 'Several links of one menu claim to be the current page.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Everyone who looks at the menu to see where they are gets two answers.',
  remedy:
    'Set aria-current="page" only on the link to this page. A section that contains it may have aria-current="true".',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-current)',
  check: function* ({ navigations, url }: PageContext): Iterable<Violation> {
    for (const navigation of navigations) {
      const current = deepElements(navigation, '[aria-current="page"]').filter(isExposed);
      // The same address twice, such as a picture and its words, is one answer; so is a text and a link to this page.
      const places = new Map(current.map((element) => [placeOf(element, url), element]));
      const texts = new Set([...places.keys()].filter((place) => place.startsWith('text ')));
      const isOwn = (place: string, element: Element) =>
        URL.canParse(place) && (isSamePage(new URL(place), url) || texts.has(`text ${nameOf(element)}`));
      const own = [...places].find(([place, element]) => isOwn(place, element));
      if (texts.size > 0 && own) places.delete(own[0]);
      for (const element of [...places.values()].slice(1)) yield { element };
    }
  },
};

function placeOf(element: Element, url: URL): string {
  const link = element.closest<HTMLAnchorElement>('a[href]') ?? element.querySelector<HTMLAnchorElement>('a[href]');
  return (link && resolved(link, url)?.href) ?? `text ${nameOf(element)}`;
}

function nameOf(element: Element): string {
  return accessibleName(element, roleOf(element)) || element.textContent.trim();
}

export const markOnAnotherPage: Rule = {
  id: 'mark-on-another-page',
  title: 'A menu marks a page that is not the one shown.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Everyone who looks at the menu to see where they are is misled. Often the mark is stuck on the first item.',
  remedy: 'Set aria-current from the address of the page, on the link that leads to it.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-current): the item "represents the current item within a set"',
  check: function* ({ navigations, url }: PageContext): Iterable<Violation> {
    for (const navigation of navigations) {
      const links = linksIn(navigation).filter(isExposed);
      const here = links.filter((link) => isSamePage(resolved(link, url), url));
      // Where the menu has no link to this page, the marked one may stand for it.
      if (here.length === 0 || here.some((link) => link.getAttribute('aria-current') === 'page')) continue;
      for (const link of links) {
        const target = resolved(link, url);
        if (link.getAttribute('aria-current') === 'page' && target?.origin === url.origin && !isSamePage(target, url)) {
          yield { element: link, message: `It is marked as the current page; this page is ${url.pathname}.` };
        }
      }
    }
  },
};

export const unknownCurrentValue: Rule = {
  id: 'unknown-current-value',
  title: 'aria-current has a value that is not in the standard.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Screen readers announce "current" instead of the intended word.',
  remedy: 'Use page, step, location, date, time or true. Remove the attribute instead of writing false.',
  standard: 'WAI-ARIA 1.2, section 6.6: any value that is not listed is treated as true',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const element of deepElements(document, '[aria-current]')) {
      const value = element.getAttribute('aria-current') ?? '';
      if (!values.has(value.trim().toLowerCase()) && isExposed(element)) {
        yield { element, message: `Its value is “${value}”.` };
      }
    }
  },
};
