import { escapeXml } from 'fair-trail/internal/core';
import type { AuditReport } from '../audit-report.ts';
import { described } from './described.ts';

/** One test case a rule. What is no error and no warning fails none; what could not be tried is skipped, and says why. */
export function toJUnit({ tool, target, findings, notChecked }: AuditReport): string {
  const cases = described.map(({ id, title }) => {
    const failures = findings.filter(({ code, severity }) => code === id && severity !== 'advice');
    const skipped = notChecked.filter(({ rule }) => rule === id);
    const body = [
      ...failures.map(
        ({ message, selector, pages, remedy, steps = [], consequences = [] }) =>
          `      <failure message="${escapeXml(message)}">${escapeXml(
            [
              remedy,
              selector,
              ...pages,
              ...(steps.length > 0 ? [`To see it: ${steps.join(', ')}`] : []),
              ...consequences.map((one) => `Because of this: ${one.message}`),
            ].join('\n'),
          )}</failure>`,
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
