import { escapeXml } from 'fair-trail';
import { rules } from 'fair-trail/audit';
import { outputColors as colors } from '../colors.ts';
import { printable } from '../printable.ts';
import type { AuditReport, ReportedFinding } from './audit-report.ts';
import { probes } from './probes.ts';

export const auditFormats = ['text', 'json', 'sarif', 'junit'] as const;
export type AuditFormat = (typeof auditFormats)[number];

/** The report in one of its formats. What comes from the pages is data in each of them. */
export function writeReport(report: AuditReport, format: AuditFormat): string {
  const writers: Readonly<Record<AuditFormat, () => string>> = {
    text: () => toText(report),
    json: () => JSON.stringify(report, null, 2),
    sarif: () => JSON.stringify(toSarif(report), null, 2),
    junit: () => toJUnit(report),
  };
  return `${writers[format]()}\n`;
}

const paints = { error: colors.red, warning: colors.yellow, advice: colors.green };

function toText({ findings, notChecked, pages, summary }: AuditReport): string {
  const blocks = findings.map((finding) => {
    const { severity, certainty, rule, message, selector, html, width, state, wcag, fix } = finding;
    const criteria = wcag.length > 0 ? `, WCAG ${wcag.join(', ')}` : '';
    const where = state === 'rest' ? `${width} px` : `${width} px, ${state}`;
    return [
      `${paints[severity](severity)}${certainty === 'likely' ? ' (likely)' : ''} ${printable(message)} ${colors.dim(`[${rule}${criteria}]`)}`,
      `  ${printable(html.replaceAll(/\s+/gu, ' '))}`,
      `  ${colors.dim(`${printable(selector)} · ${where} · ${pagesText(finding)}`)}`,
      `  ${fix}`,
    ].join('\n');
  });
  const unchecked = notChecked.map(
    ({ rule, pages: on, reason }) =>
      `  ${rule === '*' ? 'page' : rule}: ${printable(reason)} ${colors.dim(on.length === 1 ? printable(on[0] ?? '') : `${on.length} pages`)}`,
  );
  const counts = `${counted(summary.error, 'error')}, ${counted(summary.warning, 'warning')}, ${summary.advice} advice`;
  const verdict = `${counted(pages.length, 'page')}: ${findings.length === 0 ? 'nothing was found' : counts}.`;
  return [
    ...blocks,
    ...(unchecked.length > 0 ? [['Not checked, which is no pass:', ...unchecked].join('\n')] : []),
    verdict,
  ].join('\n\n');
}

function counted(count: number, word: string): string {
  return `${count} ${word}${count === 1 ? '' : 's'}`;
}

function pagesText({ pages }: ReportedFinding): string {
  const [first = '', ...others] = pages;
  return others.length === 0 ? printable(first) : `${printable(first)} and ${counted(others.length, 'more page')}`;
}

/** Rules and probes alike: what each is for. */
function described(): readonly {
  readonly id: string;
  readonly title: string;
  readonly hurts: string;
  readonly fix: string;
}[] {
  return [...rules, ...probes];
}

/** A log of the Static Analysis Results Interchange Format, version 2.1.0 (OASIS). */
function toSarif({ tool, findings }: AuditReport): object {
  const all = described();
  const levels = { error: 'error', warning: 'warning', advice: 'note' } as const;
  const driver = {
    name: tool.name,
    version: tool.version,
    rules: all.map(({ id, title, hurts, fix }) => ({
      id,
      shortDescription: { text: title },
      fullDescription: { text: hurts },
      help: { text: fix },
    })),
  };
  const results = findings.map(({ rule, severity, message, fix, pages, selector, html }) => ({
    ruleId: rule,
    ruleIndex: all.findIndex(({ id }) => id === rule),
    level: levels[severity],
    message: { text: `${message} ${fix}` },
    locations: pages.map((uri) => ({
      physicalLocation: { artifactLocation: { uri } },
      logicalLocations: [{ fullyQualifiedName: selector, decoratedName: html }],
    })),
  }));
  return {
    $schema: 'https://json.schemastore.org/sarif-2.1.0.json',
    version: '2.1.0',
    runs: [{ tool: { driver }, columnKind: 'utf16CodeUnits', results }],
  };
}

/** One test case a rule. What is no error and no warning fails none; what could not be tried is skipped, and says why. */
function toJUnit({ tool, target, findings, notChecked }: AuditReport): string {
  const cases = described().map(({ id, title }) => {
    const failures = findings.filter(({ rule, severity }) => rule === id && severity !== 'advice');
    const skipped = notChecked.filter(({ rule }) => rule === id);
    const body = [
      ...failures.map(
        ({ message, selector, pages, fix }) =>
          `      <failure message="${escapeXml(message)}">${escapeXml([fix, selector, ...pages].join('\n'))}</failure>`,
      ),
      ...(failures.length === 0 && skipped.length > 0
        ? [`      <skipped message="${escapeXml(skipped.map(({ reason }) => reason).join(' '))}"/>`]
        : []),
    ];
    const attributes = `classname="${escapeXml(target)}" name="${escapeXml(`${id}: ${title}`)}"`;
    return {
      body,
      text:
        body.length === 0
          ? `    <testcase ${attributes}/>`
          : `    <testcase ${attributes}>\n${body.join('\n')}\n    </testcase>`,
    };
  });
  const failed = cases.filter(({ body }) => body.some((line) => line.includes('<failure'))).length;
  const skipped = cases.filter(({ body }) => body.some((line) => line.includes('<skipped'))).length;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<testsuites name="${escapeXml(tool.name)}">`,
    `  <testsuite name="navigation" tests="${cases.length}" failures="${failed}" errors="0" skipped="${skipped}">`,
    ...cases.map(({ text }) => text),
    '  </testsuite>',
    '</testsuites>',
  ].join('\n');
}
