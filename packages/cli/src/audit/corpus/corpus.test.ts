import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import { openBrowser } from '../../browser/open-browser.ts';
import type { AuditReport } from '../audit-report.ts';
import { flattened } from '../causes.ts';
import { probes } from '../probes/all-probes.ts';
import { runAudit } from '../run-audit.ts';
import { siteCorpus } from './corpus.samples.ts';
import { generated, type GeneratedCase } from './generated.samples.ts';
import { heldOut } from './held-out.samples.ts';
import { serveSamples } from './serve-samples.samples.ts';
import type { SampleSite } from './site-twins.samples.ts';

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

type Case = Omit<GeneratedCase, 'accept'> & Partial<Pick<GeneratedCase, 'accept'>>;

async function auditOf(site: SampleSite, { rule, accept = [], widths, pages }: Case): Promise<AuditReport> {
  const { origin, close } = await serveSamples(site);
  try {
    const settings = { start: `${origin}/`, target: origin, widths, pages, tool: { name: 'fair-trail', version: '0' } };
    // The rule alone, or all of them where there is time.
    const only = inject('isWholeAudit') || rule === 'sound' ? null : [rule, ...accept];
    return await runAudit(browser, { ...settings, only });
  } finally {
    close();
  }
}

const byHand: readonly Case[] = siteCorpus.map((twins) => ({ widths: [800], pages: 1, ...twins }));
const outside: readonly Case[] = heldOut.map((one) => ({ widths: [800], pages: 1, ...one }));
const broken = [...byHand, ...outside, ...generated].filter((one) => one.broken !== null);
const isFirst = ({ rule }: Case, index: number) => broken.findIndex((other) => other.rule === rule) === index;

/**
 * In `npm test` one site of each rule, and the sound twin of every second one: each takes seconds in a browser. In `npm run soak` all
 * sites in every style.
 */
const tried = inject('isWholeAudit') ? broken : [...byHand, ...outside].filter(isFirst);
const twins = (inject('isWholeAudit') ? broken : byHand.filter(isFirst).filter((_, index) => index % 2 === 0)).filter(
  ({ sound }) => sound !== null,
);

describe.concurrent('of a site with one defect', () => {
  test.each(tried)('$rule reports it: $style', async (one) => {
    const report = await auditOf(one.broken ?? {}, one);
    const found = report.findings.filter(({ code }) => [one.rule, ...(one.accept ?? [])].includes(code));
    expect(found.length, JSON.stringify(report.notChecked)).toBeGreaterThan(0);
    // The keys that were pressed for other checks are no part of the path to a focus indicator.
    if (one.rule === 'focus-not-shown') {
      expect(found.flatMap(({ steps = [] }) => steps).filter((step) => !step.startsWith('press Tab until'))).toEqual(
        [],
      );
    }
    for (const { severity, certainty } of flattened(report.findings)) {
      expect(severity === 'error' ? certainty : 'sure').toBe('sure');
    }
  });
});

describe.concurrent('of its twin without the defect', () => {
  test.each(twins)('$rule reports nothing: $style', async (one) => {
    const { findings } = await auditOf(one.sound ?? {}, one);
    expect(flattened(findings).filter(({ code }) => code === one.rule)).toEqual([]);
  });
});

describe.concurrent('of a site without a defect', () => {
  const sound = generated.filter(({ rule }) => rule === 'sound');
  test.each(inject('isWholeAudit') ? sound : sound.slice(0, 1))('nothing is reported: $style', async (one) => {
    const { findings } = await auditOf(one.sound ?? {}, one);
    expect(findings.map(({ code, message, html }) => `${code}: ${message} ${html}`)).toEqual([]);
  });
});

test('every probe has a site with its defect', () => {
  const rules = new Set(broken.flatMap(({ rule, accept = [] }) => [rule, ...accept]));
  // Those of a site file have tests of their own.
  const missing = probes.filter(({ id }) => !rules.has(id) && !id.startsWith('site-'));
  expect(missing.map(({ id }) => id)).toEqual([]);
});
