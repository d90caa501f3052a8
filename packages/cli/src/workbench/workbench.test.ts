import { chmodSync, existsSync, lstatSync, readdirSync, readFileSync, renameSync, symlinkSync } from 'node:fs';
import path from 'node:path';
import { format } from 'prettier';
import { afterEach, describe, expect, test } from 'vitest';
import {
  fieldOf,
  newLines,
  openTab,
  openWorkbench,
  rowOf,
  save,
  siteText,
  type OpenedWorkbench,
  type OpeningOptions,
} from './workbench.samples.ts';

let opened: OpenedWorkbench;
async function open(options?: OpeningOptions): Promise<OpenedWorkbench> {
  opened = await openWorkbench(options);
  return opened;
}
afterEach(async () => {
  await opened.close();
});

const site = 'observatory.site.json';
const themeText = '{\n  "time": { "$type": "duration", "open": { "$value": { "value": 180, "unit": "ms" } } }\n}\n';

describe('the site', () => {
  test('fields of an entry are the lines that a person would have written', async () => {
    const { page, read, complaints } = await open();
    await (await fieldOf(page, 'Hides', 'Label')).fill('Hides and towers');
    await page.getByLabel('Summary', { exact: true }).fill('Four, one of them step-free');
    await page.getByLabel('Badge', { exact: true }).fill('new');
    await page.getByLabel('Priority', { exact: true }).fill('2');
    await page.getByLabel('Room (flex)', { exact: true }).fill('2 1 auto');
    await page.getByLabel(/^Planned/u).check();
    await page.getByLabel('ringer', { exact: true }).first().check();
    await page.locator('.ft-workbench-form').getByLabel('Address', { exact: true }).fill('/huts');
    await page.getByRole('button', { name: 'Keep /hides working' }).click();
    await save(page);
    const text = read(site);
    expect(newLines(siteText, text).toSorted()).toEqual(
      [
        '      "label": "Hides and towers",',
        '      "href": "/huts",',
        '      "summary": "Four, one of them step-free",',
        '      "badge": "new",',
        '      "priority": 2,',
        '      "flex": "2 1 auto",',
        '      "planned": true,',
        '      "audience": ["ringer"],',
        '      "movedFrom": ["/hides"],',
      ].toSorted(),
    );
    expect(await format(text, { parser: 'json', printWidth: 120 })).toBe(text);
    expect(complaints).toEqual([]);
  });

  test('every state shows a label as it is typed, and a wrong one is reported beside its field and not saved', async () => {
    const { page, read } = await open();
    const field = await fieldOf(page, 'Tides', 'Label');
    await field.fill('Tides and wind');
    for (const name of ['whole-page', 'bar', 'footer', 'pages']) {
      await page
        .frameLocator(`iframe[data-ft-frame="${name}"]`)
        .getByText('Tides and wind')
        .first()
        .waitFor({ state: 'attached' });
    }
    await field.fill('');
    await page.getByText('The label is empty').first().waitFor();
    expect(await field.getAttribute('aria-invalid')).toBe('true');
    await page.keyboard.press('Control+s');
    await page.getByText('One problem of the site must be fixed first.').waitFor();
    expect(read(site)).toBe(siteText);
    // The page shows the last site without a problem.
    await page
      .frameLocator('iframe[data-ft-frame="bar"]')
      .getByText('Tides and wind')
      .first()
      .waitFor({ state: 'attached' });
  });

  test('rows are moved by keys, by buttons and by dragging, and undone over the whole session', async () => {
    const { page, read } = await open();
    await rowOf(page, 'Tides').click();
    await page.keyboard.press('Alt+ArrowUp');
    await page.getByText('Tides: 4 of', { exact: false }).waitFor({ state: 'attached' });
    await page.getByRole('button', { name: 'Into the one above' }).click();
    await page.getByText('level 2', { exact: false }).waitFor({ state: 'attached' });
    await rowOf(page, 'Visit').scrollIntoViewIfNeeded();
    const grip = await rowOf(page, 'Visit').locator('.ft-workbench-grip').boundingBox();
    const tree = await page.getByRole('tree').boundingBox();
    if (!grip || !tree) throw new Error('There is nothing to drag.');
    await page.mouse.move(grip.x + 8, grip.y + 8);
    await page.mouse.down();
    await page.mouse.move(grip.x + 8, grip.y - 30, { steps: 5 });
    const target = page.locator('[data-ft-drop]');
    await target.waitFor();
    await page.mouse.up();
    await save(page);
    const moved = JSON.parse(read(site)) as { readonly entries: readonly { readonly id: string }[] };
    expect(moved.entries.map(({ id }) => id)).not.toContain('tides');
    expect(await format(read(site), { parser: 'json', printWidth: 120 })).toBe(read(site));
    for (let step = 0; step < 3; step += 1) await page.keyboard.press('Control+z');
    await save(page);
    expect(read(site)).toBe(siteText);
    for (let step = 0; step < 3; step += 1) await page.keyboard.press('Control+Shift+z');
    await save(page);
    expect(JSON.parse(read(site))).toEqual(moved);
  });

  test('menus take pages, groups, dividers and actions, and pages say in which menus they are', async () => {
    const { page, read } = await open();
    await page.getByLabel('Show', { exact: true }).selectOption('main');
    await rowOf(page, 'Today').click();
    await page.getByRole('button', { name: 'Add divider' }).click();
    await page.getByRole('button', { name: 'Add group' }).click();
    await page.getByLabel('Title', { exact: true }).fill('More');
    await page.getByLabel('Add a page to this menu').selectOption('lantern-room');
    await page.getByLabel('Show', { exact: true }).selectOption('');
    await rowOf(page, 'Today').click();
    await page.getByRole('group', { name: 'In menus' }).getByLabel('main').uncheck();
    await save(page);
    const { menus } = JSON.parse(read(site)) as { readonly menus: { readonly main: readonly unknown[] } };
    expect(menus.main.slice(0, 2)).toEqual([{ divider: true }, { label: 'More', entries: ['lantern-room'] }]);
    expect(await format(read(site), { parser: 'json', printWidth: 120 })).toBe(read(site));
  });

  test('pages are added and removed, and icons are chosen from the project’s own drawings', async () => {
    const sprite =
      '<svg xmlns="http://www.w3.org/2000/svg"><symbol id="sun" viewBox="0 0 4 4"><path d="M0 0h4v4z"/></symbol></svg>';
    const { page, read } = await open({ files: { 'icons.svg': sprite }, named: { icons: 'icons.svg' } });
    await rowOf(page, 'Hides').click();
    await page.getByRole('button', { name: 'Add page', exact: true }).click();
    await page.getByLabel('Label', { exact: true }).fill('News');
    await page
      .getByText(/^Icon: none/u)
      .first()
      .click();
    await page.getByRole('radio', { name: 'sun' }).first().check();
    await rowOf(page, 'Species').click();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    await save(page);
    const text = read(site);
    const { entries } = JSON.parse(text) as { readonly entries: readonly Record<string, unknown>[] };
    expect(entries[2]).toEqual({ id: 'new-page', label: 'News', href: '/new-page', icon: 'sun', planned: true });
    expect(text).not.toContain('"species"');
  });

  test('the room of the sheet writes into the file', async () => {
    const { page, read } = await open();
    const field = page.getByLabel('flex of Hides', { exact: true });
    await field.fill('2');
    expect(await field.inputValue()).toBe('2');
    await page.keyboard.press('Control+s');
    await page.getByText('Saved.', { exact: true }).waitFor();
    expect(newLines(siteText, read(site))).toEqual(['      "flex": "2",']);
  });
});

describe('looks and motion', () => {
  test('a color that is too low says so, and the nearest that passes is offered; light and dark are side by side', async () => {
    const { page, read } = await open();
    await openTab(page, 'Looks');
    const light = page.getByRole('group', { name: 'ink-soft, light', exact: true });
    await light.getByLabel('light', { exact: true }).fill('#b0b0a8');
    await light.getByText('too low').waitFor();
    await light.getByRole('button', { name: /^Use #/u }).click();
    await light.getByText('pass', { exact: false }).first().waitFor();
    await page.getByLabel('Show light and dark side by side').check();
    for (const scheme of ['light', 'dark']) {
      await page.locator(`iframe[data-ft-frame="whole-page-${scheme}"]`).waitFor();
    }
    await save(page);
    expect(read('tokens.json')).toMatch(/^\{\n {2}"color": \{\n {4}"\$type": "color",\n/u);
    expect(read('tokens.json')).toContain('"ink-soft"');
    expect(readdirSync(opened.folder).sort()).toEqual([site, 'tokens.json']);
  });

  test('a token frames what it changes while it has focus, and moves nothing', async () => {
    const { page } = await open();
    await openTab(page, 'Looks');
    const field = page.getByLabel('gap', { exact: true });
    const row = page.locator('[data-ft-token="gap"]');
    const before = await row.boundingBox();
    await field.focus();
    await row.getByText(/^changes \d+ places$/u).waitFor();
    expect((await row.boundingBox())?.height).toBe(before?.height);
    const frame = page.frameLocator('iframe[data-ft-frame="motion"]');
    expect(await frame.locator('.ft-menu[data-ft-pointed]').count()).toBeGreaterThan(0);
    expect(await frame.locator('.ft-link[data-ft-pointed]').count()).toBe(0);
    await page.getByLabel('gap, unit', { exact: true }).focus();
    await page.getByRole('tab', { name: 'Looks' }).focus();
    await expect.poll(() => frame.locator('[data-ft-pointed]').count()).toBe(0);
  });

  test('lengths, corners, brand colors and timelines are written as tokens that the sheet draws at once', async () => {
    const { page, read } = await open({ files: { 'tokens.json': themeText } });
    await openTab(page, 'Looks');
    await page.getByLabel('gap', { exact: true }).fill('1');
    await page.getByRole('button', { name: 'rounded corners' }).click();
    const frame = page.frameLocator('iframe[data-ft-frame="motion"]');
    const toggle = frame.locator('.ft-toggle').first();
    await expect.poll(() => toggle.evaluate((element) => getComputedStyle(element).borderStartStartRadius)).toBe('8px');
    await openTab(page, 'Motion');
    const duration = page.getByRole('slider', { name: 'Duration of opening', exact: true });
    await duration.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('PageUp');
    const delay = page.getByRole('slider', { name: 'Delay of closing', exact: true });
    await delay.scrollIntoViewIfNeeded();
    const box = await delay.boundingBox();
    if (!box) throw new Error('There is no track.');
    await page.mouse.move(box.x + 4, box.y + 8);
    await page.mouse.down();
    await page.mouse.move(box.x + 64, box.y + 8, { steps: 4 });
    await page.mouse.up();
    const handle = page.getByRole('slider', { name: 'First handle of the curve of opening' });
    await handle.focus();
    await page.keyboard.press('ArrowRight');
    await page.getByLabel('Duration of content, second phase, in milliseconds').fill('200');
    await save(page);
    const tokens = JSON.parse(read('tokens.json')) as Record<string, Record<string, { readonly $value: unknown }>>;
    expect(tokens['size']?.['gap']?.$value).toEqual({ value: 1, unit: 'rem' });
    expect(tokens['shape']?.['round']?.$value).toEqual({ value: 0.5, unit: 'rem' });
    expect(tokens['time']?.['open']?.$value).toEqual({ value: 290, unit: 'ms' });
    expect(tokens['time']?.['content']?.$value).toEqual({ value: 200, unit: 'ms' });
    expect(tokens['time']?.['close-delay']?.$value).toMatchObject({ unit: 'ms' });
    expect(tokens['easing']?.['open-easing']?.$value).toEqual([0.3, 0.1, 0.25, 1]);
    // The sheet's own timelines are those of the styles.
    await page.locator('[data-ft-motion="panel"]').getByText('290 ms').first().waitFor();
    await openTab(page, 'Looks');
    await page.getByText('A theme from one or two brand colors').click();
    await page.getByLabel('Brand color').fill('#1d5f6b');
    await page.getByRole('button', { name: 'Make the theme' }).click();
    await save(page);
    expect(JSON.parse(read('tokens.json'))).toHaveProperty('color.default.dark.paper');
  });

  test('options are shown on the whole page, and written as code', async () => {
    const { page } = await open();
    await openTab(page, 'Options');
    const bar = page.getByRole('group', { name: 'Bar', exact: true });
    await bar.getByLabel('When narrow', { exact: true }).selectOption('more');
    await bar.getByLabel('Hover opens panels').check();
    const code = page.getByLabel(/^The code, for/u);
    expect(await code.inputValue()).toContain('<Navbar whenNarrow="more" hoverOpens />');
    await page.getByLabel('Code for').selectOption('custom elements');
    expect(await code.inputValue()).toContain('<trail-bar when-narrow="more" hover-opens></trail-bar>');
    await page.frameLocator('iframe[data-ft-frame="whole-page"]').locator('.ft-bar-row[data-ft-form="more"]').waitFor();
  });
});

describe('comparing and handing over', () => {
  test('saved and edited are side by side, differences framed, in pictures too; notes say what was changed', async () => {
    const { page, folder, complaints } = await open({ named: { pictures: 'review' } });
    await (await fieldOf(page, 'Tides', 'Label')).fill('Tides & <b>wind</b>');
    await openTab(page, 'Compare');
    await page.getByLabel('Show what is saved beside what is edited').check();
    const pair = page.locator('[data-ft-compared="footer"]');
    await pair.getByText(/places? differ/u).waitFor();
    const framed = (version: string) =>
      page.frameLocator(`iframe[data-ft-frame="footer-${version}"]`).locator('td[data-ft-differs]').allTextContents();
    await expect.poll(async () => (await framed('edited')).every((text) => text.includes('wind'))).toBe(true);
    expect((await framed('saved')).length).toBe((await framed('edited')).length);
    await page.getByText('label of tides: Tides → Tides & <b>wind</b>').first().waitFor();
    await page.getByRole('button', { name: /^Write pictures/u }).click();
    await page.getByText(/^Wrote \d+ pictures/u).waitFor({ timeout: 120_000 });
    expect(existsSync(path.join(folder, 'review', 'compared-footer.png'))).toBe(true);
    expect(readFileSync(path.join(folder, 'review', 'changes.md'), 'utf8')).toContain('| label of tides | Tides |');
    await openTab(page, 'Notes');
    const markdown = await page.getByLabel('As Markdown').first().inputValue();
    expect(markdown).toContain('| site | label of tides | Tides | Tides & <b>wind</b> |');
    // Labels are text everywhere.
    expect(await page.locator('.ft-workbench-panel b b, .ft-sheet-changes b').count()).toBe(0);
    expect(complaints).toEqual([]);
  });
});

describe('the files', () => {
  test('a change outside is merged; where both changed a place, it is asked about, and nothing is overwritten', async () => {
    const { page, read, write } = await open();
    const field = await fieldOf(page, 'Tides', 'Label');
    await field.fill('Our tides');
    write(site, siteText.replace('"label": "Hides"', '"label": "Our hides"'));
    await page.getByText(/changed outside: your changes are merged/u).waitFor();
    expect(await field.inputValue()).toBe('Our tides');
    await rowOf(page, 'Our hides').waitFor();
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+Shift+z');
    write(site, read(site).replace('"label": "Tides"', '"label": "Their tides"'));
    await page.getByRole('heading', { name: 'Changed outside, and here' }).waitFor();
    await page.keyboard.press('Control+s');
    await page.getByText(/^Decide first/u).waitFor();
    expect(read(site)).toContain('Their tides');
    await page.getByRole('button', { name: 'Keep what is here' }).click();
    await save(page);
    expect(read(site)).toContain('"label": "Our tides"');
    expect(read(site)).toContain('"label": "Our hides"');
  });

  test('what is saved in one tab is in the other, with what was changed there', async () => {
    const { page, browser, url, read } = await open();
    const other = await browser.newPage();
    await other.goto(url);
    await (await fieldOf(other, 'Visit', 'Label')).fill('Your visit');
    await (await fieldOf(page, 'Tides', 'Label')).fill('Our tides');
    await save(page);
    await other.getByText(/your changes are merged/u).waitFor();
    await save(other);
    expect(newLines(siteText, read(site))).toEqual(['      "label": "Our tides",', '      "label": "Your visit",']);
  });

  test('both files are saved or neither is: a file that cannot be written leaves the other as it was', async () => {
    const { page, read, folder } = await open({ files: { 'tokens.json': themeText } });
    await (await fieldOf(page, 'Tides', 'Label')).fill('Our tides');
    await openTab(page, 'Looks');
    await page.getByLabel('gap', { exact: true }).fill('1');
    // It becomes a folder, behind the back of the workbench.
    renameSync(path.join(folder, 'tokens.json'), path.join(folder, 'old.json'));
    symlinkSync(path.join(folder, 'nowhere', 'tokens.json'), path.join(folder, 'tokens.json'));
    await page.keyboard.press('Control+s');
    await page.locator('.ft-workbench-message').getByText(/./u).waitFor();
    expect(read(site)).toBe(siteText);
    expect(readFileSync(path.join(folder, 'old.json'), 'utf8')).toBe(themeText);
    expect(readdirSync(folder).filter((name) => name.startsWith('.'))).toEqual([]);
  });

  test('a read-only file is said to be, and the other is saved all the same', async () => {
    const { page, folder, read } = await open();
    chmodSync(path.join(folder, site), 0o444);
    await page.reload();
    await page.getByText('(read-only)').waitFor();
    await (await fieldOf(page, 'Tides', 'Label')).fill('Our tides');
    await page.keyboard.press('Control+s');
    await page
      .getByText(/is read-only\. Make it writable/u)
      .first()
      .waitFor();
    expect(read(site)).toBe(siteText);
    await page.keyboard.press('Control+z');
    await openTab(page, 'Looks');
    await page.getByLabel('gap', { exact: true }).fill('1');
    await save(page);
    expect(read('tokens.json')).toContain('"gap"');
  });

  test('a link stays a link, and what it leads to is written', async () => {
    const { folder, page, read } = await open();
    renameSync(path.join(folder, site), path.join(folder, 'real.json'));
    symlinkSync('real.json', path.join(folder, site));
    await page.reload();
    await (await fieldOf(page, 'Tides', 'Label')).fill('Our tides');
    await save(page);
    expect(lstatSync(path.join(folder, site)).isSymbolicLink()).toBe(true);
    expect(read('real.json')).toContain('Our tides');
  });

  test('a site file in TypeScript: looks and options alone, and it says so', async () => {
    const module = `export default ${siteText.replace(/"\$schema".*\n/u, '')};\n`;
    const { page, read } = await open({ files: { 'site.ts': module }, named: { file: 'site.ts' } });
    await page
      .getByText(/is a program: its pages and menus are changed in its source/u)
      .first()
      .waitFor();
    await openTab(page, 'Looks');
    await page.getByLabel('gap', { exact: true }).fill('1');
    await save(page);
    expect(read('site.ts')).toBe(module);
    expect(read('tokens.json')).toContain('"gap"');
  });

  test('comments and trailing commas stay', async () => {
    const commented = siteText.replace('{\n', '{\n  // the observatory\n');
    const { page, read } = await open({ files: { [site]: commented } });
    await (await fieldOf(page, 'Tides', 'Label')).fill('Our tides');
    await save(page);
    expect(read(site)).toBe(commented.replace('"label": "Tides"', '"label": "Our tides"'));
  });

  test('5 000 entries are sampled, and any of them can be edited', async () => {
    const entries = Array.from({ length: 50 }, (_, section) => ({
      id: `s${section}`,
      label: `Section ${section}`,
      href: `/s${section}`,
      entries: Array.from({ length: 99 }, (_, net) => ({
        id: `n${section}-${net}`,
        label: `Net ${section}-${net}`,
        href: `/s${section}/n${net}`,
      })),
    }));
    const large = `${JSON.stringify({ name: 'Point', entries, menus: { main: ['s0', 's1'] } }, null, 2)}\n`;
    const { page, read } = await open({ files: { [site]: large } });
    await page.getByText(/of 5000 entries are in this sheet/u).waitFor();
    expect(await page.getByRole('treeitem').count()).toBe(50);
    await page.getByLabel('Find', { exact: true }).fill('Net 37-55');
    await (await fieldOf(page, 'Net 37-55', 'Label')).fill('The far net');
    await save(page);
    expect(newLines(large, read(site))).toEqual(['          "label": "The far net",']);
  });
});

test('no other page, and no one without the session, is answered', async () => {
  const { url } = await open();
  const { port } = new URL(url);
  const ask = (place: string, init: RequestInit = {}) => fetch(`http://127.0.0.1:${port}/${place}`, init);
  expect((await ask('session/state')).status).toBe(403);
  const html = await (await ask('')).text();
  const session = /fair-trail-session" content="([^"]+)"/u.exec(html)?.[1] ?? '';
  const headers = { 'fair-trail-session': session, 'Content-Type': 'application/json' };
  expect((await ask('session/state', { headers })).status).toBe(200);
  const body = JSON.stringify({ texts: { site: '{}', tokens: null }, bases: { site: siteText, tokens: null } });
  expect((await ask('session/save', { method: 'POST', headers, body })).status).toBe(403);
  const foreign = { ...headers, Origin: 'https://marram.example' };
  expect((await ask('session/save', { method: 'POST', headers: foreign, body })).status).toBe(403);
  const own = { ...headers, Origin: `http://127.0.0.1:${port}` };
  expect(await (await ask('session/save', { method: 'POST', headers: own, body })).json()).toMatchObject({
    outcome: 'refused',
  });
  expect(
    await (await ask('session/save', { method: 'POST', headers: own, body: body.replace('marram', 'other') })).json(),
  ).toMatchObject({
    outcome: 'changed',
  });
  expect((await ask('session/save', { method: 'POST', headers: own, body: '{' })).status).toBe(500);
  expect((await ask('../package.json')).status).toBe(404);
  expect(opened.read(site)).toBe(siteText);
});

describe('for everyone', () => {
  test('by the keyboard alone: a page is renamed, moved and saved', async () => {
    const { page, read } = await open();
    const focused = () => page.evaluate(() => document.activeElement?.textContent ?? '');
    const tabTo = async (text: RegExp) => {
      for (let presses = 0; presses < 60; presses += 1) {
        if (text.test(await focused())) return;
        await page.keyboard.press('Tab');
      }
      throw new Error(`Tab does not reach ${text.source}.`);
    };
    await rowOf(page, 'Today').waitFor();
    await tabTo(/^Site$/u);
    await tabTo(/^Today/u);
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Alt+ArrowUp');
    await expect.poll(focused).toContain('Hides');
    await page.keyboard.press('Control+s');
    await page.getByText('Saved.', { exact: true }).waitFor();
    const { entries } = JSON.parse(read(site)) as { readonly entries: readonly { readonly id: string }[] };
    expect(entries.slice(0, 2).map(({ id }) => id)).toEqual(['hides', 'today']);
  });

  test.each([
    { width: 320, text: 100 },
    { width: 1280, text: 200 },
  ])('nothing is wider than the window: $width px, text of $text %', async ({ width, text }) => {
    const { page } = await open({ width });
    await rowOf(page, 'Hides').click();
    await page.evaluate((size) => (document.documentElement.style.fontSize = `${size}%`), text);
    for (const name of ['Site', 'Looks', 'Motion', 'Options', 'Compare', 'Notes']) {
      await openTab(page, name);
      const { scroll, client } = await page.evaluate(() => ({
        scroll: document.documentElement.scrollWidth,
        client: document.documentElement.clientWidth,
      }));
      expect(scroll, name).toBeLessThanOrEqual(client);
      const beyond = await page.evaluate(() => {
        const panel = document.querySelector('.ft-workbench-panel');
        return panel ? panel.scrollWidth - panel.clientWidth : 0;
      });
      expect(beyond, name).toBeLessThanOrEqual(0);
    }
  });
});
