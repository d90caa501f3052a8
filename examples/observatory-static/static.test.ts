import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { serveFolder } from '@fair-trail/cli/audit';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { chromiumArguments, findChromium } from '../../scripts/chromium.mjs';
import { complaintsIn } from '../observatory/complaints.ts';

/** The plain pages: as they are, printed by a server, from a disk, and without scripts. */

let served: Awaited<ReturnType<typeof serveFolder>>;
let browser: Browser;
let context: BrowserContext;
let complaints: string[] = [];

beforeAll(async () => {
  served = await serveFolder('.build', 'observatory/shell.html');
  browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
});
beforeEach(async () => {
  context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  complaints = complaintsIn(context);
});
afterEach(async () => {
  // What a page still asks for is answered before it is closed.
  await context.unrouteAll({ behavior: 'wait' });
  await context.close();
  expect(complaints).toEqual([]);
});
afterAll(async () => {
  await browser.close();
  served.close();
});

const marked = (page: Page) =>
  page.evaluate(`[...document.querySelectorAll('nav[aria-label="Main"] [aria-current]')].map((one) =>
    one.getAttribute('aria-current') + ' ' + one.querySelector('.ft-label').textContent)`);

/** The links of the page that can be seen and reached, by their text. */
const reachable = (page: Page) =>
  page.evaluate<string[]>(`[...document.querySelectorAll('nav a')].filter((one) =>
    one.checkVisibility({ visibilityProperty: true }) && one.getBoundingClientRect().right <= innerWidth + 1
  ).map((one) => one.textContent.trim())`);

describe.each(['plain', 'printed'])('%s', (folder) => {
  const open = async (address: string) => {
    const page = await context.newPage();
    await page.goto(`${served.url}${folder}${address}`);
    return page;
  };

  test.each([
    ['/', ['page Today']],
    ['/hides/reedbed', ['true Hides', 'page Reedbed Hide']],
    ['/hides/reedbed.html?from=mail#map', ['true Hides', 'page Reedbed Hide']],
    ['/species/curlew', ['true Species']],
    ['/visit/getting-here/causeway', ['true Visit', 'true Getting here', 'page Crossing the causeway']],
  ])('the mark on %s is right, under a policy that allows nothing but the site’s own files', async (address, marks) => {
    await context.route('**/*', async (route) => {
      const response = await route.fetch();
      const headers = { ...response.headers(), 'content-security-policy': "default-src 'self'" };
      await route.fulfill({ response, headers });
    });
    const page = await open(address);
    await expect.poll(() => marked(page)).toEqual(marks);
  });

  test('panels, tabs, breadcrumbs and the desk work, from page to page', async () => {
    const page = await open('/hides/reedbed');
    await page.getByRole('button', { name: 'Pages in Visit' }).click();
    await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Guided walks' }).click();
    await expect.poll(() => page.title()).toBe('Guided walks · Marram Point Bird Observatory');
    await expect.poll(() => marked(page)).toEqual(['true Visit', 'page Guided walks']);
    await page.goto(`${served.url}${folder}/species/avocet?part=sounds`);
    await page.getByText('No one has brought a microphone yet').waitFor();
    await page.getByRole('tab', { name: 'Sightings' }).click();
    await expect.poll(() => new URL(page.url()).search).toBe('?part=sightings');
    await page.getByRole('button', { name: 'Pages beside Species' }).click();
    await page.getByRole('navigation', { name: 'Breadcrumbs' }).getByRole('link', { name: 'Tides' }).click();
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Pages in Ringing log' }).click();
    await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Data desk' }).click();
    const desk = page.getByRole('navigation', { name: 'Data desk' });
    await desk
      .getByRole('button', { name: 'Pages in Nets' })
      .or(desk.getByRole('button', { name: 'Nets' }))
      .first()
      .click();
    await desk.getByRole('link', { name: 'Garden nets' }).click();
    await expect.poll(() => page.locator('h1').textContent()).toBe('Garden nets');
  });
});

test('what is printed is taken over without a moved pixel', async () => {
  for (const [width, height] of [
    [1280, 800],
    [320, 640],
  ] as const) {
    const page = await context.newPage();
    await page.setViewportSize({ width, height });
    await page.addInitScript(`
      window.shifts = [];
      // In the bar, the room that is kept for what only ringers see is given back once it is known who the visitor is.
      const moved = ({ sources }) => sources.map(({ node }) => node).filter((node) => !node.parentElement.closest('.ft-bar'));
      new PerformanceObserver((list) => window.shifts.push(...list.getEntries().flatMap(moved).map(String)))
        .observe({ type: 'layout-shift', buffered: true });
    `);
    await page.goto(`${served.url}printed/species/curlew`);
    await page.getByRole('tab', { name: 'Sounds' }).waitFor();
    await page.waitForTimeout(300);
    expect(await page.evaluate('window.shifts')).toEqual([]);
  }
});

interface AccessibilityNode {
  readonly ignored: boolean;
  readonly role?: { readonly value: string };
  readonly name?: { readonly value: string };
  readonly properties?: readonly { readonly name: string; readonly value: { readonly value?: unknown } }[];
}

/** What the browser tells assistive technology, but for where a link leads to. */
async function accessibilityTree(page: Page): Promise<readonly string[]> {
  const session = await page.context().newCDPSession(page);
  const { nodes } = (await session.send('Accessibility.getFullAXTree')) as { nodes: readonly AccessibilityNode[] };
  const states = new Set(['expanded', 'selected', 'disabled', 'level', 'hasPopup', 'focusable', 'current']);
  return (
    nodes
      .filter(
        ({ ignored, role }) =>
          !ignored && !/^(?:InlineTextBox|StaticText|generic|none|LineBreak)$/u.test(role?.value ?? ''),
      )
      .map(({ role, name, properties = [] }) => {
        const stated = properties
          .filter((one) => states.has(one.name))
          .map((one) => `${one.name}=${String(one.value.value)}`);
        return [role?.value, name?.value.trim(), ...stated].join(' ').trim();
      })
      // The protocol lists them by how deep they stand, with what has no role of its own.
      .toSorted()
  );
}

test.each([
  ['/hides/reedbed', 1280],
  ['/hides/reedbed', 320],
  ['/species/curlew', 1280],
  ['/', 320],
])('the accessibility tree of %s at %i px is the same in React, in Vue and as plain pages', async (address, width) => {
  const trees: (readonly string[])[] = [];
  for (const folder of ['observatory', 'observatory-vue', 'plain', 'printed']) {
    const page = await context.newPage();
    await page.setViewportSize({ width, height: 800 });
    await page.goto(`${served.url}${folder}${address}`);
    await page.getByRole('button', { name: width === 320 ? 'Menu' : 'Sign in' }).waitFor();
    // Once what is measured has been measured.
    await page.waitForTimeout(300);
    trees.push(await accessibilityTree(page));
    await page.close();
  }
  const [react = [], ...others] = trees;
  expect(react.length).toBeGreaterThan(50);
  for (const tree of others) expect(tree).toEqual(react);
});

describe('without scripts', () => {
  test.each([1280, 320])('every link of a printed page is there at %i px, and no dead button', async (width) => {
    const silent = await browser.newContext({ javaScriptEnabled: false, viewport: { width, height: 800 } });
    const page = await silent.newPage();
    await page.goto(`${served.url}printed/hides`);
    const links = await page.locator('nav[aria-label="Main"] a').allTextContents();
    expect(links.length).toBeGreaterThan(15);
    const seen = await page.locator('nav[aria-label="Main"] a').evaluateAll((all) =>
      all
        .filter((one) => {
          const { right, width: own } = one.getBoundingClientRect();
          return one.checkVisibility({ visibilityProperty: true }) && own > 0 && right <= window.innerWidth + 1;
        })
        .map((one) => one.textContent),
    );
    expect(seen).toEqual(links);
    expect(await page.locator('button:visible').count()).toBe(0);
    await silent.close();
  });

  test('the links that are written into a plain page are there', async () => {
    const silent = await browser.newContext({ javaScriptEnabled: false });
    const page = await silent.newPage();
    await page.goto(`${served.url}plain/hides`);
    expect(await page.locator('nav a:visible').allTextContents()).toEqual([
      'Today',
      'Hides',
      'Species',
      'Ringing log',
      'Tides',
      'Visit',
      'About',
    ]);
    await silent.close();
  });
});

test('a page on a disk has a bar and breadcrumbs of its own list, by one script and one stylesheet', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'plain-'));
  for (const file of ['bar.js', 'styles.css']) {
    writeFileSync(path.join(folder, file), readFileSync(`packages/fair-trail/dist/${file}`));
  }
  const write = (name: string) =>
    writeFileSync(
      path.join(folder, name),
      `<!doctype html><html lang="en"><meta charset="utf-8" /><title>${name}</title>
      <link rel="stylesheet" href="styles.css" /><script src="bar.js"></script>
      <trail-bar><nav aria-label="Main"><ul>
        <li><a href="index.html">Today</a></li>
        <li><a href="hides.html">Hides</a><ul><li><a href="reedbed.html">Reedbed</a></li></ul></li>
        <li><a href="#map">Map</a></li><li><a href="index.html">Today again</a></li>
        <li><a href="file://elsewhere/x.html">Elsewhere</a></li><li><a href="sms:+100">Message</a></li>
      </ul></nav></trail-bar>
      <trail-breadcrumbs></trail-breadcrumbs><main>${name}</main></html>`,
    );
  for (const name of ['index.html', 'hides.html', 'reedbed.html']) write(name);
  const page = await context.newPage();
  await page.goto(pathToFileURL(path.join(folder, 'index.html')).href);
  await page.getByRole('button', { name: 'Pages in Hides' }).click();
  await page.getByRole('link', { name: 'Reedbed' }).click();
  await expect.poll(() => page.title()).toBe('reedbed.html');
  await expect.poll(() => marked(page)).toEqual(['true Hides', 'page Reedbed']);
  expect(await reachable(page)).toEqual(
    expect.arrayContaining(['Today', 'Map', 'Today again', 'Elsewhere', 'Message']),
  );
  expect(complaints.splice(0).filter((one) => !/"(?:Elsewhere|Message)" leads nowhere/u.test(one))).toEqual([]);
  await page.getByRole('link', { name: 'Map' }).click();
  expect(page.url()).toMatch(/reedbed\.html#map$/u);
  rmSync(folder, { recursive: true });
});

test('on a page without a build, a warning is a sentence with its remedy', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'plain-'));
  for (const file of ['bar.js', 'elements.js', 'styles.css']) {
    writeFileSync(path.join(folder, file), readFileSync(`packages/fair-trail/dist/${file}`));
  }
  const list = '<nav aria-label="Main"><ul><li><a href="index.html">Today</a></li><li><a>Soon</a></li></ul></nav>';
  const json = readFileSync('examples/observatory/observatory.site.json', 'utf8');
  const pages = {
    'bar.html': `<script src="bar.js"></script><trail-bar>${list}</trail-bar>`,
    'elements.html': `<script src="elements.js"></script><trail-site url="/">
      <script type="application/json">${json}</script><trail-bar menu="mian"></trail-bar></trail-site>`,
  };
  const page = await context.newPage();
  for (const [name, body] of Object.entries(pages)) {
    writeFileSync(
      path.join(folder, name),
      `<!doctype html><html lang="en"><title>${name}</title>${body}<main></main></html>`,
    );
    await page.goto(pathToFileURL(path.join(folder, name)).href);
    await expect.poll(() => complaints).toHaveLength(1);
    const [said = ''] = complaints.splice(0);
    expect(said, name).toMatch(
      name === 'bar.html'
        ? /^fair-trail: .*"Soon".* [Gg]ive .*\. \[[a-z-]+\]$/u
        : /^fair-trail: .*"mian" is not a menu of the site\. .*Did you mean "main"\?.* \[menu-unknown\]$/u,
    );
  }
  rmSync(folder, { recursive: true });
});

test('a reader who asks for less motion gets none, whatever times the site sets', async () => {
  const still = await browser.newContext({ reducedMotion: 'reduce' });
  for (const reader of [context, still]) {
    const page = await reader.newPage();
    await page.goto(`${served.url}plain/`);
    await page.addStyleTag({
      content: ':root, .ft-bar, .ft-panel, .ft-link { --ft-open: 3s; --ft-close: 3s; --ft-calm: 2s }',
    });
    await page.getByRole('button', { name: 'Pages in Hides' }).click();
    const times = await page.evaluate<string[]>(`[
      getComputedStyle(document.querySelector('.ft-panel-trigger[aria-expanded=true] + .ft-panel')),
      getComputedStyle(document.querySelector('.ft-bar .ft-link'), '::after'),
    ].map((style) => style.transitionDuration.split(', ')[0])`);
    expect(times.map(Number.parseFloat)).toEqual(reader === still ? [0, 0] : [3, 2]);
  }
  await still.close();
});

test('a bar whose list arrives in two pieces has all of its links', async () => {
  const script = readFileSync('packages/fair-trail/dist/bar.js');
  let response: ServerResponse | null = null;
  const server = createServer((request, answer) => {
    if (request.url === '/bar.js') return answer.writeHead(200, { 'content-type': 'text/javascript' }).end(script);
    if (request.url !== '/') return answer.writeHead(204).end();
    response = answer.writeHead(200, { 'content-type': 'text/html; charset=utf-8' });
    response.write(`<!doctype html><html lang="en"><title>Today</title><script src="bar.js"></script>
      <trail-bar><nav aria-label="Main"><ul><li><a href="/">Today</a></li>`);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`, { waitUntil: 'commit' });
  await page.locator('trail-bar li').waitFor({ state: 'attached' });
  // What the element does with what it has is done within a task.
  await page.evaluate('new Promise((resolve) => setTimeout(resolve))');
  (response as ServerResponse | null)?.end(`<li><a href="/hides">Hides</a><ul>
    <li><a href="/hides/reedbed">Reedbed</a></li></ul></li></ul></nav></trail-bar><main>Today</main></html>`);
  await page.getByRole('button', { name: 'Pages in Hides' }).click();
  await expect.poll(() => reachable(page)).toEqual(['Today', 'Hides', 'Reedbed']);
  server.close();
});
