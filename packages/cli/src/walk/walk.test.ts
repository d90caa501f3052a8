import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import {
  defineSite,
  labelOf,
  locate,
  menuItems,
  titleOf,
  type MenuItem,
  type Position,
  type SiteDefinition,
} from 'fair-trail';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import { handFaults } from '../../../fair-trail/src/testing/faults.samples.ts';
import {
  subjectBody,
  subjectDocument,
  subjectScript,
  subjectSite,
} from '../../../fair-trail/src/testing/subject.samples.ts';
import { openBrowser } from '../browser/open-browser.ts';
import { runWalk, type WalkSettings } from './run-walk.ts';
import type { WalkReport } from './walk-report.ts';

let browser: Browser;
const servers: Server[] = [];
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.close();
  for (const server of servers) server.close();
});

const pages = new Set(['/', '/hides', '/hides/reedbed', '/hides/lantern', '/tides', '/visit']);

/** Serves the subject as a sound server does: each page, a redirect, and 404 with the navigation in it. */
const sound =
  (html: string): RequestListener =>
  (request, response) => {
    const path = request.url ?? '/';
    if (path === '/reedbed') response.writeHead(301, { Location: '/hides/reedbed' }).end();
    else response.writeHead(pages.has(path) ? 200 : 404, { 'Content-Type': 'text/html' }).end(html);
  };

async function walk(
  listener: RequestListener,
  {
    definition = subjectSite,
    language = 'en',
    ...settings
  }: Partial<WalkSettings> & { readonly definition?: SiteDefinition } = {},
): Promise<WalkReport> {
  const server = createServer(listener);
  servers.push(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const walked = await runWalk(browser, {
    site: defineSite(definition),
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`,
    audience: [],
    records: {},
    only: null,
    inputs: ['mouse'],
    width: 1280,
    storage: null,
    language,
    patience: 500,
    ...settings,
  });
  return walked.report({
    tool: { name: 'fair-trail', version: '0' },
    site: 'site.json',
    target: 'http://here',
    language,
  });
}

/** What is found, in a line each. */
function reported({ faults }: WalkReport): readonly string[] {
  return faults.map(({ code, blame, entry, message }) => `${code} (${blame}) ${entry ?? 'site'}: ${message}`);
}

const codes = ({ faults }: WalkReport) => [...new Set(faults.map(({ code }) => code))];

test('a sound site is as its site file says, by mouse and by keyboard', async () => {
  const report = await walk(sound(subjectDocument()), { inputs: ['mouse', 'keyboard'], patience: 3000 });
  expect(reported(report)).toEqual([]);
  const { checks } = report.stops.find(({ entry }) => entry === 'reedbed') ?? {};
  expect(checks).toEqual({
    there: 'right',
    'in its menus': 'right',
    'by mouse': 'right',
    'by keyboard': 'right',
    marked: 'right',
    titled: 'right',
    breadcrumbs: 'right',
    'kept by a reload': 'right',
    back: 'right',
    'other addresses': 'right',
    'unknown addresses': 'not judged',
  });
  expect(report.notJudged).toEqual([]);
});

test('records that were not given are not walked, and no faults', async () => {
  const [today, hides, ...others] = subjectSite.entries;
  const below = [{ id: 'hide', label: '{slug}', href: '/hides/:slug', records: 'hides' }];
  const definition = { ...subjectSite, entries: [today, { ...hides, entries: below }, ...others] } as SiteDefinition;
  const report = await walk(sound(subjectDocument()), { definition });
  expect(reported(report)).toEqual([]);
  expect(report.notJudged.map(({ entry, reason }) => [entry, reason])).toEqual([
    ['hide', 'Its address has params, and no records were given for it: give --records with a list “hides”.'],
  ]);
});

describe('faults in pages are found, and blamed on the pages', () => {
  /** Faults of a menu that only its contract can see: no one who walks presses Escape, looks at a name, or is narrow. */
  const unseen = new Set([
    'Escape is not heard',
    'focus is lost at Escape',
    'the narrow menu lacks a page',
    'the bar is wider than a narrow window',
  ]);
  const harmlessHere = new Set([
    'aria-expanded never changes',
    'what is in a closed panel is only transparent, and takes focus',
    'the landmark has no name',
    'the narrow menu stays open over the page that was chosen',
    'Tab does not lead out of the menu',
  ]);
  const all = handFaults.filter(({ name }) => !unseen.has(name) && !harmlessHere.has(name));
  // Each is a walk of its own: a part of them in `npm test`, and all in `npm run soak`.
  const seen = inject('isWholeAudit') ? all : all.filter((_, index) => index % 3 === 0);

  test.concurrent.each(seen.map(({ name, broken }) => [name, broken] as const))('%s', async (name, broken) => {
    const inputs = name.startsWith('Tab') ? (['keyboard'] as const) : (['mouse'] as const);
    // Enough of the pages for each fault to be met, and few enough for a busy machine.
    const report = await walk(sound(subjectDocument(broken)), { inputs, only: ['today', 'reedbed', 'tides', 'visit'] });
    expect(reported(report).filter((line) => !line.includes('(page)'))).toEqual([]);
    expect(codes(report)).not.toEqual([]);
  });

  test.concurrent.each<[string, RequestListener, string]>([
    [
      'a page that only links within the app reach',
      (request, response) => {
        const isMissing = request.url === '/tides';
        sound(subjectDocument())(isMissing ? Object.assign(request, { url: '/none' }) : request, response);
      },
      'page-missing (page) tides: It answers with status 404. Menus lead to it.',
    ],
    [
      'an old address that leads nowhere',
      (request, response) => {
        response.writeHead(pages.has(request.url ?? '') ? 200 : 404, { 'Content-Type': 'text/html' });
        response.end(subjectDocument());
      },
      'old-address-dead (page) reedbed: /reedbed leads to status 404.',
    ],
    [
      'home for whatever no one made',
      (request, response) => {
        if (pages.has(request.url ?? '') || request.url === '/reedbed') sound(subjectDocument())(request, response);
        else response.writeHead(302, { Location: '/' }).end();
      },
      'unknown-not-handled (page) site: /no-such-page-7d1f shows the home page, “Today”, with status 200 and marks “Today” as the page.',
    ],
  ])('%s', async (_, listener, line) => {
    expect(reported(await walk(listener))).toContain(line);
  });
});

test('home for whatever no one made is seen where it is drawn late', async () => {
  const script = `setTimeout(() => { document.body.innerHTML = ${JSON.stringify(subjectBody)}; ${subjectScript.replace("['Page not found', ['/']]", "['Today', []]")} }, 400);`;
  const listener: RequestListener = (_, response) => {
    response.writeHead(200, { 'Content-Type': 'text/html' }).end(subjectDocument({ body: '', script }));
  };
  expect(reported(await walk(listener, { patience: 3000 }))).toContain(
    'unknown-not-handled (page) site: /no-such-page-7d1f shows the home page, “Today”, with status 200.',
  );
});

describe('faults in the site file are distinguished from faults in pages', () => {
  const changed = (change: (text: string) => string) =>
    JSON.parse(change(JSON.stringify(subjectSite))) as SiteDefinition;
  const document = sound(subjectDocument());

  test.concurrent.each<[string, SiteDefinition, string]>([
    [
      'a page that is elsewhere',
      changed((text) => text.replace('"/visit"', '"/visits"')),
      'page-missing (site file) visit: It answers with status 404. The menus lead to /visit under its label.',
    ],
    [
      'a page that no one made',
      { ...subjectSite, entries: [...subjectSite.entries, { id: 'log', label: 'Log', href: '/log' }] },
      'page-missing (site file) log: It answers with status 404. No menu leads to it.',
    ],
    [
      'a label that has changed',
      changed((text) => text.replace('"Tides"', '"Tide tables"')),
      'other-label (site file) tides: It is “Tides” in the menu, and “Tide tables” in the site file. The page’s heading agrees with the menu.',
    ],
    [
      'a pattern of titles that no page follows',
      { ...subjectSite, title: '{site}: {label}' },
      'wrong-title (site file) site: / is titled “Today · Marram”, and “Marram: Today” in the site file. So it is on 6 of 6 pages.',
    ],
    [
      'a page that is missing in a menu',
      { ...subjectSite, menus: { ...subjectSite.menus, main: ['today', { entry: 'hides', depth: 2 }, 'visit'] } },
      'not-in-site-file (site file) site: “Tides” leads to /tides.',
    ],
    [
      'a menu that no page has',
      { ...subjectSite, menus: { ...subjectSite.menus, account: ['reedbed', 'lantern'] } },
      'menu-missing (unclear) site: “account” has 2 pages in the site file.',
    ],
    [
      'a page for others only that all can see',
      changed((text) => text.replace('"href":"/tides"', '"href":"/tides","audience":["ringer"]')),
      'private-shown (page) site: “Tides” leads to /tides.',
    ],
  ])('%s', async (_, definition, line) => {
    expect(reported(await walk(document, { definition }))).toContain(line);
  });
});

test('a page that hangs costs no other, and is reported', async () => {
  const hanging: RequestListener = (request, response) => {
    if (request.url !== '/tides') sound(subjectDocument())(request, response);
    else response.writeHead(200, { 'Content-Type': 'text/html' }).end(subjectDocument({ script: 'for (;;);' }));
  };
  const report = await walk(hanging, { only: ['today', 'tides', 'visit'], patience: 3000, answersWithin: 2000 });
  expect(reported(report)).toEqual([]);
  expect(report.notJudged.map(({ entry, reason }) => `${entry ?? ''}: ${reason}`)).toEqual([
    expect.stringMatching(/^tides: The page could not be used: /u) as string,
  ]);
  expect(report.stops.map(({ entry, checks }) => [entry, checks.titled])).toEqual([
    ['today', 'right'],
    ['tides', 'not judged'],
    ['visit', 'right'],
  ]);
});

describe('a page that is drawn late is waited for', () => {
  const labels: Readonly<Record<string, string>> = {
    '/': 'Today',
    '/hides': 'Hides',
    '/hides/reedbed': 'Reedbed Hide',
    '/hides/lantern': 'Lantern Room',
    '/tides': 'Tides',
    '/visit': 'Visit',
  };
  const titled = (path: string, html: string) =>
    html.replace('<title>Marram', `<title>${labels[path] ?? 'Page not found'} · Marram`);
  const drawnLate = subjectScript.replace(/draw\(false\);$/u, 'setTimeout(() => draw(false), 400);');
  const madeLate = `setTimeout(() => { document.body.innerHTML = ${JSON.stringify(subjectBody)}; ${subjectScript} }, 400);`;

  test.each<[string, (path: string) => string]>([
    ['marks and title', () => subjectDocument({ script: drawnLate })],
    ['marks, where the title is there before', (path) => titled(path, subjectDocument({ script: drawnLate }))],
    ['the menu itself', (path) => titled(path, subjectDocument({ body: '', script: madeLate }))],
  ])('%s', async (_, html) => {
    const listener: RequestListener = (request, response) => sound(html(request.url ?? '/'))(request, response);
    expect(reported(await walk(listener, { patience: 3000, only: ['today', 'reedbed'] }))).toEqual([]);
  });
});

test('what looks as if it did something when it is asked for is left alone', async () => {
  const entries: SiteDefinition['entries'] = [...subjectSite.entries, { id: 'out', label: 'Leave', href: '/sign-out' }];
  const asked: string[] = [];
  const listener: RequestListener = (request, response) => {
    asked.push(request.url ?? '');
    sound(subjectDocument())(request, response);
  };
  const report = await walk(listener, {
    definition: { ...subjectSite, entries },
    only: ['today', 'out'],
    patience: 3000,
  });
  expect(asked).not.toContain('/sign-out');
  expect(reported(report)).toEqual([]);
  expect(report.notJudged[0]?.reason).toMatch(/^Asking for it may sign out or delete something/u);
});

test('records that only others may see are no home page, and are found in a menu', async () => {
  const entries: SiteDefinition['entries'] = [
    ...subjectSite.entries,
    { id: 'log', label: 'Log', href: '/log/:day', audience: ['ringer'], records: 'log' },
  ];
  const menus = { ...subjectSite.menus, main: [{ entry: 'hides', depth: 2 }, 'tides', 'visit'] };
  const shown = subjectBody.replace(
    '<li><a href="/tides">',
    '<li><a href="/log/monday">Monday</a></li><li><a href="/tides">',
  );
  const report = await walk(sound(subjectDocument({ body: shown })), {
    definition: { ...subjectSite, entries, menus },
    only: ['visit'],
  });
  expect(reported(report).filter((line) => line.includes('site:'))).toEqual([
    'not-in-site-file (site file) site: “Today” leads to /.',
    'private-shown (page) site: “Monday” leads to /log/monday.',
  ]);
});

describe('a site in two languages', () => {
  const definition: SiteDefinition = {
    name: { en: 'Marram', cy: 'Moresg' },
    languages: ['cy'],
    home: 'today',
    entries: [
      { id: 'today', label: { en: 'Today', cy: 'Heddiw' }, href: '/' },
      { id: 'hides', label: { en: 'Hides', cy: 'Cuddfannau' }, href: { en: '/hides', cy: '/cuddfannau' } },
      { id: 'tides', label: { en: 'Tides', cy: 'Llanw' }, href: { en: '/tides', cy: '/llanw' } },
    ],
    menus: { main: ['today', 'hides', 'tides'] },
  };
  const site = defineSite(definition);

  /** A server that writes each page in the language of its address, and the menu as it is given. */
  const inTheirLanguage =
    (menuOf: (position: Position) => readonly MenuItem[]): RequestListener =>
    (request, response) => {
      const position = locate(site, request.url ?? '/');
      const links = menuOf(position).map(({ href, label, mark }) => {
        const current = mark === 'page' ? ' aria-current="page"' : '';
        return `<li><a href="${href ?? ''}"${current}>${label}</a></li>`;
      });
      const label = position.entry ? labelOf(site, position.entry, position) : 'Not found';
      response.writeHead(position.status === 'exact' ? 200 : 404, { 'Content-Type': 'text/html; charset=utf-8' });
      response.end(
        `<!DOCTYPE html><html lang="${position.language}"><title>${titleOf(site, position, 'Not found')}</title>` +
          `<nav aria-label="Main"><ul>${links.join('')}</ul></nav><main><h1>${label}</h1></main>` +
          '<nav aria-label="Languages"><a href="/">English</a> <a href="/cy" lang="cy">Cymraeg</a></nav></html>',
      );
    };

  test.concurrent('is walked in the one that is asked for, and the other is reported', async () => {
    const asked = new Set<string>();
    const listener = inTheirLanguage((position) => menuItems(site, 'main', { position }));
    const report = await walk(
      (request, response) => {
        asked.add(`${request.url ?? ''} ${request.headers['accept-language'] ?? ''}`);
        listener(request, response);
      },
      { definition, language: 'cy' },
    );
    expect(reported(report)).toEqual([]);
    expect(report.stops.map(({ address, checks }) => [address, checks['by mouse'], checks.marked])).toEqual([
      ['/cy', 'right', 'right'],
      ['/cy/cuddfannau', 'right', 'right'],
      ['/cy/llanw', 'right', 'right'],
    ]);
    expect(asked).toContain('/cy/no-such-page-7d1f cy');
    expect(report.notJudged.filter(({ check }) => check === null).map(({ reason }) => reason)).toEqual([
      'Pages in other languages are not walked to: en. Give --language for a walk in one of them.',
    ]);
  });

  test.concurrent('a menu that leads out of the language is found', async () => {
    const listener = inTheirLanguage((position) =>
      menuItems(site, 'main', { position }).map((item) =>
        item.href === '/cy/llanw' ? { ...item, href: '/tides', mark: null } : item,
      ),
    );
    const report = await walk(listener, { definition, language: 'cy' });
    expect(reported(report)).toContain(
      'leads-elsewhere (page) tides: “Llanw” leads to /tides, and to /cy/llanw in the site file.',
    );
  });
});

test('what was not tried is reported, and does not count as a pass', async () => {
  const entries: SiteDefinition['entries'] = [
    ...subjectSite.entries,
    { id: 'species-page', label: '{slug}', href: '/species/:slug', records: 'species' },
    { id: 'webcam', label: 'Webcam', href: '/webcam', planned: true },
    { id: 'log', label: 'Log', href: '/log', audience: ['ringer'] },
  ];
  const report = await walk(sound(subjectDocument()), {
    definition: { ...subjectSite, entries },
    only: ['visit', 'webcam', 'log', 'species-page'],
  });
  expect(report.stops.map(({ entry }) => entry)).toEqual(['visit']);
  expect(report.notJudged.map(({ entry, reason }) => `${entry ?? ''}: ${reason}`)).toEqual([
    'species-page: Its address has params, and no records were given for it: give --records with a list “species”.',
    'webcam: It is planned, and not made yet.',
    'log: It is for ringer: give --audience, and with --storage what makes the visitor one.',
  ]);
  expect(report.stops[0]?.checks['by keyboard']).toBe('not judged');
});
