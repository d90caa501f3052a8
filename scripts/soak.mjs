/** The long random runs: the same properties as in the tests, tried far more often. */
import { buildExample } from './build-example.mjs';
import { ensureChromium } from './chromium.mjs';
import { installPackages, runTests } from './run.mjs';

installPackages();
ensureChromium();
await import('./build-packages.mjs');
buildExample();
for (const [project, file] of [
  ['node', 'locate'],
  ['node', 'round-trip'],
  ['node', 'cli/src/fuzz'],
  ['node', 'core/interaction'],
  ['react-19', 'router-walk'],
  ['react-19', '-stress'],
  ['react-19', 'same-document'],
  ['react-19', 'src/vue/'],
  ['react-19', 'src/elements/'],
  ['react-18', 'src/react/'],
  ['command', 'src/audit/'],
  ['command', 'src/walk/'],
  ['example', 'observatory'],
]) {
  runTests(['--project', project, '--testTimeout', '3600000', file], { SOAK: 'yes' });
}
