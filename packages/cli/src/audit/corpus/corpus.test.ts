import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import { openBrowser } from '../../browser/open-browser.ts';
import type { AuditReport } from '../audit-report.ts';
import { probes } from '../probes/all-probes.ts';
import { runAudit } from '../run-audit.ts';
import { siteCorpus } from './corpus.samples.ts';
import { serveSamples } from './serve-samples.samples.ts';
import type { SampleSite, SiteTwins } from './site-twins.samples.ts';

declare module 'vitest' {
  interface ProvidedContext {
    isWholeAudit: boolean;
  }
}

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

/** The rule alone, or all of them where there is time. */
function triedWith(rule: string): readonly string[] | null {
  return inject('isWholeAudit') ? null : [rule];
}

async function auditOf(site: SampleSite, { rule, widths = [800], pages = 1 }: SiteTwins): Promise<AuditReport> {
  const { origin, close } = await serveSamples(site);
  try {
    const settings = { start: `${origin}/`, target: origin, widths, pages, tool: { name: 'fair-trail', version: '0' } };
    return await runAudit(browser, { ...settings, only: triedWith(rule) });
  } finally {
    close();
  }
}

/** Of many rules there are more styles than one: the first of each in `npm test`, and all in `npm run soak`. */
const tried = inject('isWholeAudit')
  ? siteCorpus
  : siteCorpus.filter(({ rule }, index) => siteCorpus.findIndex((other) => other.rule === rule) === index);

describe.concurrent('of a site with one defect and its twin without', () => {
  test.each(tried)('$rule is told of the one alone: $style', async (twins) => {
    const broken = await auditOf(twins.broken, twins);
    const found = broken.findings.filter(({ code }) => code === twins.rule);
    expect(found.length, JSON.stringify(broken.notChecked)).toBeGreaterThan(0);
    for (const { severity, certainty } of broken.findings) {
      expect(severity === 'error' ? certainty : 'sure').toBe('sure');
    }
    const sound = await auditOf(twins.sound, twins);
    expect(sound.findings.filter(({ code }) => code === twins.rule)).toEqual([]);
  });
});

test('every probe has a site with its defect', () => {
  const broken = new Set(siteCorpus.map(({ rule }) => rule));
  // Those of a site file have tests of their own.
  const missing = probes.filter(({ id }) => !broken.has(id) && !id.startsWith('site-'));
  expect(missing.map(({ id }) => id)).toEqual([]);
});
