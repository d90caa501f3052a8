import { pageOf, type Report } from '../core/report.ts';

/**
 * The catalogue of what a test of navigation can fail with; `docs/testing.md` explains each.
 */
export const failureCodes = [
  'no-menu',
  'several-menus',
  'no-item',
  'several-items',
  'no-control',
  'no-link',
  'leads-elsewhere',
  'not-shown',
  'not-reached',
  'not-pressed',
  'never-opened',
  'never-closed',
  'never-arrived',
  'host-gone',
  'no-answer',
  'bad-address',
] as const;

export type FailureCode = (typeof failureCodes)[number];

interface FailureDetails {
  /** What was looked for, or waited for. */
  readonly wanted: string;
  /** What was there. */
  readonly found: string;
  /** What is most likely wrong, and what to do. */
  readonly likely?: string;
  /** The menus as they were, as a tree. */
  readonly tree?: string;
}

/**
 * Thrown when something that a user would do is not possible. Says what was expected, what was found, and a likely
 * reason.
 *
 * @example
 * try {
 *   await page.menu('Main').choose('Hides');
 * } catch (error) {
 *   if (error instanceof NavigationFailure) console.log(error.code, error.remedy);
 * }
 */
export class NavigationFailure extends Error implements Report<FailureCode, 'error'> {
  override readonly name = 'NavigationFailure';
  readonly code: FailureCode;
  readonly severity = 'error';
  /** What is most likely wrong, and what to do; empty where nothing is likelier than anything else. */
  readonly remedy: string;
  readonly page: string;

  constructor(code: FailureCode, { wanted, found, likely, tree }: FailureDetails) {
    const lines = [`${wanted} [${code}]`, `  found:  ${found}`];
    if (likely !== undefined) lines.push(`  likely: ${likely}`);
    if (tree !== undefined) lines.push('', tree);
    super(lines.join('\n'));
    this.code = code;
    this.remedy = likely ?? '';
    this.page = pageOf('testing', code);
  }
}

/**
 * Thrown when the host cannot judge something: neither a pass nor a failure of the page.
 *
 * @example
 * try {
 *   await page.key('Tab');
 * } catch (error) {
 *   if (!(error instanceof NotJudged)) throw error;
 *   console.log(error.message);
 * }
 */
export class NotJudged extends Error {
  override readonly name = 'NotJudged';

  constructor(host: string, reason: string) {
    super(`not judged: in ${host}, ${reason}`);
  }
}
