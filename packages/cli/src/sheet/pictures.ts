import type { Browser, ElementHandle } from 'playwright-core';
import type { OutputFile } from '../writers/write-files.ts';
import { openSheet } from './computed-names.ts';

/**
 * A picture of each table of a sheet, and one of each of its states. The same sheet gives the same bytes.
 *
 * @param only the name of the one table to take, or `compared` for what is shown in two versions; default: all
 */
export async function takePictures(browser: Browser, url: string, only?: string): Promise<readonly OutputFile[]> {
  const context = await browser.newContext({ viewport: { width: 1400, height: 2000 }, reducedMotion: 'reduce' });
  try {
    const page = await context.newPage();
    await openSheet(page, url);
    const files: OutputFile[] = [];
    // What stays in sight while a reader scrolls would lie over the pictures, and no frame may scroll within itself.
    await page.evaluate(() => {
      document.querySelector<HTMLElement>('.ft-sheet-conditions')?.remove();
      for (const box of document.querySelectorAll<HTMLElement>('.ft-sheet-scroll')) box.style.maxInlineSize = 'none';
    });
    for (const pair of await page.$$('[data-ft-compared]')) {
      const name = (await pair.getAttribute('data-ft-compared')) ?? 'part';
      if (only !== undefined && only !== 'compared') continue;
      await showSectionOf(pair);
      files.push({ path: `compared-${name}.png`, text: await pictureOf(pair) });
    }
    for (const frame of await page.$$('iframe[data-ft-frame]')) {
      // Each of two versions is in the picture of both.
      if (await frame.evaluate((element) => element.closest('[data-ft-compared]') !== null)) continue;
      const name = (await frame.getAttribute('data-ft-frame')) ?? 'frame';
      if (only !== undefined && name !== only) continue;
      await showSectionOf(frame);
      files.push({ path: `${name}.png`, text: await pictureOf(frame) });
      for (const state of await statesIn(frame)) {
        await showOnly(frame, state);
        files.push({ path: `${name}-${state.replaceAll(' ', '-')}.png`, text: await pictureOf(frame) });
        await showOnly(frame, null);
      }
    }
    return files;
  } finally {
    await context.close();
  }
}

/** Nothing else: a browser draws all of a page for a picture of any part of it. */
async function showSectionOf(frame: ElementHandle): Promise<void> {
  await frame.evaluate((element) => {
    for (const section of document.querySelectorAll<HTMLElement>('.ft-sheet-section')) {
      section.hidden = !section.contains(element);
    }
    return new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(() => resolve(null))));
  });
}

function pictureOf(frame: ElementHandle): Promise<Buffer> {
  return frame.screenshot({ animations: 'disabled', caret: 'hide' });
}

function statesIn(frame: ElementHandle): Promise<readonly string[]> {
  return frame.evaluate((element) => {
    const cells = (element as HTMLIFrameElement).contentDocument?.querySelectorAll('[data-ft-table] [data-ft-state]');
    return [...new Set([...(cells ?? [])].map((cell) => cell.getAttribute('data-ft-state') ?? ''))];
  });
}

/** Hides the columns of all other states, and the rows that have nothing in this one; null shows them all again. */
async function showOnly(frame: ElementHandle, state: string | null): Promise<void> {
  await frame.evaluate((element, wanted) => {
    const tables = (element as HTMLIFrameElement).contentDocument?.querySelectorAll('.ft-sheet-table') ?? [];
    for (const table of tables) {
      for (const cell of table.querySelectorAll('[data-ft-column]')) {
        cell.toggleAttribute('hidden', wanted !== null && cell.getAttribute('data-ft-column') !== wanted);
      }
      for (const body of table.querySelectorAll('tbody')) {
        body.hidden = wanted !== null && !body.querySelector(`[data-ft-state="${wanted}"]`);
      }
      table.toggleAttribute('hidden', !table.querySelector('tbody:not([hidden])'));
    }
    // The frame is as high as what is in it once that has been laid out again.
    return new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(() => resolve(null))));
  }, state);
}
