import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { partStates } from 'fair-trail/internal/core';
import type { Browser, Frame, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { openBrowser } from '../browser/open-browser.ts';
import { openSheet } from '../sheet/computed-names.ts';
import { takePictures } from '../sheet/pictures.ts';
import { serveSheet } from '../sheet/serve-sheet.ts';
import type { SheetInput } from '../sheet/sheet-data.ts';
import { observatory, place, run, write } from '../test-command.samples.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

/** Opens a sheet from disk; answers what the browser complained of meanwhile. */
async function open(folder: string, query = ''): Promise<{ page: Page; complaints: string[] }> {
  const page = await browser.newPage({ viewport: { width: 1400, height: 1000 } });
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error' || message.type() === 'warning') complaints.push(message.text());
  });
  page.on('pageerror', (error) => complaints.push(error.message));
  await openSheet(page, `${pathToFileURL(path.join(folder, 'index.html')).href}${query}`);
  return { page, complaints };
}

async function frameOf(page: Page, name: string): Promise<Frame> {
  const frame = await (await page.$(`iframe[data-ft-frame="${name}"]`))?.contentFrame();
  if (!frame) throw new Error(`There is no frame "${name}".`);
  return frame;
}

const entries = [
  { id: 'today', label: 'Today', href: '/', icon: 'sun' },
  {
    id: 'hides',
    label: 'Hides',
    href: '/hides',
    entries: [{ id: 'reedbed', label: 'Reedbed Hide', href: '/hides/reedbed' }],
  },
  {
    id: 'work',
    label: 'Work',
    entries: [
      { id: 'nets', label: 'Nets', href: '/nets', entries: [{ id: 'east', label: 'East ride', href: '/nets/east' }] },
      { id: 'log', label: 'Ringing log', href: '/log', audience: ['ringer'] },
    ],
  },
  { id: 'office', label: 'Tide office', href: 'https://tides.example/', opens: 'new-tab' },
];
const small = {
  name: 'Marram <Point>',
  languages: ['cy'],
  home: 'today',
  entries,
  menus: {
    main: ['today', { entry: 'hides', depth: 2 }, { entry: 'work', depth: 3 }, 'office'],
    side: [
      { entry: 'hides', depth: 2 },
      { entry: 'work', depth: 3 },
    ],
  },
};

describe('a sheet on a disk', () => {
  const folder = place('sheet');
  let outcome: ReturnType<typeof run>;
  beforeAll(() => {
    outcome = run('sheet', write('small.site.json', JSON.stringify(small)), '--out', folder);
  });

  test('is written, and opens without a complaint under its own policy', async () => {
    expect(outcome).toMatchObject({ status: 0, stdout: '' });
    const { page, complaints } = await open(folder);
    expect(complaints).toEqual([]);
    expect(await page.title()).toBe('Marram <Point>: state sheet');
    expect(readFileSync(path.join(folder, 'index.html'), 'utf8')).toContain("default-src 'none'");
    await page.close();
  });

  test('shows every state of the one list, and each is as its selector says', async () => {
    const { page } = await open(folder);
    const shown = new Set<string>();
    for (const { name } of await tableNames(page)) {
      const frame = await frameOf(page, name);
      for (const state of await frame.evaluate(statesThatMatch, partStates)) shown.add(state);
    }
    const listed = Object.entries(partStates).flatMap(([part, states]) =>
      Object.keys(states).map((state) => `${part}: ${state}`),
    );
    expect(listed.filter((state) => !shown.has(state))).toEqual([]);
    await page.close();
  });

  test('draws what a pointer and a keyboard would cause as they do', async () => {
    const { page } = await open(folder, '?motion=reduce');
    const differences: string[] = [];
    let compared = 0;
    for (const { name } of await tableNames(page)) {
      const frame = await frameOf(page, name);
      await page.evaluate(showSectionAlone, name);
      for (const state of ['hover', 'focus', 'pressed']) {
        for (const key of await frame.evaluate(firstOfEachPart, state)) {
          compared += 1;
          const found = await compare(page, frame, key, state);
          if (found !== null) differences.push(`${name}, ${key}, ${state}: ${found}`);
        }
      }
    }
    expect(differences).toEqual([]);
    // Links, triggers, toggles, buttons, fields, tabs and steps, three states each.
    expect(compared).toBeGreaterThan(40);
    await page.close();
  });

  test('is seen under conditions that its address says, and says those that are chosen by keyboard alone', async () => {
    const { page } = await open(folder, '?width=320&direction=rtl&scheme=dark&text=150');
    const frame = await frameOf(page, 'bar');
    const root = () =>
      frame.evaluate(() => ({
        width: innerWidth,
        direction: document.documentElement.dir,
        size: getComputedStyle(document.documentElement).fontSize,
        paper: getComputedStyle(document.documentElement).backgroundColor,
      }));
    expect(await root()).toEqual({ width: 320, direction: 'rtl', size: '24px', paper: 'rgb(27, 29, 24)' });

    await page.getByRole('button', { name: 'Reset' }).focus();
    await page.keyboard.press('Enter');
    await expect.poll(() => new URL(page.url()).search).toBe('');
    await page.getByRole('slider', { name: 'Width' }).focus();
    await page.keyboard.press('Home');
    await page.keyboard.press('Tab');
    expect(await page.evaluate(() => document.activeElement?.textContent)).toBe('320');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Space');
    await page.getByLabel('Address').focus();
    await page.keyboard.press('ControlOrMeta+A');
    await page.keyboard.type('/hides/reedbed');
    await page.keyboard.press('Enter');
    await page.getByLabel('ringer').focus();
    await page.keyboard.press('Space');
    await page.getByLabel('Scheme').selectOption('light');
    await expect
      .poll(() => Object.fromEntries(new URL(page.url()).searchParams))
      .toEqual({ width: '768', address: '/hides/reedbed', audience: 'ringer', scheme: 'light' });
    await page.reload();
    await openSheet(page, page.url());
    const reloaded = await frameOf(page, 'whole-page');
    expect(await reloaded.locator('h1').textContent()).toBe('Reedbed Hide');
    await page.close();
  });

  test('is at work in its whole page: keys, and links that move the sheet and not the frame', async () => {
    const { page } = await open(folder);
    const frame = await frameOf(page, 'whole-page');
    await frame.locator('.ft-bar .ft-link').first().focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    expect(await frame.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe('Pages in Hides');
    await page.keyboard.press('Enter');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect.poll(() => new URL(page.url()).searchParams.get('address')).toBe('/hides/reedbed');
    expect(await frame.locator('.ft-bar [aria-current="page"]').textContent()).toBe('Reedbed Hide');
    await frame.locator('.ft-bar a[href^="https:"]').click();
    expect(frame.url()).toBe('about:srcdoc');
    await page.close();
  });

  test('shows each page of the menu with its own mark', async () => {
    const { page } = await open(folder);
    const frame = await frameOf(page, 'pages');
    const lines = await frame
      .locator('[data-ft-page]')
      .evaluateAll((items) =>
        items.map((item) => [
          item.getAttribute('data-ft-page'),
          item.querySelector('.ft-bar [aria-current]')?.textContent,
        ]),
      );
    expect(lines).toEqual([
      ['/', 'Today'],
      ['/hides', 'Hides'],
      ['/hides/reedbed', 'Hides'],
      ['/nets', 'Work'],
      ['/nets/east', 'Work'],
    ]);
    await page.close();
  });

  test('shares out a row as the browser does, and writes what was tried as a patch', async () => {
    const { page } = await open(folder, '?width=1280');
    const row = page.locator('[data-ft-share="hides"]');
    await page.getByLabel('flex of Hides').fill('2 1 auto');
    await page.getByLabel('flex of Today').fill('1 1 0px');
    const agreement = page.getByText('The arithmetic and the browser agree.');
    await agreement.waitFor();
    const width = async () => Number((await row.locator('td').last().textContent()) ?? 0);
    await expect.poll(width).toBeGreaterThan(200);
    const patch = await page.getByLabel(/JSON Patch/u).inputValue();
    expect(JSON.parse(patch)).toEqual([
      { op: 'add', path: '/entries/1/flex', value: '2 1 auto' },
      { op: 'add', path: '/entries/0/flex', value: '1 1 0px' },
    ]);
    await page.getByLabel('flex of Today').fill('much');
    await page.getByRole('alert').filter({ hasText: 'not a value of the CSS flex shorthand' }).waitFor();
    await page.close();
  });

  test('draws timelines from the computed styles, and none where motion is not wanted', async () => {
    const { page } = await open(folder);
    const bars = page.locator('[data-ft-motion="panel"] li');
    await expect.poll(() => bars.allTextContents()).toContain('opacity 180 ms, ease');
    expect(await bars.allTextContents()).toContain('opacity 120 ms, ease');
    const frame = await frameOf(page, 'motion');
    await page.getByLabel('Hold open').selectOption('Hides');
    await expect.poll(() => frame.locator('.ft-sheet-play .ft-panel-trigger[aria-expanded="true"]').count()).toBe(1);
    await page.getByRole('combobox', { name: 'Motion' }).selectOption('reduced');
    await expect.poll(() => page.locator('[data-ft-motion="panel"]').textContent()).toContain('at once');
    await page.close();
  });

  test('notes say sizes, colors, contrast and what the browser tells assistive technology', async () => {
    const { page } = await open(folder);
    const notes = page.locator('[data-ft-notes="bar"]');
    await notes.locator('summary').click();
    const text = await notes.getByLabel('As Markdown').inputValue();
    expect(text).toMatch(/\| link \| hover \| #23251f \(--ft-ink\) \| #e9e3d1 \(--ft-shade\) \| 1\d\.\d\d : 1 \|/u);
    expect(text).toContain('| Pages in Hides | button | Pages in Hides | expanded: false |');
    expect(text).toMatch(/## Roles and names, as Chromium \d+ computes them/u);
    expect(text).toContain('| link | current page | \\<Trail site={site} url="/"\\> |');
    await page.close();
  });
});

interface TableName {
  readonly name: string;
}

function tableNames(page: Page): Promise<TableName[]> {
  const names = ['bar', 'panel', 'sidebar', 'tabs', 'tab-links', 'breadcrumbs', 'footer', 'page'];
  return page.$$eval(
    'iframe[data-ft-frame]',
    (frames, known) =>
      frames
        .map((frame) => ({ name: frame.getAttribute('data-ft-frame') ?? '' }))
        .filter(({ name }) => known.includes(name)),
    names,
  );
}

/** The states that are drawn, and whose selector finds something in their cell, what the reader does read as shown. */
function statesThatMatch(parts: Readonly<Record<string, Readonly<Record<string, string>>>>): string[] {
  const names: Readonly<Record<string, string>> = { ':hover': 'hover', ':active': 'active', ':focus-visible': 'focus' };
  return [...document.querySelectorAll<HTMLElement>('[data-ft-part]')].flatMap((cell) => {
    const { ftPart: part = '', ftState: state = '' } = cell.dataset;
    const selector = parts[part]?.[state]?.replace(/:(?:hover|active|focus-visible)$/u, (found) => {
      return `[data-ft-shown~='${names[found] ?? ''}']`;
    });
    return selector !== undefined && cell.querySelector(selector) ? [`${part}: ${state}`] : [];
  });
}

/** A browser that draws one table answers sooner than one that draws them all. */
function showSectionAlone(name: string): void {
  for (const section of document.querySelectorAll<HTMLElement>('.ft-sheet-section')) {
    section.hidden = !section.querySelector(`[data-ft-frame='${name}']`);
  }
}

/** The first row of each kind of part that has this state. */
function firstOfEachPart(state: string): string[] {
  const known = new Map<string, string>();
  for (const row of document.querySelectorAll('tr[data-ft-sheet-key]')) {
    const cell = row.querySelector<HTMLElement>(`[data-ft-state='${state}']`);
    const part = cell?.dataset['ftPart'];
    if (part !== undefined && !known.has(part)) known.set(part, row.getAttribute('data-ft-sheet-key') ?? '');
  }
  return [...known.values()];
}

/** What differs between a part as it is shown in a state and the same part really in it; null for nothing. */
async function compare(page: Page, frame: Frame, key: string, state: string): Promise<string | null> {
  const handle = await frame.evaluateHandle(putInPlace, { key, state });
  const element = (await handle.evaluateHandle(({ target }) => target)).asElement();
  if (!element) return 'it is not there';
  if (state === 'focus') {
    // Focus that a keyboard has given is to be seen.
    await page.keyboard.press('Shift');
    await element.focus();
  } else {
    await element.hover({ timeout: 15_000 });
    if (state === 'pressed') await page.mouse.down();
  }
  const differing = await handle.evaluate((compared) => compared.differing());
  if (state === 'pressed') await page.mouse.up();
  await page.mouse.move(0, 0);
  await element.evaluate((focused) => focused.blur());
  await handle.evaluate((compared) => compared.restore());
  return differing.length > 0 ? differing.slice(0, 4).join('; ') : null;
}

interface Compared {
  readonly target: HTMLElement | null;
  /** What is otherwise than it was shown. */
  readonly differing: () => readonly string[];
  readonly restore: () => void;
}

/** Replaces a part that is shown in a state by a copy: in the same room, shown in none, and to be used. */
function putInPlace({ key, state }: { readonly key: string; readonly state: string }): Compared {
  const rows = [...document.querySelectorAll(`tr[data-ft-sheet-key='${CSS.escape(key)}']`)];
  const find = rows[0]?.getAttribute('data-ft-find') ?? '';
  const [shown] = rows.flatMap((row) => [...row.querySelectorAll(`[data-ft-state='${state}']`)]);
  const part = shown?.querySelector(find);
  const copy = shown?.cloneNode(true) as HTMLElement | undefined;
  const target = copy?.querySelector<HTMLElement>(find) ?? null;
  if (!shown || !part || !copy || !target) return { target: null, differing: () => [], restore: () => undefined };
  for (const element of copy.querySelectorAll('*')) {
    element.removeAttribute('data-ft-shown');
    element.removeAttribute('inert');
  }
  const look = (element: Element) =>
    [undefined, '::before', '::after'].flatMap((pseudo) => {
      const style = getComputedStyle(element, pseudo);
      // What is shown is a picture, which no one can use; that alone must differ.
      const names = [...style].filter((name) => name !== 'interactivity');
      return names.map((name) => `${pseudo ?? ''} ${name}: ${style.getPropertyValue(name)}`);
    });
  const before = look(part);
  shown.replaceWith(copy);
  return {
    target,
    differing: () => look(target).filter((line, index) => line !== before[index]),
    restore: () => copy.replaceWith(shown),
  };
}

describe('what goes wrong', () => {
  test('a site file with problems gives a sheet of them', async () => {
    const file = write(
      'broken.site.json',
      '{ "name": "Marram", "entries": [{ "id": "a", "label": "A", "href": "javascript:x" }] }',
    );
    const folder = place('broken-sheet');
    const { status, stderr } = run('sheet', file, '--out', folder);
    expect(status).toBe(1);
    expect(stderr).toContain('unsafe-href');
    const page = await browser.newPage();
    await page.goto(pathToFileURL(path.join(folder, 'index.html')).href);
    await page.getByText('unsafe-href').waitFor();
    expect(await page.locator('li').textContent()).toContain('broken.site.json:1:');
    await page.close();
  });

  test('a theme with missing colors is reported, in the sheet too', async () => {
    const theme = write(
      'theme.json',
      '{ "color": { "default": { "light": { "ink": { "$type": "color", "$value": "#102030" } } } } }',
    );
    const file = write('small.site.json', JSON.stringify(small));
    const none = run('sheet', file, '--theme', theme, '--png', place('none'), '--browser', '/no/such/chromium');
    expect(none.stderr).toContain('theme-incomplete');
    await whileServed({ file, theme, menus: {} }, async (url) => {
      const page = await browser.newPage();
      await openSheet(page, url);
      await page.getByText('theme-incomplete').first().waitFor();
      const link = (await frameOf(page, 'bar')).locator('.ft-link').first();
      expect(await link.evaluate((element) => getComputedStyle(element).color)).toBe('rgb(16, 32, 48)');
      await page.close();
    });
  });

  test('thousands of entries are sampled, and it says so', async () => {
    const many = Array.from({ length: 5000 }, (_, index) => ({
      id: `p${index}`,
      label: `Page ${index}`,
      href: `/p${index}`,
    }));
    const site = { name: 'Many', home: 'p0', entries: many, menus: { main: many.map(({ id }) => id) } };
    const file = write('many.site.json', JSON.stringify(site));
    await whileServed({ file, menus: {} }, async (url) => {
      const page = await browser.newPage();
      await openSheet(page, url);
      await page.getByText('24 of 5000 entries are in this sheet').waitFor();
      await page.close();
    });
  });

  test('no browser: no pictures, one line that says the remedy, and nothing written', () => {
    const folder = place('no-pictures');
    const { status, stderr } = run('sheet', observatory, '--png', folder, '--browser', '/no/such/chromium');
    expect(status).toBe(3);
    expect(stderr).toMatch(
      /No program that can be run is at "\/no\/such\/chromium"\..*CHROMIUM_PATH\. \[no-browser\]\n$/u,
    );
    expect(existsSync(folder)).toBe(false);
  });

  test.each([
    [[], 'bad-usage'],
    [['--out', '.'], 'file-exists'],
    [['--out', 'x', '--menu', 'bar'], 'bad-usage'],
    [['--out', 'x', '--menu', 'bar=none'], 'unknown-menu'],
    [['--serve', '--port', 'http'], 'bad-usage'],
    [['--out', 'x', '--theme', 'no-theme.json'], 'file-missing'],
  ])('%j is refused: %s', (options, code) => {
    write('index.html', '');
    const placed = options.map((option) => (option === '.' ? place('.') : option === 'x' ? place('refused') : option));
    const { status, stderr } = run('sheet', observatory, ...placed);
    expect(status).toBe(2);
    expect(stderr).toContain(`[${code}]`);
    expect(existsSync(place('refused'))).toBe(false);
  });
});

test('pictures are named by component and state, and the same input gives the same bytes', async () => {
  const pages = [
    { id: 'today', label: 'Today', href: '/' },
    { id: 'visit', label: 'Visit', href: '/visit' },
  ];
  const tiny = { name: 'Tiny', home: 'today', entries: pages, menus: { main: ['today', 'visit'] } };
  const file = write('tiny.site.json', JSON.stringify(tiny));
  const folder = place('pictures');
  const conditions = 'width=320&scheme=dark';
  expect(run('sheet', file, '--png', folder, '--conditions', conditions).status).toBe(0);
  const names = readdirSync(folder);
  expect(names).toEqual(
    expect.arrayContaining(['bar.png', 'bar-hover.png', 'bar-current-page.png', 'tabs-selected.png']),
  );
  await whileServed({ file, menus: {} }, async (url) => {
    const again = await takePictures(browser, `${url}?${conditions}`, 'bar');
    expect(again.map(({ path: name }) => name).toSorted()).toEqual(
      names.filter((name) => name.startsWith('bar')).toSorted(),
    );
    for (const { path: name, text } of again) {
      expect(readFileSync(path.join(folder, name)).equals(Buffer.from(text)), name).toBe(true);
    }
  });
});

test('it is served from memory, and each load reads the site file again', async () => {
  const file = write('served.site.json', JSON.stringify(small));
  await whileServed({ file, menus: {} }, async (url) => {
    const first = await (await fetch(`${url}data.js`)).text();
    expect(first).toContain('Marram <Point>');
    write('served.site.json', JSON.stringify({ ...small, name: 'Renamed' }));
    const page = await fetch(url);
    expect(page.headers.get('content-security-policy')).toContain("default-src 'none'");
    expect(await page.text()).toContain('<title>Renamed: state sheet</title>');
    expect((await fetch(`${url}..%2f..%2fetc%2fpasswd`)).status).toBe(404);
    write('served.site.json', '{');
    const broken = await fetch(url);
    expect(broken.status).toBe(500);
    expect(await broken.text()).toContain('served.site.json:1:');
    await expect(serveSheet({ file, menus: {} }, Number(new URL(url).port))).rejects.toMatchObject({
      code: 'port-taken',
    });
  });
});

async function whileServed(input: SheetInput, use: (url: string) => Promise<void>): Promise<void> {
  const { server, url } = await serveSheet(input, 0);
  try {
    await use(url);
  } finally {
    server.close();
  }
}
