import { isClosingName } from '../../reading/words.ts';
import { accessibleName } from '../../reading/accessible-name.ts';
import { controlled } from '../../reading/controls.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isDrawn, isExposed, isSeen } from '../../reading/visible.ts';

export const toggleStateWrong: Rule = {
  id: 'toggle-state-wrong',
  title: 'A button announces that something is open that is not shown.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users look for content that is not there.',
  remedy: 'Set aria-expanded to match what is shown: "true" while it is visible, "false" while it is hidden.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const toggle of deepElements(document, '[aria-expanded="true"][aria-controls]')) {
      const targets = controlled(toggle);
      if (!isExposed(toggle) || !isDrawn(toggle) || targets.length === 0) continue;
      if (targets.every((target) => target.getClientRects().length === 0 && target.children.length > 0)) {
        yield { element: toggle };
      }
    }
  },
};

export const toggleSaysClosed: Rule = {
  id: 'toggle-announces-closed',
  title: 'A button announces that something is closed whose links are shown.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader users are asked to open what is open, and close it.',
  remedy: 'Set aria-expanded="true" while it is shown. If the menu is always open, remove the button.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const toggle of deepElements(document, '[aria-expanded="false"][aria-controls]')) {
      if (!isExposed(toggle) || !isDrawn(toggle)) continue;
      const links = controlled(toggle).flatMap((target) => [...linksIn(target)]);
      // A rail shows its icons while it is closed.
      const isShown = links.some((link) => isSeen(link) && link.innerText.trim() !== '');
      if (isShown && links.every((link) => isSeen(link) || !isDrawn(link))) yield { element: toggle };
    }
  },
};

const references = [
  ...['aria-labelledby', 'aria-describedby', 'aria-owns', 'aria-activedescendant', 'popovertarget', 'commandfor'],
  ...['aria-controls', 'for'],
] as const;

export const toggleNameWrong: Rule = {
  id: 'toggle-name-wrong',
  title: 'The name of a button contradicts its state.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader users hear "Close menu, collapsed".',
  remedy: 'Keep one name, such as "Menu", and let aria-expanded announce the state.',
  standard: 'ARIA Authoring Practices, disclosure pattern; WCAG 2.2, 4.1.2',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const toggle of deepElements(document, '[aria-expanded="false"]')) {
      if (!isExposed(toggle) || !isDrawn(toggle)) continue;
      const name = accessibleName(toggle, roleOf(toggle));
      if (isClosingName(name)) yield { element: toggle, message: `It is called “${name}”.` };
    }
  },
};

export const referenceToNothing: Rule = {
  id: 'reference-missing',
  title: 'An attribute refers to an id that does not exist.',
  severity: 'warning',
  certainty: 'sure',
  wcag: [],
  affects: 'Screen reader users miss the name or the relation that was intended.',
  remedy: 'Give the intended element this id, or correct the reference.',
  standard: 'WAI-ARIA 1.2, section 6.3 (ID references)',
  check: function* ({ document, navigations, controls, isNear }: PageContext): Iterable<Violation> {
    const elements = new Set<Element>([
      ...navigations.flatMap((navigation) => [navigation, ...deepElements(navigation, '*')]),
      ...controls,
      ...deepElements(document, '[popovertarget], [role="tab"]'),
      ...deepElements(document, 'label[for]').filter(isNear),
      ...deepElements(document, '[aria-activedescendant]'),
    ]);
    for (const element of elements) {
      const root = element.getRootNode() as Document | ShadowRoot;
      for (const attribute of references) {
        const ids = (element.getAttribute(attribute) ?? '').split(/\s+/u).filter(Boolean);
        const isThere = ids.some((id) => root.getElementById(id) ?? document.getElementById(id));
        if (ids.length === 0 || isThere || !isExposed(element)) continue;
        // What is closed may be made only when it is opened.
        if (attribute === 'aria-controls' && element.getAttribute('aria-expanded') !== 'true') continue;
        yield { element, message: `Its ${attribute} is “${ids.join(' ')}”.` };
      }
    }
  },
};

export const noTabSelected: Rule = {
  id: 'no-tab-selected',
  title: 'No tab of a tablist is selected.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader users do not learn which tab is shown.',
  remedy: 'Set aria-selected="true" on the tab whose panel is shown.',
  standard: 'WAI-ARIA 1.2, section 5.4 (tab); ARIA Authoring Practices, tabs pattern',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const list of deepElements(document, '[role~="tablist"]')) {
      const tabs = deepElements(list, '[role~="tab"]').filter(isExposed);
      const isStated = tabs.some(
        (tab) =>
          tab.getAttribute('aria-selected') === 'true' || tab.matches('[aria-current]:not([aria-current="false"])'),
      );
      if (tabs.length > 1 && !isStated) yield { element: list };
    }
  },
};

export const tabThatLeaves: Rule = {
  id: 'tab-is-link',
  title: 'An element with role="tab" is a link to another page.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader users expect a panel on this page and arrow keys, and are taken to another page.',
  remedy: 'Remove the roles: these are navigation links, and one of them has aria-current.',
  standard: 'WAI-ARIA 1.2, section 5.4 (tab); ARIA Authoring Practices, tabs pattern',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    for (const tab of deepElements(document, 'a[href][role~="tab"]')) {
      const { href } = tab as HTMLAnchorElement;
      const isElsewhere = URL.canParse(href) && new URL(href).pathname !== url.pathname;
      if (isElsewhere && roleOf(tab) === 'tab' && isExposed(tab) && controlled(tab).length === 0)
        yield { element: tab };
    }
  },
};
