import { outputColors as colors } from '../../colors.ts';
import { printable } from '../../printable.ts';
import type { AuditReport, ReportedFinding } from '../audit-report.ts';
import { flattened } from '../causes.ts';
import { uncheckedGroups } from './unchecked-groups.ts';

const paints = { error: colors.red, warning: colors.yellow, advice: colors.green };

/** For a terminal. What comes from the pages moves no cursor there. */
export function toText({ findings, notChecked, pages, summary, baseline }: AuditReport): string {
  const blocks = findings.map((finding) => {
    const { severity, certainty, code, message, selector, html, width, state, wcag, remedy } = finding;
    const criteria = wcag.length > 0 ? `, WCAG ${wcag.join(', ')}` : '';
    const where = state === 'rest' ? `${width} px` : `${width} px, ${state}`;
    const because = flattened(finding.consequences ?? []).map(
      (one) => `  ${colors.dim('because of this:')} ${printable(one.message)} ${colors.dim(`[${one.code}]`)}`,
    );
    const toSee =
      (finding.steps ?? []).length > 0
        ? [`  ${colors.dim(`to see it: at ${width} px, ${printable((finding.steps ?? []).join(', '))}`)}`]
        : [];
    return [
      `${paints[severity](severity)}${certainty === 'likely' ? ' (likely)' : ''} ${printable(message)} ${colors.dim(`[${code}${criteria}]`)}`,
      `  ${printable(html.replaceAll(/\s+/gu, ' '))}`,
      `  ${colors.dim(`${printable(selector)} · ${where} · ${pagesText(finding)}`)}`,
      ...toSee,
      `  ${remedy}`,
      ...because,
    ].join('\n');
  });
  const unchecked = uncheckedGroups(notChecked).map(({ rules, pages: on, reason }) => {
    const where = on.length === 1 ? printable(on[0] ?? '') : counted(on.length, 'page');
    return `  ${printable(reason)} ${colors.dim([where, ...rules].join(' · '))}`;
  });
  const counts = `${counted(summary.error, 'error')}, ${counted(summary.warning, 'warning')}, ${summary.advice} advice`;
  const isNew = baseline ? ' new' : '';
  const verdict = `${counted(pages.length, 'page')}: ${findings.length === 0 ? `nothing${isNew} was found` : `${counts}${isNew}`}.`;
  const known =
    baseline &&
    `The earlier report has ${counted(baseline.known, 'finding')} that ${baseline.known === 1 ? 'is' : 'are'} still there.`;
  const gone = (baseline?.gone ?? []).map(({ code, message }) => `  ${printable(message)} ${colors.dim(`[${code}]`)}`);
  return [
    ...blocks,
    ...(unchecked.length > 0 ? [['Not checked, which does not count as a pass:', ...unchecked].join('\n')] : []),
    ...(gone.length > 0 ? [['In the earlier report, and not found any more:', ...gone].join('\n')] : []),
    ...(known ? [known] : []),
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
