/** A list of 100 links that the author has written, made into a bar. */
import { inBrowser, tellCompared } from './in-browser.mjs';

/** @param launchOptions which browser to start, and how */
export async function benchList(launchOptions) {
  await inBrowser('list', launchOptions, async (page) => {
    tellCompared(await page.evaluate('measure()'), 2, 'a list of 100 links made into a bar, against a script by hand');
  });
}
