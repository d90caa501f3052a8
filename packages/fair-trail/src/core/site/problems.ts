import { pageOf, type Report } from '../report.ts';
import { problemText } from './problem-texts.ts';

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

/** One thing that is wrong with a site file. */
export interface Problem extends Report<ProblemCode, Severity> {
  /** Where, as a JSON Pointer (RFC 6901). The empty string is the whole file. */
  readonly pointer: string;
}

/** What a message repeats: the wrong value and, where there is one, the other place or the allowed values. */
export interface ProblemDetails {
  readonly value?: string;
  readonly other?: string;
  readonly expected?: string;
}

export const problemCodes = Object.keys(severities) as readonly ProblemCode[];

export function severityOf(code: ProblemCode): Severity {
  return severities[code];
}

export function problem(code: ProblemCode, pointer: string, details: ProblemDetails = {}): Problem {
  return { code, severity: severities[code], pointer, ...problemText(code, details), page: pageOf('problems', code) };
}

/**
 * Thrown by `defineSite` when the definition has a fatal problem. Carries every problem, advisory ones too.
 *
 * @example
 * try {
 *   defineSite(definition);
 * } catch (error) {
 *   if (error instanceof SiteError) console.log(error.problems.map(({ code, pointer }) => `${pointer}: ${code}`));
 * }
 */
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
