/** The built-in texts of the components. Give your own for another language. */
export interface Wording {
  /** The name of the bar's navigation landmark. */
  readonly mainNavigation: string;
  /** On the button that opens the menu where room is short. */
  readonly menu: string;
  /** On the same button while a menu covers the screen. */
  readonly close: string;
  /** The name of a button that closes a sidebar or an annex. `{label}` is what that is called. */
  readonly closeItem: string;
  /** On the button that shows the items that do not fit. */
  readonly more: string;
  /** On the button that opens the panel of an item that is a page too. `{label}` is the item's. */
  readonly pagesIn: string;
  /** The name of the breadcrumbs' navigation landmark. */
  readonly breadcrumbs: string;
  /** On the button that shows the steps that are folded away. `{count}` is how many. */
  readonly unfold: string;
  /** On the button that shows what stands beside a step. `{label}` is the step's. */
  readonly beside: string;
  /** The name of the sidebar's navigation landmark. */
  readonly sidebar: string;
  /** The name of the button that narrows a sidebar to its icons. */
  readonly narrow: string;
  /** On the same button while it is narrow. */
  readonly widen: string;
  /** The name of the field that filters a list. */
  readonly filter: string;
  /** Said while a list is filtered. `{count}` is how many pages are left. */
  readonly matches: string;
  /** The same for a single one. */
  readonly match: string;
  /** The same where they are too many to be shown. `{shown}` is how many are. */
  readonly matchesShown: string;
  /** Said and shown where nothing is left. */
  readonly noMatch: string;
  /** On the button in a long list that shows more of it. `{count}` is how many items are left out there. */
  readonly showMore: string;
  readonly skipToContent: string;
  /** The name of a notice’s region. */
  readonly notice: string;
  /** The name of the button that sends a notice away. */
  readonly dismiss: string;
  /** The name of the footer’s navigation landmark. */
  readonly footerNavigation: string;
  /** The name of the links to other languages. */
  readonly languages: string;
  /** Said after the label of a link that opens a new tab. */
  readonly opensNewTab: string;
  /** The heading and title of an address that is no page of the site. */
  readonly notFound: string;
  /** The heading and title of a page that the visitor may not see. */
  readonly denied: string;
  /** Said of a page that does not exist yet. */
  readonly planned: string;
  /** The heading of a page that could not be loaded or shown. */
  readonly pageFailed: string;
  /** The same, where the browser is offline. */
  readonly offline: string;
  /** On the button that tries again. */
  readonly tryAgain: string;
  /** Instead of records, or of a first page, that are on their way. */
  readonly loading: string;
  /** In a menu, instead of records that could not be loaded. */
  readonly failed: string;
  /** In a menu, instead of records if there are none. */
  readonly empty: string;
}

/**
 * The built-in texts of the components, in English: the default of `wording`.
 *
 * @example
 * const wording = { ...englishWording, notFound: 'No such page' };
 */
export const englishWording: Wording = {
  mainNavigation: 'Main',
  menu: 'Menu',
  close: 'Close',
  closeItem: 'Close {label}',
  more: 'More',
  pagesIn: 'Pages in {label}',
  breadcrumbs: 'Breadcrumbs',
  unfold: 'Show {count} more steps',
  beside: 'Pages beside {label}',
  sidebar: 'Sidebar',
  narrow: 'Collapse sidebar',
  widen: 'Expand sidebar',
  filter: 'Filter by name',
  matches: '{count} pages match',
  match: '1 page matches',
  matchesShown: '{count} pages match, the first {shown} are shown',
  noMatch: 'Nothing matches',
  showMore: 'Show more ({count} left)',
  skipToContent: 'Skip to content',
  notice: 'Notice',
  dismiss: 'Dismiss notice',
  footerNavigation: 'Footer',
  languages: 'Language',
  opensNewTab: 'opens in a new tab',
  notFound: 'Page not found',
  denied: 'This page is not open to you',
  planned: 'This page is planned and does not exist yet',
  pageFailed: 'This page could not be shown',
  offline: 'You are offline, and this page has not been loaded yet',
  tryAgain: 'Try again',
  loading: 'Loading…',
  failed: 'Could not be loaded',
  empty: 'Nothing here yet',
};
