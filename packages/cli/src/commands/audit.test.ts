import { createRequire } from 'node:module';
import { mkdirSync, readFileSync } from 'node:fs';
import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { defineSite } from 'fair-trail';
import Draft04 from 'ajv-draft-04';
import addFormats from 'ajv-formats';
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest';
import type { Browser } from 'playwright-core';
import type { AuditReport } from '../audit/audit-report.ts';
import { isHarmful } from '../browser/harmful.ts';
import { merged } from '../audit/merge-reports.ts';
import { changingPage } from '../audit/probes/page-change.ts';
import { siteProbes } from '../audit/probes/site-map.ts';
import { toggles, togglesOtherwise } from '../audit/probes/toggles.ts';
import type { AuditSettings } from '../audit/audit-settings.ts';
import { runAudit } from '../audit/run-audit.ts';
import { openBrowser } from '../browser/open-browser.ts';
import { writeReport } from '../audit/reports/write-report.ts';
import { place, run, write } from '../test-command.samples.ts';

const sarifSchema = createRequire(import.meta.url)(
  '@microsoft/jest-sarif/lib/schemas/sarif-2.1.0-rtm.5.json',
) as object;
const isSarif = addFormats(new Draft04({ strict: false, unicodeRegExp: false })).compile(sarifSchema);

let browser: Browser;
let server: Server;
let origin: string;
const asked: string[] = [];
const pages: Record<string, string> = {};
const redirects: Record<string, string> = {};
/** How long the server takes to answer, in milliseconds, by the path. */
let delays: Readonly<Record<string, number>> = {};

beforeAll(async () => {
  browser = await openBrowser();
  const answer: RequestListener = (request, response) => {
    const { pathname } = new URL(request.url ?? '/', 'http://localhost');
    asked.push(`${request.method ?? ''} ${pathname}`);
    const page = pages[pathname];
    if (pathname === '/for-ever') response.writeHead(302, { Location: '/for-ever' }).end();
    else if (pathname === '/hangs') return;
    else if (redirects[pathname] !== undefined) response.writeHead(302, { Location: redirects[pathname] }).end();
    else if (page === undefined) response.writeHead(404, { 'Content-Type': 'text/html' }).end('<title>None</title>');
    else response.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8' }).end(page);
  };
  server = createServer((request, response) => {
    setTimeout(() => answer(request, response), delays[request.url ?? ''] ?? 0);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await browser.close();
});

const document = (body: string) =>
  `<!doctype html><html lang="en"><head><title>Page</title></head><body>${body}<main><h1>Page</h1></main></body></html>`;

async function auditOf(
  site: Readonly<Record<string, string>>,
  more: Partial<AuditSettings> = {},
): Promise<AuditReport> {
  for (const name of Object.keys(pages)) Reflect.deleteProperty(pages, name);
  Object.assign(pages, site);
  asked.length = 0;
  return runAudit(browser, {
    start: `${origin}/`,
    target: origin,
    widths: [800],
    pages: 20,
    only: null,
    skip: [],
    tool: { name: 'fair-trail', version: '0' },
    patience: 10_000,
    isStopped: () => false,
    onProgress: () => undefined,
    ...more,
  });
}

const rulesIn = ({ findings }: AuditReport) => findings.map(({ code }) => code);

/** A menu behind a button, with what the button does on a press. */
const toggled = (onclick: string, attributes = 'aria-expanded="false"', tag = 'button') => `
  <${tag} id="toggle" ${attributes}>Menu</${tag}>
  <nav id="menu" hidden><ul><li><a href="/">Today</a></li><li><a href="/hides">Hides</a></li></ul></nav>
  <script>document.getElementById('toggle').addEventListener('click', function () { ${onclick} });</script>`;
const show = "document.getElementById('menu').hidden = !document.getElementById('menu').hidden;";
const tell = "this.setAttribute('aria-expanded', String(!document.getElementById('menu').hidden));";

describe('a toggle', () => {
  test.each<[string, string, string[]]>([
    ['that works', toggled(show + tell), []],
    ['that does nothing', toggled(''), ['toggle-does-nothing']],
    ['that goes on saying that it is closed', toggled(show), ['toggle-state-frozen']],
    [
      'that takes no key',
      toggled(show + tell, 'aria-expanded="false" role="button" tabindex="0"', 'div'),
      ['toggle-mouse-only'],
    ],
    ['of details', '<nav><details><summary>Menu</summary><a href="/">Today</a></details></nav>', []],
    [
      'that is a link where scripts fail',
      '<nav><a href="/more" aria-expanded="false">More</a><a href="/">Today</a></nav>',
      [],
    ],
  ])('%s', async (_, body, rules) => {
    const site = { '/': document(body), '/hides': document(''), '/more': document('') };
    expect(
      rulesIn(await auditOf(site, { only: [...toggles.probes, ...togglesOtherwise.probes].map(({ id }) => id) })),
    ).toEqual(rules);
  });
});

describe('focus', () => {
  const menu = (style: string) =>
    `<nav style="${style}"><a href="/">Today</a></nav><p><a href="/#p" id="p">Next</a></p>`;

  test.each<[string, string, string[]]>([
    ['in a menu that is hidden by its opacity', menu('opacity: 0'), ['focus-on-invisible']],
    [
      'in a menu that stands beside the window',
      menu('position: fixed; left: -900px; width: 300px'),
      ['focus-on-invisible'],
    ],
    ['in a menu that is cut down to nothing', menu('height: 0; overflow: hidden'), ['focus-on-invisible']],
    ['past a menu that is hidden for everyone', menu('visibility: hidden'), []],
    [
      'on a skip link that comes into sight by and by',
      '<style>a.skip { position: fixed; top: -9em; transition: top 0.2s } a.skip:focus { top: 0 }</style><a class="skip" href="#p">Skip</a><p id="p"></p>',
      [],
    ],
  ])('%s', async (_, body, rules) => {
    const report = await auditOf({ '/': document(body) }, { only: ['focus-on-invisible'] });
    expect(rulesIn(report)).toEqual(rules);
  });
});

test('a shared header is reported once, with all its pages, and a link that is dead with where it stands', async () => {
  const header =
    '<nav><ul><li><a href="/">Today</a></li><li><a href="/b">B</a></li><li><a href="/gone"></a></li></ul></nav>';
  const report = await auditOf(
    { '/': document(header), '/b': document(header) },
    { widths: [320, 800], only: ['link-without-name', 'dead-link'] },
  );
  expect(report.pages.map(({ url }) => new URL(url).pathname)).toEqual(['/', '/b']);
  expect(report.findings).toMatchObject([
    { code: 'dead-link', pages: [`${origin}/`] },
    { code: 'link-without-name', pages: [`${origin}/`, `${origin}/b`], width: 320, html: '<a href="/gone"></a>' },
  ]);
  expect(report.notChecked).toMatchObject([{ rule: '*', reason: 'The page answers with status 404.' }]);
});

test('nothing leaves the origin, and nothing is sent', async () => {
  const other = createServer((request, response) => {
    asked.push(`other ${request.url ?? ''}`);
    response.end();
  });
  await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
  const elsewhere = `http://127.0.0.1:${(other.address() as AddressInfo).port}`;
  const body = `<script src="${elsewhere}/script.js"></script>
    <nav><a href="${elsewhere}/page">Elsewhere</a><a href="/logout">Abroad</a><a href="/x">Sign out</a><a href="/">Today</a>
    <button aria-expanded="false" onclick="alert(1); fetch('/save', { method: 'POST' }); fetch('${elsewhere}/beacon'); new WebSocket('ws://${elsewhere.slice(7)}/socket')">Menu</button></nav>`;
  const report = await auditOf({ '/': document(body) });
  other.closeAllConnections();
  other.close();
  expect(asked.filter((request) => !request.startsWith('GET /'))).toEqual([]);
  expect(asked).not.toContain('GET /logout');
  expect(asked).not.toContain('GET /x');
  // Its script was not loaded, so what it may have done is not compared with it.
  expect(report.notChecked.map(({ rule }) => rule)).toContain('toggle-does-nothing');
  expect(rulesIn(report)).not.toContain('toggle-does-nothing');
});

test('what looks as if it signed out is neither pressed nor asked for, whatever asks for it', async () => {
  const body = `<header><button onclick="fetch('/pressed')">Sign out</button><span onclick="fetch('/pressed')">Log out</span>
    <button onclick="location.href = '/account/logout'">Leave</button><nav><a href="/">Today</a></nav></header>`;
  await auditOf(
    { '/': document(body), '/account/logout': document('') },
    { only: ['toggle-mouse-only', 'not-by-keyboard'] },
  );
  expect(asked).not.toContain('GET /pressed');
  expect(asked).not.toContain('GET /account/logout');
});

test('a redirect to another origin is not followed, nor is a frame, a style or a worker of one', async () => {
  const other = createServer((request, response) => {
    asked.push(`other ${request.url ?? ''}`);
    response.end();
  });
  await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
  const elsewhere = `http://127.0.0.1:${(other.address() as AddressInfo).port}`;
  redirects['/away'] = `${elsewhere}/redirected`;
  const body = `<link rel="stylesheet" href="${elsewhere}/style.css"><iframe src="${elsewhere}/frame"></iframe><img src="/away">
    <nav><a href="/away">Away</a><a href="/">Today</a></nav><form id="f" method="post" action="/save"><button>Go</button></form>
    <script>navigator.sendBeacon('${elsewhere}/beacon'); new Worker(URL.createObjectURL(new Blob(["fetch('${elsewhere}/worker')"])));
    document.getElementById('f').submit();</script>`;
  const report = await auditOf({ '/': document(body) }, { only: ['dead-link', 'focus-on-invisible'] });
  other.closeAllConnections();
  other.close();
  Reflect.deleteProperty(redirects, '/away');
  expect(asked.filter((request) => !request.startsWith('GET /'))).toEqual([]);
  expect(asked).toContain('GET /away');
  expect(rulesIn(report)).toEqual([]);
});

test('a page that hangs and one that crashes are reported, and the others are audited', async () => {
  const links = '<nav><a href="/hanging">A</a><a href="/crash">B</a><a href="/b">D</a></nav>';
  const report = await auditOf(
    {
      '/': document(links),
      '/hanging': document('<script>addEventListener("load", () => setTimeout(() => { for (;;); }))</script>'),
      '/crash': document('<script>location.href = "chrome://crash"</script>'),
      '/b': document('<nav><a href="/"></a></nav>'),
    },
    { only: ['link-without-name'] },
  );
  expect(report.notChecked.find(({ pages: on }) => on.includes(`${origin}/hanging`))?.reason).toContain('hangs');
  expect(report.pages.map(({ url }) => new URL(url).pathname)).toContain('/b');
  expect(rulesIn(report)).toContain('link-without-name');
});

test('of very many links the first are read, and the others reported as not checked', async () => {
  const menu = `<nav><ul><li><a href="/b"></a></li>${'<li><a href="/b?x">Many</a></li>'.repeat(20_000)}</ul></nav>`;
  const settings = { only: ['link-without-name'], pages: 1, patience: 60_000 };
  const report = await auditOf({ '/': document(menu), '/b': document('') }, settings);
  expect(report.notChecked.map(({ reason }) => reason).join('\n')).toContain('20001 links');
  expect(rulesIn(report)).toEqual(['link-without-name']);
});

test('shards share the pages out, and together find what one run finds', async () => {
  const menu = '<nav><a href="/">A</a><a href="/b">B</a><a href="/c">C</a><a href="/d">D</a></nav>';
  const site = Object.fromEntries(
    ['/', '/b', '/c', '/d'].map((path) => [path, document(`${menu}<nav><a href="${path}#"></a></nav>`)]),
  );
  const only = ['link-without-name'];
  const whole = await auditOf(site, { only });
  const shards = [
    await auditOf(site, { only, shard: { index: 1, count: 2 } }),
    await auditOf(site, { only, shard: { index: 2, count: 2 } }),
  ];
  const urls = (report: AuditReport) => report.pages.map(({ url }) => url).toSorted();
  expect(shards.flatMap(urls).toSorted()).toEqual(urls(whole));
  expect(shards.every(({ pages: own }) => own.length > 0)).toBe(true);
  const together = merged(shards);
  const reported = ({ findings }: AuditReport) => findings.map(({ code, html }) => `${code} ${html}`).toSorted();
  expect(reported(together)).toEqual(reported(whole));
  expect(together.summary).toEqual(whole.summary);
});

test('a site is compared with its site file', async () => {
  const site = defineSite({
    name: 'Marram Point',
    home: 'today',
    title: '{label} · {site}',
    entries: [
      { id: 'today', label: 'Today', href: '/' },
      { id: 'hides', label: 'Hides', href: '/hides' },
      { id: 'tides', label: 'Tides', href: '/tides' },
      { id: 'later', label: 'Later', href: '/later', planned: true },
    ],
    menus: { main: ['today', 'hides', 'tides'] },
  });
  const titled = (title: string, body: string) =>
    document(body).replace('<title>Page</title>', `<title>${title}</title>`);
  const menu = (mark: string) => `<nav><a href="/"${mark}>Today</a><a href="/hides">Hides</a></nav>`;
  const broken = await auditOf(
    {
      '/': titled(
        'Today · Marram Point',
        menu(' aria-current="page"').replace('</nav>', '<a href="/shop">Shop</a></nav>'),
      ),
      '/hides': titled('Birds', menu('')),
      '/shop': document(''),
    },
    { site, only: siteProbes.map(({ id }) => id) },
  );
  expect(rulesIn(broken).toSorted()).toEqual([
    'site-link-unknown',
    'site-mark-differs',
    'site-page-missing',
    'site-title-differs',
  ]);
  const sound = await auditOf(
    {
      '/': titled(
        'Today · Marram Point',
        menu(' aria-current="page"').replace('</nav>', '<a href="/tides">Tides</a></nav>'),
      ),
      '/hides': titled(
        'Hides · Marram Point',
        menu('').replace('<a href="/hides"', '<a aria-current="page" href="/hides"'),
      ),
      '/tides': titled('Tides · Marram Point', menu('')),
    },
    { site, only: siteProbes.map(({ id }) => id) },
  );
  expect(rulesIn(sound)).toEqual([]);
});

test('a title that comes late is waited for before it is judged', async () => {
  const site = defineSite({
    name: 'Marram',
    entries: [
      { id: 'today', label: 'Today', href: '/' },
      { id: 'hides', label: 'Hides', href: '/hides' },
    ],
    menus: { main: ['today', 'hides'] },
  });
  const late = (title: string) => {
    const script = `<script>setTimeout(() => { document.title = '${title}'; }, 700)</script>`;
    return document(`<nav><a href="/">Today</a><a href="/hides">Hides</a></nav>${script}`).replace('>Page<', '><');
  };
  const only = ['site-title-differs', 'page-without-title', 'titles-same'];
  const pages = { '/': late('Today · Marram'), '/hides': late('Hides · Marram') };
  expect(rulesIn(await auditOf(pages, { site, only }))).toEqual([]);
  expect(rulesIn(await auditOf(pages, { only }))).toEqual([]);
  // And one that never comes is reported still.
  const never = { ...pages, '/hides': late('').replace('700', '99999') };
  expect(rulesIn(await auditOf(never, { only }))).toEqual(['page-without-title']);
});

test('what is in a frame of the same origin is read', async () => {
  const report = await auditOf(
    { '/': document('<iframe src="/frame"></iframe>'), '/frame': document('<nav><a href="/x"></a></nav>') },
    { only: ['link-without-name'] },
  );
  expect(report.findings).toMatchObject([{ selector: 'iframe >>> body > nav > a', state: 'rest, in a frame' }]);
});

test('one bad page does not cost the others', async () => {
  const body = '<nav><a href="/for-ever">A</a><a href="/b">B</a><a href="/c">C</a></nav>';
  const site = {
    '/': document(body),
    '/b': document('<nav><a href="/"></a></nav>'),
    '/c': document('<script>window.stop(); document.documentElement.remove();</script>'),
  };
  const report = await auditOf(site, { only: ['link-without-name'], patience: 3000 });
  expect(report.pages.map(({ url }) => new URL(url).pathname)).toContain('/b');
  expect(rulesIn(report)).toContain('link-without-name');
  expect(report.notChecked.find(({ pages: on }) => on.includes(`${origin}/for-ever`))?.reason).toContain(
    'could not be used',
  );
});

test('a run that is stopped keeps what it found, and one with a bound says what is left', async () => {
  const site = {
    '/': document('<nav><a href="/b"></a><a href="/c">C</a></nav>'),
    '/b': document(''),
    '/c': document(''),
  };
  let asks = 0;
  const only = ['link-without-name'];
  const stopped = await auditOf(site, { only, isStopped: () => (asks += 1) > 1 });
  expect(stopped.pages).toHaveLength(1);
  expect(rulesIn(stopped)).toEqual(['link-without-name']);
  const bounded = await auditOf(site, { only, pages: 1 });
  expect(bounded.notChecked).toMatchObject([
    { rule: '*', reason: '2 more pages are linked. --pages says how many are visited.' },
  ]);
});

test.each([
  ['/logout', 'Out', true],
  ['/session?do=sign-out', 'Bye', true],
  ['/a', 'Abmelden', true],
  ['/basket/remove/3', 'x', true],
  ['/logoutfits', 'Logo outfits', false],
  ['/cancellation-terms', 'Terms', false],
])('whether following %s (%s) does something: %s', (path, label, harmful) => {
  expect(isHarmful(new URL(path, 'https://marram.example'), label)).toBe(harmful);
});

describe('a server that takes its time', () => {
  afterEach(() => (delays = {}));

  /** An app of one document that fetches its pages, and shows that they are on their way. */
  const app = document(`<nav><a href="/">Today</a> <a href="/b">Tides</a></nav>
    <script>
      const show = async (path) => {
        for (const link of document.links) link.toggleAttribute('aria-current', false);
        const heading = document.querySelector('h1');
        heading.textContent = 'Just a moment';
        const label = await (await fetch('/label' + path)).text();
        document.querySelector('a[href="' + path + '"]').setAttribute('aria-current', 'page');
        document.title = heading.textContent = label;
        heading.tabIndex = -1;
        heading.focus();
      };
      addEventListener('click', (event) => {
        const link = event.target.closest('a');
        if (!link) return;
        event.preventDefault();
        history.pushState(null, '', link.href);
        show(link.pathname);
      });
      addEventListener('popstate', () => show(location.pathname));
      document.addEventListener('DOMContentLoaded', () => show(location.pathname));
    </script>`);

  test('is waited for, where an app fetches the page that is wanted', async () => {
    const site = { '/': app, '/b': app, '/label/': 'Today', '/label/b': 'Tides' };
    const only = changingPage.probes.map(({ id }) => id);
    delays = { '/label/': 500, '/label/b': 500 };
    expect(rulesIn(await auditOf(site, { only }))).toEqual([]);
  });

  test('costs no finding, where a link is on its way still as another page is asked for', async () => {
    const site = {
      '/': document('<nav><a href="/">A</a><a href="/b">B</a><a href="/c">C</a></nav>'),
      '/b': document('<nav><a href="/" aria-current="page">A</a><a href="/b">B</a><a href="/">C</a></nav>'),
      '/c': document(''),
    };
    const only = ['mark-on-another-page', ...changingPage.probes.map(({ id }) => id)];
    const reported = ({ findings, notChecked }: AuditReport) => [findings.map(({ code }) => code), notChecked];
    const quick = await auditOf(site, { only });
    delays = { '/': 900, '/c': 200 };
    const slow = await auditOf(site, { only });
    expect(rulesIn(quick)).toEqual(['mark-on-another-page']);
    expect(reported(slow)).toEqual(reported(quick));
  });
});

describe('the command', () => {
  const site = () => {
    write(
      'site/index.html',
      document('<nav><a href="/"></a><a href="/b.html"><b>B</b> &lt;&amp;\u001b[31m</a><a href="c.html">C</a></nav>'),
    );
    write(
      'site/b.html',
      document('<nav><a href="/" aria-current="page">A</a><a href="/b.html">B</a><a href="/">C</a></nav>'),
    );
    write('site/c.html', document(''));
    return place('site');
  };

  const twoRules = ['--widths', '800', '--only', 'link-without-name,mark-on-another-page'];

  test('audits a folder, and says what, where, whom and how', () => {
    const { status, stdout } = run('audit', site(), '--widths', '800');
    expect(status).toBe(1);
    expect(stdout).toContain(
      'error A link has no name: nothing says where it leads. [link-without-name, WCAG 2.4.4, 4.1.2]',
    );
    expect(stdout).toContain('error A menu marks another page than the one that is shown.');
    expect(stdout).toMatch(/3 pages: \d errors, \d warnings?s?, 0 advice\.\n$/u);
    expect(stdout).not.toContain('\u001b');
  });

  test('its logs follow their schemas, and what comes from pages is data in them', () => {
    const folder = site();
    const json = JSON.parse(
      run('audit', folder, ...twoRules, '--format', 'json', '--fail-on', 'never').stdout,
    ) as AuditReport;
    expect(json.findings.length).toBe(2);
    expect(Object.keys(json)).toEqual(['tool', 'target', 'pages', 'findings', 'notChecked', 'summary']);
    const junit = writeReport(json, 'junit');
    expect(junit).toContain('<testsuite name="navigation"');
    expect(junit.match(/<failure /gu)?.length).toBe(
      json.findings.filter(({ severity }) => severity !== 'advice').length,
    );
    const sarif = JSON.parse(writeReport(json, 'sarif')) as object;
    isSarif(sarif);
    expect(isSarif.errors ?? []).toEqual([]);
  });

  test('its HTML report is one file, shows where each is, and is itself sound', async () => {
    const folder = site();
    const report = () => run('audit', folder, ...twoRules, '--format', 'html', '--out', place('report/index.html'));
    expect(report().status).toBe(2);
    mkdirSync(place('report'));
    expect(report().status).toBe(1);
    const html = readFileSync(place('report/index.html'), 'utf8');
    expect(html).toContain('<rect class="frame"');
    expect(html).not.toMatch(/<script|\ssrc=|href="(?!#|data:)/u);
    expect((await auditOf({ '/': html }, { widths: [320, 1280] })).findings).toEqual([]);
  });

  test('makes one report of several, and refuses what is none', () => {
    const folder = site();
    for (const part of ['1/2', '2/2']) {
      const file = place(`part-${part[0] ?? ''}.json`);
      run(
        'audit',
        folder,
        '--widths',
        '800',
        '--shard',
        part,
        '--format',
        'json',
        '--out',
        file,
        '--only',
        'link-without-name',
      );
    }
    const merge = run('audit', 'merge', place('part-1.json'), place('part-2.json'), '--format', 'json');
    expect(merge.status).toBe(1);
    expect((JSON.parse(merge.stdout) as AuditReport).pages).toHaveLength(3);
    const refused = run('audit', 'merge', place('part-1.json'), write('none.json', '{"findings": 3}'));
    expect(refused).toMatchObject({ status: 2, stdout: '' });
    expect(refused.stderr).toContain('[not-a-report]');
  });

  test('serves a one-page app at every address', () => {
    const folder = path.dirname(write('app/index.html', document('<nav><a href="/deep/page">Deep</a></nav>')));
    const { stdout } = run(
      'audit',
      folder,
      '--fallback',
      'index.html',
      '--widths',
      '800',
      '--only',
      'dead-link',
      '--format',
      'json',
    );
    const { findings, pages } = JSON.parse(stdout) as AuditReport;
    expect(findings).toEqual([]);
    expect(pages).toHaveLength(2);
  });

  test.each([
    [['/no/such/folder'], 'file-missing', 2],
    [['.', '--only', 'no-such-rule'], 'unknown-rule', 2],
    [['.', '--widths', 'wide'], 'bad-usage', 2],
    [['.', '--shard', '3/2'], 'bad-usage', 2],
    [['.', '--fallback', 'none.html'], 'file-missing', 2],
    [['.', '--site', '/no/such/site.json'], 'file-missing', 2],
    [['http://127.0.0.1:9/', '--start', 'https://elsewhere.example/'], 'bad-address', 2],
    [['http://127.0.0.1:9/'], 'nothing-found', 2],
    [['.', '--browser', '/no/such/browser'], 'no-browser', 3],
  ])('%j is refused: %s', (options, code, exit) => {
    const { status, stdout, stderr } = run('audit', ...options.map((option) => (option === '.' ? site() : option)));
    expect(status).toBe(exit);
    expect(stdout === '' || code === 'nothing-found').toBe(true);
    expect(stderr).toContain(`[${code}]`);
  });
});
