/** A sidebar of 50 000 entries on a slow machine: opening it, a page of it, and searching it by real keys. */
import { expectEvent, inBrowser } from './in-browser.mjs';

const rounds = 5;
const median = (values) => values.toSorted((one, other) => one - other)[values.length >> 1];

/** @param launchOptions which browser to start, and how */
export async function benchLarge(launchOptions) {
  await inBrowser('large', launchOptions, async (page) => {
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const times = Object.fromEntries(['flat', 'grouped', 'whole', 'again'].map((name) => [name, []]));
    for (let round = 0; round < rounds; round += 1) {
      for (const name of Object.keys(times)) {
        times[name].push(await page.evaluate(`open('${name === 'again' ? 'whole' : name}')`));
      }
    }
    const [whole, again] = [median(times.whole), median(times.again)];
    for (const name of ['flat', 'grouped']) {
      const own = median(times[name]);
      console.log(
        `${(own / whole).toFixed(2).padStart(9)}x  opening a sidebar of 50 000 entries (${name}), 4x slower: ${own.toFixed(0)} ms against ${whole.toFixed(0)} ms of 2 000 (A/A ${(again / whole).toFixed(2)})  ${own <= 200 ? 'within' : 'OVER'} 200 ms`,
      );
      await page.evaluate(`void open('${name}')`);
      await page.focus('input');
      const keys = [];
      for (const key of ['c', 'u', 'r', 'l']) {
        await expectEvent(page, 'input');
        await page.keyboard.press(key);
        keys.push((await page.evaluate('eventTime')).script);
        await page.waitForTimeout(200);
      }
      console.log(
        `           its keystrokes, in script, 4x slower: ${keys.map((time) => time.toFixed(0)).join(', ')} ms`,
      );
    }
  });
}
