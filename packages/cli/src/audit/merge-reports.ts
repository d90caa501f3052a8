import { Failure } from '../failure.ts';
import { readJson } from '../input/json-document.ts';
import { readText } from '../input/read-file.ts';
import { printable } from '../printable.ts';
import { Findings, type AuditReport } from './audit-report.ts';
import { flattened } from './causes.ts';
import { deliver, setExitCode, type AuditCommandOptions } from './make-audit.ts';
import { writeReport } from './reports/write-report.ts';

/** Makes one report of those of several machines. */
export function mergeReports(
  files: readonly string[],
  options: Pick<AuditCommandOptions, 'format' | 'failOn' | 'out' | 'force'>,
): void {
  const { report, findings: pictures } = mergedWithPictures(files.map(readReport));
  deliver(writeReport(report, options.format, pictures), options);
  setExitCode(report, options.failOn);
}

/** What several found together; what more than one found is reported once. */
export function merged(reports: readonly AuditReport[]): AuditReport {
  return mergedWithPictures(reports).report;
}

function mergedWithPictures(reports: readonly AuditReport[]): {
  readonly report: AuditReport;
  readonly findings: Findings;
} {
  const findings = new Findings();
  for (const report of reports) {
    for (const finding of flattened(report.findings)) {
      const { width, state, steps = [] } = finding;
      for (const page of finding.pages) findings.add(finding, { page, width, state, steps });
      if (finding.picture) findings.illustrate(finding, finding.picture);
    }
    for (const { rule, pages, reason } of report.notChecked) {
      for (const page of pages) findings.leaveOut(rule, page, reason);
    }
  }
  const pages = new Map(reports.flatMap((report) => report.pages.map((page) => [page.url, page] as const)));
  const [first] = reports;
  const tool = first?.tool ?? { name: 'fair-trail', version: '' };
  return { report: findings.report({ tool, target: first?.target ?? '', pages: [...pages.values()] }), findings };
}

export function readReport(file: string): AuditReport {
  const shown = printable(file);
  const { value } = readJson(readText(file), shown);
  if (isReport(value)) return value;
  throw new Failure(
    'not-a-report',
    `"${shown}" is no report of an audit. Write one with: audit … --format json --out FILE`,
  );
}

function isReport(value: unknown): value is AuditReport {
  if (typeof value !== 'object' || value === null) return false;
  const { tool, target, pages, findings, notChecked } = value as Readonly<Record<string, unknown>>;
  const isTool = typeof tool === 'object' && tool !== null && typeof target === 'string';
  const lists: readonly (readonly [unknown, readonly string[]])[] = [
    [pages, ['url', 'title']],
    [findings, ['code', 'severity', 'certainty', 'selector', 'html', 'message', 'remedy', 'page', 'state']],
    [notChecked, ['rule', 'reason']],
  ];
  return isTool && lists.every(([list, names]) => isListOf(list, names));
}

function isListOf(list: unknown, names: readonly string[]): boolean {
  if (!Array.isArray(list)) return false;
  return list.every((item: unknown) => {
    if (typeof item !== 'object' || item === null) return false;
    const fields = item as Readonly<Record<string, unknown>>;
    return (
      names.every((name) => typeof fields[name] === 'string') &&
      (!('pages' in fields) || Array.isArray(fields['pages']))
    );
  });
}
