import { errorColors } from './colors.ts';

/**
 * The catalogue of what can go wrong in the command itself. What can be wrong in a site file stands in the library's
 * catalogue; `docs/problems.md` explains both.
 */
export const failureCodes = [
  'bad-usage',
  'file-missing',
  'file-unreadable',
  'file-encoding',
  'file-too-large',
  'file-exists',
  'json-syntax',
  'duplicate-field',
  'xml-syntax',
  'not-compressed',
  'nothing-found',
  'module-failed',
  'records-syntax',
  'unknown-format',
  'needs-origin',
  'site-problems',
  'unknown-menu',
  'bad-address',
  'bad-color',
  'token-problems',
  'theme-incomplete',
  'no-browser',
  'port-taken',
  'unknown-rule',
  'not-a-report',
  'no-such-entry',
  'no-such-language',
  'storage-syntax',
  'unexpected',
] as const;

export type FailureCode = (typeof failureCodes)[number];

/** The line on the error stream that reports a failure. */
export function failureLine({ message, code }: Pick<Failure, 'message' | 'code'>): string {
  return `${errorColors.red('fair-trail:')} ${message} [${code}]`;
}

/** Ends the command with a line for the error stream and an exit code: 3 where there is no browser, else that of bad input. */
export class Failure extends Error {
  override readonly name = 'Failure';
  readonly code: FailureCode;

  constructor(code: FailureCode, message: string) {
    super(message);
    this.code = code;
  }

  get exitCode(): number {
    return this.code === 'no-browser' ? 3 : 2;
  }
}
