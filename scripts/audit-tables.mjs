/**
 * Writes `docs/audit-coverage.md`: every page of the corpus is audited by everything there is, and what was found, missed
 * and told of sound pages is counted. Takes some minutes.
 */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { createJiti } from 'jiti';
import { chromium } from 'playwright-core';
import { chromiumArguments, findChromium } from './chromium.mjs';
import { root, runTool } from './run.mjs';

const built = (file) => import(pathToFileURL(path.join(root, 'packages/cli/dist/audit', file)).href);
const { runAudit } = await built('run-audit.js');
const { documented } = await built('rule-page.js');
const { criteriaPage } = await built('criteria.js');
const jiti = createJiti(root);
const sample = (file) => jiti.import(path.join(root, 'packages', file));
const { corpus } = await sample('fair-trail/src/audit/corpus.samples.ts');
const { siteCorpus } = await sample('cli/src/audit/corpus/corpus.samples.ts');
const { serveSamples } = await sample('cli/src/audit/corpus/serve-samples.samples.ts');

const usualHead = '<title>Hides</title>';
/** A page of the rules' corpus as a site of its own, at the address that it is written for. */
const siteOf = (twins, which) => {
  const head = (which === 'sound' ? twins.soundHead : null) ?? twins.head ?? usualHead;
  const url = new URL(twins.url ?? 'https://marram.example/hides');
  const page = `<!doctype html><html lang="en"><head>${head}</head><body>${twins[which]}</body></html>`;
  return { site: { [url.pathname]: page }, start: url.pathname + url.hash };
};
const pairs = [
  ...corpus.map((twins) => ({
    rule: twins.rule,
    widths: [1280],
    pages: 1,
    broken: siteOf(twins, 'broken'),
    sound: siteOf(twins, 'sound'),
  })),
  ...siteCorpus.map(({ rule, broken, sound, widths = [800], pages = 1 }) => ({
    ...{ rule, widths, pages },
    broken: { site: broken, start: '/' },
    sound: { site: sound, start: '/' },
  })),
];

const browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
const counts = new Map();
const countOf = (rule) => {
  if (!counts.has(rule)) counts.set(rule, { pairs: 0, found: 0, falseAlarms: 0 });
  return counts.get(rule);
};
const queue = [...pairs];
await Promise.all(
  Array.from({ length: 3 }, async () => {
    for (let pair = queue.shift(); pair !== undefined; pair = queue.shift()) {
      const count = countOf(pair.rule);
      count.pairs += 1;
      for (const which of ['broken', 'sound']) {
        const { site, start } = pair[which];
        const { origin, close } = await serveSamples(site);
        const { findings } = await runAudit(browser, {
          ...{ start: origin + start, target: origin, widths: pair.widths, pages: pair.pages },
          tool: { name: 'fair-trail', version: '' },
        });
        close();
        const isTold = findings.some(({ rule }) => rule === pair.rule);
        if (which === 'broken' && isTold) count.found += 1;
        if (which === 'sound' && isTold) count.falseAlarms += 1;
      }
      process.stderr.write(`\r${queue.length} left `);
    }
  }),
);
await browser.close();

const rows = documented.map(({ id }) => {
  const { pairs: all, found, falseAlarms } = counts.get(id) ?? { pairs: 0, found: 0, falseAlarms: 0 };
  return all === 0
    ? `| [${id}](rules/${id}.md) | | | | |`
    : `| [${id}](rules/${id}.md) | ${all} | ${found} | ${all - found} | ${falseAlarms} |`;
});
const text = `# What the audit finds, and what it cannot

Written by \`node scripts/audit-tables.mjs\`, after a build. [The audit](audit.md) says how to use it.

## By rule

Each rule and probe has pages with its defect, hand-written in styles of their own, and for each a twin without it. They are
audited by everything there is. A rule without numbers needs a site file, and has tests of its own.

| rule | pairs | found | missed | false alarms |
| --- | --- | --- | --- | --- |
${rows.join('\n')}

## By success criterion

Those of WCAG 2.2, levels A and AA, that navigation can fail. A criterion of which nothing is told is not thereby met.

${criteriaPage()}
`;
writeFileSync(path.join(root, 'docs/audit-coverage.md'), text);
runTool('prettier/bin/prettier.cjs', ['--write', '--log-level', 'warn', 'docs/audit-coverage.md']);
