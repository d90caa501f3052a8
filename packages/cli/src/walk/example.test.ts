import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { defineSite } from 'fair-trail';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import definition from '../../../../examples/observatory/observatory.site.json';
import { records } from '../../../../examples/observatory-react/src/records.ts';
import { serveFolder } from '../browser/serve-folder.ts';
import { openBrowser } from '../browser/open-browser.ts';
import { editPages, root } from '../test-command.samples.ts';
import type { FaultCode } from './faults.ts';
import { runWalk, type WalkSettings } from './run-walk.ts';
import type { WalkReport } from './walk-report.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-trail-'));
const site = defineSite(definition, { base: '/observatory/' });
let browser: Browser;

beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Walks a copy of the example as it is shipped, with a script that breaks something in it. */
async function walk(name: string, script: string, settings: Partial<WalkSettings>): Promise<WalkReport> {
  const copy = path.join(folder, name.replaceAll(/\W+/gu, '-'));
  cpSync(path.join(root, '.build/observatory'), path.join(copy, 'observatory'), { recursive: true });
  editPages(copy, '<head>', `<head><script>${script}</script>`);
  const served = await serveFolder(copy, 'observatory/shell.html');
  try {
    const walked = await runWalk(browser, {
      site,
      address: served.url,
      audience: [],
      records,
      only: null,
      inputs: ['mouse', 'keyboard'],
      width: 1280,
      storage: null,
      ...settings,
    });
    return walked.report({
      tool: { name: 'fair-trail', version: '0' },
      site: 'site.json',
      target: 'copy',
      language: 'en',
    });
  } finally {
    served.close();
  }
}

const reported = ({ faults }: WalkReport) =>
  faults.map(({ code, address, message }) => `${code} ${address ?? ''} ${message}`);

/** All of the site takes minutes: a part of each kind in `npm test`, and everything in `npm run soak`. */
const isWhole = inject('isWholeAudit');
const part = ['today', 'lantern-room', 'species-page', 'tide-gauge', 'book'];
const someRecords = {
  ...records,
  species: records.species.slice(0, 1),
  'autumn-sessions': records['autumn-sessions'].slice(0, 1),
};
const timeout = isWhole ? 3_600_000 : 240_000;

describe('our own example is as its site file says', () => {
  test('for everyone', { timeout }, async () => {
    const report = await walk('sound', '', isWhole ? {} : { only: part, records: someRecords });
    expect(reported(report)).toEqual([]);
    expect(report.stops.length).toBeGreaterThanOrEqual(part.length);
  });

  test('for a ringer, with what is behind an annex', { timeout }, async () => {
    const localStorage = [{ name: 'observatory-signed-in', value: 'yes' }];
    const only = ['desk', 'season-autumn-session', 'desk-nets-reedbed-east'];
    const served = await serveFolder(path.join(root, '.build'), 'observatory/shell.html');
    try {
      const walked = await runWalk(browser, {
        site,
        address: served.url,
        audience: ['ringer'],
        records: isWhole ? records : someRecords,
        only: isWhole ? null : only,
        inputs: ['mouse'],
        width: 1280,
        storage: { cookies: [], origins: [{ origin: new URL(served.url).origin, localStorage }] },
      });
      expect(walked.notes.faults).toEqual([]);
    } finally {
      served.close();
    }
  });
});

/** Does something whenever the page has changed. */
const always = (code: string) =>
  `new MutationObserver(() => { ${code} }).observe(document, { childList: true, subtree: true, characterData: true, attributeFilter: ['aria-current', 'href'] });`;
const each = (selector: string, code: string) =>
  always(`for (const element of document.querySelectorAll('${selector}')) { ${code} }`);

const faults: readonly (readonly [name: string, code: FaultCode, only: readonly string[], script: string])[] = [
  [
    'a mark that is taken away',
    'wrong-mark',
    ['tides'],
    each('nav[aria-label=Main] [aria-current]', "element.removeAttribute('aria-current')"),
  ],
  [
    'a link that leads elsewhere',
    'leads-elsewhere',
    ['wardens'],
    each('a[href$="/about/wardens"]', "element.href = '/observatory/about/support'"),
  ],
  [
    'another label',
    'other-label',
    ['about'],
    each(
      'nav[aria-label=Main] a[href$="/about"] .ft-label',
      "if (element.textContent !== 'Team') element.textContent = 'Team'",
    ),
  ],
  [
    'a title that stands still',
    'wrong-title',
    ['tides'],
    "Object.defineProperty(document, 'title', { get: () => 'Marram', set: () => {} });",
  ],
  [
    'a step too few',
    'wrong-breadcrumbs',
    ['lantern-room'],
    each('nav[aria-label=Breadcrumbs] li:nth-child(2)', "element.style.display = 'none'"),
  ],
  [
    'a reload that begins at home',
    'not-kept',
    ['visit'],
    "if (performance.getEntriesByType('navigation')[0].type === 'reload') history.replaceState(null, '', '/observatory/');",
  ],
  [
    'two history entries for one page',
    'back-elsewhere',
    ['tides'],
    'const push = history.pushState; history.pushState = function (...all) { push.apply(this, all); push.apply(this, all); };',
  ],
  [
    'an old address that leads to nothing',
    'old-address-dead',
    ['book'],
    "if (location.pathname.endsWith('/visit/booking')) location.replace('/observatory/nowhere');",
  ],
  [
    'a page that leads on',
    'page-missing',
    ['wardens'],
    "if (location.pathname.endsWith('/wardens')) location.replace('/observatory/about');",
  ],
  [
    'a bar that nothing can be pressed in',
    'not-by-mouse',
    ['tides'],
    each('nav[aria-label=Main]', "element.style.pointerEvents = 'none'"),
  ],
  [
    'a page that keeps Tab to itself',
    'not-by-keyboard',
    ['tides'],
    "addEventListener('keydown', (event) => event.key === 'Tab' && event.preventDefault(), true);",
  ],
];

describe('a fault that was put into a copy is found', () => {
  const some = isWhole ? faults : faults.filter((_, index) => index % 4 === 0);
  test.concurrent.each(some)('%s', { timeout }, async (name, code, only, script) => {
    const inputs = code === 'not-by-keyboard' ? (['keyboard'] as const) : (['mouse'] as const);
    const report = await walk(name, script, { only: ['today', ...only], inputs, patience: 1500 });
    expect(
      report.faults.map((fault) => fault.code),
      reported(report).join('\n'),
    ).toContain(code);
  });
});
