/** What keys do in a component: the key, and what it does. */
export type KeyboardTable = readonly (readonly [keys: string, does: string])[];

const panelKeys: KeyboardTable = [
  ['Enter, Space', 'on a button of a panel: opens and closes it'],
  ['Escape', 'closes the open panel; focus goes back to its button'],
];

/** By the names of the tables. */
export const keyboardTables: Readonly<Record<string, KeyboardTable>> = {
  bar: [
    ['Tab', 'goes to the next link or button'],
    ['Left, Right', 'walk along the row; mirrored in right-to-left'],
    ['Home, End', 'to the first and the last of the row'],
    ['Down', 'on the button of an open panel: into it'],
    ...panelKeys,
  ],
  panel: [
    ['Up, Down, Home, End', 'walk in the panel; Up from its first goes back to the button'],
    ['Escape', 'closes it; focus goes back to its button'],
  ],
  sidebar: [
    ['Tab', 'goes to the next link, button or field'],
    ['Up, Down, Home, End', 'walk along what is to be seen of the list'],
    ['Down, Escape', 'in the filter: into the list; clears the filter'],
    ['Enter, Space', 'open and close groups and the annex'],
    ['Escape', 'closes the annex, or the sidebar over the page; focus goes back'],
  ],
  tabs: [
    ['Tab', 'one stop for the row of tabs; from there into the panel'],
    ['Left, Right, Home, End', 'to another tab, past those that are disabled; mirrored in right-to-left'],
  ],
  'tab-links': [['Tab', 'goes to the next link'], ['Left, Right, Home, End', 'walk along the strip'], ...panelKeys],
  breadcrumbs: [['Tab', 'goes to the next step'], ...panelKeys],
  footer: [['Tab', 'goes to the next link']],
  page: [
    ['Tab', 'the skip link is the first stop of a page, and is seen then'],
    ['Enter', 'on it: the content has focus'],
  ],
};
