/** A sidebar of 100 groups with 1 900 pages: mounting it, and filtering it. */
import { inBrowser, tellRatio } from './in-browser.mjs';

/** @param launchOptions which browser to start, and how */
export async function benchSidebar(launchOptions) {
  await inBrowser('sidebar', launchOptions, async (page) => {
    const mount = await page.evaluate('measureMount()');
    tellRatio(
      mount.library / mount.hand,
      1.25,
      'mounting a sidebar of 2 000 entries against bare React, the same document',
    );
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const keys = await page.evaluate('measureKeys()');
    tellRatio(
      keys.library / keys.hand,
      null,
      'a keystroke in the filter to its frame against a script by hand, 4x slower',
    );
  });
}
