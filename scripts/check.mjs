/** Types of everything, lint, format, size budgets and the public surface. Changes nothing. */
import { installPackages, run, runSideBySide } from './run.mjs';

installPackages();
await import('./packages.mjs');
await runSideBySide(
  [['eslint/bin/eslint.js', '.', '--max-warnings', '0']],
  [
    // Without the types of Node, which an app in a browser has not.
    ['typescript/bin/tsc', '--project', 'examples/observatory-react'],
    ['vue-tsc/bin/vue-tsc.js', '--project', 'examples/observatory-vue'],
    ['typescript/bin/tsc', '--project', 'docs/site'],
    // What no package builds: tests, samples and benchmarks.
    ['typescript/bin/tsc', '--project', 'tsconfig.whole.json'],
    ['prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'],
  ],
);
run(process.execPath, ['bench/sizes.mjs']);
run(process.execPath, ['scripts/surface.mjs']);
