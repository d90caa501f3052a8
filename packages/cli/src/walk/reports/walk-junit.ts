import { escapeXml } from 'fair-trail/internal/core';
import { checks } from '../faults.ts';
import type { WalkReport } from '../walk-report.ts';

/** One suite a page, one test case a question; what is of the whole site is a suite of its own. */
export function toJUnit({ tool, target, stops, faults, notJudged }: WalkReport): string {
  const suites = stops.map(({ entry, label, address, checks: outcomes }) => {
    const cases = checks
      .filter((check) => check !== 'unknown addresses')
      .map((check) => {
        const own = faults.filter((fault) => fault.address === address && fault.check === check);
        const reason =
          notJudged.find((part) => part.entry === entry && part.check === check)?.reason ??
          'It does not apply, or was not tried.';
        const body =
          own.length > 0
            ? own.map(({ message, remedy, blame }) => failure(message, `${remedy}\nMost likely wrong: ${blame}.`))
            : outcomes[check] === 'not judged'
              ? [`      <skipped message="${escapeXml(reason)}"/>`]
              : [];
        return testCase(`${target}${address}`, check, body);
      });
    return suite(`${label} (${address})`, cases);
  });
  const whole = faults.filter(({ address }) => address === null);
  const left = notJudged.filter(({ check }) => check === null);
  const cases = [
    ...whole.map(({ code, message, remedy, blame }) =>
      testCase(target, code, [failure(message, `${remedy}\nMost likely wrong: ${blame}.`)]),
    ),
    ...left.map(({ entry, reason }) =>
      testCase(target, entry ?? 'the walk', [`      <skipped message="${escapeXml(reason)}"/>`]),
    ),
  ];
  if (cases.length > 0) suites.push(suite('the whole site', cases));
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<testsuites name="${escapeXml(tool.name)}">`,
    ...suites,
    '</testsuites>',
  ].join('\n');
}

function failure(message: string, remedy: string): string {
  return `      <failure message="${escapeXml(message)}">${escapeXml(remedy)}</failure>`;
}

function testCase(className: string, name: string, body: readonly string[]): string {
  const start = `    <testcase classname="${escapeXml(className)}" name="${escapeXml(name)}"`;
  return body.length === 0 ? `${start}/>` : [`${start}>`, ...body, '    </testcase>'].join('\n');
}

function suite(name: string, cases: readonly string[]): string {
  const count = (sign: string) => cases.filter((one) => one.includes(sign)).length;
  const numbers = `tests="${cases.length}" failures="${count('<failure')}" errors="0" skipped="${count('<skipped')}"`;
  return [`  <testsuite name="${escapeXml(name)}" ${numbers}>`, ...cases, '  </testsuite>'].join('\n');
}
