/** One page change among 2000 links, in a browser, against the fewest writes that it can be done with. */
import { inBrowser, tellRatio } from './in-browser.mjs';

/** @param launchOptions which browser to start, and how */
export async function benchNavigation(launchOptions) {
  await inBrowser('navigation', launchOptions, async (page) => {
    const rounds = [];
    for (let round = 0; round < 5; round += 1) rounds.push(await page.evaluate('measure()'));
    const best = (field) => Math.min(...rounds.map((found) => found[field]));
    tellRatio(best('library') / best('hand'), 1.5, 'a page change among 2000 links against the fewest writes');
    const drawn = best('drawnLinks');
    console.log(
      `${drawn.toFixed(2).padStart(9)}   links drawn again for it, of which two change  ${drawn <= 2 ? 'ok' : 'OVER 2'}`,
    );
  });
}
