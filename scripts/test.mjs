/**
 * Runs all checks and tests, after installing whatever is missing. With arguments, only the tests, and the arguments go
 * to the test runner: `npm test -- locate` runs the files with "locate" in their name.
 */
import { buildExample } from './build-example.mjs';
import { ensureChromium } from './chromium.mjs';
import { buildDocumentation } from './documentation.mjs';
import { ensureEngines } from './engines.mjs';
import { installPackages, runTests } from './run.mjs';

installPackages();
ensureChromium();
ensureEngines();
const chosen = process.argv.slice(2);
await import(chosen.length > 0 ? './build-packages.mjs' : './check.mjs');
buildExample();
buildDocumentation();
runTests(chosen, chosen.length > 0 ? { CHOSEN: 'yes' } : {});
