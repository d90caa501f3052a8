import { root, runTool } from './run.mjs';

/** Builds the example as it is shipped, and below a base path, so that one is tested too. */
export function buildExample() {
  runTool('vite/bin/vite.js', [
    'build',
    `${root}examples/observatory-react`,
    ...['--base', '/observatory/', '--outDir', `${root}.build/observatory`, '--emptyOutDir', '--logLevel', 'warn'],
  ]);
}
