import { severityOf, type ProblemCode, type ProblemDetails, type Severity } from './problem-codes.ts';
import { pageOf, type Report } from '../report.ts';
import { problemText } from './problem-texts.ts';

/** A problem of a site file. */
export interface Problem extends Report<ProblemCode, Severity> {
  /** Where, as a JSON Pointer (RFC 6901). The empty string is the whole file. */
  readonly pointer: string;
}

export function problem(code: ProblemCode, pointer: string, details: ProblemDetails = {}): Problem {
  return { code, severity: severityOf(code), pointer, ...problemText(code, details), page: pageOf('problems', code) };
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
