/** A sidebar of 100 groups with 1 900 pages: mounting it, and filtering it by real keys. */
import { expectEvent, inBrowser, tellCompared, timesOf } from './in-browser.mjs';

const rounds = 1;

/** @param launchOptions which browser to start, and how */
export async function benchSidebar(launchOptions) {
  await inBrowser('sidebar', launchOptions, async (page) => {
    tellCompared(await page.evaluate('measureMount()'), 1.25, 'mounting a sidebar of 2 000 entries against bare React');
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    await page.evaluate('prepare()');
    const scripts = timesOf(['library', 'hand', 'again', 'empty']);
    const frames = timesOf(['library', 'hand', 'again', 'empty']);
    for (let round = 0; round < rounds; round += 1) {
      for (const version of ['library', 'hand', 'again', 'empty']) {
        await page.evaluate(`use('${version}')`);
        await page.waitForTimeout(200);
        await page.focus(`#${version} input`);
        for (const key of ['c', 'u', 'r', 'l', 'e', 'w', ...Array(6).fill('Backspace')]) {
          await expectEvent(page, 'input');
          await page.keyboard.press(key);
          const { script, frame } = await page.evaluate('eventTime');
          scripts[version].push(script);
          frames[version].push(frame);
          await page.waitForTimeout(150);
        }
      }
    }
    const median = (values) => values.toSorted((one, other) => one - other)[values.length >> 1];
    tellCompared(
      frames,
      2,
      'a keystroke in its filter to the frame, less an empty one, 4x slower',
      median(frames.empty),
    );
    tellCompared(scripts, null, 'of that in script', median(scripts.empty));
  });
}
