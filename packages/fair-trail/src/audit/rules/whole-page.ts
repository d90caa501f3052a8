import { accessibleName } from '../../reading/accessible-name.ts';
import { isSamePage, resolved } from '../../reading/addresses.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import { isDrawn, isExposed } from '../../reading/visible.ts';
import { isSkipName, wordsOf } from '../../reading/words.ts';
import type { PageContext, Rule, Violation } from '../rule.ts';

/** Titles that programs write, and no one has replaced. */
const emptyTitles =
  /^(?:untitled(?: document| page)?|document|new (?:page|document)|page(?: ?\d+)?|title|index|home ?page|default|todo|test|react app|vite app|app|website|[\w-]+\.(?:html?|php|aspx?|jsp))$/iu;

export const titleSaysNothing: Rule = {
  id: 'title-says-nothing',
  title: 'The title does not describe the page.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.4.2'],
  affects: 'Everyone with several tabs, and screen reader users: the title is the first thing they hear.',
  remedy: 'Write a title that names the page first and the site last.',
  standard: 'WCAG 2.2, 2.4.2 Page Titled, failure F25',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    const title = document.title.trim();
    if (emptyTitles.test(title)) {
      yield { element: document.querySelector('title') ?? document.documentElement, message: `It is “${title}”.` };
    }
  },
};

export const titleOfOtherPage: Rule = {
  id: 'title-of-other-page',
  title: 'The page has the title of another page.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.2'],
  affects: 'Everyone with several tabs, and screen reader users, believe that they are on another page.',
  remedy: 'Generate the title of each page from the same list as the menu.',
  standard: 'WCAG 2.2, 2.4.2 Page Titled, failure F25',
  check: function* ({ document, links, url }: PageContext): Iterable<Violation> {
    const title = wordsOf(document.title);
    const heading = wordsOf(document.querySelector('main h1, h1')?.textContent ?? '');
    const named = links.filter(isExposed).map((link) => ({
      words: wordsOf(accessibleName(link, 'link')),
      target: resolved(link, url),
    }));
    const here = named.filter(({ target }) => isSamePage(target, url) && target?.hash === '');
    const own = new Set([...heading, ...here.flatMap(({ words }) => words)]);
    if (title.length === 0 || own.size === 0 || here.length === 0 || title.some((word) => own.has(word))) return;
    const other = named.find(
      ({ words, target }) =>
        words.length > 0 &&
        words.join(' ').length > 2 &&
        target?.origin === url.origin &&
        !isSamePage(target, url) &&
        ` ${title.join(' ')} `.startsWith(` ${words.join(' ')} `),
    );
    if (!other) return;
    const element = document.querySelector('title') ?? document.documentElement;
    yield {
      element,
      message: `It is “${document.title}”, which is what the menu calls ${other.target?.pathname ?? ''}.`,
    };
  },
};

export const pageMovesOn: Rule = {
  id: 'timed-redirect',
  title: 'The page redirects by itself after a while.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.2.1'],
  affects: 'People who need longer to read, and screen reader users, are taken away while they read.',
  remedy: 'Redirect on the server, or at once; or offer a link.',
  standard: 'WCAG 2.2, 2.2.1 Timing Adjustable, failures F40 and F41',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const meta of document.querySelectorAll<HTMLMetaElement>('meta[http-equiv="refresh" i]')) {
      const seconds = Number.parseFloat(meta.content);
      if (seconds > 0 && seconds < 72_000) yield { element: meta, message: `It does so after ${seconds} s.` };
    }
  },
};

export const frameWithoutName: Rule = {
  id: 'frame-without-name',
  title: 'A frame has no accessible name.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users hear "frame" and have to enter it to learn what it contains.',
  remedy: 'Set title on it: what is in the frame.',
  standard: 'HTML standard, section 4.8.5 (iframe); WCAG 2.2, 4.1.2, technique H64',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const frame of deepElements(document, 'iframe, frame')) {
      if (!isExposed(frame) || !isDrawn(frame) || frame.tabIndex < 0) continue;
      if (roleOf(frame) !== 'none' && accessibleName(frame, 'document') === '') yield { element: frame };
    }
  },
};

export const fieldWithoutName: Rule = {
  id: 'field-without-name',
  title: 'A field of the navigation has no accessible name.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Screen reader users hear only "edit text". Speech input users have no word to say.',
  remedy: 'Give it a label: <label>Search <input type="search"></label>; or aria-label.',
  standard: 'HTML standard, section 4.10.4 (label); WCAG 2.2, 4.1.2, failure F68',
  check: function* ({ document, fields, isNear }: PageContext): Iterable<Violation> {
    const others = deepElements(document, 'select, textarea, input[type="checkbox"], input[type="radio"]').filter(
      isNear,
    );
    for (const field of [...fields, ...others]) {
      if (isExposed(field) && accessibleName(field, roleOf(field)) === '') yield { element: field };
    }
  },
};

/** Names that say that something is there, and not what. */
const emptyNames =
  /^(?:click(?: here)?|here|link|more|read more|details|go|button|icon|image|img|picture|logo image|menu item(?: \d+)?|item(?: \d+)?|nav item|untitled|todo|undefined|null|\[object object\]|hier|hier klicken|mehr|cliquez ici|ici|haga clic aquí|aquí)$/iu;

const fileName =
  /^(?:\S*\/)?[\w%-]+\.(?:png|jpe?g|gif|svg|webp|avif|ico|html?|php)(?:\?\S*)?$|^(?:img|dsc|image)[_-]?\d{2,}$/iu;

export const nameSaysNothing: Rule = {
  id: 'name-says-nothing',
  title: 'An accessible name does not say what its link or button is for.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.4'],
  affects: 'Everyone, and especially screen reader users who go from link to link.',
  remedy: 'Name it after the page that it leads to, or after what it does.',
  standard: 'WCAG 2.2, 2.4.4 Link Purpose (In Context), failures F63 and F89; 1.1.1, failure F30',
  check: function* ({ links, controls }: PageContext): Iterable<Violation> {
    for (const element of [...links, ...controls]) {
      if (!isExposed(element)) continue;
      const name = accessibleName(element, roleOf(element)).trim();
      // Beside a link that says of what, "More" is a button that opens the rest of it.
      const isOpener = element.matches('[aria-expanded], [aria-haspopup], summary, [popovertarget], [aria-controls]');
      const isMore = /^(?:more|details|mehr|go)$/iu.test(name);
      if ((emptyNames.test(name) && !(isMore && (isOpener || roleOf(element) === 'button'))) || fileName.test(name)) {
        yield { element, message: `It is “${name}”.` };
      }
    }
  },
};

export const accesskeyTwice: Rule = {
  id: 'access-key-twice',
  title: 'Two controls have the same access key.',
  severity: 'warning',
  certainty: 'sure',
  wcag: [],
  affects: 'People who use access keys: the second control is never reached, or needs a second press.',
  remedy: 'Give each its own key; or remove access keys, which conflict with those of browsers and screen readers.',
  standard: 'HTML standard, section 6.6.2 (accesskey)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    const known = new Set<string>();
    for (const element of deepElements(document, '[accesskey]')) {
      const keys = (element.getAttribute('accesskey') ?? '').toLowerCase().split(/\s+/u).filter(Boolean);
      if (!isExposed(element)) continue;
      const key = keys.find((one) => known.has(one));
      if (key !== undefined) yield { element, message: `It is “${key}”.` };
      for (const one of keys) known.add(one);
    }
  },
};

export const skipLinkHidden: Rule = {
  id: 'skip-link-hidden',
  title: 'A skip link cannot be reached.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.1'],
  affects: 'Keyboard users: the link that would skip the menu is hidden from them.',
  remedy: 'Move it out of sight and show it while it has focus. display: none and visibility: hidden prevent focus.',
  standard: 'WCAG 2.2, 2.4.1 Bypass Blocks, technique G1',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const link of deepElements(document, 'a[href^="#"]')) {
      if (link.closest('nav, [role="navigation"], dialog, [popover], main, template') !== null) continue;
      // What waits behind an open menu comes back with the rest of the page.
      if (link.closest('[inert]') !== null) continue;
      const isReached = isExposed(link) && link.tabIndex >= 0;
      if (isSkipName(link.textContent) && !isReached) yield { element: link };
    }
  },
};

export const skipLinkLate: Rule = {
  id: 'skip-link-late',
  title: 'A skip link comes after the part that it skips.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.1'],
  affects: 'Keyboard users reach it only after the menu.',
  remedy: 'Put it first in the body.',
  standard: 'WCAG 2.2, 2.4.1 Bypass Blocks, technique G1',
  check: function* ({ document, navigations }: PageContext): Iterable<Violation> {
    const [first] = navigations;
    if (!first || linksCount(first) < 3) return;
    const skips = deepElements(document, 'a[href^="#"]').filter(
      (link) => isSkipName(link.textContent) && isExposed(link) && (link.getAttribute('href') ?? '#') !== '#',
    );
    const isEarly = (link: Element) => first.contains(link) || Boolean(link.compareDocumentPosition(first) & 4);
    const [late] = skips;
    if (!late || skips.some(isEarly)) return;
    const target = document.getElementById((late.getAttribute('href') ?? '').slice(1));
    // One that skips something further down is another one.
    const isToMain = target?.matches('main, [role="main"], h1') ?? false;
    if (isToMain) yield { element: late };
  },
};

function linksCount(element: Element): number {
  return deepElements(element, 'a[href]').length;
}
