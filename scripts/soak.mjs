/** The long random runs: the same properties as in the tests, tried far more often. */
import { installPackages, runTool } from './run.mjs';

installPackages();
await import('./build-packages.mjs');
runTool('vitest/vitest.mjs', ['run', '--project', 'node', '--testTimeout', '3600000', 'locate'], {
  env: { ...process.env, SOAK: 'yes' },
});
