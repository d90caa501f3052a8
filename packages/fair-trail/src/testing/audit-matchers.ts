// For the declaration at the end.
import type {} from 'vitest';
import { audit, type AuditOptions } from '../audit/audit.ts';
import type { AuditFinding } from '../audit/rule.ts';

/** Findings, of a document or of a report. */
interface WithFindings {
  readonly findings: readonly Pick<AuditFinding, 'code' | 'severity' | 'message' | 'selector' | 'remedy'>[];
}

/**
 * From which weight on a finding fails. Default: `error`.
 */
export interface SoundnessOptions extends AuditOptions {
  readonly failOn?: 'error' | 'warning' | 'advice';
}

const weights = ['advice', 'warning', 'error'] as const;

/**
 * A matcher for `expect.extend`: a document is read by the rules of the audit; a report of `auditSite` is taken as it is. A
 * failure is reported as by the command, with its place and its remedy.
 *
 * @example
 * expect.extend({ toHaveSoundNavigation });
 * expect(document).toHaveSoundNavigation();
 */
export function toHaveSoundNavigation(
  received: Document | WithFindings,
  { failOn = 'error', ...options }: SoundnessOptions = {},
): { readonly pass: boolean; readonly message: () => string } {
  const { findings } = 'findings' in received ? received : audit(received, options);
  const failing = findings.filter(({ severity }) => weights.indexOf(severity) >= weights.indexOf(failOn));
  const reported = failing.map(
    ({ severity, code, message, selector, remedy }) => `${severity} ${message} [${code}]\n  ${selector}\n  ${remedy}`,
  );
  return {
    pass: failing.length === 0,
    message: () =>
      failing.length === 0
        ? `Nothing of the weight "${failOn}" was found in the navigation, and something was expected.`
        : [`The navigation has ${failing.length} of the weight "${failOn}" or more:`, ...reported].join('\n\n'),
  };
}

declare module 'vitest' {
  // The parameters of an interface that is extended must be the same.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any, @typescript-eslint/no-unused-vars
  interface Matchers<T = any> {
    /** That a document, or a report of `auditSite`, has no finding of the weight `failOn` or more. Default: `error`. */
    readonly toHaveSoundNavigation: (options?: SoundnessOptions) => void;
  }
}
