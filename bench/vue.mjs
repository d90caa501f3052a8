/** Mounting a sidebar of 2 000 entries in Vue. */
import { inBrowser, tellCompared } from './in-browser.mjs';

/** @param launchOptions which browser to start, and how */
export async function benchVue(launchOptions) {
  await inBrowser('vue', launchOptions, async (page) => {
    tellCompared(
      await page.evaluate('measureMount()'),
      1.25,
      'mounting a sidebar of 2 000 entries in Vue against bare Vue',
    );
  });
}
