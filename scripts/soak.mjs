/**
 * All tests, and the long random runs: the same properties as in `npm test`, tried far more often, in each engine that is here. With
 * arguments, only these projects: `npm run soak -- firefox webkit`. It runs one file of tests after the other, and keeps what each
 * found: stopped and started again on the same commit, it goes on where it was. What it found goes into docs/soak.md.
 */
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { buildExample } from './build-example.mjs';
import { ensureChromium } from './chromium.mjs';
import { buildDocumentation } from './documentation.mjs';
import { ensureEngines, foundEngines } from './engines.mjs';
import { installPackages, readTool, root, tryTests } from './run.mjs';
import { writeSoakPage } from './soak-page.mjs';

installPackages();
ensureChromium();
ensureEngines();
const known = ['node', 'react-19', 'react-18', 'older', 'command', 'example', ...foundEngines(), 'heard'];
const chosen = process.argv.slice(2);
const unknown = chosen.filter((name) => !known.includes(name));
if (unknown.length > 0) {
  console.error(`There is no project of tests called ${unknown.join(', ')}: choose of ${known.join(', ')}.`);
  process.exit(2);
}
await import('./packages.mjs');
await buildExample();
await buildDocumentation();

const git = (...args) => execFileSync('git', args, { cwd: root, encoding: 'utf8' }).trim();
const isChanged = git('status', '--porcelain', '--', ':!docs/soak.*') !== '';
const commit = git('rev-parse', '--short', 'HEAD') + (isChanged ? ' and changes' : '');
const kept = path.join(root, '.build/soak');
mkdirSync(kept, { recursive: true });

let hasFailed = false;
for (const project of chosen.length > 0 ? chosen : known) {
  const results = runProject(project);
  hasFailed ||= results.some(({ failed }) => failed.length > 0);
  writeSoakPage(project, commit, results);
}
if (hasFailed) process.exit(1);

/** What each file of a project found on this commit, now or before. */
function runProject(project) {
  const place = path.join(kept, `${project}.json`);
  const before = existsSync(place) ? JSON.parse(readFileSync(place, 'utf8')) : null;
  // With changes, no one can say whether they are those of before.
  const results = before?.commit === commit && !isChanged ? before.results : [];
  for (const file of filesOf(project)) {
    if (results.some((one) => one.file === file)) continue;
    results.push(runFile(project, file));
    writeFileSync(place, JSON.stringify({ commit, results }));
  }
  return results;
}

function filesOf(project) {
  const listed = readTool('vitest/vitest.mjs', ['list', '--filesOnly', '--json', '--project', project], {
    SOAK: 'yes',
  });
  return JSON.parse(listed.slice(listed.indexOf('[')))
    .map(({ file }) => path.relative(root, file))
    .toSorted();
}

function runFile(project, file) {
  const found = path.join(kept, 'found.json');
  rmSync(found, { force: true });
  const begin = new Date();
  const words = ['--project', project, '--testTimeout', '3600000', '--reporter=default', '--reporter=json'];
  tryTests([file, ...words, `--outputFile.json=${found}`], { SOAK: 'yes' });
  if (!existsSync(found)) {
    console.error(`The tests in ${file} ended before they wrote what they found: see above.`);
    process.exit(1);
  }
  const { numTotalTests: all, numPassedTests: passed, testResults } = JSON.parse(readFileSync(found, 'utf8'));
  const failed = testResults.flatMap(({ assertionResults }) =>
    assertionResults.filter(({ status }) => status === 'failed').map(({ fullName }) => fullName.trim()),
  );
  // A file that cannot be loaded has no test that could fail.
  if (failed.length === 0 && testResults.some(({ status }) => status === 'failed')) failed.push(`${file}, as a whole`);
  const date = begin.toISOString().slice(0, 10);
  return {
    file,
    date,
    milliseconds: Date.now() - begin.getTime(),
    passed,
    failed,
    skipped: all - passed - failed.length,
  };
}
