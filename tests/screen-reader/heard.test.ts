import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import sirv from 'sirv';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { missingForListening, openListener, type Listener } from './listen.ts';

/**
 * What a screen reader says on ten ways through the example, in Firefox. Each list is what a listener hears. Where
 * one changes, read it as a listener would before it is written down here.
 */

const missing = missingForListening();
if (missing.length > 0)
  console.warn(`Skipped: what a screen reader says, since these are not here: ${missing.join(', ')}.`);

let server: Server | undefined;
let listener: Listener | undefined;

beforeAll(async () => {
  if (missing.length > 0) return;
  const serve = sirv('.build/served', { single: 'shell.html' });
  server = createServer((request, response) => serve(request, response, () => void response.writeHead(404).end()));
  await new Promise<void>((resolve) => server?.listen(0, '127.0.0.1', resolve));
  listener = await openListener();
});
afterAll(async () => {
  await listener?.close();
  server?.close();
});

interface Journey {
  readonly name: string;
  readonly at: string;
  /** In CSS pixels. Default: 1280. */
  readonly width?: number;
  /** Whether a ringer is there, who may see more. Default: a visitor. */
  readonly signedIn?: boolean;
  /** What has focus at first. */
  readonly from: string;
  readonly keys: readonly string[];
  /** What is said then, in this order. What had focus at first may be said before it, and modes of the reader between. */
  readonly said: readonly (string | RegExp)[];
}

const journeys: readonly Journey[] = [
  { name: 'into the bar', at: '/', from: '.ft-brand', keys: ['Tab'], said: [/^Today (?:visited )?link\.$/u] },
  {
    name: 'a panel',
    at: '/',
    from: '.ft-bar .ft-panel-trigger',
    keys: ['Return', 'Tab', 'Escape'],
    said: [
      'expanded',
      'Causeway Hide Waders at every tide, step-free link.',
      'Browse mode',
      'Pages in Hides collapsed push button.',
    ],
  },
  {
    name: 'the narrow menu',
    at: '/',
    width: 400,
    from: '.ft-toggle',
    keys: ['Return', 'Tab'],
    said: ['expanded', /^Today (?:visited )?link\.$/u],
  },
  {
    name: 'breadcrumbs',
    at: '/hides/reedbed',
    from: '.ft-breadcrumbs a',
    keys: ['Tab', 'Tab', 'Tab'],
    said: [
      'Pages beside Today collapsed push button.',
      /^Hides (?:visited )?link\.$/u,
      'Pages beside Hides collapsed push button.',
    ],
  },
  {
    name: 'tabs',
    at: '/species/curlew',
    from: '[role=tab][aria-selected=true]',
    keys: ['Right'],
    said: ['Sightings page tab.'],
  },
  {
    name: 'a filter',
    at: '/desk',
    signedIn: true,
    from: '.ft-filter-field',
    keys: ['n', 'e', 'z'],
    said: ['5 pages match', '2 pages match'],
  },
  {
    name: 'a rail',
    at: '/desk',
    signedIn: true,
    from: '.ft-rail-button',
    keys: ['Return', 'Tab', 'shift+Tab'],
    said: [/^Data desk (?:visited )?link\.$/u, 'Expand sidebar push button.'],
  },
  {
    name: 'an annex',
    at: '/desk',
    signedIn: true,
    from: '.ft-annex-trigger',
    keys: ['Return', 'Tab'],
    said: ['navigation Autumn 2026', 'Autumn 2026 link heading level 2.'],
  },
  {
    name: 'a page change',
    at: '/',
    from: '.ft-bar a[href="/tides"]',
    keys: ['Return'],
    said: ['leaving list.', 'leaving navigation.', 'leaving banner.', 'main content', /^Tides heading level 1/u],
  },
  {
    name: 'a page that is not there',
    at: '/nowhere',
    from: '.ft-skip-link',
    keys: ['Return'],
    said: ['main content.'],
  },
];

describe.skipIf(missing.length > 0)('what a listener hears', () => {
  test.each(journeys)('$name', async ({ at, width = 1280, signedIn = false, from, keys, said }) => {
    if (!listener || !server) throw new Error('No one listens.');
    const { driver, hear, hearAfter } = listener;
    await driver.resize({ width, height: 800 });
    const { port } = server.address() as AddressInfo;
    await hearAfter(() => driver.visit(`http://127.0.0.1:${port}${at}`));
    if (signedIn)
      await hearAfter(() => driver.evaluate(`document.querySelector('[data-ft-action="sign-in"]')?.click()`));
    await hearAfter(() => driver.evaluate(`document.querySelector(${JSON.stringify(from)}).focus()`));
    const heard: string[] = [];
    for (const key of keys) heard.push(...(await hear(key)));
    let next = 0;
    for (const wanted of said) {
      const place = heard.findIndex(
        (one, index) => index >= next && (typeof wanted === 'string' ? one === wanted : wanted.test(one)),
      );
      expect(place, `${String(wanted)} after ${next} of ${JSON.stringify(heard)}`).toBeGreaterThanOrEqual(0);
      next = place + 1;
    }
    expect(heard.filter((one, index) => one === heard[index + 1])).toEqual([]);
  });
});
