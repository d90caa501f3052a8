/** A bar of 40 panels with 400 pages: mounting it, and opening a panel, against the least that gives the same document. */
import { inBrowser, tellRatio } from './in-browser.mjs';

/** @param launchOptions which browser to start, and how */
export async function benchBar(launchOptions) {
  await inBrowser('bar', launchOptions, async (page) => {
    const mount = await page.evaluate('measureMount()');
    tellRatio(mount.library / mount.hand, 1.25, 'mounting a bar against bare React, the same document');
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const clicks = await page.evaluate('measureClicks()');
    tellRatio(clicks.library / clicks.hand, 2, 'a click to its frame against a script by hand, 4x slower');
  });
}
