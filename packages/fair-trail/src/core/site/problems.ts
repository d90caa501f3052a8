/**
 * The catalogue of everything that can be wrong with a site file. Each code stands here once, with its severity, what
 * it says and how to mend it; `docs/problems.md` explains each, and a test holds that page to this list.
 */

/** A fatal problem stops `defineSite`; an advisory one is reported and the site is used all the same. */
export type Severity = 'fatal' | 'advisory';

interface Rule {
  readonly severity: Severity;
  readonly message: (about: Details) => string;
  readonly remedy: (about: Details) => string;
}

/** What a message is told: the offending value and, where there is one, the other place or the allowed values. */
interface Details {
  readonly value?: string;
  readonly other?: string;
  readonly expected?: string;
}

const fatal = (message: Rule['message'], remedy: Rule['remedy']): Rule => ({ severity: 'fatal', message, remedy });
const advisory = (message: Rule['message'], remedy: Rule['remedy']): Rule => ({
  severity: 'advisory',
  message,
  remedy,
});

const catalogue = {
  'wrong-type': fatal(
    ({ value, expected }) => `This is ${value}, but ${expected} is needed.`,
    ({ expected }) => `Write ${expected} here.`,
  ),
  'missing-field': fatal(
    ({ value }) => `The field "${value}" is missing.`,
    ({ value, expected }) => `Add "${value}": ${expected}.`,
  ),
  'unknown-field': fatal(
    ({ value }) => `There is no field "${value}" here.`,
    ({ other, expected }) => (other ? `Did you mean "${other}"?` : `Remove it. The fields here are ${expected}.`),
  ),
  'empty-text': fatal(
    ({ value }) => `The ${value} is empty.`,
    ({ value }) => `Write the ${value} that people will read.`,
  ),
  'name-syntax': fatal(
    ({ value, other }) => `"${value}" cannot be ${other}.`,
    () => 'Begin with a letter, and go on with letters, digits, "-", "_" or ".".',
  ),
  'duplicate-id': fatal(
    ({ value, other }) => `The id "${value}" is already used at ${other}.`,
    () => 'Give each entry an id of its own.',
  ),
  'entry-repeats': fatal(
    ({ other }) => `This is the same object as the entry at ${other}.`,
    () => 'Make an entry of its own, with its own id. To show one entry in several menus, name its id there.',
  ),
  'duplicate-address': fatal(
    ({ value, other }) => `The address "${value}" is the same as the one at ${other}.`,
    () => 'Give each entry an address of its own. To show one entry in several menus, name its id there.',
  ),
  'unsafe-href': fatal(
    ({ value }) => `"${value}" is not a site path, nor an http, https, mailto or tel address.`,
    () => 'Begin a path of this site with one "/", and an outside link with "https://".',
  ),
  'hrefs-differ': fatal(
    ({ value, other }) => `"${value}" and "${other}" are of two kinds: one is a path of this site, one is not.`,
    () => 'Write paths of this site in all languages, or addresses elsewhere in all.',
  ),
  'base-syntax': fatal(
    ({ value }) => `The base "${value}" is not a path.`,
    () => 'Give the path that the site is published under, such as "/observatory/"; for the root, leave it out.',
  ),
  'path-syntax': fatal(
    ({ value, other }) => `The path "${value}" cannot be read: ${other}.`,
    () => 'Use text, ":name", "*" and "{…}?"; put "\\" before a special character that stands for itself.',
  ),
  'params-differ': fatal(
    ({ value, other }) => `"${value}" does not have the params of "${other}".`,
    () => 'Use the same names in both, so that a link to the place can be written from either.',
  ),
  'query-name-taken': fatal(
    ({ value }) => `The key "${value}" of the query is also a param of the path.`,
    () => 'Give one of the two another name.',
  ),
  'unknown-language': fatal(
    ({ value, expected }) => `"${value}" is not a language of this site. Its languages are ${expected}.`,
    ({ value }) => `Add "${value}" to the "languages" of the site, or remove it here.`,
  ),
  'unknown-audience': fatal(
    ({ value }) => `"${value}" is not among the audiences of this site.`,
    ({ other }) => (other ? `Did you mean "${other}"?` : 'Add it to the "audiences" of the site, or remove it here.'),
  ),
  'prefix-taken': fatal(
    ({ value, other }) => `The address at ${other} begins with "/${value}", which is the prefix of a language.`,
    () => 'Give the entry another address: with this one, nobody could come to it.',
  ),
  'needs-path': fatal(
    ({ value }) => `"${value}" needs an href that is a path of this site.`,
    ({ value }) => `Remove "${value}", or write such an href.`,
  ),
  'records-without-params': fatal(
    ({ value }) => `The records "${value}" need an href with params to fill.`,
    () => 'Write an href such as "/species/:slug".',
  ),
  'unknown-home': fatal(
    ({ value }) => `No linked entry of this site has the id "${value}".`,
    ({ other }) => (other ? `Did you mean "${other}"?` : 'Name the entry that the site begins with.'),
  ),
  'unknown-entry': fatal(
    ({ value }) => `No entry has the id "${value}".`,
    ({ other }) => (other ? `Did you mean "${other}"?` : 'Name an entry of this file.'),
  ),
  'menu-params': fatal(
    ({ value, other }) => `The entry "${value}" has the params ${other}, so a menu cannot link to it as it is.`,
    () => 'Give the entry "records", or name the entry above it.',
  ),
  'menu-repeats': advisory(
    ({ value, other }) => `The entry "${value}" is already in this list, at ${other}.`,
    () => 'Name it once. Only the first can be marked.',
  ),
  'menu-holds-itself': fatal(
    () => 'This list is one of the lists that it is in.',
    () => 'Write a list of its own here.',
  ),
  'menu-param-name': fatal(
    ({ value, other }) => `The entry "${other}" has no param "${value}".`,
    ({ expected }) => (expected ? `Its params are ${expected}.` : 'Remove the params: its address has none.'),
  ),
  'menu-param-value': fatal(
    ({ value }) => `These params make no address of "${value}".`,
    () => 'Give other values: none may be "." or "..", and together they must not spell the address of another entry.',
  ),
  'flex-syntax': fatal(
    ({ value }) => `"${value}" is not a value of the CSS flex shorthand.`,
    () => 'Write one to three values, such as "1", "0 1 auto" or "2 1 8em"; or "none", "auto" or "initial".',
  ),
  'origin-syntax': fatal(
    ({ value }) => `"${value}" is not an origin.`,
    () => 'Write the scheme and the host alone, such as "https://marram.example".',
  ),
  'language-syntax': fatal(
    ({ value }) => `"${value}" is not a language tag of BCP 47.`,
    () => 'Write a tag such as "en", "pt-BR" or "ar".',
  ),
  'unknown-placeholder': advisory(
    ({ value, other }) => `"{${value}}" in the ${other} stands for nothing, and is shown as it is.`,
    ({ expected }) => (expected ? `What can be filled here: ${expected}.` : 'Nothing can be filled here: remove it.'),
  ),
  'address-shadowed': advisory(
    ({ value, other }) => `Addresses such as "${value}" are taken by the more specific entry at ${other}.`,
    () => 'Give one of the two another address.',
  ),
  'addresses-overlap': advisory(
    ({ value, other }) =>
      `Some addresses fit both "${value}" and the one at ${other}, and neither is the more specific.`,
    () => 'If that is not meant, give one of the two another address; the earlier segment decides.',
  ),
  'placeholder-link': advisory(
    ({ value }) => `"${value}" looks like a placeholder: nobody can visit it.`,
    () => 'Write the real address, or remove the entry until there is one.',
  ),
  'destination-repeats': advisory(
    ({ value, other }) => `The entry at ${other} leads to "${value}" too, under another label.`,
    () => 'Use one entry, so that one place has one name.',
  ),
  'label-repeats': advisory(
    ({ value, other }) => `In this menu "${value}" also leads elsewhere, at ${other}.`,
    () => 'Give them labels that tell them apart.',
  ),
  'unreachable-entry': advisory(
    ({ value }) => `No menu has the entry "${value}", nor any entry above it.`,
    () => 'Name it, or a section above it, in a menu; or give it "listed": false where only pages link to it.',
  ),
  'menu-too-long': advisory(
    ({ value, expected }) => `This list has ${value} items; more than ${expected} are hard to use.`,
    () => 'Group them, or move some one level down.',
  ),
  'label-too-long': advisory(
    ({ value, expected }) => `The label "${value}" is longer than ${expected} characters.`,
    () => 'Shorten it, and say the rest in the "summary".',
  ),
  'missing-language': advisory(
    ({ value }) => `There is no text in "${value}" here, so the site's own language stands in for it.`,
    ({ value }) => `Add the text in "${value}".`,
  ),
  'unused-audience': advisory(
    ({ value }) => `No entry is for the audience "${value}".`,
    () => 'Remove it, or name it in an entry.',
  ),
  'missing-icon': advisory(
    ({ value }) => `The entry "${value}" has no icon, and others in this menu have one.`,
    () => 'Give all of a menu icons, or none: a rail shows nothing else.',
  ),
  'planned-entry': advisory(
    ({ value }) => `The page of "${value}" does not exist yet.`,
    () => 'Build it, or take the entry out of the release.',
  ),
  'too-deep': fatal(
    ({ expected }) => `The entries are nested more than ${expected} levels deep.`,
    () => 'Flatten the tree: people lose their way long before that.',
  ),
} satisfies Record<string, Rule>;

export type ProblemCode = keyof typeof catalogue;

/** One thing that is wrong with a site file. */
export interface Problem {
  readonly code: ProblemCode;
  readonly severity: Severity;
  /** Where, as a JSON Pointer (RFC 6901). The empty string is the whole file. */
  readonly pointer: string;
  readonly message: string;
  readonly remedy: string;
}

export const problemCodes = Object.keys(catalogue) as readonly ProblemCode[];

export function severityOf(code: ProblemCode): Severity {
  return catalogue[code].severity;
}

/** The longest piece of a value that a message repeats: enough to find it, and a pasted book stays out of the terminal. */
const longestQuote = 80;

function shortened(text: string): string {
  return text.length > longestQuote ? `${text.slice(0, longestQuote)}…` : text;
}

export function problem(code: ProblemCode, pointer: string, details: Details = {}): Problem {
  const rule: Rule = catalogue[code];
  const about = details.value === undefined ? details : { ...details, value: shortened(details.value) };
  return {
    code,
    severity: rule.severity,
    pointer,
    message: rule.message(about),
    remedy: rule.remedy(about),
  };
}

/** Thrown by `defineSite` when the definition has a fatal problem. Carries every problem, advisory ones too. */
export class SiteError extends Error {
  override readonly name = 'SiteError';
  readonly problems: readonly Problem[];

  constructor(problems: readonly Problem[]) {
    const lines = problems.map(({ code, pointer, message, remedy }) => {
      return `  ${pointer || '(the whole file)'}: ${message} ${remedy} [${code}]`;
    });
    super(`The site has ${problems.length === 1 ? 'a problem' : `${problems.length} problems`}:\n${lines.join('\n')}`);
    this.problems = problems;
  }
}
