import { accessibleName } from '../../reading/accessible-name.ts';
import { decodeSegment } from '../../core/site/encoding.ts';
import type { PageContext, Rule, Violation } from '../rule.ts';
import { resolved } from '../../reading/addresses.ts';
import { isExposed } from '../../reading/visible.ts';
import { wordsOf } from '../../reading/words.ts';

/** Fragments that mean something without an element of that id (HTML standard, section 7.4.6.4). */
const isTop = (fragment: string) => fragment === '' || fragment.toLowerCase() === 'top';

/** Addresses of pages in apps that keep them behind the hash. */
const isRoute = (fragment: string) => /^!?\//u.test(fragment);

export const placeholderLink: Rule = {
  id: 'placeholder-link',
  title: 'A menu link leads nowhere.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who follows it jumps to the top of the page, or nothing happens.',
  remedy: 'Give it the address of its page. If it opens something, use a button.',
  standard: 'HTML standard, section 4.6.1 (links); WCAG 2.2, 4.1.2 for what is no link',
  check: function* ({ document, links }: PageContext): Iterable<Violation> {
    const titles = [document.title, document.querySelector('h1')?.textContent ?? ''].map((text) =>
      wordsOf(text).join(' '),
    );
    for (const link of links) {
      const href = (link.getAttribute('href') ?? '').trim();
      // In a table of contents, the page's own title leads to its top.
      const label = wordsOf(link.textContent).join(' ');
      if (label !== '' && titles.some((title) => title.includes(label))) continue;
      // A link that says it is something else, or opens something, is another matter.
      if (link.hasAttribute('role') || link.hasAttribute('aria-expanded') || link.hasAttribute('aria-haspopup'))
        continue;
      if (!isExposed(link) || /\b(?:top|up)\b/iu.test(link.textContent)) continue;
      if (href === '#' || href === '' || /^javascript:\s*(?:void\s*\(?\s*0?\s*\)?)?;?\s*$/iu.test(href)) {
        yield { element: link, message: `Its address is “${href}”.` };
      }
    }
  },
};

export const newWindowUntold: Rule = {
  id: 'new-window-unannounced',
  title: 'A link opens a new window without saying so.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  affects: 'People who do not notice the new window: Back does nothing, and they cannot tell why.',
  remedy: 'Say it in the link, with words or with an icon that has a text alternative; or open it in the same window.',
  standard: 'WCAG 2.2, 3.2.5 (AAA), technique G201',
  check: function* ({ links }: PageContext): Iterable<Violation> {
    for (const link of links) {
      const isOther = link.target === '_blank' && isExposed(link);
      if (!isOther) continue;
      const reported = `${accessibleName(link, 'link')} ${link.title}`;
      // A sign beside the words is taken to say it.
      const hasSign = link.querySelector('svg, img') !== null;
      if (!hasSign && !/new (?:tab|window)|extern|neue[rsmn]? (?:tab|fenster)|nouvel|nueva|↗|⧉/iu.test(reported)) {
        yield { element: link };
      }
    }
  },
};

export const deadFragment: Rule = {
  id: 'dead-fragment',
  title: 'A link leads to a place on this page that does not exist.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.4.1'],
  affects: 'Keyboard users: a skip link that skips nothing makes them tab through the whole menu.',
  remedy: 'Give the target the id that the link names, or correct the link.',
  standard: 'HTML standard, section 7.4.6.4 (fragments); WCAG 2.2, 2.4.1',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    for (const link of document.querySelectorAll<HTMLAnchorElement>('a[href*="#"]')) {
      const target = resolved(link, url);
      if (!target || target.href.split('#')[0] !== url.href.split('#')[0]) continue;
      const fragment = decodeSegment(target.hash.slice(1));
      if (isTop(fragment) || isRoute(fragment) || fragment.startsWith(':~:') || !isExposed(link)) continue;
      const raw = target.hash.slice(1);
      const isThere = [raw, fragment].some(
        (id) => document.getElementById(id) !== null || document.querySelector(`a[name="${CSS.escape(id)}"]`) !== null,
      );
      // A script that listens for the change may make it: only following the link tells.
      if (!isThere) yield { element: link, message: `Nothing on the page has the id “${fragment}”.` };
    }
  },
};
