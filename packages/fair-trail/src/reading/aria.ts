import { roleOf } from './role.ts';
import { parentOf } from './visible.ts';

const set = (text: string): ReadonlySet<string> => new Set(text.split(' '));

/** Roles that support a state or property which is not for all roles (WAI-ARIA 1.2, section 6.6). */
export const supporting: Readonly<Record<string, ReadonlySet<string>>> = {
  'aria-expanded': set(
    'application button checkbox combobox gridcell link listbox menuitem menuitemcheckbox menuitemradio row rowheader ' +
      'columnheader switch tab treeitem',
  ),
  'aria-selected': set('gridcell option row tab columnheader rowheader treeitem'),
  'aria-pressed': set('button'),
  'aria-checked': set('checkbox menuitemcheckbox menuitemradio option radio switch treeitem'),
};

/** Roles that must have no name from their author (WAI-ARIA 1.2, section 5.2.8.6). */
export const nameless = set(
  'caption code deletion emphasis generic insertion none paragraph presentation strong subscript superscript',
);

/** Roles that their authors must not put on some elements (ARIA in HTML, section 4): what may stand there instead. */
const allowedRoles: readonly (readonly [selector: string, roles: ReadonlySet<string>])[] = [
  ['nav', set('navigation menu menubar none presentation tablist')],
  ['a[href]', set('link button checkbox menuitem menuitemcheckbox menuitemradio option radio switch tab treeitem')],
  ['area[href]', set('link')],
  ['ul, ol, menu', set('list group listbox menu menubar none presentation radiogroup tablist toolbar tree')],
  ['header', set('banner group none presentation generic')],
  ['footer', set('contentinfo group none presentation generic doc-footnote')],
  ['main', set('main')],
  ['dialog', set('dialog alertdialog')],
  ['details', set('group')],
  [
    'button',
    set(
      'button checkbox combobox gridcell link menuitem menuitemcheckbox menuitemradio option radio separator slider switch tab treeitem',
    ),
  ],
  ['summary', set('button')],
  ['h1, h2, h3, h4, h5, h6', set('heading none presentation tab')],
  ['aside', set('complementary feed group none note presentation region search')],
];

/** Whether a role may be put on an element; true for elements that this table does not know of. */
export function isAllowedOn(element: Element, role: string): boolean {
  const rule = allowedRoles.find(([selector]) => element.matches(selector));
  if (!rule) return true;
  // An item of a list that is one no more may be anything.
  return rule[1].has(role) || role.startsWith('doc-');
}

/** What a role must contain (WAI-ARIA 1.2, section 5.2.5), of those that navigation is made of. */
export const owned: Readonly<Record<string, ReadonlySet<string>>> = {
  menu: set('menuitem menuitemcheckbox menuitemradio group separator'),
  menubar: set('menuitem menuitemcheckbox menuitemradio group separator'),
  tablist: set('tab'),
  tree: set('treeitem group'),
  listbox: set('option group'),
  list: set('listitem'),
  radiogroup: set('radio'),
  feed: set('article'),
};

/** What a role must be in (WAI-ARIA 1.2, section 5.2.6). */
export const context: Readonly<Record<string, ReadonlySet<string>>> = {
  menuitem: set('menu menubar group'),
  menuitemcheckbox: set('menu menubar group'),
  menuitemradio: set('menu menubar group'),
  treeitem: set('tree group treeitem'),
  option: set('listbox group combobox'),
  listitem: set('list directory group'),
};

/** Elements that nothing hears of: they are as if they were not there, and what is in them belongs to what is around. */
function isTransparent(element: Element): boolean {
  const role = roleOf(element);
  return role === null || role === 'none' || role === 'presentation' || role === 'generic';
}

/** The nearest element around that has a role of its own. */
export function ownerOf(element: Element): Element | null {
  const owner = element.id === '' ? null : ownedBy(element);
  let at = owner ?? parentOf(element);
  while (at && isTransparent(at)) at = parentOf(at);
  return at;
}

function ownedBy(element: Element): Element | null {
  const root = element.getRootNode() as Document | ShadowRoot;
  return root.querySelector(`[aria-owns~="${CSS.escape(element.id)}"]`);
}

/** What a role contains, without what only wraps it. */
export function ownedChildren(element: Element): readonly Element[] {
  return [...element.children].flatMap((child) => (isTransparent(child) ? ownedChildren(child) : [child]));
}
