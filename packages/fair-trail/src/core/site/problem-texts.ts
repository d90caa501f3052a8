import type { Report } from '../report.ts';
import type { ProblemCode, ProblemDetails } from './problem-codes.ts';

/**
 * What each problem says, and how to fix it. These texts are for whoever writes the site file: a production build has
 * `problem-texts.production.ts` in their place.
 */
const texts: Readonly<Record<ProblemCode, readonly [message: ProblemText, remedy: ProblemText]>> = {
  'wrong-type': [
    ({ value, expected }) => `This is ${value}, but ${expected} is needed.`,
    ({ expected }) => `Write ${expected} here.`,
  ],
  'missing-field': [
    ({ value }) => `The field "${value}" is missing.`,
    ({ value, expected }) => `Add "${value}": ${expected}.`,
  ],
  'unknown-field': [
    ({ value }) => `There is no field "${value}" here.`,
    ({ other, expected }) => (other ? `Did you mean "${other}"?` : `Remove it. The fields here are ${expected}.`),
  ],
  'empty-text': [({ value }) => `The ${value} is empty.`, ({ value }) => `Write the ${value} that people will read.`],
  'name-syntax': [
    ({ value, other }) => `"${value}" cannot be ${other}.`,
    () => 'Begin with a letter, and go on with letters, digits, "-", "_" or ".".',
  ],
  'duplicate-id': [
    ({ value, other }) => `The id "${value}" is already used at ${other}.`,
    () => 'Give each entry an id of its own.',
  ],
  'entry-repeats': [
    ({ other }) => `This is the same object as the entry at ${other}.`,
    () => 'Make an entry of its own, with its own id. To show one entry in several menus, name its id there.',
  ],
  'duplicate-address': [
    ({ value, other }) => `The address "${value}" is the same as the one at ${other}.`,
    () => 'Give each entry an address of its own. To show one entry in several menus, name its id there.',
  ],
  'unsafe-href': [
    ({ value }) => `"${value}" is not a site path, nor an http, https, mailto or tel address.`,
    () => 'Begin a path of this site with one "/", and an outside link with "https://".',
  ],
  'hrefs-differ': [
    ({ value, other }) => `"${value}" and "${other}" are of two kinds: one is a path of this site, one is not.`,
    () => 'Write paths of this site in all languages, or addresses elsewhere in all.',
  ],
  'base-syntax': [
    ({ value }) => `The base "${value}" is not a path.`,
    () => 'Give the path that the site is published under, such as "/observatory/"; for the root, leave it out.',
  ],
  'path-syntax': [
    ({ value, other }) => `The path "${value}" cannot be read: ${other}.`,
    () => 'Use text, ":name", "*" and "{…}?"; put "\\" before a special character that stands for itself.',
  ],
  'params-differ': [
    ({ value, other }) => `"${value}" does not have the params of "${other}".`,
    () => 'Use the same names in both, so that a link to the place can be written from either.',
  ],
  'query-name-taken': [
    ({ value }) => `The key "${value}" of the query is also a param of the path.`,
    () => 'Give one of the two another name.',
  ],
  'unknown-language': [
    ({ value, expected }) => `"${value}" is not a language of this site. Its languages are ${expected}.`,
    ({ value }) => `Add "${value}" to the "languages" of the site, or remove it here.`,
  ],
  'unknown-audience': [
    ({ value }) => `"${value}" is not among the audiences of this site.`,
    ({ other }) => (other ? `Did you mean "${other}"?` : 'Add it to the "audiences" of the site, or remove it here.'),
  ],
  'prefix-taken': [
    ({ value, other }) => `The address at ${other} begins with "/${value}", which is the prefix of a language.`,
    () => 'Give the entry another address: with this one, no one could come to it.',
  ],
  'needs-path': [
    ({ value }) => `"${value}" needs an href that is a path of this site.`,
    ({ value }) => `Remove "${value}", or write such an href.`,
  ],
  'records-without-params': [
    ({ value }) => `The records "${value}" need an href with params to fill.`,
    () => 'Write an href such as "/species/:slug".',
  ],
  'unknown-home': [
    ({ value }) => `No linked entry of this site has the id "${value}".`,
    ({ other }) => (other ? `Did you mean "${other}"?` : 'Name the entry that the site begins with.'),
  ],
  'unknown-entry': [
    ({ value }) => `No entry has the id "${value}".`,
    ({ other }) => (other ? `Did you mean "${other}"?` : 'Name an entry of this file.'),
  ],
  'menu-params': [
    ({ value, other }) => `The entry "${value}" has the params ${other}, so a menu cannot link to it as it is.`,
    () => 'Give the entry "records", or name the entry above it.',
  ],
  'menu-repeats': [
    ({ value, other }) => `The entry "${value}" is already in this list, at ${other}.`,
    () => 'Name it once. Only the first can be marked.',
  ],
  'menu-holds-itself': [() => 'This list is one of the lists that it is in.', () => 'Write a list of its own here.'],
  'menu-param-name': [
    ({ value, other }) => `The entry "${other}" has no param "${value}".`,
    ({ expected }) => (expected ? `Its params are ${expected}.` : 'Remove the params: its address has none.'),
  ],
  'menu-param-value': [
    ({ value }) => `These params make no address of "${value}".`,
    () => 'Give other values: none may be "." or "..", and together they must not spell the address of another entry.',
  ],
  'flex-syntax': [
    ({ value }) => `"${value}" is not a value of the CSS flex shorthand.`,
    () => 'Write one to three values, such as "1", "0 1 auto" or "2 1 8em"; or "none", "auto" or "initial".',
  ],
  'origin-syntax': [
    ({ value }) => `"${value}" is not an origin.`,
    () => 'Write the scheme and the host alone, such as "https://marram.example".',
  ],
  'language-syntax': [
    ({ value }) => `"${value}" is not a language tag of BCP 47.`,
    () => 'Write a tag such as "en", "pt-BR" or "ar".',
  ],
  'unknown-placeholder': [
    ({ value, other }) => `"{${value}}" in the ${other} stands for nothing, and is shown as it is.`,
    ({ expected }) => (expected ? `What can be filled here: ${expected}.` : 'Nothing can be filled here: remove it.'),
  ],
  'address-shadowed': [
    ({ value, other }) => `Addresses such as "${value}" are taken by the more specific entry at ${other}.`,
    () => 'Give one of the two another address.',
  ],
  'addresses-overlap': [
    ({ value, other }) =>
      `Some addresses fit both "${value}" and the one at ${other}, and neither is the more specific.`,
    () => 'If that is not meant, give one of the two another address; the earlier segment decides.',
  ],
  'placeholder-link': [
    ({ value }) => `"${value}" looks like a placeholder: no one can visit it.`,
    () => 'Write the real address, or remove the entry until there is one.',
  ],
  'destination-repeats': [
    ({ value, other }) => `The entry at ${other} leads to "${value}" too, under another label.`,
    () => 'Use one entry, so that one place has one name.',
  ],
  'label-repeats': [
    ({ value, other }) => `In this menu "${value}" also leads elsewhere, at ${other}.`,
    () => 'Give them labels that distinguish them.',
  ],
  'unreachable-entry': [
    ({ value }) => `No menu has the entry "${value}", nor any entry above it.`,
    () => 'Name it, or a section above it, in a menu; or give it "listed": false where only pages link to it.',
  ],
  'menu-too-long': [
    ({ value, expected }) => `This list has ${value} items; more than ${expected} are hard to use.`,
    () => 'Group them, or move some one level down.',
  ],
  'label-too-long': [
    ({ value, expected }) => `The label "${value}" is longer than ${expected} characters.`,
    () => 'Shorten it, and say the rest in the "summary".',
  ],
  'missing-language': [
    ({ value }) => `There is no text in "${value}" here, so the site's own language stands in for it.`,
    ({ value }) => `Add the text in "${value}".`,
  ],
  'unused-audience': [
    ({ value }) => `No entry is for the audience "${value}".`,
    () => 'Remove it, or name it in an entry.',
  ],
  'missing-icon': [
    ({ value }) => `The entry "${value}" has no icon, and others in this menu have one.`,
    () => 'Give all of a menu icons, or none: a rail shows nothing else.',
  ],
  'planned-entry': [
    ({ value }) => `The page of "${value}" does not exist yet.`,
    () => 'Build it, or take the entry out of the release.',
  ],
  'too-deep': [
    ({ expected }) => `The entries are nested more than ${expected} levels deep.`,
    () => 'Flatten the tree: people lose their way long before that.',
  ],
};

type ProblemText = (about: ProblemDetails) => string;

/** The longest piece of a value that a message repeats: enough to find it, and a pasted book stays out of the terminal. */
const longestQuote = 80;

function shortened(text: string): string {
  return text.length > longestQuote ? `${text.slice(0, longestQuote)}…` : text;
}

export function problemText(code: ProblemCode, details: ProblemDetails): Pick<Report, 'message' | 'remedy'> {
  const about = details.value === undefined ? details : { ...details, value: shortened(details.value) };
  const [message, remedy] = texts[code];
  return { message: message(about), remedy: remedy(about) };
}
