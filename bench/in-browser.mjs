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
  await build({ root, logLevel: 'error', build: { outDir, emptyOutDir: true } });
  const server = await preview({ root, logLevel: 'error', build: { outDir }, preview: { host: '127.0.0.1', port: 0 } });
  const browser = await chromium.launch(launchOptions);
  try {
    const page = await browser.newPage();
    page.on('pageerror', (error) => console.error(error.message));
    await page.goto(`http://127.0.0.1:${server.httpServer.address().port}/`);
    await use(page);
  } finally {
    await browser.close();
    await server.close();
  }
}

/** Makes the page take the time of the next event of that type: it is in `eventTime` there. */
export async function expectEvent(page, type) {
  await page.evaluate(`void (globalThis.eventTime = nextEventTime('${type}'))`);
}

/** Empty lists of times, by what is measured. */
export function timesOf(names) {
  return Object.fromEntries(names.map((name) => [name, []]));
}

const median = (times) => times.toSorted((one, other) => one - other)[times.length >> 1];

/**
 * Prints the library's time as a ratio to the one by hand, and that one's to itself (A/A).
 *
 * @param times a number, or a list to take the median of, for `library`, `hand` and `again`
 * @param goal the most that the ratio should be; null for none
 * @param less what to take off each: the time of doing nothing
 */
export function tellCompared({ library, hand, again }, goal, what, less = 0) {
  const [own, other, same] = [library, hand, again].map((time) => (Array.isArray(time) ? median(time) : time) - less);
  const ratio = own / other;
  const verdict = goal === null ? '' : ratio <= goal ? `within ${goal}x` : `OVER ${goal}x`;
  console.log(
    `${ratio.toFixed(2).padStart(9)}x  ${what}: ${own.toFixed(2)} against ${other.toFixed(2)} ms (A/A ${(same / other).toFixed(2)})  ${verdict}`,
  );
}
