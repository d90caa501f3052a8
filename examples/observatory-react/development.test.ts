import { serveFolder } from '@fair-trail/cli/audit';
import { defineSite, everyEntry, hrefOf } from 'fair-trail';
import { chromium, type Browser, type Page } from 'playwright';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { chromiumArguments, findChromium } from '../../scripts/chromium.mjs';
import definition from '../observatory/observatory.site.json';
import { complaintsIn } from '../observatory/complaints.ts';

/** The example on React's development build, which reports on the console what it objects to. */

const site = defineSite(definition, { base: '/observatory/' });
const addresses = [...everyEntry(site.entries)]
  .filter((entry) => !entry.outside && entry.paramNames.length === 0)
  .map((entry) => hrefOf(site, entry))
  .filter((address) => address !== null)
  // Pages of one kind are made alike; each is asked for in the tests of the shipped build.
  .filter((_, index) => index % 4 === 0);

let served: Awaited<ReturnType<typeof serveFolder>>;
let browser: Browser;

beforeAll(async () => {
  served = await serveFolder('.build/development', 'observatory/shell.html');
  browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
});
afterAll(async () => {
  await browser.close();
  served.close();
});

/** Opens and closes whatever says that it can be opened, in whatever state that leaves the page. */
async function pressEveryTrigger(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const nextFrame = () => new Promise(requestAnimationFrame);
    for (const trigger of document.querySelectorAll<HTMLElement>('[aria-expanded]')) {
      trigger.click();
      await nextFrame();
      trigger.click();
      await nextFrame();
    }
  });
}

test.each([
  ['a visitor', 360, ''],
  ['a ringer', 1280, 'yes'],
])('%s at %i px finds no page that writes to the console', async (_, width, signedIn) => {
  const stored = [{ name: 'observatory-signed-in', value: signedIn }];
  const context = await browser.newContext({
    viewport: { width, height: 800 },
    storageState: { cookies: [], origins: [{ origin: new URL(served.url).origin, localStorage: stored }] },
  });
  const complaints = complaintsIn(context);
  const page = await context.newPage();
  expect(addresses.length).toBeGreaterThan(5);
  for (const address of addresses) {
    await page.goto(new URL(address, served.url).href);
    await page.getByRole('heading', { level: 1 }).waitFor();
    expect(complaints, address).toEqual([]);
  }
  await page.goto(new URL('/observatory/desk', served.url).href);
  await pressEveryTrigger(page);
  expect(complaints, 'after pressing every trigger').toEqual([]);
  await context.close();
});
