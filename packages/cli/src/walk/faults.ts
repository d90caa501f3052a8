/** On which side a fault most likely is: in a page, in the site file, or in either. */
export type Blame = 'page' | 'site file' | 'unclear';

interface FaultKind {
  /** What is wrong in general, as a sentence. */
  readonly title: string;
  /** What is tried of an entry, and what this is a fault of. */
  readonly check: Check;
  readonly remedy: string;
}

/** What is asked of each entry, in the order in which it is tried. */
export const checks = [
  'there',
  'in its menus',
  'by mouse',
  'by keyboard',
  'marked',
  'titled',
  'breadcrumbs',
  'kept by a reload',
  'back',
  'other addresses',
  'unknown addresses',
] as const;

export type Check = (typeof checks)[number];

/** The catalogue of what a walk can find; `docs/walk.md` explains each. */
export const faultKinds = {
  'page-missing': {
    check: 'there',
    title: 'The page is not there.',
    remedy: 'Make the page, correct its href in the site file, or mark it there as planned.',
  },
  'menu-missing': {
    check: 'in its menus',
    title: 'No page shows this menu.',
    remedy: 'Show it, or take it out of the site file. A menu of one audience needs --audience and --storage.',
  },
  'not-in-menu': {
    check: 'in its menus',
    title: 'The menu does not offer the page.',
    remedy: 'Make the menu from the site file; or take the entry out of that menu there.',
  },
  'not-in-site-file': {
    check: 'in its menus',
    title: 'The menu offers a page that the site file does not have in it.',
    remedy: 'Add it to that menu in the site file, or take the link out.',
  },
  'private-shown': {
    check: 'in its menus',
    title: 'A menu offers what only another audience may see.',
    remedy:
      'Leave it out of the menu for visitors who are not in that audience; or take the audience out of the site file.',
  },
  'other-label': {
    check: 'in its menus',
    title: 'The menu calls the page otherwise than the site file.',
    remedy: 'Take the label from the site file, or correct it there.',
  },
  'leads-elsewhere': {
    check: 'in its menus',
    title: 'The link does not lead to the page.',
    remedy: 'Correct the address of the link, or that of the entry in the site file.',
  },
  'not-by-mouse': {
    check: 'by mouse',
    title: 'The page cannot be reached through the menu with a mouse.',
    remedy: 'Try it by hand; what stopped it is reported.',
  },
  'not-by-keyboard': {
    check: 'by keyboard',
    title: 'The page cannot be reached through the menu with the keyboard.',
    remedy: 'Use links with an address and real buttons, and let nothing keep focus to itself.',
  },
  'wrong-mark': {
    check: 'marked',
    title: 'A menu marks something else than where the visitor is.',
    remedy: 'Let aria-current follow the address: "page" on the page itself, "true" on a section that it is in.',
  },
  'wrong-title': {
    check: 'titled',
    title: 'The page is titled otherwise than the site file says.',
    remedy: 'Set the title from the site file, or correct the label or the pattern of titles there.',
  },
  'wrong-breadcrumbs': {
    check: 'breadcrumbs',
    title: 'The breadcrumbs show another way than the site file.',
    remedy: 'Make them from the site file, or move the entry there.',
  },
  'not-kept': {
    check: 'kept by a reload',
    title: 'A reload leads to another page, or to another state of its navigation.',
    remedy: 'Let the server answer every address of the site, and take what is shown from the address alone.',
  },
  'back-elsewhere': {
    check: 'back',
    title: 'Back does not return to where the visitor came from.',
    remedy: 'Make one history entry for one page, and let the page follow when the history moves.',
  },
  'old-address-dead': {
    check: 'other addresses',
    title: 'An old address does not lead on to the page.',
    remedy: 'Redirect it, or take it out of movedFrom in the site file.',
  },
  'alias-differs': {
    check: 'other addresses',
    title: 'Another address of the page does not show it.',
    remedy: 'Answer it with the same page, or take it out of aliases in the site file.',
  },
  'unknown-not-handled': {
    check: 'unknown addresses',
    title: 'An address that no one made is answered as if it were a page.',
    remedy: 'Answer it with status 404 and a page that says so, with the menus in it and nothing marked as the page.',
  },
} as const satisfies Readonly<Record<string, FaultKind>>;

export type FaultCode = keyof typeof faultKinds;
