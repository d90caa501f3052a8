/** A fatal problem stops `defineSite`; an advisory one is reported and the site is used all the same. */
export type Severity = 'fatal' | 'advisory';

/** Everything that can be wrong with a site file. `docs/problems.md` explains each code. */
const severities = {
  'wrong-type': 'fatal',
  'missing-field': 'fatal',
  'unknown-field': 'fatal',
  'empty-text': 'fatal',
  'name-syntax': 'fatal',
  'duplicate-id': 'fatal',
  'entry-repeats': 'fatal',
  'duplicate-address': 'fatal',
  'unsafe-href': 'fatal',
  'hrefs-differ': 'fatal',
  'base-syntax': 'fatal',
  'path-syntax': 'fatal',
  'params-differ': 'fatal',
  'query-name-taken': 'fatal',
  'unknown-language': 'fatal',
  'unknown-audience': 'fatal',
  'prefix-taken': 'fatal',
  'needs-path': 'fatal',
  'records-without-params': 'fatal',
  'unknown-home': 'fatal',
  'unknown-entry': 'fatal',
  'menu-params': 'fatal',
  'menu-repeats': 'advisory',
  'menu-holds-itself': 'fatal',
  'menu-param-name': 'fatal',
  'menu-param-value': 'fatal',
  'flex-syntax': 'fatal',
  'origin-syntax': 'fatal',
  'language-syntax': 'fatal',
  'unknown-placeholder': 'advisory',
  'address-shadowed': 'advisory',
  'addresses-overlap': 'advisory',
  'placeholder-link': 'advisory',
  'destination-repeats': 'advisory',
  'label-repeats': 'advisory',
  'unreachable-entry': 'advisory',
  'menu-too-long': 'advisory',
  'label-too-long': 'advisory',
  'missing-language': 'advisory',
  'unused-audience': 'advisory',
  'missing-icon': 'advisory',
  'planned-entry': 'advisory',
  'too-deep': 'fatal',
} as const satisfies Readonly<Record<string, Severity>>;

export type ProblemCode = keyof typeof severities;

/** What a message repeats: the wrong value and, if there is one, the other place or the allowed values. */
export interface ProblemDetails {
  readonly value?: string;
  readonly other?: string;
  readonly expected?: string;
}

export const problemCodes = Object.keys(severities) as readonly ProblemCode[];

export function severityOf(code: ProblemCode): Severity {
  return severities[code];
}
