import path from 'node:path';
import { chromium } from 'playwright';
import { build, preview } from 'vite';

/**
 * Builds a benchmark's page, opens it in a browser and hands it over.
 *
 * @param name the folder of the page
 * @param launchOptions which browser to start, and how
 */
export async function inBrowser(name, launchOptions, use) {
  const root = path.join(import.meta.dirname, name);
  const outDir = path.join(import.meta.dirname, `../.build/bench-${name}`);
  await build({ root, logLevel: 'warn', build: { outDir, emptyOutDir: true } });
  const server = await preview({ root, logLevel: 'warn', build: { outDir }, preview: { host: '127.0.0.1', port: 0 } });
  const browser = await chromium.launch(launchOptions);
  try {
    const page = await browser.newPage();
    await page.goto(`http://127.0.0.1:${server.httpServer.address().port}/`);
    await use(page);
  } finally {
    await browser.close();
    await server.close();
  }
}

/** A ratio to its baseline, held against its goal where there is one. */
export function tellRatio(value, goal, what) {
  const verdict = goal === null ? '' : value <= goal ? `within ${goal}x` : `OVER ${goal}x`;
  console.log(`${value.toFixed(2).padStart(9)}x  ${what}  ${verdict}`);
}
