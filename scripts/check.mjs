/** Types of everything, lint and format. Changes nothing. */
import { installPackages, runTool } from './run.mjs';

installPackages();
await import('./build-packages.mjs');
runTool('typescript/bin/tsc', ['--project', 'examples/observatory-react']);
runTool('typescript/bin/tsc', ['--project', 'tsconfig.tests.json']);
runTool('eslint/bin/eslint.js', ['.', '--max-warnings', '0']);
runTool('prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']);
