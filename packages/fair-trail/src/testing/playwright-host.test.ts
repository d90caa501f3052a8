import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { chromium, type Browser, type Page } from 'playwright';
import { afterAll, afterEach, beforeAll, expect, test } from 'vitest';
import { chromiumArguments, findChromium } from '../../../../scripts/chromium.mjs';
import { navigation, type Navigation } from './navigation.ts';
import { playwrightHost } from './playwright.ts';
import { subjectDocument } from './subject.samples.ts';
import { tenTests } from './ten-tests.samples.ts';

let browser: Browser;
let server: Server;
let page: Page | null = null;

beforeAll(async () => {
  browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
  server = createServer((_, response) => {
    response.writeHead(200, { 'Content-Type': 'text/html' }).end(subjectDocument());
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterEach(async () => page?.context().close());
afterAll(async () => {
  await browser.close();
  server.close();
});

async function open(address: string, hasTouch = true): Promise<Navigation> {
  page = await browser.newPage({ hasTouch, viewport: { width: 1280, height: 800 } });
  await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}${address}`);
  return navigation(playwrightHost(page, { hasTouch }), { patience: 3000 });
}

tenTests(open);

test('a page that is closed half way is reported at once', async () => {
  const visitor = await open('/');
  const menu = visitor.menu('Main');
  await menu.open('Hides');
  await page?.close();
  const acts = [menu.choose('Hides', 'Reedbed Hide'), visitor.key('Enter'), visitor.back(), visitor.place()];
  for (const act of acts) await expect(act).rejects.toThrow('[host-gone]\n  found:  the browser page has been closed');
});

test('a page that was opened without touch judges none', async () => {
  const visitor = (await open('/', false)).by('touch');
  await expect(visitor.menu('Main').choose('Tides')).rejects.toThrow(
    'not judged: in a driven page, the page was opened',
  );
});

test('hover rests the pointer on an item, and takes it away', async () => {
  const menu = (await open('/')).menu('Main');
  await page?.addStyleTag({ content: 'nav li:has(:hover) > ul[hidden] { display: block }' });
  await menu.hover('Hides');
  await expect(menu).toOffer(['Today', 'Hides', 'Reedbed Hide', 'Lantern Room', 'Tides', 'Visit']);
  await menu.unhover();
  await expect(menu).toOffer(['Today', 'Hides', 'Tides', 'Visit']);
});

test('what is still under way in the page is waited for', async () => {
  const visitor = await open('/');
  await visitor.place();
  await page?.evaluate('fairTrailTesting.settle = () => new Promise((end) => (window.end = end))');
  let isSettled = false;
  const settled = visitor.settle().then(() => (isSettled = true));
  await page?.waitForFunction('window.end');
  await visitor.place();
  expect(isSettled).toBe(false);
  await page?.evaluate('end()');
  await settled;
});

test('a page that has its own way of writing JSON is read as any other', async () => {
  const visitor = await open('/');
  await page?.evaluate("Array.prototype.toJSON = () => 'none'");
  await expect(visitor.menu('Main')).toOffer(['Today', 'Hides', 'Tides', 'Visit']);
});

test('a page that hangs is reported, and ends no test by the clock alone', async () => {
  await open('/');
  if (!page) throw new Error('there is no page');
  const visitor = navigation(playwrightHost(page, { answersWithin: 500 }));
  await page.evaluate('void setTimeout(() => { for (;;); })');
  await expect(visitor.menu('Main').offers()).rejects.toThrow('did not answer within 500 ms. [no-answer]');
});

test('a path leads nowhere from a page that is nowhere yet', async () => {
  page = await browser.newPage();
  await expect(navigation(playwrightHost(page)).visit('/tides')).rejects.toThrow('[bad-address]');
});
