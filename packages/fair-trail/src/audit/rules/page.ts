import type { Violation, PageContext, Rule } from '../rule.ts';

export const pageWithoutTitle: Rule = {
  id: 'page-without-title',
  title: 'The page has no title.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.2'],
  hurts: 'Everybody with several tabs, and people who listen to the page: its title is the first thing they hear.',
  remedy: 'Write a title that says what the page is, and then whose.',
  standard: 'HTML standard, section 4.2.2; WCAG 2.2, 2.4.2',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    if (document.title.trim() === '') yield { element: document.documentElement };
  },
};

export const noWayPast: Rule = {
  id: 'no-way-past',
  title: 'Nothing leads past the navigation.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.4.1'],
  hurts: 'People who use the keyboard: they go through the whole menu again on every page.',
  remedy: 'Put the content into main, give it a heading, or begin the page with a link to it.',
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
