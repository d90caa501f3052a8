import { serveFolder } from '@fair-trail/cli/audit';
import { navigation, type Navigation } from 'fair-trail/testing';
import { playwrightHost } from 'fair-trail/testing/playwright';
import {
  breadcrumbPages,
  breadcrumbTrailContract,
  menuContract,
  menuPages,
  navigationMatchers,
  tablistContract,
} from 'fair-trail/testing/vitest';
import { defineSite, everyEntry, hrefOf, mayAccess } from 'fair-trail';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { chromiumArguments, findChromium } from '../../scripts/chromium.mjs';
import { effort } from '../../tests/effort.ts';
import { complaintsIn } from './complaints.ts';
import { speciesRecords } from './content/species.ts';
import definition from './observatory.site.json';

/**
 * What the observatory does, whichever framework draws it.
 *
 * @param name of the folder that it was built into, which is its base path
 * @param isWhole whether all of it is asked for, or only what depends on the framework
 */
export function exampleSuite(name: string, isWhole = true): void {
  expect.extend(navigationMatchers);
  const base = `/${name}`;
  const site = defineSite(definition, { base: `${base}/` });

  let served: Awaited<ReturnType<typeof serveFolder>>;
  let browser: Browser;
  let context: BrowserContext;
  /** For what is no navigation: a form that is filled in. */
  let page: Page;

  beforeAll(async () => {
    // As it is shipped: below a base path, with one page for all addresses.
    served = await serveFolder('.build', `${name}/shell.html`);
    browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
  });
  /** What the app has written to the console as an error or a warning. */
  let complaints: string[] = [];

  beforeEach(async () => {
    context = await browser.newContext({ viewport: { width: 1280, height: 800 }, hasTouch: true });
    complaints = complaintsIn(context);
  });
  afterEach(async () => {
    await context.close();
    expect(complaints).toEqual([]);
  });
  afterAll(async () => {
    await browser.close();
    served.close();
  });

  /** A visitor at an address of the app, who has been nowhere else. */
  async function open(path: string, width = 1280): Promise<Navigation> {
    page = await context.newPage();
    await page.setViewportSize({ width, height: 800 });
    await page.goto(`${served.url}${name}${path}`);
    const visitor = navigation(playwrightHost(page, { hasTouch: true }), { patience: 10_000 });
    await expect.poll(async () => (await visitor.place()).heading).not.toBeNull();
    return visitor;
  }

  const titleOf = (label: string) => `${label} · Marram Point Bird Observatory`;

  describe('the mark is right', () => {
    test.each<[string, string, string | null, 'page' | 'section']>([
      ['/', 'Today at the point', 'Today', 'page'],
      ['/?utm=1', 'Today at the point', 'Today', 'page'],
      ['/hides', 'Hides', 'Hides', 'page'],
      ['/hides/', 'Hides', 'Hides', 'page'],
      ['/hides?from=mail#map', 'Hides', 'Hides', 'page'],
      ['/hides/lantern-room', 'Lantern Room', 'Hides', 'section'],
      ['/birds', 'Species', 'Species', 'page'],
      ['/species/little-tern', 'Little tern', 'Species', 'section'],
      ['/birds/little-tern/', 'Little tern', 'Species', 'section'],
      ['/species/dodo', 'Page not found', 'Species', 'section'],
      ['/visit/getting-here/causeway', 'Crossing the causeway', 'Visit', 'section'],
      ['/about/nobody', 'Page not found', 'About', 'section'],
      ['/nowhere', 'Page not found', null, 'page'],
      ['/log', 'For ringers', null, 'page'],
      ['/webcam', 'Tern raft webcam', null, 'page'],
    ])('at %s, and after it is loaded again', async (path, heading, item, as) => {
      const visitor = await open(path);
      for (const come of [() => visitor.place(), () => visitor.reload()]) {
        await come();
        await expect(visitor).toStandAt({ heading });
        if (item === null) await expect(visitor.menu('Main')).toMarkNothing();
        else await expect(visitor.menu('Main')).toMark(item, as);
      }
    });

    test('on every page, after a click on every item of the bar, and after going all the way back', async () => {
      const visitor = await open('/');
      const bar = visitor.menu('Main');
      const labels = ['Hides', 'Species', 'Tides', 'Visit', 'About'];
      for (const label of labels) {
        await bar.choose(label);
        await expect(bar).toMark(label);
        await expect(visitor).toStandAt({ title: titleOf(label) });
        await expect(visitor).toHaveFocusOn(label);
      }
      for (const label of ['Visit', 'Tides', 'Species', 'Hides', 'Today']) {
        await visitor.back();
        await expect(bar).toMark(label);
      }
      await visitor.forward();
      await expect(bar).toMark('Hides');
      await expect(visitor).toStandAt(`${base}/hides`);
    });
  });

  const openAnew = (address: string) => open(address.slice(base.length));

  describe.runIf(isWhole)('as every menu', () => {
    const pages = menuPages(site, 'main');
    // A part of them, of each depth: the walk goes to all.
    const some = pages.filter((_, index) => index % 5 === 0);
    menuContract({ open: openAnew, menu: 'Main', pages: some, unknownAddress: `${base}/nowhere` });
  });

  describe.runIf(isWhole)('as all tabs', () => {
    tablistContract({ open: () => open('/species/curlew') });
  });

  describe.runIf(isWhole)('as all breadcrumbs', () => {
    const addresses = ['', '/species/curlew', '/visit/getting-here/causeway'];
    const pages = breadcrumbPages(
      site,
      addresses.map((address) => `${base}${address}`),
      { species: speciesRecords },
    );
    breadcrumbTrailContract({ open: openAnew, pages });
  });

  test('pages change without loading, and every link leads into the base path', async () => {
    const visitor = await open('/');
    const before = await page.evaluate(() => performance.timeOrigin);
    await visitor.follow('Snow bunting');
    await expect(visitor).toStandAt({ heading: 'Snow bunting' });
    await expect(visitor).toHaveBreadcrumbs(['Today', 'Species', 'Snow bunting']);
    expect(await page.evaluate(() => performance.timeOrigin)).toBe(before);
  });

  test.each(['Hides', 'Reedbed Hide'])('a click right after the page change to %s is not lost', async (first) => {
    const visitor = await open('/');
    /** As a hand does it: nothing looks first whether the page can take the click. */
    const middleOf = async (name: string) => {
      const box = await page.getByRole('link', { name }).first().boundingBox();
      if (!box) throw new Error(`"${name}" is not visible.`);
      return [box.x + box.width / 2, box.y + box.height / 2] as const;
    };
    const species = await middleOf('Species');
    if (first === 'Reedbed Hide') await page.getByRole('button', { name: 'Pages in Hides' }).click();
    await page.mouse.click(...(await middleOf(first)));
    await page.waitForTimeout(20);
    await page.mouse.click(...species);
    await expect(visitor).toStandAt({ address: `${base}/species`, heading: 'Species' });
    await page.goBack();
    await expect(visitor).toStandAt(first === 'Hides' ? `${base}/hides` : `${base}/hides/reedbed`);
  });

  test('a press that a page change comes into is not lost either', async () => {
    const visitor = await open('/');
    const box = await page.getByRole('link', { name: 'Species' }).first().boundingBox();
    if (!box) throw new Error('There is no link to the species.');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.evaluate('document.querySelector(\'nav a[href$="/hides"]\').click()');
    await expect.poll(() => new URL(page.url()).pathname).toBe(`${base}/hides`);
    await page.mouse.up();
    await expect(visitor).toStandAt({ address: `${base}/species`, heading: 'Species' });
  });

  test('Back and a reload restore how far a page was scrolled', async () => {
    const visitor = await open('/species/curlew');
    await visitor.at({ width: 1280, height: 400 });
    await visitor.by('keyboard').follow('Avocet');
    await expect(visitor).toStandAt({ heading: 'Avocet' });
    expect(await visitor.scrolled()).toBe(0);
    await visitor.back();
    await expect(visitor).toStandAt({ heading: 'Curlew' });
    await expect.poll(() => visitor.scrolled()).toBeGreaterThan(0);
    const before = await visitor.scrolled();
    await visitor.reload();
    await expect.poll(() => visitor.scrolled()).toBe(before);
  });

  test('signing in brings the ringing log, and lasts over a reload', async () => {
    const visitor = await open('/log');
    await expect(visitor).toStandAt({ heading: 'For ringers' });
    await visitor.press('Sign in');
    await expect(visitor).toStandAt({ heading: 'Ringing log' });
    await expect(visitor.menu('Main')).toMark('Ringing log');
    await visitor.reload();
    await expect(visitor.menu('Main')).toMark('Ringing log');
    await visitor.press('Sign out');
    await expect(visitor.menu('Main')).toMarkNothing();
  });

  describe.each([1280, 320])('on the way to a page, at %i px', (width) => {
    test('a slow one changes the address at once, and comes', async () => {
      const visitor = await open('/tides', width);
      await visitor.follow('tide gauge');
      await expect(visitor).toStandAt(`${base}/tides/gauge`);
      await expect(visitor).toStandAt({ heading: 'Tide gauge', title: titleOf('Tide gauge') });
      await visitor.back();
      await expect(visitor).toStandAt({ heading: 'Tides' });
      await expect(visitor).toHaveFocusOn('tide gauge');
    });

    test('a failing one says so, and comes when it is tried again', async () => {
      const visitor = await open('/tides', width);
      // Without a pointer, which would have the page loaded ahead while it rests: on a slow machine often enough for the
      // failures to be over before the page is shown.
      await visitor.by('keyboard').follow('weather mast');
      await expect(visitor).toStandAt({ heading: 'No answer from this page' });
      const isThere = async () => (await visitor.place()).heading === 'Weather mast';
      for (let attempt = 0; attempt < 10 && !(await isThere()); attempt += 1) {
        // The button may vanish while it is pressed, since the page is there.
        await visitor
          .by('keyboard')
          .press('Try again')
          .catch(() => undefined);
      }
      await expect(visitor).toStandAt({ heading: 'Weather mast' });
      await expect(visitor).toHaveFocusOn('Weather mast');
    });

    test('a half-filled form asks before it is left, and keeps what is in it', async () => {
      const visitor = await open('/visit', width);
      await visitor.follow('Book a visit');
      await page.getByLabel('Anything else').fill('A seat by the stove');
      await page.evaluate('history.back()');
      await visitor.press('Stay');
      await expect(visitor).toStandAt({ address: `${base}/visit/book`, heading: 'Book a visit' });
      expect(await page.getByLabel('Anything else').inputValue()).toBe('A seat by the stove');
      await page.evaluate('history.back()');
      await visitor.press('Leave');
      await expect(visitor).toStandAt({ heading: 'Visit' });
    });

    test('an address that has moved leads on, with what it was asked', async () => {
      const visitor = await open('/visit/booking?from=leaflet', width);
      await expect(visitor).toStandAt({ address: `${base}/visit/book?from=leaflet`, heading: 'Book a visit' });
      await expect(visitor.menu('Main')).toMark('Visit', 'section');
    });
  });

  describe('at 320 px', () => {
    test.each(['mouse', 'touch', 'keyboard'] as const)('the menu works by %s', async (input) => {
      const visitor = (await open('/', 320)).by(input);
      await expect(visitor.menu('Main')).not.toBeOpen();
      await visitor.menu('Main').choose('Tides');
      await expect(visitor).toStandAt({ heading: 'Tides' });
      await expect(visitor).toHaveFocusOn('Tides');
      await expect(visitor.menu('Main')).toMark('Tides');
      await expect(visitor.menu('Main')).not.toBeOpen();
    });

    test('Tab passes what comes before the menu in its order, and Escape gives focus back', async () => {
      const visitor = (await open('/', 320)).by('keyboard');
      for (const stop of ['Skip to content', 'Plan your crossing', 'Dismiss notice']) {
        await visitor.key('Tab');
        await expect(visitor).toHaveFocusOn(stop);
      }
      await visitor.menu('Main').open();
      await visitor.key('Tab');
      await expect(visitor).toHaveFocusOn('Today');
      await visitor.key('Escape');
      await expect(visitor).toHaveFocusOn('Menu');
    });
  });

  describe('the data desk', () => {
    async function openDesk(path: string, width?: number): Promise<Navigation> {
      // The first document of a window has no storage.
      await context.addInitScript("if (location.host) localStorage.setItem('observatory-signed-in', 'yes')");
      return open(path, width);
    }

    test('is six levels deep, with the way there and the groups that hold it', async () => {
      const visitor = await openDesk('/desk/seasons/autumn-2026/11-oct/round-2');
      await expect(visitor).toStandAt({ heading: 'Net round 2' });
      const steps = ['Ringing log', 'Data desk', 'Seasons', 'Autumn 2026', '11 October', 'Net round 2'];
      await expect.poll(async () => (await visitor.breadcrumbs()).slice(-6)).toEqual(steps);
      const deeper = await openDesk('/desk/nets/reedbed/east');
      await expect(deeper.menu('Data desk')).toMark('East ride');
      await expect(deeper.menu('Data desk')).toBeOpen('Nets');
    });

    test('has the sessions of a season beside it, through pages, a reload and Back', async () => {
      const visitor = await openDesk('/desk');
      await visitor.menu('Data desk').open('Autumn 2026');
      await expect(visitor).toHaveFocusOn('Autumn 2026');
      // One line: there is room for it.
      const title = await page.locator('.ft-annex-title .ft-label').boundingBox();
      expect(title?.height).toBeLessThan(30);
      const annex = visitor.menu('Autumn 2026');
      await annex.choose('13 September');
      await expect(visitor).toStandAt({ heading: 'Session of 13 September' });
      await expect(annex).toMark('13 September');
      await visitor.reload();
      await expect(annex).toMark('13 September');
      await visitor.press('Close Autumn 2026');
      await expect.poll(() => visitor.menus()).not.toContain('Autumn 2026');
      await expect(visitor).toStandAt({ heading: 'Session of 13 September' });
      await visitor.back();
      await expect.poll(() => visitor.menus()).toContain('Autumn 2026');
    });

    test('stays as narrow as it was left', async () => {
      const visitor = await openDesk('/desk');
      await visitor.press('Collapse sidebar');
      await visitor.reload();
      await expect(visitor.menu('Data desk')).toMark('Data desk');
      await visitor.press('Expand sidebar');
    });

    test('is behind a toggle of its own where room is short', async () => {
      const visitor = await openDesk('/desk', 360);
      await expect(visitor.menu('Data desk')).not.toBeOpen();
      await visitor.menu('Data desk').choose('Rota');
      await expect(visitor).toStandAt({ heading: 'Rota' });
      await expect(visitor.menu('Data desk')).not.toBeOpen();
    });

    test('is nothing to those who are not ringers', async () => {
      const visitor = await open('/desk');
      await expect(visitor).toStandAt({ heading: 'For ringers' });
      expect(await visitor.menus()).toEqual(['Main', 'Footer']);
    });
  });

  test('a part of a species page can be sent to someone', async () => {
    const visitor = await open('/species/curlew');
    await visitor.tabs().select('Sightings');
    await expect(visitor).toStandAt(`${base}/species/curlew?part=sightings`);
    await visitor.reload();
    await expect.poll(() => visitor.tabs().selected()).toBe('Sightings');
  });

  test('the hides stand beside each other, and the strip says which one this is', async () => {
    const visitor = await open('/hides/reedbed');
    const strip = visitor.menu('Hides');
    await expect(strip).toMark('Reedbed Hide');
    await strip.choose('Lantern Room');
    await expect(visitor).toStandAt({ heading: 'Lantern Room' });
    await expect(strip).toMark('Lantern Room');
  });

  test.runIf(isWhole).each(
    effort(
      [
        [1280, 200],
        [320, 200],
      ],
      [
        [1280, 100],
        [1280, 200],
        [768, 100],
        [320, 100],
        [320, 200],
      ],
    ),
  )('at %i px with text of %i percent no page is wider than the window', async (width, textSize) => {
    const visitor = await open('/', width);
    const pages = [...everyEntry(site.entries)].filter((entry) => mayAccess(entry, []) === true && !entry.outside);
    const addresses = pages.map((entry) => hrefOf(site, entry)).filter((address) => address !== null);
    // The narrowest window with the largest text is the hardest: the others take every third page.
    const asked = width === 320 && textSize === 200 ? addresses : addresses.filter((_, index) => index % 3 === 0);
    expect(asked.length).toBeGreaterThan(5);
    for (const address of asked) {
      await visitor.visit(address);
      await visitor.at({ textSize });
      expect(await visitor.beyondWindow(), address).toBe(0);
    }
  });
}
