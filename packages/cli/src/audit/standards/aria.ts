import { standardOf } from './statement.ts';

const meaning = 'What an element is meant to be is known to its author alone.';

export const aria = standardOf('WAI-ARIA 1.2', [
  [
    '5.2.5',
    'Roles contain only what they may contain: menus menu items, tab lists tabs, trees tree items, lists list items.',
    'menu-without-items group-without-items group-with-others',
  ],
  [
    '5.2.6',
    'Items stand in the role that they require: tabs in a tab list, menu items in a menu, list items in a list.',
    'tab-outside-tablist item-outside-its-group',
  ],
  [
    '5.2.8',
    'A role whose name comes from its content, or that must be named, has a name.',
    'link-without-name control-without-name field-without-name dialog-without-name tabpanel-without-name frame-without-name',
  ],
  ['5.2.8.6', 'Roles that cannot be named get no name.', 'name-not-allowed'],
  ['5.2.9', 'In roles whose children are presentational, nothing else is announced or takes focus.', 'nested-controls'],
  ['5.4', 'Only roles that are defined are used.', 'role-unknown'],
  ['5.4 banner, contentinfo, main', 'A page has one banner, one contentinfo and one main.', 'landmark-twice'],
  [
    '5.4 navigation',
    'A collection of links to navigate the document, or related ones, is a navigation landmark.',
    'menu-without-landmark',
    'Whether fewer than three links are navigation.',
  ],
  [
    '5.4 button',
    'A button is activated, and does not lead elsewhere.',
    'toggle-does-nothing',
    `A button may rightly change the address by a script. ${meaning}`,
  ],
  ['5.4 link', 'A link leads to a resource.', 'placeholder-link disabled-link-works dead-link'],
  ['5.4 dialog', 'A dialog has a name, and focus moves into it.', 'dialog-without-name dialog-without-focus'],
  [
    '5.4 menu, menubar',
    'Authors manage focus within.',
    'role-without-arrows home-and-end-missing menu-button-without-focus',
  ],
  [
    '5.4 tab',
    'A tab is in a tab list, tells whether it is selected, and controls a panel.',
    'tab-outside-tablist no-tab-selected tab-without-panel tab-shows-other',
  ],
  ['5.4 tablist', 'One tab is selected at a time, unless the list says otherwise.', 'several-tabs-selected'],
  ['5.4 tabpanel', 'A panel has a name, from its tab.', 'tabpanel-without-name'],
  [
    '5.4 tree, treeitem',
    'Items that have children tell whether they are expanded, and open by key.',
    'tree-keys-missing role-without-arrows',
    'Items whose children are loaded only when they open.',
  ],
  ['5.4 toolbar', 'Authors manage focus of the controls in it.', 'role-without-arrows'],
  ['5.4 radiogroup, listbox', 'Arrow keys go between the options.', 'role-without-arrows several-tab-stops'],
  [
    '5.4 combobox',
    'A combobox tells what it controls and whether that is shown.',
    'reference-missing',
    'The keys of comboboxes: there are three accepted interfaces, and none is written into the role.',
  ],
  [
    '5.4 feed',
    'Articles of a feed can be moved between by key.',
    'group-with-others',
    'Page Down in a feed: it reads more in, which an audit must not do without end.',
  ],
  [
    '5.4 search',
    'A search is a search landmark.',
    '',
    'A form with one field may be anything. A name is asked for by field-without-name.',
  ],
  ['6.3', 'ID references name elements that are there.', 'reference-missing'],
  [
    '6.6 aria-activedescendant',
    'The active element is a descendant of, or owned by, the one that has focus.',
    'reference-missing',
    'An element elsewhere that is owned by a script alone.',
  ],
  [
    '6.6 aria-controls',
    'It names what the element controls.',
    'controls-something-else reference-missing tab-shows-other',
  ],
  [
    '6.6 aria-current',
    'One element of a set is the current one, and it is the right one.',
    'several-current-pages mark-on-another-page mark-stays mark-wrong-after-back unknown-current-value mark-only-visual page-not-marked',
  ],
  ['6.6 aria-describedby', 'The description is there.', 'reference-missing', 'Whether it describes.'],
  ['6.6 aria-disabled', 'What is disabled does nothing.', 'disabled-link-works'],
  [
    '6.6 aria-expanded',
    'It is true while what is controlled is shown, and false while it is not.',
    'toggle-state-wrong toggle-announces-closed toggle-state-frozen toggle-without-state state-after-resizing state-wrong-after-back',
  ],
  ['6.6 aria-expanded', 'Its value is true or false.', 'expanded-value-unknown'],
  [
    '6.6 aria-expanded, -selected, -pressed, -checked',
    'They are set only on roles that support them.',
    'state-not-supported',
  ],
  ['6.6 aria-haspopup', 'Its value is the role of what pops up.', 'popup-of-other-kind'],
  [
    '6.6 aria-hidden',
    'It is not true on what takes focus, nor on what is shown and needed.',
    'focus-in-hidden visible-not-exposed page-left-inert',
  ],
  ['6.6 aria-label', 'It contains what is seen.', 'label-not-in-name'],
  ['6.6 aria-level', 'The level is that of the structure.', 'level-wrong'],
  ['6.6 aria-live', 'Only what changes and is short is live.', 'menu-in-live-region'],
  ['6.6 aria-modal', 'While it is true, nothing outside is reached.', 'overlay-leaves-page dialog-without-focus'],
  [
    '6.6 aria-orientation',
    'Arrow keys follow the orientation.',
    'tabs-without-arrows role-without-arrows',
    'Which two of the four arrows: both pairs are accepted.',
  ],
  ['6.6 aria-owns', 'An element has one owner, and no circles.', 'owned-twice'],
  ['6.6 aria-posinset, aria-setsize', 'They count what is there.', 'set-size-wrong'],
  ['6.6 aria-pressed', 'It changes with each press.', 'toggle-does-nothing', 'What a press of any button means.'],
  ['6.6 aria-selected', 'It is true on what is selected.', 'tab-does-nothing no-tab-selected several-tabs-selected'],
  ['6.6 aria-roledescription', 'It is used only where it helps, and never empty.', '', 'Whether it helps.'],
  [
    '7.1',
    'What is hidden is hidden from all; what is shown is exposed.',
    'visible-not-exposed exposed-not-visible focus-on-invisible',
  ],
  ['7.2', 'Presentational roles on what takes focus are ignored.', 'role-not-allowed'],
]);

export const ariaInHtml = standardOf('ARIA in HTML', [
  ['4 a[href]', 'A link has no role but those of controls, menu items, tabs and tree items.', 'role-not-allowed'],
  ['4 a[href]', 'aria-disabled is not used on a link.', 'disabled-link-works'],
  ['4 a without href', 'It may have any role; then it takes focus and keys.', 'not-by-keyboard control-mouse-only'],
  ['4 area[href]', 'An area is a link, and has a name.', 'role-not-allowed link-without-name'],
  ['4 aside, footer, header, main, nav', 'They have no roles but those that are listed.', 'role-not-allowed'],
  ['4 button', 'A button has no role but those of controls.', 'role-not-allowed'],
  ['4 details, summary', 'They have no other role.', 'role-not-allowed'],
  ['4 dialog', 'It is a dialog or an alertdialog.', 'role-not-allowed'],
  ['4 h1–h6', 'A heading is a heading, nothing, or a tab.', 'role-not-allowed'],
  [
    '4 li',
    'An item of a list has no other role while its parent is a list.',
    'group-with-others list-with-non-items',
    'An item with role="none" in a list that is one.',
  ],
  ['4 ul, ol, menu', 'A list has no role but those of groups.', 'role-not-allowed'],
  ['4.2', 'Names are not put on elements that cannot have one.', 'name-not-allowed'],
  ['5', 'Interactive roles do not contain interactive content.', 'nested-controls'],
]);

export const accessibleNames = standardOf('Accessible Name and Description Computation 1.2', [
  [
    '4.3.2 B',
    'aria-labelledby names elements that are there and say something.',
    'reference-missing link-without-name control-without-name id-twice',
  ],
  [
    '4.3.2 C',
    'Embedded controls within a label give their value.',
    'label-not-in-name',
    'Fields within the label of another one, which navigation hardly has.',
  ],
  [
    '4.3.2 D',
    'aria-label names what cannot be named otherwise, and agrees with what is seen.',
    'label-not-in-name name-not-allowed',
  ],
  [
    '4.3.2 E',
    'The native text alternative is used: alt, title of a drawing, label.',
    'link-without-name control-without-name field-without-name name-says-nothing',
  ],
  [
    '4.3.2 F',
    'The content names roles that allow it, with what a stylesheet adds.',
    'link-without-name',
    'Signs that a stylesheet adds are read by some screen readers and not by others.',
  ],
  [
    '4.3.2 I',
    'A tooltip attribute is the last resort.',
    'link-without-name',
    'A name from title alone is a name; that it is shown to a mouse alone is no failure.',
  ],
]);
