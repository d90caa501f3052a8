import path from 'node:path';
import { root, run, runTool } from './run.mjs';

/** The apps, by the folder below `examples`, and what renders each on a server. */
const apps = { 'observatory-react': 'src/server.tsx', 'observatory-vue': 'src/server.ts' };

/**
 * Builds an app below a base path, and renders each of its pages into a file of its own, so that its first paint waits for no
 * script. For other addresses there is `shell.html`, which is drawn in the browser.
 */
export function buildApp(name, { mode = 'production', base, outDir, logLevel = 'warn' }) {
  const server = `${root}.build/server/${name}-${mode}${base.replaceAll('/', '-')}`;
  const shared = ['--mode', mode, '--base', base, '--emptyOutDir', '--logLevel', logLevel];
  // Otherwise a build is always for production, whatever its mode.
  const env = { ...process.env, NODE_ENV: mode };
  const app = `${root}examples/${name}`;
  runTool('vite/bin/vite.js', ['build', app, ...shared, '--outDir', outDir], { env });
  runTool('vite/bin/vite.js', ['build', app, ...shared, '--ssr', apps[name], '--outDir', server], { env });
  // In a process of its own, which loads the same build of the framework.
  run(process.execPath, [`${root}scripts/render-pages.mjs`, path.join(server, 'server.js'), outDir, base], { env });
}

/**
 * Builds the examples twice below a base path: as they are shipped, and the one in React with the development build of
 * React, which reports on the console what it objects to.
 */
export function buildExample() {
  buildApp('observatory-react', { base: '/observatory/', outDir: `${root}.build/observatory` });
  buildApp('observatory-vue', { base: '/observatory-vue/', outDir: `${root}.build/observatory-vue` });
  buildApp('observatory-react', {
    mode: 'development',
    base: '/observatory/',
    outDir: `${root}.build/development/observatory`,
    // Its files are large, and nobody downloads them.
    logLevel: 'error',
  });
}
