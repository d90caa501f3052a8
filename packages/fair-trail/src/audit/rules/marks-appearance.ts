import { contrast, readComputedColor } from '../../core/color/color.ts';
import { linksIn } from '../../reading/deep-elements.ts';
import { differencesOf, type Look } from '../../reading/appearance.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isDrawn, isExposed } from '../../reading/visible.ts';
import { isSamePage, resolved } from '../../reading/addresses.ts';

/** A class by which stylesheets mark where we are. */
const markingClass =
  /^(?:(?:is|nav|menu|link|item|tab)[-_]+)?(?:active|current|selected|here)(?:[-_]+(?:page|item|link))?$/iu;

interface MarkedMenu {
  readonly links: readonly HTMLAnchorElement[];
  /** Those that lead to this page. */
  readonly here: readonly HTMLAnchorElement[];
}

/** Each list of links of its own, with those of one list compared among themselves. */
function menusOf({ navigations, url }: PageContext): readonly MarkedMenu[] {
  return navigations.flatMap((navigation) => {
    const groups = new Map<Element, HTMLAnchorElement[]>();
    for (const link of linksIn(navigation)) {
      if (!isExposed(link) || !isDrawn(link)) continue;
      const list = link.closest('ul, ol, nav, [role="navigation"]') ?? navigation;
      const group = groups.get(list);
      if (group) group.push(link);
      else groups.set(list, [link]);
    }
    return [...groups.values()].map((links) => ({
      links,
      here: links.filter((link) => isSamePage(resolved(link, url), url) && resolved(link, url)?.hash === ''),
    }));
  });
}

function isMarked(link: Element): boolean {
  const value = link.getAttribute('aria-current') ?? link.closest('li[aria-current]')?.getAttribute('aria-current');
  const inner = link.querySelector('[aria-current]:not([aria-current="false"])') !== null;
  return inner || (value !== undefined && value !== null && value !== '' && value !== 'false');
}

function classMarked(link: Element): boolean {
  const item = link.closest('li');
  const alone = item?.querySelectorAll('a').length === 1 ? [...item.classList] : [];
  return [...link.classList, ...alone].some((name) => markingClass.test(name));
}

export const markOnlySeen: Rule = {
  id: 'mark-only-visual',
  title: 'The current page is marked only visually.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['1.3.1'],
  affects: 'Screen reader users do not learn which of these pages they are on.',
  remedy: 'Set aria-current="page" on the link to this page, and draw the mark from that attribute.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-current); WCAG 2.2, 1.3.1',
  check: function* (page: PageContext): Iterable<Violation> {
    for (const { links, here } of menusOf(page)) {
      if (links.some(isMarked)) continue;
      for (const link of here) {
        const others = links.filter((other) => !here.includes(other));
        if (classMarked(link) && !others.some(classMarked)) yield { element: link };
        else if (others.length >= 2 && differencesOf(link, others).length > 0 && isOddOneOut(link, others)) {
          yield { element: link };
        }
      }
    }
  },
};

/** All others look alike: only then does it stand out for being marked. */
function isOddOneOut(link: Element, others: readonly Element[]): boolean {
  const [first, ...rest] = others;
  // A picture, such as a logo, looks otherwise in any case.
  if (!first || link.querySelector('img, svg') !== null) return false;
  return rest.every((other) => differencesOf(other, [first]).length === 0);
}

export const looksMarkedElsewhere: Rule = {
  id: 'looks-marked-elsewhere',
  title: 'A menu looks as if another page were current.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who looks where they are. Often a class was left on the first item.',
  remedy: 'Draw the mark from aria-current, and set aria-current from the address of the page.',
  standard: 'WCAG 2.2, 2.4.8 Location (AAA)',
  check: function* (page: PageContext): Iterable<Violation> {
    for (const { links, here } of menusOf(page)) {
      if (here.length === 0 || here.some(classMarked) || links.some(isMarked)) continue;
      for (const link of links) {
        const target = resolved(link, page.url);
        if (classMarked(link) && target?.origin === page.url.origin && !isWithin(page.url, target)) {
          yield { element: link, message: `This page is ${page.url.pathname}.` };
        }
      }
    }
  },
};

/** A section is rightly marked on the pages within it. */
function isWithin(url: URL, section: URL): boolean {
  const folder = section.pathname.replace(/(?:index\.html?)?$/u, '').replace(/\/?$/u, '/');
  return folder !== '/' && url.pathname.startsWith(folder);
}

export const markByColorOnly: Rule = {
  id: 'mark-by-color-only',
  title: 'Only a slight change of color marks the current page.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['1.4.1'],
  affects: 'People who perceive colors differently see no mark.',
  remedy:
    'Add a shape: a bar, a border, an underline, a weight. Or make the contrast between the two colors at least 3:1.',
  standard: 'WCAG 2.2, 1.4.1 Use of Color, with technique G183',
  check: function* (page: PageContext): Iterable<Violation> {
    for (const { links } of menusOf(page)) {
      const marked = links.filter(isMarked);
      const others = links.filter((link) => !marked.includes(link));
      if (marked.length !== 1 || others.length < 2 || !marked[0]) continue;
      const differences = differencesOf(marked[0], others);
      const isPlain = isOddOneOut(marked[0], others) && differences.length > 0;
      if (!isPlain || differences.some(({ property }) => !isColor(property))) continue;
      const ratios = differences.map(ratioOf);
      if (ratios.every((ratio) => ratio !== null && ratio < 3)) yield { element: marked[0] };
    }
  },
};

function isColor(property: string): boolean {
  return property === 'color' || property === 'background-color';
}

function ratioOf({ mine, theirs }: Look): number | null {
  const [one, other] = [readComputedColor(mine), readComputedColor(theirs)];
  return one && other ? contrast(one, other) : null;
}

export const pageNotMarked: Rule = {
  id: 'page-not-marked',
  title: 'A menu contains a link to this page but does not mark it as current.',
  severity: 'advice',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone who wants to know where they are on the site.',
  remedy: 'Set aria-current="page" on the link to this page, and make it visible.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-current); WCAG 2.2, 2.4.8 (AAA)',
  check: function* (page: PageContext): Iterable<Violation> {
    for (const { links, here } of menusOf(page)) {
      const [first] = here;
      const others = links.filter((link) => !here.includes(link));
      if (!first || others.length < 2 || links.some(isMarked) || links.some(classMarked)) continue;
      if (differencesOf(first, others).length === 0) yield { element: first };
    }
  },
};
