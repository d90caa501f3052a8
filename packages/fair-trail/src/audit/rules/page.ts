import { linksIn } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isDrawn, isExposed } from '../../reading/visible.ts';

export const pageWithoutTitle: Rule = {
  id: 'page-without-title',
  title: 'The page has no title.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.2'],
  affects: 'Everyone with several tabs, and screen reader users: the title is the first thing they hear.',
  remedy: 'Write a title that names the page first and the site last.',
  standard: 'HTML standard, section 4.2.2; WCAG 2.2, 2.4.2',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    if (document.title.trim() === '') yield { element: document.documentElement };
  },
};

export const noWayPast: Rule = {
  id: 'no-skip-link-or-landmark',
  title: 'There is no way to skip the navigation.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.4.1'],
  affects: 'Keyboard users go through the whole menu again on every page.',
  remedy: 'Put the content into main, give it a heading, or start the page with a link to it.',
  standard: 'WCAG 2.2, 2.4.1 Bypass Blocks, with its sufficient techniques',
  check: function* ({ document, navigations, url }: PageContext): Iterable<Violation> {
    const [first] = navigations;
    if (!first) return;
    const hasMain = document.querySelector('main, [role="main"]') !== null;
    const hasHeading = [...document.querySelectorAll('h1, h2, h3, h4, h5, h6, [role="heading"]')].some(
      (heading) => !navigations.some((navigation) => navigation.contains(heading)),
    );
    const skips = [...document.querySelectorAll<HTMLAnchorElement>('a[href^="#"]')].some((link) => {
      const id = link.getAttribute('href')?.slice(1) ?? '';
      return id !== '' && !id.startsWith('/') && document.getElementById(id) !== null && isBefore(link, first);
    });
    if (!hasMain && !hasHeading && !skips && url.protocol !== 'about:') yield { element: first };
  },
};

function isBefore(one: Element, other: Element): boolean {
  return Boolean(one.compareDocumentPosition(other) & 4) || other.contains(one);
}

export const positiveTabindex: Rule = {
  id: 'positive-tabindex',
  title: 'A positive tabindex changes the focus order.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3'],
  affects: 'Keyboard users: focus jumps here first from anywhere on the page.',
  remedy: 'Remove tabindex, and move the element to the right place in the document.',
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
  affects: 'People who navigate by landmarks find no navigation.',
  remedy: 'Put the links into a nav element.',
  standard: 'HTML standard, section 4.3.4 (nav); ARIA Authoring Practices, landmark regions',
  check: function* ({ navigations }: PageContext): Iterable<Violation> {
    const isLandmark = navigations.some((element) => roleOf(element) === 'navigation');
    const [first] = navigations;
    if (first && !isLandmark && linksIn(first).filter(isDrawn).length >= 3) yield { element: first };
  },
};

export const zoomPrevented: Rule = {
  id: 'zoom-prevented',
  title: 'The page prevents zooming.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.4'],
  affects: 'People with low vision on a phone cannot pinch to zoom.',
  remedy: 'Remove user-scalable and maximum-scale from the viewport meta element.',
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
