/**
 * What everything that Fair Trail reports has, whichever part reports it: problems of a site file, warnings of a running
 * app, failures of the command, faults of a walk, failures of a test, and findings of the audit.
 */
export interface Report<Code extends string = string, Severity extends string = string> {
  /** The same in every version; the documentation explains it under this name. */
  readonly code: Code;
  readonly severity: Severity;
  /** What is wrong, and where. */
  readonly message: string;
  /** How to fix it. */
  readonly remedy: string;
  /** The address of the page that explains the code. */
  readonly page: string;
}

/** The pages that explain codes, by their names in the folder `docs`. */
export type ReportPage = 'problems' | 'warnings' | 'walk' | 'testing' | 'rules';

/** The address of the page that explains a code. */
export function pageOf(page: ReportPage, code: string): string {
  return `https://fair-trail.example/docs/${page}${page === 'rules' ? '/' : '#'}${code}`;
}
