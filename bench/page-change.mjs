/** A page change by a real click among 2 120 links, against a complete version by hand on the same document. */
import { expectEvent, inBrowser, tellCompared, timesOf } from './in-browser.mjs';

const rounds = 4;
const clicks = 12;

/** @param launchOptions which browser to start, and how */
export async function benchPageChange(launchOptions) {
  await inBrowser('page-change', launchOptions, async (page) => {
    // A view transition draws frames of its own; who asks for less motion has none, and neither has the script by hand.
    await page.emulateMedia({ reducedMotion: 'reduce' });
    const times = timesOf(['library', 'hand', 'again']);
    const frames = timesOf(['library', 'hand', 'again']);
    let drawn = 0;
    for (let round = 0; round < rounds; round += 1) {
      for (const version of ['library', 'hand', 'again']) {
        await page.evaluate(`use('${version === 'library' ? 'library' : 'hand'}')`);
        await page.waitForTimeout(300);
        for (let click = 1; click <= clicks; click += 1) {
          const target = `/page-${click * 37 + round}`;
          const link = page.locator(`.ft-sidebar a[href="${target}"]`);
          await link.scrollIntoViewIfNeeded();
          await page.waitForTimeout(60);
          await page.evaluate('drawn()');
          await expectEvent(page, 'click');
          await link.click();
          const { script, frame } = await page.evaluate('eventTime');
          times[version].push(script);
          frames[version].push(frame);
          const isMarked = (await link.getAttribute('aria-current')) === 'page';
          if (!isMarked || new URL(page.url()).pathname !== target)
            throw new Error(`${version}: the page has not changed.`);
          if (version === 'library') drawn = Math.max(drawn, await page.evaluate('drawn()'));
        }
      }
    }
    const links = await page.evaluate('links()');
    tellCompared(times, 1.5, `a page change by a click among ${links} links, script`);
    tellCompared(frames, null, 'the same to the end of its frame');
    console.log(
      `${String(drawn).padStart(9)}   links drawn again for it, of which two change  ${drawn <= 2 ? 'ok' : 'OVER 2'}`,
    );
  });
}
