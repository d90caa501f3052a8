import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Locator, Page } from 'playwright-core';
import { afterEach } from 'vitest';
import { openBrowser } from '../browser/open-browser.ts';
import { serveWorkbench } from '../sheet/serve-sheet.ts';
import { observatory, root } from '../test-command.samples.ts';
import type { WorkbenchInput } from './server/workbench-input.ts';

/** A workbench on a copy of the observatory's files, and a page that shows it. */
export interface OpenedWorkbench {
  readonly page: Page;
  readonly url: string;
  readonly folder: string;
  readonly browser: Browser;
  /** What the browser complained of. */
  readonly complaints: readonly string[];
  readonly read: (name: string) => string;
  readonly write: (name: string, text: string) => void;
  readonly close: () => Promise<void>;
}

export interface OpeningOptions {
  readonly files?: Readonly<Record<string, string>>;
  /** Files and folders of the input, by their names in the folder. */
  readonly named?: Partial<Record<'file' | 'icons' | 'pictures', string>>;
  readonly width?: number;
}

export const siteText = readFileSync(path.join(root, observatory), 'utf8');

async function openWorkbench({ files = {}, named = {}, width = 1280 }: OpeningOptions = {}): Promise<OpenedWorkbench> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-trail-workbench-'));
  const place = (name: string) => path.join(folder, name);
  cpSync(path.join(root, observatory), place('observatory.site.json'));
  for (const [name, text] of Object.entries(files)) writeFileSync(place(name), text);
  const input: WorkbenchInput = {
    file: place('observatory.site.json'),
    theme: place('tokens.json'),
    menus: {},
    ...Object.fromEntries(Object.entries(named).map(([name, file]) => [name, place(file)])),
  };
  const { server, url } = await serveWorkbench(input, 0);
  const browser = await openBrowser();
  const page = await browser.newPage({ viewport: { width, height: 900 } });
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error' || message.type() === 'warning') complaints.push(message.text());
  });
  page.on('pageerror', (error) => complaints.push(error.message));
  await page.goto(url);
  return {
    page,
    url,
    folder,
    browser,
    complaints,
    read: (name) => readFileSync(place(name), 'utf8'),
    write: (name, text) => writeFileSync(place(name), text),
    close: async () => {
      await browser.close();
      await closeServer(server);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

function closeServer(server: Server): Promise<void> {
  server.closeAllConnections();
  return new Promise((resolve) => {
    server.close(() => resolve());
  });
}

/** Saves by the keyboard, and waits until it is said to be done. */
export async function save(page: Page): Promise<void> {
  await page.keyboard.press('Control+s');
  await page.getByText('Saved.', { exact: true }).waitFor();
}

/** The row of an entry or item. */
export function rowOf(page: Page, label: string): Locator {
  return page.getByRole('treeitem', { name: label, exact: true }).first();
}

/** Chooses an entry and answers the field of a label in its form. */
export async function fieldOf(page: Page, row: string, label: string): Promise<Locator> {
  await rowOf(page, row).click();
  return page.getByLabel(label, { exact: true });
}

export async function openTab(page: Page, name: string): Promise<void> {
  await page.getByRole('tab', { name }).click();
}

/** The lines of a text that another one does not have. */
export function newLines(before: string, after: string): readonly string[] {
  const rest = after.split('\n');
  for (const line of before.split('\n')) {
    const index = rest.indexOf(line);
    if (index >= 0) rest.splice(index, 1);
  }
  return rest;
}

/** Opens workbenches for the tests of a file, each closed when its test ends. */
export function useOpenedWorkbench(): (options?: OpeningOptions) => Promise<OpenedWorkbench> {
  const opened: OpenedWorkbench[] = [];
  afterEach(async () => {
    await Promise.all(opened.splice(0).map(({ close }) => close()));
  });
  return async (options) => {
    const workbench = await openWorkbench(options);
    opened.push(workbench);
    return workbench;
  };
}
