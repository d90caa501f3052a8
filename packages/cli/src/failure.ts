/**
 * The catalogue of what can go wrong in the command itself. What can be wrong in a site file stands in the library's
 * catalogue; `docs/problems.md` explains both.
 */
const catalogue = {
  'bad-usage': 2,
  'file-missing': 2,
  'file-unreadable': 2,
  'file-encoding': 2,
  'json-syntax': 2,
  'duplicate-field': 2,
  'site-problems': 2,
  'unknown-menu': 2,
  'bad-address': 2,
} as const satisfies Record<string, number>;

export type FailureCode = keyof typeof catalogue;

export const failureCodes = Object.keys(catalogue) as readonly FailureCode[];

/** Ends the command with an exit code and lines for the error stream. */
export class Failure extends Error {
  override readonly name = 'Failure';
  readonly code: FailureCode;
  readonly exitCode: number;

  constructor(code: FailureCode, message: string) {
    super(message);
    this.code = code;
    this.exitCode = catalogue[code];
  }
}
