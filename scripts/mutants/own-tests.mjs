/** Asks the tests of the core itself about the mutants that no contract has seen, and adds what they say to the report. */
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { createVitest } from 'vitest/node';
import { root } from '../run.mjs';
import { plugin } from './sources.mjs';

const report = path.join(root, '.build/mutants.json');
const results = JSON.parse(readFileSync(report, 'utf8'));

/** The files of tests that fail while a mutant is awake. */
async function failingWith(mutant, folder) {
  process.env.AWAKE_MUTANT = String(mutant);
  const vitest = await createVitest(
    'test',
    { root, config: false, watch: false },
    {
      plugins: [plugin],
      test: {
        reporters: [{}],
        include: [`packages/fair-trail/src/core/${folder}/*.test.ts`],
        setupFiles: [path.join(root, 'scripts/mutants/own-setup.mjs')],
        provide: { machineRuns: 200 },
      },
    },
  );
  await vitest.start();
  const failed = vitest.state.getFiles().filter((file) => file.result?.state === 'fail');
  await vitest.close();
  return failed.map(({ name }) => name);
}

// What fails without a mutant tells nothing of one.
const always = new Set();
for (const folder of ['interaction', 'view', 'router'])
  for (const name of await failingWith(0, folder)) always.add(name);
console.log(`not asked: ${[...always].join(', ') || 'none'}`);
for (const result of results) {
  if (result.caughtBy !== null) continue;
  result.ownTest = (await failingWith(result.id, path.dirname(result.file))).find((name) => !always.has(name)) ?? null;
  console.log(`${result.id} ${result.ownTest ?? 'SURVIVES'} ${result.file}:${result.line} ${result.text}`);
  writeFileSync(report, JSON.stringify(results, null, 1));
}
process.exit();
