import { execFile } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { auditSite } from '@fair-trail/cli/audit';
import { HtmlValidate } from 'html-validate';
import { defaultTreeAdapter, parse, type DefaultTreeAdapterTypes } from 'parse5';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { chromiumArguments, findChromium } from '../../scripts/chromium.mjs';
import { documentationFolder, serveDocumentation } from '../../scripts/documentation.mjs';
import { complaintsIn } from '../../examples/observatory/complaints.ts';
import { effort } from '../../tests/effort.ts';
import { addressOfFile } from './build/addresses.ts';
import { documentationFiles } from './build/documentation-plugin.ts';

/** The documentation as it was built: its files, and what a reader does with them. */

const base = '/some/where/';
const pages = readdirSync(documentationFolder, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('index.html'))
  .toSorted();

let served: Awaited<ReturnType<typeof serveDocumentation>>;
let browser: Browser;
let context: BrowserContext;
let complaints: string[] = [];

beforeAll(async () => {
  served = await serveDocumentation({ base });
  browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
});
afterAll(async () => {
  await browser.close();
  served.close();
});

describe('the files', () => {
  interface ReadPage {
    readonly links: readonly string[];
    readonly ids: ReadonlySet<string>;
    readonly text: string;
  }

  const read = new Map<string, ReadPage>();

  function readPage(file: string): ReadPage {
    const known = read.get(file);
    if (known) return known;
    const text = readFileSync(path.join(documentationFolder, file), 'utf8');
    const links: string[] = [];
    const ids = new Set<string>();
    const visit = (node: DefaultTreeAdapterTypes.ChildNode) => {
      if (!defaultTreeAdapter.isElementNode(node)) return;
      for (const { name, value } of node.attrs) {
        if (name === 'id') ids.add(value);
        if (name === 'src' || (name === 'href' && node.tagName !== 'base')) links.push(value);
      }
      node.childNodes.forEach(visit);
    };
    parse(text).childNodes.forEach(visit);
    const page = { links, ids, text };
    read.set(file, page);
    return page;
  }

  test('are a page for each Markdown file, and for each rule of the audit', () => {
    const missing = documentationFiles()
      .map((file) => path.posix.join((addressOfFile(file) ?? '').slice(1), 'index.html'))
      .filter((file) => !pages.includes(file));
    expect(missing).toEqual([]);
  });

  test('lead to each other, and to headings that are there', () => {
    const broken: string[] = [];
    for (const file of pages) {
      for (const link of readPage(file).links) {
        if (/^[a-z]+:/u.test(link)) continue;
        const [target = '', hash = ''] = link.split('#');
        const other = target === '' ? file : path.posix.join(path.posix.dirname(file), target.split('?')[0] ?? '');
        const isThere = existsSync(path.join(documentationFolder, other));
        const isKnown = hash === '' || !other.endsWith('.html') || (isThere && readPage(other).ids.has(hash));
        if (!isThere || !isKnown) broken.push(`${file}: ${link}`);
      }
    }
    expect(broken).toEqual([]);
  });

  test('write no inline style and no inline script, so that a strict policy holds', () => {
    const inline = pages.filter((file) => /<style\b|<[^<>]*\s(?:style|on[a-z]+)="|<script>/u.test(readPage(file).text));
    expect(inline).toEqual([]);
  });

  test('are HTML that a conformance checker accepts', async () => {
    const validator = new HtmlValidate({ root: true, extends: ['html-validate:standard'] });
    // Each kind of page; all of them where there is time.
    const chosen = pages.filter((_, index) => effort(index % 16 === 0, true));
    for (const file of chosen) {
      const { results } = await validator.validateString(readPage(file).text);
      expect(
        results.flatMap(({ messages }) =>
          messages.map(({ message, selector }) => `${file} ${selector ?? ''}: ${message}`),
        ),
      ).toEqual([]);
    }
  });
});

describe('in a browser', () => {
  beforeEach(async () => {
    context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    complaints = complaintsIn(context);
  });
  afterEach(async () => {
    await context.close();
    expect(complaints).toEqual([]);
  });

  async function open(address: string): Promise<Page> {
    const page = await context.newPage();
    await page.goto(`${served.url}${address}`);
    await page.locator('html[data-ft-scripted]').waitFor();
    return page;
  }

  test.each([
    ['guides/bar', 'Guides', 'A bar that is right'],
    ['rules/dead-link/', 'Reference', 'dead-link'],
    ['reference/fair-trail-vue/index.html#navbar', 'Reference', 'fair-trail/vue'],
  ])('%s is marked below a base path that the build did not know', async (address, section, title) => {
    const page = await open(address);
    await expect.poll(() => page.locator('h1').textContent()).toBe(title);
    const marked = page.locator('nav[aria-label="Main"] [aria-current="true"]');
    expect(await marked.textContent()).toBe(section);
    await page.getByRole('link', { name: 'Guides' }).first().click();
    await expect.poll(() => page.locator('h1').textContent()).toBe('Guides');
    expect(new URL(page.url()).pathname).toMatch(/^\/some\/where\/guides\/?$/u);
    await page.reload();
    await expect.poll(() => page.locator('h1').textContent()).toBe('Guides');
    await page.goBack();
    await expect.poll(() => page.locator('h1').textContent()).toBe(title);
  });

  test('a link within the text changes the page without loading it', async () => {
    const page = await open('guides');
    await page.evaluate('window.isKept = true');
    await page.locator('main').getByRole('link', { name: 'Small windows' }).click();
    await expect.poll(() => page.locator('h1').textContent()).toBe('Small windows');
    expect(await page.evaluate('window.isKept')).toBe(true);
    await page.getByRole('link', { name: 'Next Inside a product' }).click();
    await expect.poll(() => page.locator('h1').textContent()).toBe('Inside a product');
  });

  test('the framework that is chosen in one place is chosen in all, and on the next visit', async () => {
    const page = await open('guides/bar');
    await page.getByRole('tab', { name: 'Vue' }).first().click();
    const selected = page.getByRole('tab', { selected: true });
    await expect.poll(() => selected.allTextContents()).toEqual(['Vue', 'Vue', 'Vue']);
    await page.goto(`${served.url}guides/routes/`);
    await expect.poll(async () => new Set(await selected.allTextContents())).toEqual(new Set(['Vue']));
  });

  test('a live example follows its controls, and so does its code', async () => {
    const page = await open('guides/small-windows');
    const example = page.getByRole('region', { name: 'Live example: the bar' });
    const frame = page.frameLocator('iframe');
    await frame.getByRole('button', { name: 'Menu' }).waitFor();
    await example.getByLabel('When narrow').selectOption('strip');
    await frame.getByRole('link', { name: 'Tides' }).waitFor();
    expect(await frame.getByRole('button', { name: 'Menu' }).isVisible()).toBe(false);
    expect(await example.getByRole('tabpanel').textContent()).toBe('<Navbar whenNarrow="strip" />');
    await example.getByLabel('Direction').selectOption('rtl');
    await expect.poll(() => frame.locator('html').getAttribute('dir')).toBe('rtl');
    await example.getByLabel(/^Width/u).fill('320');
    await expect.poll(() => frame.locator('html').evaluate('innerWidth')).toBeLessThanOrEqual(320);
    await example.getByRole('tab', { name: 'HTML' }).click();
    expect(await example.getByRole('tabpanel', { name: 'HTML' }).textContent()).toBe(
      '<trail-bar when-narrow="strip"></trail-bar>',
    );
    // A click in the example is the example's alone.
    await frame.getByRole('link', { name: 'Tides' }).click();
    await frame.getByRole('heading', { name: 'Tides' }).waitFor();
    expect(await page.title()).toBe('Small windows · Fair Trail');
  });

  test('the playground shows what is wrong, keeps the last good site, and can be sent', async () => {
    const page = await open('playground');
    const field = page.getByLabel('Site file');
    const wide = page.frameLocator('iframe[title*="wide"]');
    await wide.getByRole('link', { name: 'Tides' }).first().waitFor();
    const text = await field.inputValue();
    await field.fill(text.replace('"label": "Tides"', '"label": "Tide tables"'));
    await wide.getByRole('link', { name: 'Tide tables' }).first().waitFor();
    await expect.poll(() => page.url()).toContain('#site=');
    const sent = await context.newPage();
    await sent.goto(page.url());
    await expect.poll(() => sent.getByLabel('Site file').inputValue()).toContain('Tide tables');
    await field.fill(text.replace('"main": [', '"main": ["tidse",'));
    await page.getByText('tidse').filter({ hasNotText: 'entries' }).waitFor();
    expect(await page.locator('.problems').textContent()).toMatch(/Error.*tidse.*tides/u);
    await wide.getByRole('link', { name: 'Tide tables' }).first().waitFor();
    await field.fill('{');
    await page.getByText('This is not JSON').waitFor();
  });

  test('the search finds sections, and its address can be sent', async () => {
    const page = await open('search');
    await page.getByLabel('Words to look for').fill('whenNarrow strip');
    await expect.poll(() => page.getByRole('status').textContent()).toMatch(/sections/u);
    const [first] = await page.locator('.results a').all();
    expect(await first?.textContent()).toBeTruthy();
    await first?.click();
    await expect.poll(() => page.url()).not.toContain('/search');
    await page.goto(`${served.url}search?q=breadcrumbs`);
    await expect.poll(() => page.locator('.results a').count()).toBeGreaterThan(3);
  });

  test('the color scheme is remembered', async () => {
    const page = await open('');
    // By its class: until React has taken the page over, the first field of this name is that of a live example.
    await page.locator('.scheme-choice').selectOption('dark');
    await page.goto(`${served.url}guides/bar/`);
    expect(await page.evaluate('document.documentElement.dataset.ftScheme')).toBe('dark');
    await page.locator('.scheme-choice').selectOption('system');
    await page.reload();
    expect(await page.evaluate('document.documentElement.dataset.ftScheme ?? null')).toBe(null);
  });
});

describe.each([320, 1280])('without scripts at %i px', (width) => {
  test('a guide has all of its code, its navigation, and no dead control', async () => {
    const still = await browser.newContext({ viewport: { width, height: 800 }, javaScriptEnabled: false });
    const page = await still.newPage();
    await page.goto(`${served.url}guides/bar/`);
    for (const text of ['<Layout bar={<Navbar />}>', '<template #bar>', '<trail-breadcrumbs>']) {
      expect(await page.getByText(text).first().isVisible()).toBe(true);
    }
    expect(await page.locator('button:visible, select:visible, input:visible, iframe:visible').count()).toBe(0);
    expect(await page.evaluate('document.documentElement.scrollWidth')).toBeLessThanOrEqual(width);
    await page.getByRole('link', { name: 'Small windows' }).first().click();
    await expect.poll(() => page.locator('h1').textContent()).toBe('Small windows');
    await still.close();
  });
});

test('from a disk, pages lead to each other, with their styles', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'documentation-'));
  cpSync(documentationFolder, folder, { recursive: true });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(pathToFileURL(path.join(folder, 'guides/bar/index.html')).href);
  expect(await page.evaluate('getComputedStyle(document.documentElement).getPropertyValue("--ft-ink")')).not.toBe('');
  await page.getByRole('link', { name: 'Routes and marks' }).first().click();
  await expect.poll(() => page.locator('h1').textContent()).toBe('Routes and marks');
  await page.close();
  rmSync(folder, { recursive: true });
});

test('our own audit finds nothing', async () => {
  // The audit tries every link at every width, and each page has a long list of links.
  const [widths, pages] = effort([[1280], 1], [[320, 768, 1280], 8]);
  const report = await auditSite(`${served.url}${effort('rules/dead-link/', '')}`, { widths, pages });
  expect(report.findings.map(({ code, html, message }) => `${code}: ${message} ${html}`)).toEqual([]);
}, 300_000);

test('our own walk finds the site as its site file says', async () => {
  const site = path.join(import.meta.dirname, 'documentation.site.json');
  const only = effort(['--only', 'start,right-bar,export-vue'], []);
  const command = path.resolve('packages/cli/bin/fair-trail.js');
  const { stdout } = await promisify(execFile)(process.execPath, [
    ...[command, 'walk', site, '--against', served.url, '--base', base],
    ...only,
  ]);
  expect(stdout).toMatch(/pages: all as the site file says/u);
}, 300_000);
