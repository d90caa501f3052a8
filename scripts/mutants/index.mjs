/**
 * Breaks each effect, attribute, event and transition of the machines and views in turn, and asks the contracts whether they
 * see it. Writes `.build/mutants.json`. Takes an hour or two; `own-tests.mjs` then asks the core's own tests about the rest.
 */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { tap } from 'fair-trail/testing/tap';
import { createVitest } from 'vitest/node';
import { browserMode } from '../browser-mode.mjs';
import { root } from '../run.mjs';
import { mutants, plugin } from './sources.mjs';

const report = path.join(root, '.build/mutants.json');

/**
 * So many tests are asked, in turn: contracts first, and of each those that reach the fewest mutants, since they know most
 * about this one. What none of them sees counts as not seen.
 */
const batches = [6, 18];

console.log(`${mutants.length} mutants`);

let awake = 0;
const reach = new Map();

const project = {
  plugins: [plugin],
  root,
  optimizeDeps: { include: ['react', 'react-dom/client', 'react-dom/server', 'react/jsx-dev-runtime'] },
  test: {
    name: 'mutants',
    testTimeout: 12_000,
    expect: { poll: { timeout: 3000 } },
    include: ['packages/fair-trail/src/react/*.browser.test.tsx'],
    exclude: ['**/*-stress.browser.test.tsx', '**/accessibility-tree.browser.test.tsx', '**/router-walk.*'],
    setupFiles: [path.join(root, 'scripts/mutants/setup.mjs')],
    provide: { machineRuns: 100, walkSteps: 40, mounts: 4 },
    browser: browserMode(2500, {
      tap,
      awakeMutant: () => awake,
      reachedMutants: (_, file, id, test, reached) => {
        reach.set(id, { file, id, test, reached: new Set(reached) });
      },
    }),
  },
};
const vitest = await createVitest(
  'test',
  { root, config: false, watch: false },
  { test: { reporters: [{}], projects: [project] } },
);

const specifications = await vitest.globTestSpecifications();
const fileOf = (specification) => path.relative(root, specification.moduleId);
vitest.config.bail = 0;
// What fails by itself now and then, as on a busy machine, tells nothing of a mutant.
const unreliable = new Set();
for (let time = 0; time < 2; time += 1) {
  const { testModules } = await vitest.runTestSpecifications(specifications);
  for (const { id } of testModules.flatMap(({ task }) => failuresIn(task.tasks))) unreliable.add(id);
}
console.log(`${new Set([...reach.values()].flatMap(({ reached }) => [...reached])).size} are reached`);
console.log(`${reach.size} tests, of which ${unreliable.size} are not asked`);
vitest.config.bail = 1;

function failuresIn(tasks) {
  return tasks.flatMap((task) => [
    ...(task.tasks ? failuresIn(task.tasks) : []),
    ...(!task.tasks && task.result?.state === 'fail' ? [task] : []),
  ]);
}

/** Those of the tests given that fail, up to the first. */
async function failing(tests) {
  const asked = specifications.flatMap((one) => {
    const testIds = tests.filter(({ file }) => file === fileOf(one)).map(({ id }) => id);
    return testIds.length > 0 ? [one.project.createSpecification(one.moduleId, { testIds })] : [];
  });
  const { testModules } = await vitest.runTestSpecifications(asked);
  // A test that was not asked may still have the outcome of its last run.
  const failed = new Set(testModules.flatMap(({ task }) => failuresIn(task.tasks)).map(({ id }) => id));
  const isBroken = testModules.some((module) => module.state() === 'failed' && module.children.size === 0);
  return isBroken ? tests : tests.filter(({ id }) => failed.has(id));
}

const chosen = process.argv.slice(2).map(Number);
// What was asked before is not asked again, unless it is named.
const results = existsSync(report)
  ? JSON.parse(readFileSync(report, 'utf8')).filter(({ id }) => !chosen.includes(id))
  : [];
const done = new Set(results.map(({ id }) => id));
mkdirSync(path.dirname(report), { recursive: true });
// What matters to everyone first: a class is only visual, and styles have tests of their own.
const isClass = ({ kind, text }) => kind === 'attribute' && text.startsWith('class');
for (const mutant of mutants.toSorted((one, other) => isClass(one) - isClass(other))) {
  if (done.has(mutant.id) || (chosen.length > 0 && !chosen.includes(mutant.id))) continue;
  awake = mutant.id;
  const isContract = ({ file }) => file.includes('-contracts') || file.includes('page-parts');
  const tests = [...reach.values()]
    .filter(({ id, reached }) => reached.has(mutant.id) && !unreliable.has(id))
    .toSorted((one, other) => isContract(other) - isContract(one) || one.reached.size - other.reached.size);
  let found = null;
  let from = 0;
  for (const count of batches) {
    if (found === null && from < tests.length) [found = null] = await failing(tests.slice(from, from + count));
    from += count;
  }
  const caughtBy = found?.test ?? null;
  results.push({ ...mutant, reachedBy: tests.length, caughtBy, byContract: found !== null && isContract(found) });
  console.log(`${mutant.id} ${caughtBy === null ? 'SURVIVES' : 'caught'} ${mutant.file}:${mutant.line} ${mutant.text}`);
  writeFileSync(report, JSON.stringify(results, null, 1));
}
await vitest.close();
