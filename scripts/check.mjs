/** Types of everything, lint, format and size budgets. Changes nothing. */
import { installPackages, run, runTool } from './run.mjs';

installPackages();
await import('./build-packages.mjs');
runTool('typescript/bin/tsc', ['--project', 'examples/observatory-react']);
runTool('typescript/bin/tsc', ['--project', 'tsconfig.tests.json']);
runTool('eslint/bin/eslint.js', ['.', '--max-warnings', '0']);
runTool('prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']);
run(process.execPath, ['bench/sizes.mjs']);
