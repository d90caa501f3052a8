import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { defineSite, type SiteDefinition } from 'fair-trail';
import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import definition from '../../../../examples/observatory/observatory.site.json';
import { editPages, root } from '../test-command.samples.ts';
import { auditSite, serveFolder, type AuditSiteOptions } from './index.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-trail-'));
let served: Awaited<ReturnType<typeof serveFolder>>;

beforeAll(async () => {
  // As it is shipped: below a base path, with one page for all addresses.
  cpSync(path.join(root, '.build/observatory'), path.join(folder, 'observatory'), { recursive: true });
  served = await serveFolder(folder, 'observatory/shell.html');
});
afterAll(() => {
  served.close();
  rmSync(folder, { recursive: true, force: true });
});

const site = defineSite(definition as SiteDefinition, { base: '/observatory/' });

/** What is found, in a line each. */
async function findingsOf(options: AuditSiteOptions): Promise<readonly string[]> {
  const { findings, pages } = await auditSite(`${served.url}observatory/`, { site, ...options });
  expect(pages.length).toBe(options.pages);
  return findings.map(
    ({ code, message, selector, width, state }) => `${code}: ${message} ${selector} (${width}, ${state})`,
  );
}

/** A whole page is used by each of them: a busy machine needs its time. */
const timeout = inject('isWholeAudit') ? 3_600_000 : 300_000;
const pages = inject('isWholeAudit') ? 27 : 1;
const widths = inject('isWholeAudit') ? [320, 768, 1280] : [320, 1280];
/** What colors and direction can break. */
const ofLooks = ['low-contrast', 'state-low-contrast', 'focus-not-shown', 'focus-hard-to-see', 'focus-on-invisible'];
const ofDirection = ['focus-order', 'menu-outside-window', 'labels-overlap', 'label-cut', 'panel-out-of-window'];

describe('our own example is clean', () => {
  test('at every width', { timeout }, async () => {
    expect(await findingsOf({ widths, pages })).toEqual([]);
  });

  test('in the dark, and from right to left', { timeout }, async () => {
    editPages(folder, '<html lang="en"', '<html lang="en" dir="rtl"');
    const only = inject('isWholeAudit') ? null : [...ofLooks, ...ofDirection];
    expect(await findingsOf({ widths: [320, 1280], pages, only, colorScheme: 'dark' })).toEqual([]);
  });
});
