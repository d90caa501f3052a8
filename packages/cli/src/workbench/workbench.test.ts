import { readdirSync, readFileSync, renameSync, symlinkSync } from 'node:fs';
import path from 'node:path';
import { format } from 'prettier';
import { describe, expect, test } from 'vitest';
import { fieldOf, newLines, openTab, rowOf, save, siteText, useOpenedWorkbench } from './workbench.samples.ts';

const open = useOpenedWorkbench();

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
  const { url, read } = await open();
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
  expect(read(site)).toBe(siteText);
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
