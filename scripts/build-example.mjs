import { cpSync, mkdirSync, rmSync } from 'node:fs';
import { buildWhereChanged } from './fresh.mjs';
import { root, run, runTool } from './run.mjs';

/**
 * Builds an app below a base path, with each of its pages in a file of its own, so that the first paint waits for no script.
 * For other addresses there is `shell.html`, which is drawn in the browser.
 */
export function buildApp(name, { mode = 'production', base, outDir, logLevel = 'warn' }) {
  const args = ['--mode', mode, '--base', base, '--emptyOutDir', '--logLevel', logLevel, '--outDir', outDir];
  // Otherwise a build is always for production, whatever its mode.
  runTool('vite/bin/vite.js', ['build', `${root}examples/${name}`, ...args], {
    env: { ...process.env, NODE_ENV: mode },
  });
}

/**
 * Puts the plain pages and what they load into a folder. There is nothing to build.
 *
 * @param isPrinted whether their navigation is printed into them, as a server would
 */
export function copyPlainPages({ base, outDir, isPrinted }) {
  const pages = `${root}examples/observatory-static`;
  const shared = `${root}examples/observatory`;
  rmSync(outDir, { recursive: true, force: true });
  cpSync(pages, outDir, { recursive: true, filter: (file) => !/package\.json$|\.mjs$|node_modules/u.test(file) });
  cpSync(`${shared}/public`, outDir, { recursive: true });
  cpSync(`${shared}/styles`, `${outDir}/styles`, { recursive: true });
  cpSync(`${shared}/observatory.site.json`, `${outDir}/observatory.site.json`);
  mkdirSync(`${outDir}/fair-trail`);
  for (const file of ['elements.js', 'early.js', 'styles.css']) {
    cpSync(`${root}packages/fair-trail/dist/${file}`, `${outDir}/fair-trail/${file}`);
  }
  if (isPrinted) run(process.execPath, [`${pages}/print.mjs`, outDir, base]);
}

/**
 * Builds the examples twice below a base path: as they are shipped, and the one in React with the development build of
 * React, which reports on the console what it objects to.
 */
export function buildExample() {
  return buildWhereChanged('examples', () => {
    buildApp('observatory-react', { base: '/observatory/', outDir: `${root}.build/observatory` });
    buildApp('observatory-vue', { base: '/observatory-vue/', outDir: `${root}.build/observatory-vue` });
    copyPlainPages({ base: '/plain/', outDir: `${root}.build/plain`, isPrinted: false });
    copyPlainPages({ base: '/printed/', outDir: `${root}.build/printed`, isPrinted: true });
    buildApp('observatory-react', {
      mode: 'development',
      base: '/observatory/',
      outDir: `${root}.build/development/observatory`,
      // Its files are large, and no one downloads them.
      logLevel: 'error',
    });
  });
}
