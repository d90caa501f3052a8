import { readFileSync } from 'node:fs';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, expect, inject, test } from 'vitest';
import { corpus } from '../../../../fair-trail/src/audit/corpus.samples.ts';
import { openBrowser } from '../../browser/open-browser.ts';
import { siteCorpus } from './corpus.samples.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

const script = readFileSync(new URL('../../../dist/audit-page/audit.js', import.meta.url), 'utf8');
const asked = 'a[href], button, summary, nav, input, select, [role], h1, ul, li, main, header, footer';

/** The browser's own words for what has no role, and those of its own that mean one of ours. */
const sameRole: Readonly<Record<string, string | null>> = {
  generic: null,
  none: 'none',
  DisclosureTriangle: 'button',
  ListMarker: null,
  image: 'img',
  sectionheader: null,
  sectionfooter: null,
};

const all = [
  ...corpus.flatMap(({ broken, sound, head = '<title>Hides</title>' }) =>
    [broken, sound].map((body) => `<!doctype html><html lang="en"><head>${head}</head><body>${body}</body></html>`),
  ),
  ...siteCorpus.flatMap(({ broken, sound }) => [broken['/'] ?? '', sound['/'] ?? '']),
];
// Of each pair of twins, which differ little, the first: in `npm run soak` both.
const pages = inject('isWholeAudit') ? all : all.filter((_, index) => index % 2 === 0);

test('the names and roles that the rules go by are those of the browser’s accessibility tree', async () => {
  const context = await browser.newContext();
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('DOM.enable');
  await session.send('Accessibility.enable');
  const differences: string[] = [];
  let compared = 0;
  for (const html of pages) {
    await page.setContent(html);
    await page.evaluate(script);
    const ours = await page.evaluate((selector) => {
      const elements = [...document.querySelectorAll(selector)];
      elements.forEach((element, index) => element.setAttribute('data-asked', String(index)));
      return elements.map((_, index) => window.fairTrailAudit?.exposedAs(`[data-asked="${index}"]`) ?? null);
    }, asked);
    const { root } = await session.send('DOM.getDocument', { depth: -1 });
    const { nodeIds } = await session.send('DOM.querySelectorAll', { nodeId: root.nodeId, selector: '[data-asked]' });
    for (const [index, nodeId] of nodeIds.entries()) {
      const { nodes } = await session.send('Accessibility.getPartialAXTree', { nodeId, fetchRelatives: false });
      const node = nodes[0];
      const mine = ours[index] ?? null;
      const isStated = node !== undefined && !node.ignored;
      const role = String(node?.role?.value ?? '');
      const theirs = isStated
        ? {
            role: role in sameRole ? sameRole[role] : role,
            name: String(node.name?.value ?? '')
              .replaceAll(/\s+/gu, ' ')
              .trim(),
          }
        : null;
      // Neither reports an element without role and name.
      if (theirs === null || theirs.role === null) continue;
      compared += 1;
      const isNamed = ['link', 'button', 'navigation', 'tab'].includes(role);
      if (mine?.role !== theirs.role || (isNamed && mine?.name !== theirs.name)) {
        differences.push(
          `${html.slice(html.indexOf('<body'), html.indexOf('<body') + 300)}\n  ours ${JSON.stringify(mine)}, the browser’s ${JSON.stringify(theirs)}`,
        );
      }
    }
  }
  await context.close();
  expect(compared).toBeGreaterThan(inject('isWholeAudit') ? 1000 : 450);
  expect(differences).toEqual([]);
});
