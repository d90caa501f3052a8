import { accessibleName } from '../../reading/accessible-name.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isExposed } from '../../reading/visible.ts';
import { wordsOf } from '../../reading/words.ts';
import { isSamePage, resolved } from '../../reading/addresses.ts';

export const linksAllAlike: Rule = {
  id: 'links-same-target',
  title: 'Links with different names lead to the same page.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who follows the second link reaches the page of the first.',
  remedy: 'Give each link the address of its own page. Leave out pages that do not exist yet.',
  standard: 'WCAG 2.2, 2.4.4 Link Purpose (In Context)',
  check: function* ({ navigations, url }: PageContext): Iterable<Violation> {
    for (const list of listsOf(navigations)) {
      const links = linksOf(list).filter((link) => !/^(?:#|javascript:|$)/iu.test(link.getAttribute('href') ?? ''));
      const places = new Set(links.map((link) => resolved(link, url)?.href));
      const labels = new Set(links.map((link) => accessibleName(link, 'link')));
      const [first] = links;
      if (first && links.length >= 3 && places.size === 1 && labels.size === links.length) yield { element: first };
    }
  },
};

export const oneNameSeveralPlaces: Rule = {
  id: 'same-name-different-targets',
  title: 'Links with the same name in one list lead to different pages.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.4'],
  affects: 'Everyone, and especially people who read a list of links: nothing distinguishes them.',
  remedy: 'Name each link after its page.',
  standard: 'WCAG 2.2, 2.4.4 Link Purpose (In Context)',
  check: function* ({ navigations, url }: PageContext): Iterable<Violation> {
    for (const list of listsOf(navigations)) {
      const known = new Map<string, URL | null>();
      for (const link of linksOf(list)) {
        const name = wordsOf(accessibleName(link, 'link')).join(' ');
        const place = resolved(link, url);
        const other = known.get(name);
        if (name !== '' && other && place && !isSamePage(place, other)) {
          yield { element: link, message: `The other one leads to ${other.pathname}${other.search}.` };
        }
        known.set(name, other ?? place);
      }
    }
  },
};

/** Each list, and each navigation without one. */
function listsOf(navigations: readonly Element[]): readonly Element[] {
  return navigations.flatMap((navigation): readonly Element[] => {
    const lists = deepElements(navigation, 'ul, ol');
    return lists.length > 0 ? lists : [navigation];
  });
}

/** Of this list itself, and not of one within. */
function linksOf(list: Element): readonly HTMLAnchorElement[] {
  return linksIn(list).filter(
    (link) => isExposed(link) && (link.closest('ul, ol') === list || !list.matches('ul, ol')),
  );
}

export const listWithStrays: Rule = {
  id: 'list-with-non-items',
  title: 'A list of links contains something that is not a list item.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.1'],
  affects: 'Screen readers announce a wrong number of items, or no list.',
  remedy: 'Put each link into an li element.',
  standard: 'HTML standard, sections 4.4.5 and 4.4.6: content model of ol and ul',
  check: function* ({ navigations }: PageContext): Iterable<Violation> {
    for (const list of navigations.flatMap((navigation) => deepElements(navigation, 'ul, ol'))) {
      if (roleOf(list) !== 'list' || !isExposed(list)) continue;
      const stray = [...list.children].find(
        (child) =>
          !['li', 'script', 'template', 'slot'].includes(child.localName) &&
          roleOf(child) !== 'listitem' &&
          (child.matches('a[href]') || child.querySelector('a[href]') !== null) &&
          isExposed(child),
      );
      // An element of its own may well be an item inside.
      if (stray && !stray.localName.includes('-')) yield { element: stray };
    }
  },
};
