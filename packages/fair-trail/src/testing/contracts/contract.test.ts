import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { afterAll, expect, test } from 'vitest';

const root = path.resolve(import.meta.dirname, '../../../../..');
// Where packages are found.
const folder = path.join(root, '.build/contract');
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** What Vitest says of a contract with the parts "marks" and "panels", of which some are left out. */
function reported(skipped: Readonly<Record<string, string>>): string {
  mkdirSync(folder, { recursive: true });
  const contract = path.join(root, 'packages/fair-trail/src/testing/contracts/contract.ts');
  writeFileSync(path.join(folder, 'vitest.config.ts'), 'export default {};\n');
  writeFileSync(
    path.join(folder, 'contract.test.ts'),
    `import { test } from 'vitest';
     import { registerContract } from ${JSON.stringify(contract)};
     registerContract('a menu', ${JSON.stringify(skipped)}, (part) => {
       part('marks', { wcag: ['1.3.1'], aria: 'aria-current' }, () => test('are right', () => {}));
       part('panels', {}, () => test('open', () => {}));
     });`,
  );
  const vitest = path.join(root, 'node_modules/vitest/vitest.mjs');
  const { stdout, stderr } = spawnSync(process.execPath, [vitest, 'run', '--root', folder, '--reporter', 'verbose'], {
    encoding: 'utf8',
    env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: undefined },
  });
  return stdout + stderr;
}

test('each test says what it stands for; a part that is left out is reported as skipped, with the reason', () => {
  const text = reported({ panels: 'there are none' });
  expect(text).toContain('a menu > marks [WCAG 1.3.1; ARIA aria-current] > are right');
  expect(text).toMatch(/a menu > panels > is left out.*there are none/u);
  expect(text).toMatch(/1 passed \| 1 skipped/u);
});

test('a part that there is not, and one without a reason, cannot be left out', () => {
  expect(reported({ pannels: 'there are none' })).toContain(
    'The contract "a menu" has no part "pannels" that could be left out. It has "marks", "panels".',
  );
  expect(reported({ panels: ' ' })).toContain('Say why "panels" of the contract "a menu" does not apply.');
});
