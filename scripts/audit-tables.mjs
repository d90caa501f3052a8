/**
 * Writes `docs/audit-coverage.md`: sites with a defect, and their twins, are audited by everything there is, and
 * what was found, missed and reported of sound sites is counted. Takes about 20 minutes.
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
const { heldOut } = await sample('cli/src/audit/corpus/held-out.samples.ts');
const { generated } = await sample('cli/src/audit/corpus/generated.samples.ts');
const { siteCorpus } = await sample('cli/src/audit/corpus/corpus.samples.ts');
const { serveSamples } = await sample('cli/src/audit/corpus/serve-samples.samples.ts');

/** How many styles each generated defect is tried in here: all of them take an hour (npm run soak). */
const styles = (process.argv[2] ?? 'closed root,details,history routes,bare divs').split(',');
const pairs = [
  ...siteCorpus.map((pair) => ({ ...pair, kind: 'by hand' })),
  ...heldOut.map((pair) => ({ ...pair, kind: 'held out' })),
  ...generated
    .filter(({ style, broken }) => broken === null || styles.some((name) => style.includes(name)))
    .map((pair) => ({ ...pair, kind: pair.broken === null ? 'sound' : pair.style.replace(/^.*, (?=in )/u, '') })),
];

const browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
const counts = new Map();
const kinds = new Map();
const countOf = (map, key) => {
  if (!map.has(key)) map.set(key, { pairs: 0, found: 0, falseAlarms: 0, sureFalseAlarms: 0 });
  return map.get(key);
};
const queue = [...pairs];
await Promise.all(
  Array.from({ length: 3 }, async () => {
    for (let pair = queue.shift(); pair !== undefined; pair = queue.shift()) {
      const { rule, accept = [], widths = [800], pages = 1 } = pair;
      const both = [countOf(counts, rule), countOf(kinds, pair.kind)];
      if (pair.broken) for (const count of both) count.pairs += 1;
      for (const which of ['broken', 'sound']) {
        if (!pair[which]) continue;
        const { origin, close } = await serveSamples(pair[which]);
        const { findings } = await runAudit(browser, {
          ...{ start: `${origin}/`, target: origin, widths, pages },
          tool: { name: 'fair-trail', version: '' },
        });
        close();
        const codes = findings.map(({ code }) => code);
        const isTold = [rule, ...accept].some((code) => codes.includes(code));
        for (const count of both) {
          if (which === 'broken' && isTold) count.found += 1;
          if (which === 'sound' && isTold) count.falseAlarms += 1;
        }
        if (pair.kind === 'sound') {
          const count = countOf(kinds, 'sound');
          count.pairs += 1;
          count.falseAlarms += findings.filter(({ certainty }) => certainty === 'likely').length;
          count.sureFalseAlarms += findings.filter(({ certainty }) => certainty === 'sure').length;
        }
        if ((which === 'broken') !== isTold && pair.kind !== 'sound') {
          process.stderr.write(`\n${which}: ${rule}, ${pair.style} (${codes.join(', ')})\n`);
        }
      }
      process.stderr.write(`\r${queue.length} left `);
    }
  }),
);
await browser.close();

/** What the browser tests require of pages that are read and not used: each is found, and each twin is silent. */
const read = new Map();
for (const { rule } of corpus) read.set(rule, (read.get(rule) ?? 0) + 1);
const rows = documented.map(({ id }) => {
  const { pairs: used, found, falseAlarms } = counts.get(id) ?? { pairs: 0, found: 0, falseAlarms: 0 };
  const pages = read.get(id) ?? 0;
  return used + pages === 0
    ? `| [${id}](rules/${id}.md) | | | | | |`
    : `| [${id}](rules/${id}.md) | ${pages} | ${used} | ${found} | ${used - found} | ${falseAlarms} |`;
});
const kindRows = [...kinds].map(([kind, { pairs: count, found, falseAlarms, sureFalseAlarms }]) =>
  kind === 'sound'
    ? `| sites without a defect, in each style | ${count} | | | ${sureFalseAlarms} sure, ${falseAlarms} likely |`
    : `| ${kind} | ${count} | ${found} | ${count - found} | ${falseAlarms} |`,
);
const text = `# What the audit finds, and what it cannot

Written by \`node scripts/audit-tables.mjs\`, after a build. [The audit](audit.md) says how to use it.

## By style

Defects are put into sites of several styles by one script each, and the sites are audited by everything there is. "Held out"
are sites that were written after the standards and not looked at while rules were written. A false alarm is a finding of
the rule on the twin without the defect; of sites without a defect, any finding is one.

| style | sites | found | missed | false alarms |
| --- | --- | --- | --- | --- |
${kindRows.join('\n')}

## By rule

"Read" counts pages that are read and not used: the tests require that each is found, and that its twin is silent. The other
columns count sites that are used. A rule without numbers needs a site file, and has tests of its own.

| rule | read | used | found | missed | false alarms |
| --- | --- | --- | --- | --- | --- |
${rows.join('\n')}

## By success criterion

Those of WCAG 2.2, levels A and AA, that navigation can fail. A criterion of which nothing is reported is not thereby met.

${criteriaPage()}
`;
writeFileSync(path.join(root, 'docs/audit-coverage.md'), text);
runTool('prettier/bin/prettier.cjs', ['--write', '--log-level', 'warn', 'docs/audit-coverage.md']);
