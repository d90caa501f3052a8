import { accessibleName } from '../../reading/accessible-name.ts';
import { isSamePage, resolved } from '../../reading/addresses.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { boxOf, isDrawn, isExposed, isVisible, parentOf } from '../../reading/visible.ts';
import type { PageContext, Rule, Violation } from '../rule.ts';

export const seenNotExposed: Rule = {
  id: 'visible-not-exposed',
  title: 'A visible part of the navigation is hidden from assistive technology.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Screen reader users cannot reach what others see and press.',
  remedy: 'Remove aria-hidden or inert while the part is shown. Often one was left behind.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-hidden); HTML standard, section 6.3 (inert)',
  check: function* ({ document, navigations }: PageContext): Iterable<Violation> {
    const reached = new Set(
      linksIn(document)
        .filter(isExposed)
        .map(({ href }) => href),
    );
    const reported = new Set<Element>();
    for (const link of deepElements(document, 'a[href]') as readonly HTMLAnchorElement[]) {
      // What takes focus there is reported by another rule; a picture beside a link of words may be hidden.
      const hiding = hidingPart(link);
      if (!hiding || reported.has(hiding) || isExposed(link) || reached.has(link.href) || !isVisible(link)) continue;
      if (link.textContent.trim() === '') continue;
      const isOfMenu = navigations.some((navigation) => hiding.contains(navigation) || navigation.contains(hiding));
      const links = linksIn(hiding).length;
      // Behind a menu that covers the page, the page is hidden on purpose.
      if ((!isOfMenu && links < 3) || hasOpenOverlay(document)) continue;
      if (link.tabIndex >= 0 && hiding.closest('[inert]') === null) continue;
      reported.add(hiding);
      const how = hiding.hasAttribute('inert') ? 'inert' : 'aria-hidden';
      yield {
        element: hiding,
        message: `It is ${how}, with ${links} ${links === 1 ? 'link' : 'links'} that are shown.`,
      };
    }
  },
};

/** The outermost element that hides what is in it from assistive technology alone. */
function hidingPart(element: Element): Element | null {
  let hiding: Element | null = null;
  for (let at: Element | null = element; at; at = parentOf(at)) {
    if (at.getAttribute('aria-hidden') === 'true' || at.hasAttribute('inert')) hiding = at;
  }
  return hiding;
}

function hasOpenOverlay(document: Document): boolean {
  const { defaultView: window } = document;
  if (!window) return false;
  const isWide = (element: Element) => {
    const { width, height } = boxOf(element);
    return width * height > 0.4 * window.innerWidth * window.innerHeight;
  };
  const overlays = deepElements(
    document,
    'dialog[open], [role="dialog"], [aria-modal="true"], [popover], nav, div, aside',
  );
  return overlays.some((element) => {
    const { position } = window.getComputedStyle(element);
    const isModal = element.matches('dialog[open], [aria-modal="true"], [role="dialog"]');
    if (position !== 'fixed' && position !== 'absolute' && !isModal) return false;
    return isVisible(element) && isExposed(element) && (isModal || isWide(element));
  });
}

export const exposedNotSeen: Rule = {
  id: 'exposed-not-visible',
  title: 'Links of a menu are announced but not visible.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen readers read a menu that is closed.',
  remedy: 'Hide closed menus with visibility: hidden, display: none or inert.',
  standard: 'WAI-ARIA 1.2, section 7.1; CSS Display 3, visibility',
  check: function* ({ navigations }: PageContext): Iterable<Violation> {
    const reported = new Set<Element>();
    for (const navigation of navigations) {
      const links = linksIn(navigation).filter(
        (link) => isExposed(link) && !isVisible(link) && link.tabIndex < 0 && link.getClientRects().length > 0,
      );
      const [first] = links;
      const list = first?.closest('ul, ol, nav, div') ?? null;
      if (links.length < 2 || !list || reported.has(list)) continue;
      reported.add(list);
      yield { element: list, message: `There are ${links.length} of them.` };
    }
  },
};

/** What is written in a link for screen readers alone to say that it leads to this page, in the languages we know. */
const currentWords =
  /\((?:current|current page|this page)\)|\bcurrent page\b|you are here|aktuelle seite|page actuelle|página actual/iu;

export const wordsMarkElsewhere: Rule = {
  id: 'hidden-text-marks-elsewhere',
  title: 'Hidden text marks a link to another page as current.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['1.3.1', '2.4.4'],
  affects: 'Screen reader users hear a wrong statement that others do not see.',
  remedy: 'Set aria-current="page" from the address of the page, and remove the hidden text.',
  standard: 'WCAG 2.2, 1.3.1 Info and Relationships; WAI-ARIA 1.2, section 6.6 (aria-current)',
  check: function* ({ links, url }: PageContext): Iterable<Violation> {
    for (const link of links) {
      if (!isExposed(link) || !currentWords.test(accessibleName(link, 'link'))) continue;
      const target = resolved(link, url);
      if (target?.origin === url.origin && !isSamePage(target, url)) yield { element: link };
    }
  },
};

export const disabledLinkWorks: Rule = {
  id: 'disabled-link-works',
  title: 'A link says that it is disabled but can be followed.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader users hear that the link does nothing, and it leads to another page.',
  remedy: 'Remove href if the link leads nowhere yet. Otherwise remove aria-disabled.',
  standard: 'ARIA in HTML, section 4 (a[href]: aria-disabled); WAI-ARIA 1.2, section 6.6 (aria-disabled)',
  check: function* ({ links }: PageContext): Iterable<Violation> {
    for (const link of links) {
      const isOff = link.getAttribute('aria-disabled') === 'true';
      const href = link.getAttribute('href') ?? '';
      if (!isOff || !isExposed(link) || !isDrawn(link) || /^(?:#|javascript:|$)/iu.test(href)) continue;
      if (link.ownerDocument.defaultView?.getComputedStyle(link).pointerEvents === 'none' && link.tabIndex < 0)
        continue;
      yield { element: link };
    }
  },
};
