/**
 * Runs all checks and tests, after installing whatever is missing. With arguments, only the tests, and the arguments go
 * to the test runner: `npm test -- locate` runs the files with "locate" in their name, in one browser, and builds first what
 * they need. `--project firefox` runs them in another one; `--watch` runs them again after each change.
 */
import { buildExample } from './build-example.mjs';
import { neededBy } from './chosen-tests.mjs';
import { ensureChromium } from './chromium.mjs';
import { buildDocumentation } from './documentation.mjs';
import { ensureEngines } from './engines.mjs';
import { installPackages, runTests } from './run.mjs';

/** Where tests run that are chosen by name: each of them once. */
const usual = ['node', 'command', 'react-19', 'example', 'heard'];

installPackages();
ensureChromium();
ensureEngines();
const chosen = process.argv.slice(2);
if (chosen.length === 0) {
  await import('./check.mjs');
  await buildExample();
  await buildDocumentation();
  runTests([]);
} else {
  const need = neededBy(chosen.filter((word) => !word.startsWith('-')));
  if (need !== 'nothing') await import('./packages.mjs');
  if (need === 'all') {
    await buildExample();
    await buildDocumentation();
  }
  const isSaid = chosen.some((word) => word.startsWith('--project'));
  runTests([...chosen, ...(isSaid ? [] : usual.map((name) => `--project=${name}`))], { CHOSEN: 'yes' });
}
