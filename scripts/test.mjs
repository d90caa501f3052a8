/**
 * Runs all checks and tests, after installing whatever is missing. With arguments, only the tests, and the arguments go
 * to the test runner: `npm test -- locate` runs the files with "locate" in their name.
 */
import { installPackages, root, runTool } from './run.mjs';
import { ensureChromium } from './chromium.mjs';

installPackages();
ensureChromium();
const chosen = process.argv.slice(2);
await import(chosen.length > 0 ? './build-packages.mjs' : './check.mjs');
// The example is tested as it is shipped: built, and below a base path, so that one is tested too.
runTool('vite/bin/vite.js', [
  'build',
  `${root}examples/observatory-react`,
  ...['--base', '/observatory/', '--outDir', `${root}.build/observatory`, '--emptyOutDir', '--logLevel', 'warn'],
]);
runTool('vitest/vitest.mjs', ['run', ...chosen]);
