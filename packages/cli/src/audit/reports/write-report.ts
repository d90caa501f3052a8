import type { AuditReport, Findings, ReportedFinding } from '../audit-report.ts';
import type { AuditFormat } from '../audit-formats.ts';
import { toHtml } from './html-report.ts';
import { toJUnit } from './junit-report.ts';
import { toSarif } from './sarif-report.ts';
import { toText } from './text-report.ts';

/** With what the pages looked like: for a report that is to be merged with others. */
function withPictures(report: AuditReport, pictures: Pick<Findings, 'pictureOf'>): AuditReport {
  const illustrated = (finding: ReportedFinding): ReportedFinding => {
    const picture = pictures.pictureOf(finding);
    const { consequences } = finding;
    return {
      ...finding,
      ...(picture && { picture }),
      ...(consequences && { consequences: consequences.map(illustrated) }),
    };
  };
  return { ...report, findings: report.findings.map(illustrated) };
}

/** The report in one of its formats. What comes from the pages is data in each of them. */
export function writeReport(
  report: AuditReport,
  format: AuditFormat,
  pictures: Pick<Findings, 'pictureOf'> | null = null,
): string {
  const writers: Readonly<Record<AuditFormat, () => string>> = {
    text: () => toText(report),
    json: () => JSON.stringify(pictures === null ? report : withPictures(report, pictures), null, 2),
    sarif: () => JSON.stringify(toSarif(report), null, 2),
    junit: () => toJUnit(report),
    html: () => toHtml(report, (finding) => pictures?.pictureOf(finding) ?? null),
  };
  return `${writers[format]()}\n`;
}
