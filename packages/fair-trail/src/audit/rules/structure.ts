import { accessibleName } from '../accessible-name.ts';
import { deepElements, linksIn } from '../deep-elements.ts';
import { roleOf } from '../role.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isDrawn, isExposed } from '../visible.ts';
import { wordsOf } from '../words.ts';
import { resolved } from './places.ts';
import { isSamePage } from './same-page.ts';

export const linksAllAlike: Rule = {
  id: 'links-all-alike',
  title: 'Links of different names all lead to one page.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  hurts: 'Everybody who follows the second one: they come to the page of the first.',
  remedy: 'Give each the address of its own page. A page that is not there yet is better left out.',
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
  id: 'one-name-several-places',
  title: 'Links of one name in one list lead to different pages.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.4'],
  hurts: 'Everybody, and most of all people who listen to a list of links: nothing tells them apart.',
  remedy: 'Name each by what is on its page.',
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
  id: 'list-with-strays',
  title: 'A list of links holds something that is no item of it.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.1'],
  hurts: 'People who listen to the page are told a wrong number of items, or of no list at all.',
  remedy: 'Put each link into an item of its own: li.',
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

export const positiveTabindex: Rule = {
  id: 'positive-tabindex',
  title: 'A place in the order of focus is set by a number.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3'],
  hurts: 'People who use the keyboard: focus jumps here first, from wherever it is on the page.',
  remedy: 'Leave tabindex out, and put it where it belongs in the document.',
  standard: 'HTML standard, section 6.6.3 (tabindex); WCAG 2.2, failure F44',
  check: function* ({ links, controls }: PageContext): Iterable<Violation> {
    for (const element of [...links, ...controls]) {
      if (element.tabIndex > 0 && isExposed(element)) {
        yield { element, message: `Its tabindex is ${element.tabIndex}.` };
      }
    }
  },
};

export const menuWithoutLandmark: Rule = {
  id: 'menu-without-landmark',
  title: 'No menu of the page is a navigation landmark.',
  severity: 'advice',
  certainty: 'likely',
  wcag: ['1.3.1'],
  hurts: 'People who go from landmark to landmark find no navigation.',
  remedy: 'Put the links into nav.',
  standard: 'HTML standard, section 4.3.4 (nav); ARIA Authoring Practices, landmark regions',
  check: function* ({ navigations }: PageContext): Iterable<Violation> {
    const isLandmark = navigations.some((element) => roleOf(element) === 'navigation');
    const [first] = navigations;
    if (first && !isLandmark && linksIn(first).filter(isDrawn).length >= 3) yield { element: first };
  },
};

export const newWindowUntold: Rule = {
  id: 'new-window-untold',
  title: 'A link opens another window, and does not say so.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  hurts: 'People who do not see the window change: Back does nothing, and they cannot tell why.',
  remedy: 'Say it in the link, with words or with a sign that has a text; or open it in the same window.',
  standard: 'WCAG 2.2, 3.2.5 (AAA), technique G201',
  check: function* ({ links }: PageContext): Iterable<Violation> {
    for (const link of links) {
      const isOther = link.target === '_blank' && isExposed(link);
      if (!isOther) continue;
      const told = `${accessibleName(link, 'link')} ${link.title}`;
      // A sign beside the words is taken to say it.
      const hasSign = link.querySelector('svg, img') !== null;
      if (!hasSign && !/new (?:tab|window)|extern|neue[rsmn]? (?:tab|fenster)|nouvel|nueva|↗|⧉/iu.test(told)) {
        yield { element: link };
      }
    }
  },
};

export const zoomPrevented: Rule = {
  id: 'zoom-prevented',
  title: 'The page keeps people from making it larger.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.4'],
  hurts: 'People with low vision, on a phone: two fingers do nothing.',
  remedy: 'Leave user-scalable and maximum-scale out of the viewport.',
  standard: 'WCAG 2.2, 1.4.4 Resize Text',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const meta of document.querySelectorAll<HTMLMetaElement>('meta[name="viewport" i]')) {
      const wishes = new Map(
        meta.content.split(/[,;]/u).map((wish) => {
          const [name = '', value = ''] = wish.split('=');
          return [name.trim().toLowerCase(), value.trim().toLowerCase()];
        }),
      );
      const most = Number.parseFloat(wishes.get('maximum-scale') ?? 'NaN');
      const isFixed = ['no', '0'].includes(wishes.get('user-scalable') ?? '');
      if (isFixed || most < 2) yield { element: meta };
    }
  },
};
