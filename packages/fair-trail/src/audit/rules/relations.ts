import { accessibleName } from '../../reading/accessible-name.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isDrawn, isExposed, parentOf } from '../../reading/visible.ts';

export const stateNotTold: Rule = {
  id: 'expanded-value-unknown',
  title: 'aria-expanded is neither true nor false.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users do not learn whether the menu is open.',
  remedy: 'Write aria-expanded="true" while the panel is shown, and "false" while it is hidden.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const element of deepElements(document, '[aria-expanded]')) {
      const value = (element.getAttribute('aria-expanded') ?? '').trim().toLowerCase();
      if (!['true', 'false', 'undefined', ''].includes(value) && isExposed(element)) {
        yield { element, message: `Its value is “${value}”.` };
      }
    }
  },
};

const focusable =
  'a[href], area[href], button:not(:disabled), input:not(:disabled):not([type="hidden"]), select:not(:disabled), ' +
  'textarea:not(:disabled), summary, [tabindex]:not([tabindex^="-"])';

export const focusInHidden: Rule = {
  id: 'focus-in-hidden',
  title: 'An element takes focus inside a part that is hidden from assistive technology.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users reach an element that is not announced.',
  remedy: 'Remove aria-hidden, or make the hidden part inert.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-hidden); ARIA in HTML, section 4',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const element of deepElements(document, focusable)) {
      if (!isDrawn(element) || element.closest('[inert]') !== null) continue;
      for (let at: Element | null = element; at; at = parentOf(at)) {
        if (at.getAttribute('aria-hidden') === 'true') {
          yield { element };
          break;
        }
      }
    }
  },
};

export const landmarksAlike: Rule = {
  id: 'landmarks-same-name',
  title: 'Several navigation landmarks share a name, or have none.',
  severity: 'warning',
  certainty: 'sure',
  wcag: [],
  affects: 'People who navigate by landmarks cannot tell which menu they are in.',
  remedy: 'Name each after its content with aria-label or aria-labelledby: "Main", "Footer".',
  standard: 'ARIA Authoring Practices, landmark regions: navigation',
  check: function* ({ navigations }: PageContext): Iterable<Violation> {
    const landmarks = navigations.filter(
      (element) => roleOf(element) === 'navigation' && isExposed(element) && isShown(element),
    );
    const known = new Map<string, Element>();
    for (const landmark of landmarks) {
      const name = accessibleName(landmark, 'navigation');
      const other = known.get(name.toLowerCase());
      known.set(name.toLowerCase(), other ?? landmark);
      // The same menu twice, such as above and below a long page, may well have the same name.
      if (!other || (name !== '' && sameLinks(other, landmark))) continue;
      yield { element: landmark, message: name === '' ? 'It has no name.' : `Another is called “${name}” too.` };
    }
  },
};

export const landmarkNameRepeatsRole: Rule = {
  id: 'landmark-name-repeats-role',
  title: 'The name of a navigation landmark contains the word "navigation".',
  severity: 'advice',
  certainty: 'sure',
  wcag: [],
  affects: 'Screen reader users hear "navigation" twice.',
  remedy: 'Name it after its content: "Main", "Footer".',
  standard: 'ARIA Authoring Practices, landmark regions: do not use the role as part of the label',
  check: function* ({ navigations }: PageContext): Iterable<Violation> {
    for (const landmark of navigations) {
      if (roleOf(landmark) !== 'navigation' || !isExposed(landmark)) continue;
      if (/\bnav(?:igation)?\b/iu.test(accessibleName(landmark, 'navigation'))) yield { element: landmark };
    }
  },
};

function isShown(element: Element): boolean {
  return element.getClientRects().length > 0;
}

function sameLinks(one: Element, other: Element): boolean {
  const links = (of: Element) => deepElements(of, 'a[href]').map((link) => link.getAttribute('href'));
  return links(one).join('\n') === links(other).join('\n');
}

export const tabsOutOfList: Rule = {
  id: 'tab-outside-tablist',
  title: 'A tab is not inside a tablist.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Screen reader users do not learn how many tabs there are or which one they are on.',
  remedy: 'Put all tabs into one element with role="tablist". Links to pages are not tabs: remove their roles.',
  standard: 'WAI-ARIA 1.2, section 5.4 (tab): required context role',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const tab of deepElements(document, '[role~="tab"]')) {
      if (roleOf(tab) !== 'tab' || !isExposed(tab) || isOwned(tab)) continue;
      let at = parentOf(tab);
      while (at && ['none', 'presentation', null].includes(roleOf(at))) at = parentOf(at);
      // A list item between them is a common slip that browsers forgive.
      if (!at || !hasAncestor(tab, 'tablist')) yield { element: tab };
    }
  },
};

function isOwned(element: Element): boolean {
  return element.id !== '' && element.ownerDocument.querySelector(`[aria-owns~="${CSS.escape(element.id)}"]`) !== null;
}

function hasAncestor(element: Element, role: string): boolean {
  for (let at = parentOf(element); at; at = parentOf(at)) if (roleOf(at) === role) return true;
  return false;
}

export const severalTabsSelected: Rule = {
  id: 'several-tabs-selected',
  title: 'Several tabs of one tablist are selected.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen readers announce two tabs as the selected one.',
  remedy: 'Set aria-selected="true" on the tab whose panel is shown, and "false" on the others.',
  standard: 'WAI-ARIA 1.2, section 5.4 (tablist): one tab is selected unless aria-multiselectable is true',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const list of deepElements(document, '[role~="tablist"]')) {
      if (list.getAttribute('aria-multiselectable') === 'true') continue;
      const selected = deepElements(list, '[role~="tab"][aria-selected="true"]').filter(isExposed);
      for (const tab of selected.slice(1)) yield { element: tab };
    }
  },
};

export const menuWithoutItems: Rule = {
  id: 'menu-without-items',
  title: 'An element with role="menu" contains no menu items.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Screen readers announce arrow keys that do nothing, and hide the links inside.',
  remedy: 'Remove role="menu": a list of links is a list. The role is for commands, as in the menu bar of a program.',
  standard: 'WAI-ARIA 1.2, section 5.4 (menu): required owned elements',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const menu of deepElements(document, '[role~="menu"], [role~="menubar"]')) {
      if (!['menu', 'menubar'].includes(roleOf(menu) ?? '') || !isExposed(menu) || menu.hasAttribute('aria-owns'))
        continue;
      if (menu.getAttribute('aria-busy') === 'true') continue;
      const items = deepElements(menu, '[role^="menuitem"]');
      // One that is empty may be filled when it opens.
      const links = deepElements(menu, 'a[href], button').filter(isExposed);
      if (items.length === 0 && links.length > 0) yield { element: menu };
    }
  },
};

const interactive: ReadonlySet<string> = new Set([
  'button',
  'link',
  'checkbox',
  'radio',
  'switch',
  'textbox',
  'searchbox',
  'combobox',
  'slider',
  'spinbutton',
]);

/** Roles in which nothing else is announced (WAI-ARIA 1.2, section 5.2.9), and links. */
const presentational: ReadonlySet<string> = new Set(
  'button checkbox link menuitemcheckbox menuitemradio option radio switch tab'.split(' '),
);

export const controlInControl: Rule = {
  id: 'nested-controls',
  title: 'An interactive element contains another one.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen readers announce only one of the two. A click may trigger either, or both.',
  remedy: 'Place them next to each other.',
  standard: 'HTML standard, sections 4.5.1 and 4.10.6: no interactive content within',
  check: function* ({ document, links, controls }: PageContext): Iterable<Violation> {
    for (const inner of [
      ...links,
      ...controls,
      ...deepElements(document, '[role="tab"] button, [role="tab"] a[href]'),
    ]) {
      if (!interactive.has(roleOf(inner) ?? '') || !isExposed(inner)) continue;
      for (let outer = parentOf(inner); outer; outer = parentOf(outer)) {
        const isControl = outer.matches('a[href], button') || presentational.has(roleOf(outer) ?? '');
        if (isControl && outer.localName !== 'summary') {
          yield { element: inner };
          break;
        }
      }
    }
  },
};
