import type { AuditReport, ReportedFinding } from './audit-report.ts';
import { flattened } from './causes.ts';

/** How a report differs from an earlier one. */
export interface BaselineComparison {
  /** How many findings the earlier report has as well. */
  readonly known: number;
  /** What the earlier report has, on pages that were visited again, and what is not so any more. */
  readonly gone: readonly ReportedFinding[];
}

/** The same for a finding of another run: neither the port of a server nor the number of an item counts. */
function keyOf({ code, html, selector }: ReportedFinding): string {
  return [code, selector.replaceAll(/:nth-of-type\(\d+\)/gu, ''), html.replaceAll(/\s+/gu, ' ')].join('\n');
}

/** What is new in a report, with how it differs from an earlier one: only what is new counts in its summary. */
export function againstBaseline(report: AuditReport, baseline: AuditReport): AuditReport {
  const before = new Set(flattened(baseline.findings).map(keyOf));
  const now = new Set(flattened(report.findings).map(keyOf));
  // A cause that is known may have a consequence that is not.
  const isNew = (finding: ReportedFinding): boolean =>
    !before.has(keyOf(finding)) || (finding.consequences ?? []).some(isNew);
  const findings = report.findings.filter(isNew);
  const visited = new Set(report.pages.map(({ url }) => pathOf(url)));
  const gone = flattened(baseline.findings).filter(
    (finding) => !now.has(keyOf(finding)) && finding.pages.some((page) => visited.has(pathOf(page))),
  );
  const count = (severity: ReportedFinding['severity']) =>
    findings.filter((finding) => finding.severity === severity).length;
  return {
    ...report,
    findings,
    summary: { error: count('error'), warning: count('warning'), advice: count('advice') },
    baseline: { known: report.findings.length - findings.length, gone },
  };
}

function pathOf(url: string): string {
  return URL.canParse(url) ? new URL(url).pathname : url;
}
