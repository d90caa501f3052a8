import { readFileSync } from 'node:fs';
import { chromium, type Browser, type Page } from 'playwright';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { chromiumArguments, findChromium } from '../../../../scripts/chromium.mjs';
import type * as core from '../core/index.ts';
import type * as dom from './index.ts';

/**
 * Each test has a window of its own: what another has left in its history would count, and going too far in it would
 * leave the page.
 */

let browser: Browser;
beforeAll(async () => {
  browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
});
afterAll(() => browser.close());

/** What the page under test offers. */
interface Lab {
  readonly navigate: (url: string, history?: 'push') => void;
  readonly guard: () => void;
  /** As `guard`, but the page agrees at once. */
  readonly agree: () => void;
  readonly release: () => void;
  readonly answer: (mayLeave: boolean) => void;
  /** The addresses that the page was asked to be left for. */
  readonly asked: string[];
  readonly current: () => string;
}

declare global {
  interface Window {
    modules: { readonly core: typeof core; readonly dom: typeof dom };
    lab: Lab;
  }
}

const html = `<title>Lab</title><script type="module">
  import * as core from '/dist/core/index.js';
  import * as dom from '/dist/dom/index.js';
  window.modules = { core, dom };
</script>`;

const dist = new URL('../../dist/', import.meta.url);

/** A page at an address that the library's own modules are served at, and nothing else. */
async function open(makeHistory: 'windowHistory' | 'navigationHistory', isFull: boolean): Promise<Page> {
  const page = await browser.newPage();
  await page.route('http://marram.test/**', async (route) => {
    const { pathname } = new URL(route.request().url());
    if (!pathname.startsWith('/dist/')) return route.fulfill({ contentType: 'text/html', body: html });
    const body = readFileSync(new URL(pathname.slice('/dist/'.length), dist));
    return route.fulfill({ contentType: 'text/javascript', body });
  });
  await page.goto('http://marram.test/');
  await page.evaluate(
    ([name, isAtLimit]) => {
      // So many entries that the browser forgets the first, and counts no further.
      if (isAtLimit) for (let count = 0; count < 60; count += 1) window.history.pushState(null, '', '/');
      const { defineSite } = window.modules.core;
      const { openRouter, ...histories } = window.modules.dom;
      const entries = ['', 'hides', 'form', 'tides'].map((word) => ({
        id: word || 'today',
        label: 'X',
        href: `/${word}`,
      }));
      const site = defineSite({ name: 'x', entries });
      const router = openRouter({ site, window, history: histories[name](window), viewTransitions: false });
      router.connect();
      const asked: string[] = [];
      let answer: (mayLeave: boolean) => void = () => undefined;
      let release: () => void = () => undefined;
      window.lab = {
        navigate: (url, history = 'push') => router.navigate(url, { history }),
        guard: () => {
          release = router.guard(({ url }) => {
            asked.push(url);
            return new Promise<boolean>((resolve) => (answer = resolve));
          });
        },
        agree: () => void router.guard(() => true),
        release: () => release(),
        answer: (mayLeave) => answer(mayLeave),
        asked,
        current: () => router.state.current.url,
      };
    },
    [makeHistory, isFull] as const,
  );
  return page;
}

/** Waits until the address and the questions asked are these. */
async function becomes(page: Page, pathname: string, asked: readonly string[]): Promise<void> {
  const shown = () => page.evaluate(() => [window.location.pathname, window.lab.asked] as const);
  await expect.poll(shown).toEqual([pathname, asked]);
}

const back = (page: Page, delta = -1) => page.evaluate((distance) => window.history.go(distance), delta);
const answer = (page: Page, mayLeave: boolean) => page.evaluate((value) => window.lab.answer(value), mayLeave);

describe.each([
  ['the History API', 'windowHistory', false],
  ['the Navigation API', 'navigationHistory', false],
  ['the History API, where the browser counts no further', 'windowHistory', true],
  ['the Navigation API, where the browser counts no further', 'navigationHistory', true],
] as const)('beside a script that writes the history itself, by %s', (_, makeHistory, isFull) => {
  test('a guarded page is asked before Back leaves it for an entry of that script', async () => {
    const page = await open(makeHistory, isFull);
    await page.evaluate(() => {
      window.lab.navigate('/hides');
      window.history.pushState(null, '', '/theirs');
      window.lab.navigate('/form');
      window.lab.guard();
    });
    await back(page);
    await becomes(page, '/form', ['/theirs']);
    await answer(page, false);
    await back(page);
    await becomes(page, '/form', ['/theirs', '/theirs']);
    await answer(page, true);
    await becomes(page, '/theirs', ['/theirs', '/theirs']);
    await page.close();
  });

  test('and before it goes forward to one', async () => {
    const page = await open(makeHistory, isFull);
    await page.evaluate(() => {
      window.lab.navigate('/form');
      window.history.pushState(null, '', '/theirs');
    });
    await back(page);
    await becomes(page, '/form', []);
    await page.evaluate(() => window.lab.guard());
    await back(page, 1);
    await becomes(page, '/form', ['/theirs']);
    await answer(page, true);
    await becomes(page, '/theirs', ['/theirs']);
    await page.close();
  });

  test('the distance counts the entries of that script', async () => {
    const page = await open(makeHistory, isFull);
    await page.evaluate(() => {
      window.lab.navigate('/hides');
      window.history.pushState(null, '', '/theirs');
      window.history.pushState(null, '', '/theirs/too');
      window.lab.navigate('/form');
      window.lab.guard();
    });
    await back(page, -3);
    await becomes(page, '/form', ['/hides']);
    await answer(page, true);
    await becomes(page, '/hides', ['/hides']);
    await page.close();
  });

  test('what that script keeps with its entries stays as it is', async () => {
    const page = await open(makeHistory, isFull);
    const kinds = ['[object Array]', '[object String]', '[object Number]', '[object Date]', '[object Object]'];
    for (const [index, kind] of kinds.entries()) {
      await page.evaluate((number) => {
        const states = [[1, { a: 2 }], 'text', 7, new Date(0), { b: [1] }];
        window.history.pushState(states[number], '', `/theirs/${number}`);
        window.lab.navigate('/hides');
      }, index);
      await back(page);
      await expect.poll(() => page.evaluate(() => window.lab.current())).toBe(`/theirs/${index}`);
      const [found, text] = await page.evaluate(() => {
        const { state } = window.history as { state: unknown };
        return [Object.prototype.toString.call(state), JSON.stringify(state)] as const;
      });
      expect(found).toBe(kind);
      expect(text).toContain(['[1,{"a":2}]', '"text"', '7', '1970-01-01', '"b":[1]'][index]);
    }
    await page.close();
  });

  test('a page that agrees at once is left by one step', async () => {
    const page = await open(makeHistory, isFull);
    await page.evaluate(() => {
      window.lab.navigate('/tides');
      window.lab.navigate('/hides');
      window.lab.navigate('/form');
      window.lab.agree();
    });
    await back(page);
    // The History API goes there, back, and there again.
    const shown = () => page.evaluate(() => [window.location.pathname, window.lab.current()]);
    await expect.poll(shown).toEqual(['/hides', '/hides']);
    await page.close();
  });

  test('once a guard is released, Back goes on although its question is still open', async () => {
    const page = await open(makeHistory, isFull);
    await page.evaluate(() => {
      window.lab.navigate('/hides');
      window.lab.navigate('/form');
      window.lab.guard();
    });
    await back(page);
    await becomes(page, '/form', ['/hides']);
    await page.evaluate(() => window.lab.release());
    await back(page);
    await becomes(page, '/hides', ['/hides']);
    // The answer comes too late to change anything.
    await answer(page, true);
    expect(await page.evaluate(() => window.lab.current())).toBe('/hides');
    await becomes(page, '/hides', ['/hides']);
    await page.close();
  });
});
