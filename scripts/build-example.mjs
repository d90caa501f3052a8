import { root, runTool } from './run.mjs';

/**
 * Builds the example twice below a base path: as it is shipped, and with the development build of React, which reports
 * on the console what it objects to.
 */
export function buildExample() {
  for (const [mode, folder, logLevel] of [
    ['production', 'observatory', 'warn'],
    // Its files are large, and nobody downloads them.
    ['development', 'development/observatory', 'error'],
  ]) {
    runTool(
      'vite/bin/vite.js',
      [
        'build',
        `${root}examples/observatory-react`,
        ...['--mode', mode, '--base', '/observatory/'],
        ...['--outDir', `${root}.build/${folder}`, '--emptyOutDir', '--logLevel', logLevel],
      ],
      // Otherwise a build is always for production, whatever its mode.
      { env: { ...process.env, NODE_ENV: mode } },
    );
  }
}
