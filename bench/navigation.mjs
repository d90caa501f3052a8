/** One page change among 2000 links, in a browser, against the fewest writes that it can be done with. */
import path from 'node:path';
import { chromium } from 'playwright';
import { build, preview } from 'vite';

const root = path.join(import.meta.dirname, 'navigation');
const outDir = path.join(import.meta.dirname, '../.build/bench-navigation');
/** @param launchOptions which browser to start, and how */
export async function benchNavigation(launchOptions) {
  await build({ root, logLevel: 'warn', build: { outDir, emptyOutDir: true } });
  const server = await preview({ root, logLevel: 'warn', build: { outDir }, preview: { host: '127.0.0.1', port: 0 } });
  const browser = await chromium.launch(launchOptions);
  try {
    const page = await browser.newPage();
    await page.goto(`http://127.0.0.1:${server.httpServer.address().port}/`);
    const rounds = [];
    for (let round = 0; round < 3; round += 1) rounds.push(await page.evaluate('measure()'));
    const best = (field) => Math.min(...rounds.map((found) => found[field]));
    const value = best('library') / best('hand');
    const verdict = value <= 1.5 ? 'within 1.5x' : 'OVER 1.5x';
    console.log(
      `${value.toFixed(2).padStart(9)}x  a page change among 2000 links against the fewest writes  ${verdict}`,
    );
    const drawn = best('drawnLinks');
    console.log(
      `${drawn.toFixed(2).padStart(9)}   links drawn again for it, of which two change  ${drawn <= 2 ? 'ok' : 'OVER 2'}`,
    );
  } finally {
    await browser.close();
    await server.close();
  }
}
