import { warningCodes } from '../packages/fair-trail/src/core/warning-codes.ts';
import { problemCodes, severityOf } from '../packages/fair-trail/src/core/site/problem-codes.ts';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { documented, rulePage } from '../packages/cli/src/audit/rule-page.ts';
import { Failure, failureCodes } from '../packages/cli/src/failure.ts';
import { comparisonCodes } from '../packages/cli/src/report/finding.ts';
import { errorCodes } from '../packages/fair-trail/src/core/errors.ts';
import { faultKinds, type FaultCode } from '../packages/cli/src/walk/faults.ts';
import { WalkNotes } from '../packages/cli/src/walk/walk-report.ts';
import { toFinding } from '../packages/fair-trail/src/audit/rule.ts';
import type { Report } from '../packages/fair-trail/src/core/report.ts';
import { problem } from '../packages/fair-trail/src/core/site/problems.ts';
import { warning } from '../packages/fair-trail/src/core/warnings.ts';
import { writtenPages } from '../scripts/documentation-pages.mjs';
import { siteFilePage, siteSchema } from '../scripts/field-documents.mjs';
import { failureCodes as testFailureCodes, NavigationFailure } from '../packages/fair-trail/src/testing/failures.ts';

const root = path.resolve(import.meta.dirname, '..');
const read = (file: string) => readFileSync(path.join(root, file), 'utf8');

describe('docs/problems.md', () => {
  const sections = read('docs/problems.md').split(/^### /mu).slice(1);
  const titles = sections.map((section) => section.split('\n', 1)[0]);

  test('explains every code, and no other', () => {
    expect(titles.toSorted()).toEqual([...problemCodes, ...failureCodes, ...comparisonCodes, ...errorCodes].toSorted());
  });

  test.each(problemCodes)('says how severe %s is', (code) => {
    const section = sections.find((text) => text.startsWith(`${code}\n`));
    const severity = severityOf(code) === 'fatal' ? 'Fatal.' : 'Advisory.';
    expect(section?.split('\n')[2]).toMatch(new RegExp(`^${severity}`, 'u'));
  });
});

test.each([
  ['docs/walk.md', Object.keys(faultKinds)],
  ['docs/testing.md', testFailureCodes],
])('%s explains every code', (page, codes) => {
  const titles = [...read(page).matchAll(/^### ([a-z-]+)$/gmu)].map((found) => found[1]);
  expect(titles.toSorted()).toEqual([...codes].toSorted());
});

test('the schema and the tables of docs/site-file.md are those that scripts/field-documents.mjs makes', async () => {
  expect(JSON.parse(read('packages/fair-trail/site.schema.json'))).toEqual(siteSchema());
  expect(read('docs/site-file.md')).toBe(await siteFilePage(read('docs/site-file.md')));
});

test('the lists of codes and commands and the map of the code are those that scripts/documentation-pages.mjs makes', async () => {
  for (const [file, text] of await writtenPages()) expect(read(file), file).toBe(text);
}, 120_000);

test('docs/warnings.md explains every warning, and no other', () => {
  const titles = [...read('docs/warnings.md').matchAll(/^### (.+)$/gmu)].map((found) => found[1]);
  expect(titles.toSorted()).toEqual([...warningCodes].toSorted());
});

describe('docs/rules', () => {
  test('has a page for every rule and probe of the audit, and no other', () => {
    const names = readdirSync(path.join(root, 'docs/rules')).toSorted();
    expect(names).toEqual(documented.map(({ id }) => `${id}.md`).toSorted());
  });

  test.each(documented)('says what the rule $id says', (rule) => {
    // The formatter may break lines, and says nothing by that.
    const words = (text: string) => text.replaceAll(/[\s\\]+/gu, ' ').trim();
    expect(words(read(`docs/rules/${rule.id}.md`))).toBe(words(rulePage(rule)));
    expect(read('docs/audit.md')).toContain(`(rules/${rule.id}.md)`);
  });
});

const pages = [
  'README.md',
  'CONTRIBUTING.md',
  'CHANGELOG.md',
  ...['docs', 'docs/guides'].flatMap((folder) =>
    readdirSync(path.join(root, folder)).map((name) => `${folder}/${name}`),
  ),
];

describe('links', () => {
  test.each(pages.filter((page) => page.endsWith('.md')))('of %s lead somewhere', (page) => {
    const targets = [...read(page).matchAll(/\]\((?!https?:)([^)#]+)(?:#[^)]*)?\)/gu)].map((found) => found[1] ?? '');
    const missing = targets.filter((target) => !existsSync(path.join(root, path.dirname(page), target)));
    expect(missing).toEqual([]);
  });

  test('show every screenshot in the README', () => {
    const shots = readdirSync(path.join(root, 'docs/screenshots'));
    expect(shots.length).toBeGreaterThan(0);
    expect(shots.filter((shot) => !read('README.md').includes(`docs/screenshots/${shot}`))).toEqual([]);
  });
});

describe('whatever is reported', () => {
  const reports: readonly (readonly [string, Report])[] = [
    ...problemCodes.map((code) => ['a problem', problem(code, '')] as const),
    ...warningCodes.map((code) => ['a warning', warning(code, 'x')] as const),
    ...failureCodes.map((code) => ['a failure of the command', new Failure(code, 'x')] as const),
    ...testFailureCodes.map((code) => ['a failure of a test', failureOf(code)] as const),
    ...documented.map((rule) => ['a finding', toFinding(rule, { selector: 'a', html: '<a>' })] as const),
    ...Object.keys(faultKinds).map((code) => ['a fault of a walk', faultOf(code as FaultCode)] as const),
  ];

  test.each(reports)('%s has a code, a severity, a message, a remedy and a page that explains it', (_, report) => {
    const { code, severity, message, remedy, page } = report;
    for (const text of [code, severity, message, remedy]) expect(text).toMatch(/\S/u);
    const [, file = '', anchor] = /^https:\/\/fair-trail\.example\/(docs\/[^#]+)(?:#(.+))?$/u.exec(page) ?? [];
    const text = read(`${file}.md`);
    expect(text).toMatch(new RegExp(`^#+ ${anchor ?? code}$`, 'mu'));
  });
});

function failureOf(code: (typeof testFailureCodes)[number]): NavigationFailure {
  return new NavigationFailure(code, { wanted: 'x', found: 'y', likely: 'z' });
}

function faultOf(code: FaultCode): Report {
  const notes = new WalkNotes();
  notes.fault(null, { code, blame: 'page', message: 'x' });
  const [fault] = notes.faults;
  if (!fault) throw new Error('There is no fault.');
  return fault;
}
