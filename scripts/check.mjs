/** Types of everything, lint, format and size budgets. Changes nothing. */
import { installPackages, run, runTool } from './run.mjs';

installPackages();
await import('./build-packages.mjs');
// Without the types of Node, which an app in a browser has not.
runTool('typescript/bin/tsc', ['--project', 'examples/observatory-react']);
// What no package builds: tests, samples and benchmarks.
runTool('typescript/bin/tsc', ['--project', 'tsconfig.whole.json']);
runTool('eslint/bin/eslint.js', ['.', '--max-warnings', '0']);
runTool('prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']);
run(process.execPath, ['bench/sizes.mjs']);
