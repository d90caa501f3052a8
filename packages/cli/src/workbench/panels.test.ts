import { chmodSync, existsSync, lstatSync, readdirSync, readFileSync, renameSync, symlinkSync } from 'node:fs';
import path from 'node:path';
import { format } from 'prettier';
import { describe, expect, test } from 'vitest';
import { fieldOf, newLines, openTab, rowOf, save, siteText, useOpenedWorkbench } from './workbench.samples.ts';

const open = useOpenedWorkbench();

const site = 'observatory.site.json';
const themeText = '{\n  "time": { "$type": "duration", "open": { "$value": { "value": 180, "unit": "ms" } } }\n}\n';

describe('looks and motion', () => {
  test('a color that is too low says so, and the nearest that passes is offered; light and dark are side by side', async () => {
    const { page, read, folder } = await open();
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
    expect(readdirSync(folder).sort()).toEqual([site, 'tokens.json']);
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

describe('menus, icons and the room', () => {
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
    await page
      .getByText(/^Removed Species/u)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Lead them to Today' }).click();
    await save(page);
    const text = read(site);
    const { entries } = JSON.parse(text) as { readonly entries: readonly Record<string, unknown>[] };
    expect(entries[2]).toEqual({ id: 'new-page', label: 'News', href: '/new-page', icon: 'sun', planned: true });
    expect(text).not.toContain('"species"');
    expect(entries[0]).toMatchObject({ movedFrom: ['/species'] });
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

describe('files of other kinds', () => {
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

  test('what is no JSON cannot be edited, and is said to be; once it is corrected outside, it can', async () => {
    const { page, write } = await open({ files: { [site]: '{ "name": ', 'tokens.json': '[' } });
    await page.getByText('The site file is not JSON.', { exact: false }).first().waitFor();
    await openTab(page, 'Looks');
    await page.getByText('The tokens file is not JSON.', { exact: false }).waitFor();
    write(site, siteText);
    write('tokens.json', themeText);
    await page.getByLabel('gap', { exact: true }).waitFor();
    await openTab(page, 'Site');
    await rowOf(page, 'Tides').waitFor();
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
});
