import { accessibleName } from '../../reading/accessible-name.ts';
import { context, isAllowedOn, nameless, owned, ownedChildren, ownerOf, supporting } from '../../reading/aria.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { isRole, roleOf } from '../../reading/role.ts';
import { isDrawn, isExposed, parentOf } from '../../reading/visible.ts';
import type { PageContext, Rule, Violation } from '../rule.ts';

function writtenRoles(element: Element): readonly string[] {
  return (element.getAttribute('role') ?? '').toLowerCase().split(/\s+/u).filter(Boolean);
}

export const roleUnknown: Rule = {
  id: 'role-unknown',
  title: 'An element has a role that does not exist.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'For screen reader users the element has no role.',
  remedy: 'Use a role of WAI-ARIA, or the HTML element that has it, such as nav for navigation.',
  standard: 'WAI-ARIA 1.2, section 5.4 (definition of roles); WCAG 2.2, failure F68',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const element of deepElements(document, '[role]')) {
      const roles = writtenRoles(element);
      if (roles.length === 0 || roles.some(isRole) || !isExposed(element)) continue;
      yield { element, message: `Its role is “${roles.join(' ')}”.` };
    }
  },
};

export const roleNotAllowed: Rule = {
  id: 'role-not-allowed',
  title: 'An element has a role that HTML does not allow on it.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Screen reader users: the role hides what the element is, such as a list, a link or a landmark.',
  remedy: 'Remove the role, or put it on a div around the element.',
  standard: 'ARIA in HTML, section 4 (document conformance requirements for roles)',
  check: function* ({ document, isNear }: PageContext): Iterable<Violation> {
    for (const element of deepElements(document, '[role]')) {
      const role = writtenRoles(element).find(isRole);
      if (role === undefined || isAllowedOn(element, role) || !isNear(element) || !isExposed(element)) continue;
      yield { element, message: `It is ${element.localName} with role="${role}".` };
    }
  },
};

export const stateNotSupported: Rule = {
  id: 'state-not-supported',
  title: 'A state is set on an element whose role does not support it.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen readers do not announce the state.',
  remedy: 'Set aria-expanded on the button that opens the panel, and aria-current on the link to the current page.',
  standard: 'WAI-ARIA 1.2, section 6.6: each state, “Used in roles”',
  check: function* ({ document, isNear }: PageContext): Iterable<Violation> {
    for (const [state, roles] of Object.entries(supporting)) {
      for (const element of deepElements(document, `[${state}]`)) {
        const role = roleOf(element);
        if (!isNear(element) || !isExposed(element) || (role !== null && roles.has(role))) continue;
        // Of these, other roles than navigation is made of have them too.
        if (role === 'row' || role === 'gridcell' || role === 'application') continue;
        if (element.getAttribute(state) === '' || element.getAttribute(state) === 'undefined') continue;
        yield { element, message: `It is ${state} on ${role === null ? element.localName : `the role ${role}`}.` };
      }
    }
  },
};

export const nameNotAllowed: Rule = {
  id: 'name-not-allowed',
  title: 'An accessible name is set on an element that cannot have one.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Most screen readers never announce the name.',
  remedy: 'Put the name on an element with a role: nav, ul, button, a.',
  standard: 'WAI-ARIA 1.2, section 5.2.8.6 (roles which cannot be named)',
  check: function* ({ document, isNear }: PageContext): Iterable<Violation> {
    for (const element of deepElements(
      document,
      'div, span, p, i, b, em, strong, [role="none"], [role="presentation"]',
    )) {
      if (!element.hasAttribute('aria-label') && !element.hasAttribute('aria-labelledby')) continue;
      const role = roleOf(element);
      if (role !== null && !nameless.has(role)) continue;
      const label = element.getAttribute('aria-label') ?? element.getAttribute('aria-labelledby') ?? '';
      if (label.trim() === '' || !isNear(element) || !isExposed(element)) continue;
      // What takes focus is another matter: it has a name, and no role.
      if (element.tabIndex >= 0) continue;
      yield { element };
    }
  },
};

export const itemWithoutGroup: Rule = {
  id: 'item-outside-its-group',
  title: 'An item is outside the group that its role requires.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1'],
  affects: 'Screen reader users do not hear how many items there are, nor how to move between them.',
  remedy: 'Put it into an element with the required role, such as menu, tree or list; or remove the roles.',
  standard: 'WAI-ARIA 1.2, section 5.2.6 (required accessibility parent role)',
  check: function* ({ document, isNear }: PageContext): Iterable<Violation> {
    for (const item of deepElements(document, 'li:not([role])')) {
      // One that a custom element takes into its slot stands in the list around that.
      let around = parentOf(item);
      while (around?.localName === 'slot') around = parentOf(around);
      const isIn = around?.matches('ul, ol, menu') ?? true;
      if (!isIn && isNear(item) && isExposed(item)) yield { element: item, message: 'It is li outside of a list.' };
    }
    for (const element of deepElements(document, '[role]')) {
      const role = roleOf(element) ?? '';
      const groups = context[role];
      if (!groups || !writtenRoles(element).includes(role) || !isExposed(element)) continue;
      const owner = ownerOf(element);
      if (!owner || !groups.has(roleOf(owner) ?? '')) yield { element, message: `Its role is ${role}.` };
    }
  },
};

export const groupWithOthers: Rule = {
  id: 'group-with-others',
  title: 'A group contains an element that its role does not allow.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.1'],
  affects: 'Screen readers skip the element, or announce a wrong number of items.',
  remedy:
    'Give each item the role that the group requires, move other elements next to the group, or remove the roles.',
  standard: 'WAI-ARIA 1.2, section 5.2.5 (allowed accessibility child roles)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const group of deepElements(document, '[role]')) {
      const role = roleOf(group) ?? '';
      const allowed = owned[role];
      if (!allowed || !writtenRoles(group).includes(role) || !isExposed(group)) continue;
      const children = ownedChildren(group).filter((child) => isExposed(child) && isDrawn(child));
      const items = children.filter((child) => allowed.has(roleOf(child) ?? ''));
      // Of a group without any item, another rule reports.
      if (items.length === 0) continue;
      const other = children.find((child) => !allowed.has(roleOf(child) ?? '') && isContent(child));
      if (other) yield { element: other, message: `It is ${roleOf(other) ?? other.localName} in a ${role}.` };
    }
  },
};

function isContent(element: Element): boolean {
  const isControl =
    element.matches('a[href], button, input, select, summary') || element.querySelector('a[href], button');
  // An item of a list that is none any more is no item either.
  return Boolean(isControl) && roleOf(element) !== 'listitem';
}

export const groupWithoutItems: Rule = {
  id: 'group-without-items',
  title: 'A group of tabs, options or tree items contains none.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Screen readers announce arrow keys that do nothing.',
  remedy: 'Remove the role: a list of links is a list. Or give the items the required role.',
  standard: 'WAI-ARIA 1.2, section 5.2.5 (allowed accessibility child roles)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const group of deepElements(document, '[role]')) {
      const role = roleOf(group) ?? '';
      if (!['tablist', 'tree', 'listbox', 'list', 'radiogroup'].includes(role)) continue;
      if (!writtenRoles(group).includes(role) || !isExposed(group) || group.hasAttribute('aria-owns')) continue;
      if (group.getAttribute('aria-busy') === 'true') continue;
      const items = [...(owned[role] ?? [])].map((item) => `[role~="${item}"]`).join(', ');
      const native = role === 'list' ? ', li' : role === 'radiogroup' ? ', input[type="radio"]' : '';
      const links = deepElements(group, 'a[href], button').filter(isExposed);
      if (links.length > 0 && deepElements(group, items + native).length === 0) {
        yield { element: group, message: `Its role is ${role}.` };
      }
    }
  },
};

/** The kinds of popups, by the value of aria-haspopup (WAI-ARIA 1.2, section 6.6). */
const popups: Readonly<Record<string, readonly string[]>> = {
  true: ['menu'],
  menu: ['menu'],
  listbox: ['listbox'],
  tree: ['tree'],
  grid: ['grid', 'treegrid'],
  dialog: ['dialog', 'alertdialog'],
};

export const popupOfOtherKind: Rule = {
  id: 'popup-of-other-kind',
  title: 'A button announces a different kind of popup than it opens.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen readers announce a menu with arrow keys, but a list of links opens.',
  remedy: 'Remove aria-haspopup if plain links open; aria-expanded is enough.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-haspopup): the value must match the role of the popup',
  check: function* ({ document, isNear }: PageContext): Iterable<Violation> {
    for (const element of deepElements(document, '[aria-haspopup]')) {
      const value = (element.getAttribute('aria-haspopup') ?? '').trim().toLowerCase();
      const kinds = popups[value];
      if (!kinds || !isNear(element) || !isExposed(element)) continue;
      const popup = popupOf(element);
      if (!popup) continue;
      const roles = [popup, ...deepElements(popup, '[role], dialog')].map(roleOf);
      if (popup.querySelector('a[href], button') === null || roles.some((role) => kinds.includes(role ?? ''))) continue;
      yield { element, message: `It is aria-haspopup="${value}", and what it opens has no ${kinds[0] ?? ''} in it.` };
    }
  },
};

/** What an element with a popup opens: what it names, else the list that follows it. */
function popupOf(element: Element): Element | null {
  const root = element.getRootNode() as Document | ShadowRoot;
  const id = element.getAttribute('aria-controls')?.trim().split(/\s+/u)[0] ?? element.getAttribute('popovertarget');
  if (id) return root.getElementById(id);
  const next = element.nextElementSibling;
  return next?.matches('ul, ol, div, nav, section') ? next : null;
}

export const dialogWithoutName: Rule = {
  id: 'dialog-without-name',
  title: 'A dialog has no accessible name.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users hear "dialog", but not which one.',
  remedy: 'Name it by its heading with aria-labelledby, or with aria-label: "Menu".',
  standard: 'WAI-ARIA 1.2, section 5.4 (dialog): accessible name required; ARIA Authoring Practices, dialog pattern',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const dialog of deepElements(document, 'dialog, [role~="dialog"], [role~="alertdialog"]')) {
      if (dialog.querySelector('a[href]') === null) continue;
      const isOpen = dialog.localName !== 'dialog' || dialog.hasAttribute('open');
      const name = accessibleName(dialog, 'dialog', () => true);
      if (name === '' && (isOpen ? isExposed(dialog) : true)) yield { element: dialog };
    }
  },
};

export const tabpanelWithoutName: Rule = {
  id: 'tabpanel-without-name',
  title: 'A tab panel has no accessible name.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users hear "tab panel", but not of which tab.',
  remedy: 'Set aria-labelledby to the id of its tab.',
  standard: 'WAI-ARIA 1.2, section 5.4 (tabpanel): accessible name required; ARIA Authoring Practices, tabs pattern',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const panel of deepElements(document, '[role~="tabpanel"]')) {
      if (roleOf(panel) === 'tabpanel' && isExposed(panel) && accessibleName(panel, 'tabpanel') === '') {
        yield { element: panel };
      }
    }
  },
};

export const tabWithoutPanel: Rule = {
  id: 'tab-without-panel',
  title: 'A tab does not say which panel it controls.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader users cannot jump from the tab to its panel.',
  remedy: 'Set aria-controls to the id of an element with role="tabpanel".',
  standard: 'WAI-ARIA 1.2, section 5.4 (tab); ARIA Authoring Practices, tabs pattern',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const list of deepElements(document, '[role~="tablist"]')) {
      const tabs = deepElements(list, '[role~="tab"]').filter((tab) => roleOf(tab) === 'tab' && isExposed(tab));
      const selected = tabs.find((tab) => tab.getAttribute('aria-selected') === 'true');
      if (!selected || selected.matches('a[href]:not([href^="#"])')) continue;
      const root = selected.getRootNode() as Document | ShadowRoot;
      const ids = (selected.getAttribute('aria-controls') ?? '').split(/\s+/u).filter(Boolean);
      const panels = ids.map((id) => root.getElementById(id)).filter((panel) => panel !== null);
      const isNamedByTab =
        selected.id !== '' && root.querySelector(`[role~="tabpanel"][aria-labelledby~="${CSS.escape(selected.id)}"]`);
      if (isNamedByTab) continue;
      const [panel] = panels;
      if (panel && roleOf(panel) !== 'tabpanel') {
        yield { element: selected, message: 'What it controls has not role="tabpanel".' };
      } else if (!panel && document.querySelector('[role~="tabpanel"]') === null) yield { element: selected };
    }
  },
};

export const menuInLiveRegion: Rule = {
  id: 'menu-in-live-region',
  title: 'A menu is inside a live region.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.3'],
  affects: 'Screen readers read the whole menu whenever something in it changes.',
  remedy: 'Remove aria-live, role="status" and role="alert" from the menu. Announce one short message next to it.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-live); WCAG 2.2, 4.1.3 Status Messages',
  check: function* ({ navigations }: PageContext): Iterable<Violation> {
    const live = '[aria-live="polite"], [aria-live="assertive"], [role="status"], [role="alert"], [role="log"], output';
    for (const navigation of navigations) {
      const region = navigation.closest(live) ?? navigation.querySelector(live);
      const hasLinks = region !== null && deepElements(region, 'a[href]').length >= 3;
      if (hasLinks && isExposed(region)) yield { element: region };
    }
  },
};
