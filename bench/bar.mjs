/** A bar of 6 panels with 6 pages each: mounting it, and opening a panel, against the least that gives the same document. */
import { expectEvent, inBrowser, tellCompared, timesOf } from './in-browser.mjs';

const rounds = 40;

/** @param launchOptions which browser to start, and how */
export async function benchBar(launchOptions) {
  await inBrowser('bar', launchOptions, async (page) => {
    tellCompared(await page.evaluate('measureMount()'), 1.25, 'mounting a bar against bare React');
    tellCompared(await page.evaluate('measurePage()'), 1.25, 'the same with skip link, breadcrumbs and footer');
    const session = await page.context().newCDPSession(page);
    for (const version of ['library', 'hand']) {
      const left = await heapAfter(page, session, version);
      console.log(`${left.toFixed(2).padStart(9)}   kB of heap left of each of 1 000 mounts, ${version}`);
    }
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    await page.evaluate('showBars()');
    await page.waitForTimeout(300);
    const scripts = timesOf(['library', 'hand', 'again', 'empty']);
    const frames = timesOf(['library', 'hand', 'again', 'empty']);
    for (let round = 0; round < rounds; round += 1) {
      for (const version of ['library', 'hand', 'again', 'empty']) {
        const target = version === 'empty' ? '#empty' : `#${version} .ft-panel-trigger >> nth=${round % 6}`;
        await expectEvent(page, 'click');
        await page.click(target, { force: true });
        const { script, frame } = await page.evaluate('eventTime');
        scripts[version].push(script);
        frames[version].push(frame);
        // Closed again, at rest, before the next.
        await page.keyboard.press('Escape');
        await page.waitForTimeout(350);
      }
    }
    const median = (values) => values.toSorted((one, other) => one - other)[values.length >> 1];
    tellCompared(frames, 1.5, 'opening a panel to its frame, less an empty click, 4x slower', median(frames.empty));
    tellCompared(scripts, null, 'of that in script', median(scripts.empty));
  });
}

/** What one mount leaves in the heap, in kB: of a thousand, after as many to warm up. */
async function heapAfter(page, session, version) {
  const used = async () => {
    for (let time = 0; time < 3; time += 1) await session.send('HeapProfiler.collectGarbage');
    return (await session.send('Runtime.getHeapUsage')).usedSize / 1024;
  };
  await page.evaluate(`mountOften('${version}', 1000)`);
  await page.waitForTimeout(4000);
  const before = await used();
  await page.evaluate(`mountOften('${version}', 1000)`);
  await page.waitForTimeout(4000);
  return ((await used()) - before) / 1000;
}
