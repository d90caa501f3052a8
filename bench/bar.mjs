/** A bar of 40 panels with 400 pages: mounting it, and opening a panel, against the least that gives the same document. */
import path from 'node:path';
import { chromium } from 'playwright';
import { build, preview } from 'vite';

const root = path.join(import.meta.dirname, 'bar');
const outDir = path.join(import.meta.dirname, '../.build/bench-bar');

/** @param launchOptions which browser to start, and how */
export async function benchBar(launchOptions) {
  await build({ root, logLevel: 'warn', build: { outDir, emptyOutDir: true } });
  const server = await preview({ root, logLevel: 'warn', build: { outDir }, preview: { host: '127.0.0.1', port: 0 } });
  const browser = await chromium.launch(launchOptions);
  try {
    const page = await browser.newPage();
    await page.goto(`http://127.0.0.1:${server.httpServer.address().port}/`);
    const mount = await page.evaluate('measureMount()');
    tell(mount.library / mount.hand, 1.25, 'mounting a bar against bare React, the same document');
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const clicks = await page.evaluate('measureClicks()');
    tell(clicks.library / clicks.hand, 2, 'a click to its frame against a script by hand, 4x slower');
  } finally {
    await browser.close();
    await server.close();
  }
}

function tell(value, goal, what) {
  const verdict = value <= goal ? `within ${goal}x` : `OVER ${goal}x`;
  console.log(`${value.toFixed(2).padStart(9)}x  ${what}  ${verdict}`);
}
