import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import Draft04 from 'ajv-draft-04';
import addFormats from 'ajv-formats';
import { describe, expect, test } from 'vitest';
import { observatory, root, run, write } from '../test-command.samples.ts';

const page = { id: 'a', label: 'A', href: '/a' };
const original = JSON.parse(readFileSync(path.join(root, observatory), 'utf8')) as {
  entries: { id: string; href: string; movedFrom?: string[] }[];
};

/** The part of SARIF 2.1.0 that is looked at more closely than its schema does. */
interface SarifLog {
  readonly runs: readonly {
    readonly tool: { readonly driver: { readonly rules: readonly { readonly id: string }[] } };
    readonly results: readonly {
      readonly ruleId: string;
      readonly ruleIndex: number;
      readonly locations: readonly { readonly physicalLocation: { readonly region: { readonly startLine: number } } }[];
    }[];
  }[];
}

const sarifSchema = createRequire(import.meta.url)(
  '@microsoft/jest-sarif/lib/schemas/sarif-2.1.0-rtm.5.json',
) as object;
const isSarif = addFormats(new Draft04({ strict: false, unicodeRegExp: false })).compile(sarifSchema);

function site(...entries: object[]): string {
  return write('check.site.json', JSON.stringify({ name: 'x', entries }, null, 2));
}

describe('check', () => {
  test('advises on what is planned in the observatory, and passes', () => {
    const { status, stdout } = run('check', observatory);
    expect(status).toBe(0);
    expect(stdout).toMatch(/\/entries\/7\/planned\n {2}warning .*webcam.*\[planned-entry\]\n1 warning/u);
  });

  test('for a release, a planned page is an error', () => {
    const { status, stdout } = run('check', observatory, '--release');
    expect(status).toBe(1);
    expect(stdout).toMatch(/:\d+:\d+ \/entries\/7\/planned\n {2}error .*webcam.*\[planned-entry\]\n1 error/u);
  });

  test('tells what is invalid, and fails', () => {
    const { status, stdout } = run('check', site(page, { ...page, href: '#' }));
    expect(status).toBe(1);
    expect(stdout).toMatch(/error .*\[duplicate-id\][^]*error .*\[unsafe-href\]\n2 errors/u);
  });

  test.each([
    [[], 0],
    [['--fail-on', 'warning'], 1],
    [['--fail-on', 'never'], 0],
  ])('with %j, advice exits with %i', (options, expected) => {
    const { status, stdout } = run('check', site({ ...page, label: 'A'.repeat(40) }), ...options);
    expect(status).toBe(expected);
    expect(stdout).toContain('[label-too-long]');
  });

  test('as JSON, has each finding with its place', () => {
    const { stdout } = run('check', site({ ...page, label: '{b}' }), '--format', 'json');
    expect(JSON.parse(stdout)).toMatchObject({
      findings: [
        { code: 'unknown-placeholder', severity: 'warning', pointer: '/entries/0/label', line: 6, column: 16 },
      ],
      summary: { error: 0, warning: 1, note: 0 },
    });
  });

  test.each([
    ['with findings', { ...page, label: '{b}' }],
    ['with nothing found', page],
  ])('as SARIF, %s, is what the schema of version 2.1.0 asks for', (_, entry) => {
    const log = JSON.parse(run('check', site(entry), '--format', 'sarif').stdout) as unknown;
    expect([isSarif(log), isSarif.errors]).toEqual([true, null]);
  });

  test('as SARIF, names the rule and the line of a finding', () => {
    const { stdout } = run('check', site({ ...page, label: '{b}' }), '--format', 'sarif');
    const { runs } = JSON.parse(stdout) as SarifLog;
    const [result] = runs[0]?.results ?? [];
    expect(runs[0]?.tool.driver.rules[result?.ruleIndex ?? -1]?.id).toBe(result?.ruleId);
    expect(result?.locations[0]?.physicalLocation.region.startLine).toBe(6);
  });

  test('reads a module in TypeScript or JavaScript, whatever of the site it exports', () => {
    const entries = `entries: [{ id: 'a', label: 'A', href: '/a' as string }]`;
    const asDefault = write('one.site.ts', `const name: string = 'x';\nexport default { name, ${entries} };`);
    expect(run('check', asDefault)).toMatchObject({ status: 0, stdout: 'No problems found.\n' });
    const named = write('two.site.mjs', `export const site = { name: 'x', entries: [{ id: 'a' }] };`);
    expect(run('check', named).stdout).toMatch(/two\.site\.mjs \/entries\/0\n {2}error .*"label" is missing/u);
    expect(run('check', write('three.ts', 'export const other = 1;'))).toMatchObject({ status: 2 });
    expect(run('check', write('four.ts', 'throw new Error("no tide today");')).stderr).toMatch(
      /cannot be loaded: no tide today \[module-failed\]/u,
    );
  });
});

describe('compare', () => {
  test('of a file with itself finds nothing', () => {
    expect(run('compare', observatory, observatory)).toMatchObject({ status: 0, stdout: 'No problems found.\n' });
  });

  test('fails for a lost address, and is content once it leads on', () => {
    const moved = structuredClone(original);
    const tides = moved.entries.find(({ id }) => id === 'tides');
    if (!tides) throw new Error('the sample has no tides');
    tides.href = '/water';
    const lost = run('compare', observatory, write('moved.site.json', JSON.stringify(moved)));
    expect(lost.status).toBe(1);
    expect(lost.stdout).toMatch(/note tides moved from \/tides below the top to \/water below the top/u);
    expect(lost.stdout).toMatch(/error The address \/tides .*movedFrom.*\[address-lost\]\n1 error, 1 note\n$/u);
    tides.movedFrom = ['/tides'];
    const kept = run('compare', observatory, write('moved.site.json', JSON.stringify(moved)), '--format', 'json');
    expect(kept.status).toBe(0);
    expect(JSON.parse(kept.stdout)).toMatchObject({ summary: { error: 0, warning: 0, note: 1 } });
  });
});
