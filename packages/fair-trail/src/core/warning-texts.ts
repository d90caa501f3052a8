import { nearest } from './site/nearest.ts';
import type { Report } from './report.ts';
import type { WarningCode } from './warning-codes.ts';

/**
 * What each warning says of an address or a name, and how to fix it. These texts are for developers: a production build
 * has `warning-texts.production.ts` in their place.
 */
const texts: Readonly<Record<WarningCode, readonly [what: string, remedy: string]>> = {
  'address-unreadable': ['cannot be read as an address', 'Give a path of the site, such as "/visit".'],
  'address-elsewhere': [
    'is not on this website',
    'Lead there with a link; the router goes to addresses of its own only.',
  ],
  'address-unsafe': ['is no web address', 'Only "http" and "https" addresses of this website can be gone to.'],
  'address-too-long': ['is longer than 65 536 characters', 'Keep large values in the state of the history entry.'],
  'history-refused': [
    'was refused by the browser’s history',
    'A frame needs "allow-same-origin", and no browser takes hundreds of changes in a few seconds.',
  ],
  'may-leave-failed': ['could not be left, since "mayLeave" failed', 'Fix the function, or return true in its place.'],
  'page-failed': ['could not be shown', 'See the error beside this; the visitor was offered to try again.'],
  'menu-unknown': ['is not a menu of the site', 'Use the name of a menu, or add it to "menus" in the site file.'],
  'entry-unknown': ['is not the id of an entry', 'Use the id of an entry, or add the entry to the site file.'],
  'link-without-address': [
    'cannot be linked to: its address needs params that are missing, or it has none',
    'Give "params" a value for each param of the address, none of them empty, "." or "..".',
  ],
  'audience-unknown': [
    'is not an audience of the site',
    'Use the name of an audience, or add it to "audiences" in the site file.',
  ],
  'records-unknown': [
    'is not a list of records of the site',
    'Use the name that an entry of the site file has in "records".',
  ],
  'records-malformed': [
    'is left out of its menus',
    'Give a list of objects with "params", texts by name, and "label" if it has one; or "loading" or "failed".',
  ],
  'icon-unknown': [
    'is an icon that nothing is drawn for',
    'Return a drawing for it from the function "icon", or correct its name in the site file.',
  ],
  'action-without-handler': [
    'is an action of a menu, and the Trail has no handler for actions',
    'Give the Trail the property "onAction", which is called with the name of the action.',
  ],
  'layout-without-content': [
    'is shown in a layout that has no main content',
    'Put a Stage, or a "main" element, into the content of the Layout.',
  ],
  'layout-without-stage': [
    'has a layout that shows no Stage, so that its pages are not shown',
    'Put a Stage into the layout, where the page is to stand.',
  ],
  'site-not-loaded': [
    'could not be loaded as a site; what the page held stays as it is',
    'See the error beside this. Check the file with "fair-trail check", and that the server sends it.',
  ],
  'site-missing': [
    'has no site to take its links from; what it held stays as it is',
    'Put it into a "trail-site", add one to the page, or write a list of links into it.',
  ],
  'list-without-links': [
    'holds no list of links; what it held stays as it is',
    'Write a "nav" with a list of links into it, or name the id of a list that is on the page in the attribute "list".',
  ],
  'list-in-use': [
    'is the list of another element already',
    'Give each list to one element. Another menu with the same links is written with a "trail-site".',
  ],
  'list-placeholder': [
    'leads nowhere, or to an address that is refused; it is shown as a disabled item',
    'Give its link an address of a page. What a script handles is a button.',
  ],
  'tab-repeated': [
    'is the name of two tabs; the second is given another',
    'Write a name of its own into each "data-tab".',
  ],
  'lists-joined': [
    'holds several lists; they are shown as one menu, with dividers between them',
    'Write one list. What is no part of the menu stands beside the "nav", with slot="end" for instance.',
  ],
  'attribute-unknown': ['is not an attribute of this element', 'See the table of its attributes.'],
  'attribute-value': [
    'is not a value of this attribute; it is treated as if it were not there',
    'Use one of its values.',
  ],
};

/** More of an address than this tells no one anything. */
const longestQuote = 120;

export function warningText(code: WarningCode, subject: string): Pick<Report, 'message' | 'remedy'> {
  const [what, remedy] = texts[code];
  const quoted = subject.length > longestQuote ? `${subject.slice(0, longestQuote)}…` : subject;
  return { message: `"${quoted}" ${what}.`, remedy };
}

/** More names than these are no help to choose from. */
const mostNames = 8;

/** Suggests the nearest of the names that exist, or lists them where they are few. */
export function nameHint(name: string, known: readonly string[]): string {
  const other = nearest(name, known);
  if (other !== undefined) return `Did you mean "${other}"? `;
  return known.length > 0 && known.length <= mostNames ? `There are: ${known.join(', ')}. ` : '';
}
