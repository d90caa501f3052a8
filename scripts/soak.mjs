/**
 * All tests, and the long random runs: the same properties as in `npm test`, tried far more often, in each engine that is here. With
 * arguments, only these projects: `npm run soak -- firefox webkit`. What it found goes into docs/soak.md.
 */
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildExample } from './build-example.mjs';
import { ensureChromium } from './chromium.mjs';
import { ensureEngines, foundEngines } from './engines.mjs';
import { installPackages, root, tryTests } from './run.mjs';
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
const found = path.join(root, '.build/soak.json');
let hasFailed = false;
for (const project of chosen.length > 0 ? chosen : known) {
  rmSync(found, { force: true });
  const begin = new Date();
  const words = ['--project', project, '--testTimeout', '3600000', '--reporter=default', '--reporter=json'];
  const passed = tryTests([...words, `--outputFile.json=${found}`], { SOAK: 'yes' });
  hasFailed ||= !passed;
  if (!existsSync(found)) {
    console.error(`The tests of ${project} ended before they wrote what they found: see above.`);
    process.exit(1);
  }
  writeSoakPage(project, begin, JSON.parse(readFileSync(found, 'utf8')));
}
if (hasFailed) process.exit(1);
